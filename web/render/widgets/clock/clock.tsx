import type { CSSProperties, FC } from 'react';
import { clockType } from '../../../../core/widgets/clock/clock.ts';
import type { Use } from '../../../../core/text/schema.ts';
import { setAs, setIn } from '../../type.ts';
import type { FaceOf, WidgetViewOf } from '../../../../core/widgets/list.ts';

type View = WidgetViewOf<'clock'>;

/** A line of figures cut to its digits' height, so that what is measured is what is seen. */
function figures(
  setting: { size: number; weight: number; spacing?: number },
  view: View,
  ofFace: Use,
): CSSProperties {
  return {
    ...setAs(view.type, ofFace, setting),
    lineHeight: 0.82,
    whiteSpace: 'pre',
  };
}

/** Seconds and the half of the day, beside the time. */
function Small({
  view,
  ofFace,
  text,
  weight,
  gap,
}: {
  view: View;
  ofFace: Use;
  text: string;
  weight: number;
  gap: number;
}) {
  const { time } = clockType[ofFace === 'display' ? 'serif' : 'stack'];
  return (
    <span
      style={{
        ...setAs(view.type, ofFace, { size: time.size * clockType.small, weight }),
        marginLeft: gap,
      }}
    >
      {text}
    </span>
  );
}

function DateLine({ text, style }: { text: string; style: { size: number; weight: number } }) {
  return (
    <div
      className="whitespace-nowrap"
      style={{ ...setIn('text', style), lineHeight: 1.3, marginTop: clockType.gap }}
    >
      {text}
    </div>
  );
}

function Serif({ view }: { view: View }) {
  const { time, date } = clockType.serif;
  const extra = [view.seconds, view.period].filter((text) => text !== null).join(' ');
  return (
    <div style={{ color: view.colour }}>
      <div className="flex items-baseline" style={figures(time, view, 'display')}>
        {view.hours}:{view.minutes}
        {extra && <Small view={view} ofFace="display" text={extra} weight={300} gap={12} />}
      </div>
      {view.date && <DateLine text={view.date} style={date} />}
    </div>
  );
}

function Stack({ view }: { view: View }) {
  const { time, date } = clockType.stack;
  return (
    <div style={{ color: view.colour }}>
      <div style={{ ...figures(time, view, 'figures'), lineHeight: 0.8 }}>{view.hours.padStart(2, ' ')}</div>
      <div
        className="flex items-baseline"
        style={{ ...figures(time, view, 'figures'), lineHeight: 0.8, marginTop: 22 }}
      >
        {view.minutes}
        {view.seconds && (
          <Small view={view} ofFace="figures" text={view.seconds} weight={time.weight} gap={8} />
        )}
      </div>
      {view.date && <DateLine text={[view.period, view.date].filter(Boolean).join(' ')} style={date} />}
    </div>
  );
}

/** A line from the middle outward, `angle` degrees clockwise from twelve. Turned here: thousands of turned elements are slow. */
function spoke(angle: number, from: number, to: number): string {
  const sine = Math.sin((angle * Math.PI) / 180);
  const cosine = Math.cos((angle * Math.PI) / 180);
  const at = (reach: number) => `${(sine * reach).toFixed(2)} ${(-cosine * reach).toFixed(2)}`;
  return `M${at(from)}L${at(to)}`;
}

const marks = Array.from({ length: 60 }, (_, minute) => minute);
const hourMarks = marks
  .filter((minute) => minute % 5 === 0)
  .map((minute) => spoke(minute * 6, 92, 106))
  .join('');
const minuteMarks = marks
  .filter((minute) => minute % 5 !== 0)
  .map((minute) => spoke(minute * 6, 102, 106))
  .join('');

function Hands({ view }: { view: View }) {
  const { size, date } = clockType.hands;
  const hand = (angle: number, long: number, wide: number, colour: string, tail = 0) => (
    <path d={spoke(angle, -tail, long)} stroke={colour} strokeWidth={wide} />
  );
  return (
    <div className="flex flex-col items-center" style={{ color: view.colour }}>
      <svg
        width={size}
        height={size}
        viewBox="-110 -110 220 220"
        role="img"
        aria-label={`${view.hours}:${view.minutes}`}
        strokeLinecap="round"
      >
        <path d={hourMarks} stroke="currentColor" strokeOpacity="0.95" strokeWidth="3" />
        <path d={minuteMarks} stroke="currentColor" strokeOpacity="0.42" strokeWidth="1.4" />
        {hand(view.hands.hour, 54, 7, 'currentColor')}
        {hand(view.hands.minute, 84, 4.5, 'currentColor')}
        {view.hands.second !== null && hand(view.hands.second, 92, 1.8, 'var(--accent)', 20)}
        <circle r="5.5" fill="var(--accent)" />
      </svg>
      {view.date && <DateLine text={view.date} style={date} />}
    </div>
  );
}

function Line({ view }: { view: View }) {
  const { time, date } = clockType.line;
  return (
    <div className="flex items-baseline justify-between gap-5" style={{ color: view.colour }}>
      <span style={{ ...figures(time, view, 'figures'), lineHeight: 1.25 }}>
        {view.hours}:{view.minutes}
        {view.seconds && `:${view.seconds}`}
        {view.period && ` ${view.period}`}
      </span>
      {view.date && (
        <span className="whitespace-nowrap" style={{ ...setIn('text', date), color: 'var(--soft-ink)' }}>
          {view.date}
        </span>
      )}
    </div>
  );
}

export const clockFaces: Record<FaceOf<'clock'>, FC<{ view: View }>> = {
  serif: Serif,
  stack: Stack,
  hands: Hands,
  line: Line,
};
