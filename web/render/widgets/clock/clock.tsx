import { useContext } from 'react';
import { Actions, WidgetId } from '../../actions.ts';
import { Ring } from '../../kit/gauges.tsx';
import { paint, placeOf } from '../../kit/runs.tsx';
import { spoke } from '../../kit/spoke.ts';
import type { ClockLayout, ClockView } from '../../../../core/widgets/clock/layout.ts';

const marks = Array.from({ length: 60 }, (_, minute) => minute);
const hourMarks = marks
  .filter((minute) => minute % 5 === 0)
  .map((minute) => spoke(minute * 6, 92, 106))
  .join('');
const minuteMarks = marks
  .filter((minute) => minute % 5 !== 0)
  .map((minute) => spoke(minute * 6, 102, 106))
  .join('');

function Hands({ view, layout }: { view: ClockView; layout: ClockLayout }) {
  const { dial } = layout;
  if (!dial) return null;
  const hand = (angle: number, long: number, wide: number, colour: string, tail = 0) => (
    <path d={spoke(angle, -tail, long)} stroke={colour} strokeWidth={wide} />
  );
  return (
    <svg
      style={{ ...placeOf(dial), color: paint(view.colour) }}
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
  );
}

/** A point of the ring of the day, noon above. */
function onRing(share: number, radius: number): string {
  const turn = share * 2 * Math.PI;
  return `${(-Math.sin(turn) * radius).toFixed(2)} ${(Math.cos(turn) * radius).toFixed(2)}`;
}

/** A stretch of the day as a part of the ring; the whole of it in two halves. */
function arc({ from, to }: { from: number; to: number }, radius: number): string {
  if (to - from > 0.999) return arc({ from: 0, to: 0.5 }, radius) + arc({ from: 0.5, to: 0.998 }, radius);
  const isLong = to - from > 0.5 ? 1 : 0;
  return `M${onRing(from, radius)}A${radius} ${radius} 0 ${isLong} 1 ${onRing(to, radius)}`;
}

const hourTicks = Array.from({ length: 24 }, (_, hour) => hour / 24)
  .map((share) => `M${onRing(share, 94)}L${onRing(share, (share * 24) % 6 === 0 ? 86 : 90)}`)
  .join('');

function DayRing({ view, layout }: { view: ClockView; layout: ClockLayout }) {
  const { dial } = layout;
  const { day } = view;
  if (!dial || !day) return null;
  const radius = 108;
  const now = onRing(day.now, radius).split(' ');
  return (
    <svg
      style={{ ...placeOf(dial), color: paint(view.colour) }}
      viewBox="-124 -124 248 248"
      role="img"
      aria-label={`${view.hours}:${view.minutes}`}
      fill="none"
      strokeWidth="16"
    >
      <circle r={radius} stroke="var(--ink)" strokeOpacity="0.15" />
      {day.nautical && <path d={arc(day.nautical, radius)} stroke="var(--accent)" strokeOpacity="0.26" />}
      {day.civil && <path d={arc(day.civil, radius)} stroke="var(--accent)" strokeOpacity="0.45" />}
      {day.up && <path d={arc(day.up, radius)} stroke="var(--accent)" />}
      <path d={hourTicks} stroke="currentColor" strokeOpacity="0.5" strokeWidth="1.5" />
      <circle cx={now[0]} cy={now[1]} r="11" fill="var(--ink)" />
      <circle cx={now[0]} cy={now[1]} r="6" fill="var(--accent)" />
    </svg>
  );
}

/** A ring that empties; in use a press starts it, or sets it back. */
function Timer({ view, layout: { dial } }: { view: ClockView; layout: ClockLayout }) {
  const actions = useContext(Actions);
  const widget = useContext(WidgetId);
  const { timer } = view;
  if (!dial || !timer) return null;
  const colour = timer.isOver ? 'var(--alert)' : 'var(--accent)';
  return (
    <>
      <Ring box={dial} share={timer.isOver ? 1 : timer.share} colour={colour} stroke={10} />
      {actions && widget && (
        <button
          type="button"
          aria-label={
            timer.isRunning ? `Set the timer back, ${timer.figure}` : `Start the timer, ${timer.figure}`
          }
          style={placeOf(dial)}
          className="panel-press z-10 rounded-full"
          onClick={() => actions.act(widget, 'timer')}
        />
      )}
    </>
  );
}

export const faces = {
  serif: null,
  stack: null,
  hands: Hands,
  line: null,
  words: null,
  ring: DayRing,
  zones: null,
  until: null,
  timer: Timer,
};
