import { useContext, useEffect, useState } from 'react';
import type { Cover } from '../../../../core/sources/sound/cover.ts';
import { clockOf, type PlayerLayout, type PlayerView } from '../../../../core/widgets/player/work.ts';
import { coverAddress } from '../../../api/addresses.ts';
import { Actions } from '../../actions.ts';
import { paint, placeOf } from '../../kit/runs.tsx';
import { SoundSignView, soundLabels, turnSign } from '../../kit/sound-signs.tsx';
import { Sounding } from '../../kit/sounding.ts';

interface Props {
  view: PlayerView;
  layout: PlayerLayout;
}

function Player({ view, layout: { cover, bar, isWave, buttons } }: Props) {
  const actions = useContext(Actions);
  const colour = paint(view.colour);
  const share = view.seconds > 0 ? view.position / view.seconds : 0;
  return (
    <>
      {cover && (
        <div style={placeOf(cover)} className="overflow-hidden rounded-[10px]">
          <CoverView cover={view.cover} colour={colour} />
        </div>
      )}
      {bar &&
        (isWave ? (
          <div style={placeOf(bar)}>
            <Wave source={view.source} share={share} colour={colour} />
          </div>
        ) : (
          <div
            style={{ ...placeOf(bar), background: 'color-mix(in srgb, var(--ink) 22%, transparent)' }}
            className="rounded-full"
          >
            <div className="h-full rounded-full" style={{ width: `${share * 100}%`, background: colour }} />
          </div>
        ))}
      {actions && bar && view.source !== null && (
        <input
          type="range"
          aria-label="Where in the piece"
          aria-valuetext={`${clockOf(view.position)} of ${clockOf(view.seconds)}`}
          className="panel-press z-10 m-0 cursor-pointer opacity-0 focus-visible:opacity-100"
          style={{ ...placeOf(reachOf(bar)), accentColor: colour }}
          min={0}
          max={Math.max(1, Math.floor(view.seconds))}
          value={view.position}
          onChange={({ target }) => actions.sound({ does: 'seek', to: Number(target.value) })}
        />
      )}
      {buttons.map(({ act, rect }) => {
        const sign = act === 'turn' ? turnSign(view) : act;
        const label = soundLabels[sign];
        const drawing = <SoundSignView sign={sign} size={rect.width} />;
        const style = { ...placeOf(rect), color: act === 'turn' ? colour : 'var(--ink)' };
        return actions ? (
          <button
            key={act}
            type="button"
            aria-label={label}
            style={style}
            className="panel-press z-10 rounded-full"
            onClick={() => actions.sound({ does: act })}
          >
            {drawing}
          </button>
        ) : (
          <div key={act} style={style}>
            {drawing}
          </div>
        );
      })}
    </>
  );
}

/** A bar is thin: it can be pressed a little around it. */
function reachOf({ x, y, width, height }: { x: number; y: number; width: number; height: number }) {
  const more = Math.max(0, (20 - height) / 2);
  return { x, y: y - more, width, height: height + 2 * more };
}

function CoverView({ cover, colour }: { cover: Cover | null; colour: string }) {
  if (!cover)
    return (
      <div
        className="grid size-full place-items-center"
        style={{ background: 'color-mix(in srgb, var(--ink) 12%, transparent)', color: colour }}
      >
        <svg viewBox="0 0 24 24" className="size-2/5" aria-hidden>
          <path
            d="M4 10v4M8 7v10M12 4v16M16 8v8M20 10.5v3"
            stroke="currentColor"
            strokeWidth={1.8}
            strokeLinecap="round"
          />
        </svg>
      </div>
    );
  return <img src={coverAddress(cover, 480)} alt="" draggable={false} className="size-full object-cover" />;
}

const HILLS = 160;

/** A piece's wave as a ridge of hills over its image in the water, filled as far as it has come. */
function Wave({ source, share, colour }: { source: string | null; share: number; colour: string }) {
  const wave = useWave(source);
  const shore = 66;
  const ridge = (high: number, down: boolean) => {
    const points = Array.from({ length: HILLS + 1 }, (_, index) => {
      const value = wave?.[Math.min(wave.length - 1, Math.floor((index / HILLS) * wave.length))] ?? 0.04;
      const y = down ? shore + 4 + value * high : shore - Math.max(1.2, value * high);
      return `${((index / HILLS) * 1000).toFixed(1)},${y.toFixed(1)}`;
    });
    const base = down ? shore + 4 : shore;
    return `M0,${base}L${points.join('L')}L1000,${base}Z`;
  };
  const drawing = (
    <>
      <path d={ridge(shore - 2, false)} />
      <path d={ridge(28, true)} opacity={0.4} />
    </>
  );
  return (
    <svg viewBox="0 0 1000 100" preserveAspectRatio="none" className="size-full" aria-hidden>
      <g fill="var(--ink)" opacity={0.3}>
        {drawing}
      </g>
      <g fill={colour} style={{ clipPath: `inset(0 ${(1 - share) * 100}% 0 0)` }}>
        <rect width={1000} height={100} fill="none" />
        {drawing}
      </g>
    </svg>
  );
}

function useWave(source: string | null): Float32Array | null {
  const sounding = useContext(Sounding);
  const [, setCount] = useState(0);
  useEffect(() => sounding?.onChange(() => setCount((count) => count + 1)), [sounding]);
  return source === null ? null : (sounding?.wave(source) ?? null);
}

export const faces = { card: Player, line: Player, wave: Player, large: Player, only: Player };
