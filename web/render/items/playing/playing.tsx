import { Suspense, useContext } from 'react';
import { later } from '../../../later.ts';
import { Actions } from '../../actions.ts';
import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { Runs, paint, placeOf } from '../../kit/runs.tsx';
import { SoundSignView, soundLabels, turnSign } from '../../kit/sound-signs.tsx';

/** Its code is that of the large ones. */
const SmallSpectrum = later(async () => ({
  default: (await import('../../widgets/spectrum/small.tsx')).SmallSpectrum,
}));

export const PlayingItem: ItemDrawing<'playing'> = ({ view, layout: { buttons, levels, runs } }) => {
  const actions = useContext(Actions);
  return (
    <>
      {buttons.map(({ act, rect }) => {
        const sign = act === 'turn' ? turnSign({ isHeard: view.on.isHeard, isPaused: view.isPaused }) : act;
        const style = { ...placeOf(rect), color: act === 'turn' ? paint(view.colour) : 'var(--ink)' };
        return actions ? (
          <button
            key={act}
            type="button"
            aria-label={soundLabels[sign]}
            style={style}
            className="panel-press z-10 rounded-full"
            onClick={() => actions.sound({ does: act })}
          >
            <SoundSignView sign={sign} size={rect.width} />
          </button>
        ) : (
          <span key={act} style={style}>
            <SoundSignView sign={sign} size={rect.width} />
          </span>
        );
      })}
      {levels && (
        <span style={placeOf(levels)}>
          <Suspense>
            <SmallSpectrum
              on={view.on}
              colour={view.colour}
              width={levels.width}
              height={levels.height}
              isQuiet={view.isQuiet}
            />
          </Suspense>
        </span>
      )}
      <Runs runs={runs} />
    </>
  );
};
