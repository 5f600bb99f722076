import { distancesAround, type Distance, type Guide } from '../../../../core/arrange/snap.ts';
import { rectsOn } from '../../../../core/scene/parts.ts';
import type { SceneScreen } from '../../../../core/scene/scene.ts';
import { useView } from '../../../stores/view.ts';
import { boxStyle } from '../drag/handle.ts';

/** Guides while something moves, distances of what is selected, and the rectangle that selects. */
export function Hints({ screen, scale }: { screen: SceneScreen; scale: number }) {
  const guides = useView((view) => view.guides);
  const moving = useView((view) => view.distances);
  const marquee = useView((view) => view.marquee);
  const off = useView((view) => view.off);
  const selection = useView((view) => view.selection);
  const distances = moving.length > 0 ? moving : restingDistances(screen, selection);
  return (
    <div className="pointer-events-none absolute inset-0">
      <svg className="absolute inset-0 size-full overflow-visible">
        {guides.map((guide, index) => (
          <GuideLine key={index} guide={guide} scale={scale} />
        ))}
        {nearest(distances).map(({ side, from, to }) => (
          <line
            key={side}
            x1={from.x * scale}
            y1={from.y * scale}
            x2={to.x * scale}
            y2={to.y * scale}
            stroke="var(--brass)"
            strokeWidth="1"
          />
        ))}
      </svg>
      {nearest(distances).map((distance) => (
        <DistanceLabel key={distance.side} distance={distance} scale={scale} />
      ))}
      {off && (
        <span
          role="status"
          className="absolute left-0 top-0 whitespace-nowrap rounded-md bg-brass px-2 text-[12px] font-semibold leading-6 text-on-brass"
          style={{ transform: `translate(${off.at.x * scale + 12}px, ${off.at.y * scale + 12}px)` }}
        >
          Let go to take {off.title}
        </span>
      )}
      {marquee && (
        <div
          className="absolute left-0 top-0 border border-brass bg-brass/15"
          style={boxStyle(marquee, scale)}
        />
      )}
    </div>
  );
}

function restingDistances(screen: SceneScreen, selection: readonly string[]): Distance[] {
  const widget = selection.length === 1 ? screen.widgets.find(({ id }) => id === selection[0]) : undefined;
  if (!widget) return [];
  const others = [...rectsOn(screen)].filter(([id]) => id !== widget.id).map(([, rect]) => rect);
  return distancesAround(widget.rect, others, screen.rect);
}

/** The shorter way on each axis says where a part stands; the longer one follows from it. */
function nearest(distances: readonly Distance[]): Distance[] {
  const shorter = (a: Distance['side'], b: Distance['side']) =>
    distances
      .filter(({ side, length }) => (side === a || side === b) && length > 0)
      .sort((p, q) => p.length - q.length)[0];
  return [shorter('left', 'right'), shorter('top', 'bottom')].filter((distance) => distance !== undefined);
}

function GuideLine({ guide, scale }: { guide: Guide; scale: number }) {
  const at = guide.at * scale;
  const [from, to] = [guide.from * scale, guide.to * scale];
  const ends =
    guide.axis === 'x' ? { x1: at, x2: at, y1: from, y2: to } : { x1: from, x2: to, y1: at, y2: at };
  return (
    <line
      data-guide={guide.kind}
      {...ends}
      stroke="var(--brass)"
      strokeWidth={guide.kind === 'spacing' ? 3 : 1}
      strokeDasharray={guide.kind === 'margin' ? '4 3' : undefined}
    />
  );
}

function DistanceLabel({ distance, scale }: { distance: Distance; scale: number }) {
  const x = ((distance.from.x + distance.to.x) / 2) * scale;
  const y = ((distance.from.y + distance.to.y) / 2) * scale;
  return (
    <span
      data-distance={distance.side}
      className="absolute left-0 top-0 rounded-md bg-brass px-1.5 font-mono text-[11px] font-semibold leading-[17px] text-on-brass"
      style={{ transform: `translate(calc(${x}px - 50%), calc(${y}px - 50%))` }}
    >
      {Math.round(distance.length)}
    </span>
  );
}
