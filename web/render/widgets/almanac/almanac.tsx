import { litPath } from '../../../../core/backdrop/moon.ts';
import type { AlmanacLayout, AlmanacView } from '../../../../core/widgets/almanac/layout.ts';
import { paint, placeOf } from '../../kit/runs.tsx';

interface Props {
  view: AlmanacView;
  layout: AlmanacLayout;
}

/** Darker plains of the moon, from its middle; its radius is 10. */
const plains = [
  { x: -3.2, y: -3.4, r: 2.6 },
  { x: 1.6, y: -4.2, r: 2 },
  { x: 4.4, y: -0.8, r: 1.7 },
  { x: -4.6, y: 1.2, r: 1.5 },
  { x: 2, y: 4.6, r: 1.2 },
] as const;

function Moon({ view, layout: { moon } }: Props) {
  if (!moon) return null;
  const lit = litPath({ x: 0, y: 0, r: 10, phase: view.moon.phase });
  return (
    <svg style={placeOf(moon)} viewBox="-11 -11 22 22" role="img" aria-label={view.moon.name}>
      <circle r="10" fill="var(--ink)" fillOpacity="0.13" />
      <path d={lit} fill={paint(view.colour)} />
      {plains.map(({ x, y, r }) => (
        <circle key={x} cx={x} cy={y} r={r} fill="var(--ink)" fillOpacity="0.1" />
      ))}
    </svg>
  );
}

function Tide({ view, layout }: Props) {
  const { tide } = layout;
  if (!tide) return null;
  const { rect, points, turns, now } = tide;
  const colour = paint(view.colour);
  const curve = points
    .map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`)
    .join('');
  const floor = rect.y + rect.height + 4;
  return (
    <svg
      style={placeOf({ x: 0, y: 0, ...layout.size })}
      fill="none"
      role="img"
      aria-label={`Water at ${view.height}, ${view.isRising ? 'rising' : 'falling'}`}
    >
      <path
        d={`${curve}L${rect.x + rect.width} ${floor}L${rect.x} ${floor}Z`}
        fill="var(--second)"
        fillOpacity="0.26"
      />
      <path d={curve} stroke="var(--second)" strokeWidth="2.4" strokeLinejoin="round" strokeLinecap="round" />
      {turns.map(({ x, y }) => (
        <circle key={x} cx={x} cy={y} r="3" fill="var(--ink)" fillOpacity="0.7" />
      ))}
      <path d={`M${now.x} ${rect.y - 4}V${floor}`} stroke={colour} strokeOpacity="0.6" strokeWidth="1.5" />
      <circle cx={now.x} cy={now.y} r="6" fill={colour} />
    </svg>
  );
}

/** How light each stretch of the day is, from the darkest. */
const stretchLooks = [0.22, 0.5, 1] as const;

function Day({ view, layout: { day, size } }: Props) {
  if (!day) return null;
  const { rect, stretches, now } = day;
  return (
    <svg style={placeOf({ x: 0, y: 0, ...size })} role="img" aria-label={`Daylight ${view.light}`}>
      <rect {...rect} rx="8" fill="var(--ink)" fillOpacity="0.13" />
      {stretches.map(
        (stretch, index) =>
          stretch && (
            <rect key={index} {...stretch} fill={paint(view.colour)} fillOpacity={stretchLooks[index]} />
          ),
      )}
      <rect x={now - 1.5} y={rect.y - 6} width="3" height={rect.height + 12} rx="1.5" fill="var(--ink)" />
    </svg>
  );
}

export const faces = { moon: Moon, tide: Tide, day: Day, table: null };
