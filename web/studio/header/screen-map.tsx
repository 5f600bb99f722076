import clsx from 'clsx';
import { useGesture } from '@use-gesture/react';
import { useRef, useState } from 'react';
import { placeScreen } from '../../../core/arrange/screens.ts';
import type { Screen } from '../../../core/desk/shapes/screens.ts';
import { right, bottom, type Point } from '../../../core/values/geometry.ts';

/** The map's own margin, as a share of what it shows. */
const MARGIN = 0.06;
/** How near, in px of the page, a side is pulled to another one. */
const PULL = 8;
/** Px of the desk that an arrow moves a screen by; ten times with Shift. */
const STEP = 20;

interface ScreenMapProps {
  screens: readonly Screen[];
  /** The screen on the stage. */
  current: string;
  onMove: (id: string, to: Point) => void;
  /** A step by a key, one of several that belong together. */
  onStep: (id: string, to: Point) => void;
  onPress: (id: string) => void;
}

/** The screens as they stand beside each other: dragged, or moved by arrows, they come to stand against one another. */
export function ScreenMap({ screens, current, onMove, onStep, onPress }: ScreenMapProps) {
  const [moving, setMoving] = useState<{ id: string; to: Point } | null>(null);
  const shown = screens.map((screen) => (screen.id === moving?.id ? { ...screen, ...moving.to } : screen));
  // The map keeps still while a screen is dragged over it.
  const whole = boundsOf(screens);
  const margin = Math.max(whole.width, whole.height) * MARGIN;
  const unit = Math.max((whole.width + 2 * margin) / 510, (whole.height + 2 * margin) / 176);
  const place = (screen: Screen, wanted: Point, pull: number) =>
    placeScreen(
      screen,
      wanted,
      screens.filter(({ id }) => id !== screen.id),
      pull,
    );
  return (
    <div>
      <svg
        viewBox={[
          whole.x - margin,
          whole.y - margin,
          whole.width + 2 * margin,
          whole.height + 2 * margin,
        ].join(' ')}
        className="h-44 w-full touch-none rounded-lg bg-pit"
        role="group"
        aria-label="How the screens stand"
      >
        {shown.map((screen) => (
          <MapScreen
            key={screen.id}
            screen={screen}
            unit={unit}
            isCurrent={screen.id === current}
            isMoving={screen.id === moving?.id}
            onDrag={(by, perPx, isLast) => {
              const kept = screens.find(({ id }) => id === screen.id);
              if (!kept) return;
              const to = place(kept, { x: kept.x + by.x, y: kept.y + by.y }, PULL * perPx);
              setMoving(isLast ? null : { id: kept.id, to });
              if (isLast) onMove(kept.id, to);
            }}
            onStep={(by) => onStep(screen.id, place(screen, { x: screen.x + by.x, y: screen.y + by.y }, 0))}
            onPress={() => onPress(screen.id)}
          />
        ))}
      </svg>
      <p className="mt-1 h-4 text-[12px] text-dust" aria-live="polite">
        {moving
          ? `${screens.find(({ id }) => id === moving.id)?.name ?? ''}: ${moving.to.x}, ${moving.to.y}`
          : 'Drag a screen to where it stands; with the keyboard, arrows move it.'}
      </p>
    </div>
  );
}

function boundsOf(screens: readonly Screen[]) {
  const x = Math.min(...screens.map((screen) => screen.x));
  const y = Math.min(...screens.map((screen) => screen.y));
  return { x, y, width: Math.max(...screens.map(right)) - x, height: Math.max(...screens.map(bottom)) - y };
}

const arrows = new Map<string, Point>(
  Object.entries({
    ArrowLeft: { x: -1, y: 0 },
    ArrowRight: { x: 1, y: 0 },
    ArrowUp: { x: 0, y: -1 },
    ArrowDown: { x: 0, y: 1 },
  }),
);

function MapScreen({
  screen,
  unit,
  isCurrent,
  isMoving,
  onDrag,
  onStep,
  onPress,
}: {
  screen: Screen;
  /** Px of the desk for about a px of the page. */
  unit: number;
  isCurrent: boolean;
  isMoving: boolean;
  /** How far it was dragged, and how many px of the desk are one of the page. */
  onDrag: (by: Point, perPx: number, isLast: boolean) => void;
  onStep: (by: Point) => void;
  onPress: () => void;
}) {
  const group = useRef<SVGGElement>(null);
  const perPx = () => 1 / (group.current?.getScreenCTM()?.a ?? 1);
  useGesture(
    {
      onDrag: ({ movement: [x, y], last, tap, canceled }) => {
        if (tap) return onPress();
        const per = perPx();
        // What was given up goes back to where it stands.
        onDrag(canceled ? { x: 0, y: 0 } : { x: x * per, y: y * per }, per, last);
      },
    },
    { target: group, drag: { filterTaps: true, threshold: 3, pointer: { keys: false } } },
  );
  return (
    <g
      ref={group}
      role="button"
      tabIndex={0}
      aria-label={`${screen.name}: ${screen.width} × ${screen.height}, at ${screen.x}, ${screen.y}`}
      aria-pressed={isCurrent}
      data-map-screen={screen.id}
      className="group cursor-grab outline-none"
      onKeyDown={(event) => {
        const arrow = arrows.get(event.key);
        if (arrow) {
          const step = STEP * (event.shiftKey ? 10 : 1);
          onStep({ x: arrow.x * step, y: arrow.y * step });
        } else if (event.key === 'Enter' || event.key === ' ') onPress();
        else return;
        event.preventDefault();
      }}
    >
      <rect
        x={screen.x}
        y={screen.y}
        width={screen.width}
        height={screen.height}
        rx={6 * unit}
        strokeWidth={1.5 * unit}
        className={clsx(
          'group-focus-visible:stroke-[var(--brass)]',
          isMoving || isCurrent ? 'stroke-[var(--brass)]' : 'stroke-[var(--seam)]',
        )}
        fill="var(--nap)"
      />
      <text
        x={screen.x + screen.width / 2}
        y={screen.y + screen.height / 2 - 3 * unit}
        textAnchor="middle"
        fill="var(--chalk)"
        fontSize={13 * unit}
      >
        {screen.name}
      </text>
      <text
        x={screen.x + screen.width / 2}
        y={screen.y + screen.height / 2 + 14 * unit}
        textAnchor="middle"
        fill="var(--dust)"
        fontSize={11 * unit}
      >
        {`${screen.width} × ${screen.height}`}
      </text>
    </g>
  );
}
