import {
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  type CSSProperties,
  type KeyboardEvent,
} from 'react';
import Fuse from 'fuse.js';
import { moveInside, type Rect } from '../../core/values/geometry.ts';
import { hangFromNeighbour } from '../../core/arrange/place.ts';
import type { Application } from '../../core/desk/schema.ts';
import type { Scene, SceneScreen } from '../../core/scene/scene.ts';
import { Actions } from './actions.ts';
import { ApplicationIcon, IconSet } from './icons.tsx';
import { surfaceBox, surfaceColours } from './surface.ts';

const ROW = 58;
const WIDTH = 380;
const HEAD = 68;
const opposite = { top: 'bottom', bottom: 'top', left: 'right', right: 'left' } as const;

/** The compact list of applications, beside the button that opens it. */
export default function AppList({
  scene,
  screen,
  applications,
  onClose,
}: {
  scene: Scene;
  screen: SceneScreen;
  applications: readonly Application[];
  onClose: () => void;
}) {
  const actions = useContext(Actions);
  const [query, setQuery] = useState('');
  const [index, setIndex] = useState(0);
  const input = useRef<HTMLInputElement>(null);
  const fuse = useMemo(
    () => new Fuse(applications, { keys: ['Name', 'Comment', 'Categories'], threshold: 0.35 }),
    [applications],
  );
  const shown: Application[] = query.trim()
    ? fuse.search(query.trim()).map(({ item }) => item)
    : [...applications];

  useEffect(() => input.current?.focus(), []);

  const edge = screen.edges.find(({ items }) => items.some(({ type }) => type === 'app-list'));
  const button = edge?.items.find(({ type }) => type === 'app-list')?.rect;
  const surface = edge?.surface;
  if (!edge || !button || !surface) return null;
  const size = { width: WIDTH, height: HEAD + Math.max(1, shown.length) * ROW + 16 };
  // Beside the edge, level with the button.
  const beside: Rect =
    edge.side === 'top' || edge.side === 'bottom'
      ? { ...button, y: edge.rect.y, height: edge.rect.height }
      : { ...button, x: edge.rect.x, width: edge.rect.width };
  const rect = moveInside(
    hangFromNeighbour(opposite[edge.side], 'start', beside, size, {
      x: edge.side === 'left' || edge.side === 'right' ? 10 : 0,
      y: edge.side === 'top' || edge.side === 'bottom' ? 10 : 0,
    }),
    screen.rect,
  );

  function onKeyDown(event: KeyboardEvent) {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      const by = event.key === 'ArrowDown' ? 1 : -1;
      setIndex((shown.length + index + by) % Math.max(1, shown.length));
    } else if (event.key === 'Enter') {
      const chosen = shown[index];
      if (chosen) actions?.start(chosen.id);
    } else if (event.key === 'Escape') {
      event.stopPropagation();
      onClose();
    }
  }

  // A list on a bare edge still needs a surface to be read on.
  const box: CSSProperties = surfaceBox(
    surface.kind === 'bare'
      ? { ...surface, kind: 'matte', fill: scene.roles.surface }
      : { ...surface, kind: 'matte', fill: `${surface.tint}f4`, blur: 0 },
  );
  return (
    <IconSet.Provider value={scene.icons}>
      <div className="absolute inset-0" onPointerDown={onClose} />
      <div
        role="dialog"
        aria-label="App list"
        className="absolute left-0 top-0 overflow-hidden p-2"
        style={{
          ...surfaceColours(surface),
          ...box,
          borderRadius: Math.max(10, surface.radius),
          transform: `translate(${rect.x}px, ${rect.y}px)`,
          ...size,
        }}
        onKeyDown={onKeyDown}
      >
        <input
          ref={input}
          aria-label="Search applications"
          placeholder="Search applications"
          value={query}
          onChange={(event) => {
            setQuery(event.target.value);
            setIndex(0);
          }}
          className="mb-2 h-13 w-full rounded-lg px-4 text-[20px] outline-none placeholder:text-[color:var(--soft-ink)]"
          style={{ background: 'color-mix(in srgb, var(--ink) 8%, transparent)', color: 'var(--ink)' }}
        />
        {shown.length === 0 && <p className="px-4 py-3 text-[18px]">No application like that</p>}
        {shown.map((application, row) => (
          <button
            key={application.id}
            type="button"
            onClick={() => actions?.start(application.id)}
            onPointerEnter={() => setIndex(row)}
            className="flex w-full items-center gap-4 rounded-lg px-4 text-left"
            style={{
              height: ROW,
              background: row === index ? 'color-mix(in srgb, var(--accent) 26%, transparent)' : undefined,
            }}
          >
            <ApplicationIcon application={application.id} name={application.Icon} size={30} />
            <span>
              <span className="block text-[20px] leading-tight">{application.Name}</span>
              <span className="block text-[15px] leading-tight" style={{ color: 'var(--soft-ink)' }}>
                {application.Comment}
              </span>
            </span>
          </button>
        ))}
      </div>
    </IconSet.Provider>
  );
}
