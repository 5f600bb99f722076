import { litPath } from '../../../../core/backdrop/moon.ts';
import { DeskIcon } from '../../icons.tsx';
import type { ItemDrawing } from '../../item-drawing.ts';
import { Runs, placeOf } from '../../runs.tsx';

export const DaylightItem: ItemDrawing<'daylight'> = ({ view, layout }) => (
  <span role="img" aria-label={view.title} title={view.title} className="absolute inset-0 block">
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
    <Runs runs={layout.runs} />
  </span>
);
