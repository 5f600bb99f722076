import { useContext } from 'react';
import { Actions } from '../../actions.ts';
import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { DeskIcon } from '../../kit/icons.tsx';
import { Press } from '../../kit/press.tsx';
import { Runs, placeOf } from '../../kit/runs.tsx';

export const VolumeItem: ItemDrawing<'volume'> = ({ view: { loud }, layout: { icon, groove, runs } }) => {
  const actions = useContext(Actions);
  const isUpright = groove !== null && groove.height > groove.width;
  return (
    <>
      <Press
        label={loud > 0 ? `Silence; it is at ${Math.round(loud)} %` : 'Let it sound'}
        onPress={({ sound }) => sound({ does: 'mute' })}
        className="panel-press"
      >
        <span style={{ ...placeOf(icon), opacity: loud > 0 ? 1 : 0.45 }}>
          <DeskIcon name="audio-volume-high" size={icon.width} />
        </span>
        <Runs runs={runs} />
      </Press>
      {groove && (
        <span
          className="pointer-events-none"
          style={{
            ...placeOf(groove),
            borderRadius: 4,
            background: 'color-mix(in srgb, var(--ink) 25%, transparent)',
          }}
        >
          <span
            className="absolute bottom-0 left-0 rounded-full"
            style={{
              background: 'var(--accent)',
              width: isUpright ? '100%' : `${loud}%`,
              height: isUpright ? `${loud}%` : '100%',
            }}
          />
        </span>
      )}
      {groove && actions && (
        <input
          type="range"
          aria-label="Volume"
          className="z-10 m-0 cursor-pointer opacity-0 focus-visible:opacity-100"
          style={{
            ...placeOf(
              isUpright
                ? { ...groove, x: groove.x - 8, width: groove.width + 16 }
                : { ...groove, y: groove.y - 8, height: groove.height + 16 },
            ),
            writingMode: isUpright ? 'vertical-lr' : undefined,
            direction: isUpright ? 'rtl' : undefined,
            accentColor: 'var(--accent)',
          }}
          min={0}
          max={100}
          value={Math.round(loud)}
          onChange={({ target }) => actions.sound({ does: 'volume', to: Number(target.value) })}
        />
      )}
    </>
  );
};
