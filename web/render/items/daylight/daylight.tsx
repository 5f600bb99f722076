import { litPath } from '../../../../core/backdrop/moon.ts';
import type { Arc } from '../../../../core/items/daylight/daylight.ts';
import { DeskIcon } from '../../kit/icons.tsx';
import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { Runs, placeOf } from '../../kit/runs.tsx';

export const DaylightItem: ItemDrawing<'daylight'> = ({ view, layout }) => (
  <span role="img" aria-label={view.title} title={view.title} className="absolute inset-0 block">
    {layout.icon && (
      <span style={placeOf(layout.icon)}>
        {view.icon === null ? (
          <svg viewBox="-12 -12 24 24" className="size-full" aria-hidden>
            <circle r="10" fill="currentColor" fillOpacity="0.2" />
            <path d={litPath({ x: 0, y: 0, r: 10, phase: view.phase })} fill="currentColor" />
          </svg>
        ) : (
          <DeskIcon name={view.icon} size={layout.icon.width} />
        )}
      </span>
    )}
    {layout.arc && <Way arc={layout.arc} isUp={view.share !== null} />}
    <Runs runs={layout.runs} />
  </span>
);

/** The sun on its way over the horizon; below it while it is down. */
function Way({ arc: { box, radius, sun }, isUp }: { arc: Arc; isUp: boolean }) {
  const [x, y] = [sun.x - box.x, sun.y - box.y];
  return (
    <svg style={placeOf(box)} className="overflow-visible" fill="none" stroke="currentColor" aria-hidden>
      <path
        d={`M0 ${radius}a${radius} ${radius} 0 0 1 ${2 * radius} 0`}
        strokeOpacity="0.4"
        strokeWidth="1.5"
      />
      <path d={`M${-2} ${radius}h${2 * radius + 4}`} strokeOpacity="0.75" strokeWidth="1.5" />
      <circle
        cx={x}
        cy={y}
        r={isUp ? 3.5 : 2.5}
        fill={isUp ? 'var(--accent)' : 'currentColor'}
        stroke="none"
      />
    </svg>
  );
}
