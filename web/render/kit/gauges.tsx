import type { Rect } from '../../../core/values/geometry.ts';
import { placeOf } from './runs.tsx';

/** What is measured, drawn: how much of it, in a colour, within a box of the layout. */
interface GaugeProps {
  box: Rect;
  /** 0 to 1; null where it can't be known. */
  share: number | null;
  colour: string;
}

/** How much of the ink what is not filled shows. */
const TRACK = 0.18;

/** From the top, clockwise. */
export function Ring({
  box,
  share,
  colour,
  stroke,
  label,
}: GaugeProps & {
  /** px */
  stroke: number;
  /** As it is read out; nothing where what is around says it. */
  label?: string;
}) {
  const radius = (box.width - stroke) / 2;
  const round = 2 * Math.PI * radius;
  const ring = `M${box.width / 2} ${stroke / 2}a${radius} ${radius} 0 1 1 0 ${2 * radius}a${radius} ${radius} 0 1 1 0 ${-2 * radius}`;
  return (
    <svg
      style={placeOf(box)}
      fill="none"
      strokeWidth={stroke}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    >
      <path d={ring} stroke="var(--ink)" strokeOpacity={TRACK} />
      {share !== null && share > 0 && (
        <path d={ring} stroke={colour} strokeDasharray={`${round * share} ${round}`} strokeLinecap="round" />
      )}
    </svg>
  );
}

/** From the left, or from below where it is higher than it is wide. */
export function Bar({ box, share, colour, radius = 999 }: GaugeProps & { radius?: number }) {
  const filled = `${(share ?? 0) * 100}%`;
  const isUpright = box.height > box.width;
  return (
    <div
      className="overflow-hidden"
      style={{
        ...placeOf(box),
        borderRadius: radius,
        background: `color-mix(in srgb, var(--ink) ${TRACK * 100}%, transparent)`,
      }}
    >
      <div
        className="absolute bottom-0 left-0"
        style={{
          width: isUpright ? '100%' : filled,
          height: isUpright ? filled : '100%',
          borderRadius: radius,
          background: colour,
        }}
      />
    </div>
  );
}
