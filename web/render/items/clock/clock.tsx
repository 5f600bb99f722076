import { spoke } from '../../kit/spoke.ts';
import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { Runs, placeOf } from '../../kit/runs.tsx';

const quarters = [0, 90, 180, 270].map((angle) => spoke(angle, 80, 96)).join('');

export const ClockItem: ItemDrawing<'clock'> = ({ view, layout }) =>
  layout.dial ? (
    <svg
      style={placeOf(layout.dial)}
      viewBox="-110 -110 220 220"
      role="img"
      aria-label={view.title}
      fill="none"
      stroke="currentColor"
      strokeLinecap="round"
    >
      <circle r="103" strokeWidth="13" strokeOpacity="0.9" />
      <path d={quarters} strokeWidth="12" strokeOpacity="0.5" />
      <path d={spoke(view.hands.hour, 0, 46)} strokeWidth="16" />
      <path d={spoke(view.hands.minute, 0, 74)} strokeWidth="12" />
      {view.hands.second !== null && (
        <path d={spoke(view.hands.second, -16, 82)} stroke="var(--accent)" strokeWidth="7" />
      )}
      <circle r="10" fill="var(--accent)" stroke="none" />
    </svg>
  ) : (
    <Runs runs={layout.runs} />
  );
