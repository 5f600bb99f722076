import { paint, placeOf } from '../../runs.tsx';
import { spoke } from '../../spoke.ts';
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

export const faces = { serif: null, stack: null, hands: Hands, line: null };
