import { useDrag } from '@use-gesture/react';
import clsx from 'clsx';
import { useContext, useEffect, useRef, useState, type CSSProperties, type KeyboardEvent } from 'react';
import type { SceneOverview, SceneOverviewWorkspace } from '../../../core/scene/scene.ts';
import { isWithin, type Point } from '../../../core/values/geometry.ts';
import { Actions, type DeskActions } from '../actions.ts';
import { BackdropView } from '../backdrop/backdrop-view.tsx';
import { ApplicationIcon } from '../kit/icons.tsx';
import { onScreen } from '../screen/on-screen.ts';
import { Runs, paint, placeOf } from '../kit/runs.tsx';
import { surfaceColours } from '../kit/surface.ts';

/** All workspaces and their windows at once. In use, letters search, arrows walk, Enter takes; windows are dragged across. */
export default function OverviewView({ overview }: { overview: SceneOverview }) {
  const actions = useContext(Actions);
  const { rect, surface, line, workspaces, add, found, chosen } = overview;
  return (
    <div
      data-overview
      role={actions ? 'dialog' : undefined}
      aria-label="Overview of all workspaces"
      className={actions ? undefined : 'pointer-events-none'}
      style={
        {
          ...surfaceColours(surface),
          ...placeOf(rect),
          background: surface.fill,
          '--overview-window': surface.tint,
        } as CSSProperties
      }
      onKeyDown={(event) => actions && onKeyDown(event, overview, actions)}
      onPointerDown={(event) => event.target === event.currentTarget && actions?.overview({ does: 'close' })}
    >
      {actions ? <Search overview={overview} actions={actions} /> : <Runs runs={[overview.search.hint]} />}
      <div
        style={{
          ...placeOf(line),
          background: 'var(--accent)',
          boxShadow: '0 0 14px color-mix(in srgb, var(--accent) 55%, transparent)',
        }}
      />
      {workspaces.map((workspace) => (
        <Workspace key={workspace.id} workspace={workspace} overview={overview} actions={actions} />
      ))}
      {add && actions && (
        <button
          type="button"
          aria-label="Add a workspace"
          className="panel-press grid place-items-center rounded-lg border-2 border-dashed"
          style={{ ...placeOf(add), borderColor: 'color-mix(in srgb, var(--ink) 35%, transparent)' }}
          onClick={() => actions.overview({ does: 'add' })}
        >
          <svg width={40} height={40} viewBox="0 0 40 40" aria-hidden>
            <path d="M20 6V34M6 20H34" stroke="currentColor" strokeWidth={2} />
          </svg>
        </button>
      )}
      {found.map(({ application, title, icon, rect: at, run }) => (
        <div key={application}>
          <button
            type="button"
            aria-label={`Start ${title}`}
            aria-current={chosen?.by === 'application' && chosen.id === application}
            className="panel-press flex items-center rounded-lg pl-3"
            style={{
              ...placeOf(at),
              background: markOf(chosen?.by === 'application' && chosen.id === application),
            }}
            onClick={() => actions?.overview({ does: 'start', application })}
          >
            <ApplicationIcon application={application} name={icon} size={26} />
          </button>
          <div className="pointer-events-none">
            <Runs runs={[run]} />
          </div>
        </div>
      ))}
    </div>
  );
}

const markOf = (isChosen: boolean) =>
  isChosen
    ? 'color-mix(in srgb, var(--accent) 26%, transparent)'
    : 'color-mix(in srgb, var(--ink) 8%, transparent)';

function onKeyDown(event: KeyboardEvent, { chosen, workspaces }: SceneOverview, actions: DeskActions): void {
  // Nothing of it is meant for the page around, or for windows.
  event.stopPropagation();
  const isInName = event.target instanceof HTMLElement && event.target.matches('[data-workspace-name]');
  if (isInName) return;
  const isInSearch = event.target instanceof HTMLInputElement;
  const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
  if (event.key === 'Escape') {
    event.preventDefault();
    actions.overview({ does: 'close' });
  } else if (step !== undefined && event.shiftKey && chosen?.by === 'window') {
    event.preventDefault();
    carryBy(chosen.id, step, workspaces, actions);
  } else if (step !== undefined && isInSearch) {
    event.preventDefault();
    actions.overview({ does: 'step', by: step });
  } else if (event.key === 'Enter' && isInSearch) {
    event.preventDefault();
    actions.overview({ does: 'take' });
  }
}

/** A window goes to the workspace before or after its own. */
function carryBy(
  window: string,
  by: number,
  workspaces: readonly SceneOverviewWorkspace[],
  actions: DeskActions,
): void {
  const at = workspaces.findIndex(({ windows }) => windows.some(({ id }) => id === window));
  const to = workspaces[(at + by + workspaces.length) % workspaces.length];
  if (at >= 0 && to) actions.window({ does: 'carry', window, workspace: to.id });
}

function Search({ overview: { search }, actions }: { overview: SceneOverview; actions: DeskActions }) {
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const before = document.activeElement;
    field.current?.focus({ preventScroll: true });
    return () => void (before instanceof HTMLElement && before.focus({ preventScroll: true }));
  }, []);
  const { rect, hint, typed } = search;
  return (
    <>
      <input
        ref={field}
        aria-label={hint.text}
        autoComplete="off"
        spellCheck={false}
        maxLength={80}
        value={typed}
        onChange={({ target: { value } }) => actions.overview({ does: 'type', query: value })}
        className="border-0 bg-transparent p-0 outline-none"
        style={{
          ...placeOf(rect),
          fontFamily: 'var(--font-desk-display)',
          fontSize: hint.size,
          fontWeight: hint.weight,
          color: paint('ink'),
          caretColor: 'var(--accent)',
        }}
      />
      {typed === '' && (
        <div className="pointer-events-none">
          <Runs runs={[hint]} />
        </div>
      )}
    </>
  );
}

/** A workspace in its backdrop, its name beneath. */
function Workspace({
  workspace,
  overview,
  actions,
}: {
  workspace: SceneOverviewWorkspace;
  overview: SceneOverview;
  actions: DeskActions | null;
}) {
  const { id, title, index, rect, isCurrent, backdrop, name, note } = workspace;
  const { chosen, isSearched, workspaces } = overview;
  const isChosen = chosen?.by === 'workspace' && chosen.id === id;
  const ring = isChosen ? 3 : 1.5;
  const colour = isCurrent || isChosen ? 'var(--accent)' : 'color-mix(in srgb, var(--ink) 30%, transparent)';
  return (
    <div role="group" aria-label={title}>
      <div
        data-overview-workspace={id}
        className="overflow-hidden rounded-lg"
        style={{ ...placeOf(rect), boxShadow: `0 0 0 ${ring}px ${colour}` }}
      >
        <div className="pointer-events-none absolute inset-0">
          <BackdropView backdrop={backdrop} width={Math.min(480, rect.width)} screen={null} />
        </div>
        {actions && (
          <button
            type="button"
            aria-label={`Go to ${title}`}
            aria-current={isCurrent}
            className="panel-press absolute inset-0"
            onClick={() => actions.overview({ does: 'go', index })}
          />
        )}
      </div>
      {workspace.windows.map((window) => (
        <SmallWindow
          key={window.id}
          window={window}
          from={workspace}
          isFaint={isSearched && !window.isFound}
          isChosen={chosen?.by === 'window' && chosen.id === window.id}
          workspaces={workspaces}
          actions={actions}
        />
      ))}
      {actions ? (
        <Name workspace={workspace} canGo={workspaces.length > 1} actions={actions} />
      ) : (
        <Runs runs={[name]} />
      )}
      <div className="pointer-events-none">
        <Runs runs={[note]} />
      </div>
    </div>
  );
}

/** The name of a workspace, which is typed over in place; and what takes the workspace away. */
function Name({
  workspace: { id, title, rect, name },
  canGo,
  actions,
}: {
  workspace: SceneOverviewWorkspace;
  canGo: boolean;
  actions: DeskActions;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const top = rect.y + rect.height + 6;
  function end(): void {
    if (typed !== null && typed.trim() !== '' && typed.trim() !== title)
      actions.overview({ does: 'rename', workspace: id, name: typed.trim().slice(0, 120) });
    setTyped(null);
  }
  return (
    <>
      {typed === null && (
        <div className="pointer-events-none">
          <Runs runs={[name]} />
        </div>
      )}
      <input
        data-workspace-name
        aria-label={`Name of ${title}`}
        value={typed ?? title}
        maxLength={120}
        onFocus={(event) => {
          setTyped(title);
          event.currentTarget.select();
        }}
        onChange={({ target: { value } }) => setTyped(value)}
        onBlur={end}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Enter') event.currentTarget.blur();
          if (event.key !== 'Escape') return;
          setTyped(null);
          event.currentTarget.closest<HTMLElement>('[data-overview]')?.querySelector('input')?.focus();
        }}
        className={clsx('rounded border-0 bg-transparent px-0.5 outline-none', typed === null && 'opacity-0')}
        style={{
          ...placeOf({ x: rect.x, y: top, width: rect.width * 0.55, height: 28 }),
          fontFamily: 'var(--font-desk-display)',
          fontSize: name.size,
          color: paint('ink'),
        }}
      />
      {canGo && (
        <button
          type="button"
          aria-label={`Remove the workspace ${title}`}
          className="overview-remove panel-press grid place-items-center rounded"
          style={placeOf({ x: rect.x + rect.width - 26, y: rect.y + 4, width: 22, height: 22 })}
          onClick={() => actions.overview({ does: 'remove', workspace: id })}
        >
          <svg width={12} height={12} viewBox="0 0 12 12" aria-hidden>
            <path d="M2 2L10 10M10 2L2 10" stroke="currentColor" strokeWidth={1.6} />
          </svg>
        </button>
      )}
    </>
  );
}

/** A window as its line and what stands beneath; dragged to another workspace it goes there. */
function SmallWindow({
  window,
  from,
  isFaint,
  isChosen,
  workspaces,
  actions,
}: {
  window: SceneOverviewWorkspace['windows'][number];
  from: SceneOverviewWorkspace;
  isFaint: boolean;
  isChosen: boolean;
  workspaces: readonly SceneOverviewWorkspace[];
  actions: DeskActions | null;
}) {
  const [by, setBy] = useState<Point | null>(null);
  const bind = useDrag(
    ({ event, initial: [startX, startY], last, tap, xy: [x, y] }) => {
      if (!actions || tap) return setBy(null);
      const { scale, at } = onScreen(event.target as Element);
      if (!last) return setBy({ x: (x - startX) / scale, y: (y - startY) / scale });
      setBy(null);
      const point = at(x, y);
      const to = workspaces.find(({ rect }) => isWithin(point, rect));
      if (to && to.id !== from.id) actions.window({ does: 'carry', window: window.id, workspace: to.id });
    },
    { filterTaps: true },
  );
  const { rect, title, icon, application, isFront } = window;
  const place = placeOf({
    x: from.rect.x + rect.x + (by?.x ?? 0),
    y: from.rect.y + rect.y + (by?.y ?? 0),
    width: rect.width,
    height: rect.height,
  });
  const icons = Math.min(28, rect.height * 0.5);
  const style = {
    ...place,
    opacity: isFaint ? 0.25 : 1,
    zIndex: by ? 1 : undefined,
    background: 'color-mix(in srgb, var(--overview-window) 88%, transparent)',
    boxShadow: `inset 0 2px 0 ${isFront || isChosen ? 'var(--accent)' : 'var(--soft-ink)'}${isChosen ? ', 0 0 0 2px var(--accent)' : ''}`,
  };
  const inside = icons > 8 && <ApplicationIcon application={application} name={icon} size={icons} />;
  if (!actions)
    return (
      <div className="grid place-items-center rounded-sm" style={style}>
        {inside}
      </div>
    );
  return (
    <button
      type="button"
      data-overview-window={window.id}
      aria-label={title}
      title={title}
      aria-current={isChosen}
      className="panel-press grid touch-none place-items-center rounded-sm"
      style={style}
      {...bind()}
      onClick={() => actions.overview({ does: 'window', window: window.id })}
      onKeyDown={(event) => {
        const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
        if (step === undefined || !event.shiftKey) return;
        event.preventDefault();
        event.stopPropagation();
        carryBy(window.id, step, workspaces, actions);
      }}
    >
      {inside}
    </button>
  );
}
