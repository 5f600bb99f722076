import { useCallback, useContext, useEffect, useRef, useState } from 'react';
import type { SceneWindow, SceneWindows } from '../../../core/scene/scene.ts';
import type { WindowMoves } from '../../../core/windows/schema.ts';
import { Actions } from '../actions.ts';
import { placeOf } from '../kit/runs.tsx';
import { moveWindow } from './moves.ts';
import { WindowView } from './window-view.tsx';

type Move = WindowMoves['opens'];

/** The windows of a screen from the back to the front, and those that are on their way out. */
export default function WindowsView({
  windows,
  startsEmpty,
}: {
  windows: SceneWindows;
  /** There were none before this was drawn first: those that there are came. */
  startsEmpty: boolean;
}) {
  const { list, hint, moves } = windows;
  const { comes, leaving, forget } = useComings(windows, startsEmpty);
  return (
    <>
      {leaving.map(({ window, move }) => (
        <Leaving key={window.id} window={window} move={move} onGone={forget} moves={moves} />
      ))}
      {list.map((window) => (
        <WindowView key={window.id} window={window} moves={moves} comes={comes(window.id)} />
      ))}
      {hint && (
        <div
          data-window-hint
          className="pointer-events-none rounded-lg"
          style={{
            ...placeOf(hint),
            background: 'color-mix(in srgb, var(--hint) 18%, transparent)',
            boxShadow: 'inset 0 0 0 2px var(--hint)',
          }}
        />
      )}
    </>
  );
}

interface Gone {
  window: SceneWindow;
  move: Move;
}

/** Which windows come and which go, from one state to the next on the same workspace; none where another one is shown. */
function useComings(windows: SceneWindows, startsEmpty: boolean) {
  const isInUse = useContext(Actions) !== null;
  const [before, setBefore] = useState(() =>
    startsEmpty ? { ...windows, list: [], minimised: [] } : windows,
  );
  const [leaving, setLeaving] = useState<readonly Gone[]>([]);
  const [coming, setComing] = useState<ReadonlyMap<string, Move>>(new Map());
  if (before !== windows) {
    setBefore(windows);
    if (before.workspace !== windows.workspace || !isInUse) {
      setLeaving([]);
      setComing(new Map());
    } else {
      const here = new Set(windows.list.map(({ id }) => id));
      const were = new Set(before.list.map(({ id }) => id));
      const minimised = new Set(windows.minimised);
      // What was carried to or from another screen neither opens nor closes.
      const carried = new Set([...windows.elsewhere, ...before.elsewhere]);
      const gone = before.list
        .filter(({ id }) => !here.has(id) && !carried.has(id))
        .map((window) => ({
          window,
          move: minimised.has(window.id) ? windows.moves.minimises : windows.moves.closes,
        }));
      const came = windows.list.filter(({ id }) => !were.has(id) && !carried.has(id));
      if (gone.length > 0 || leaving.some(({ window }) => here.has(window.id)))
        setLeaving([...leaving.filter(({ window }) => !here.has(window.id)), ...gone]);
      if (came.length > 0)
        setComing(
          new Map(
            came.map(({ id }) => [
              id,
              before.minimised.includes(id) ? windows.moves.minimises : windows.moves.opens,
            ]),
          ),
        );
    }
  }
  const forget = useCallback(
    (id: string) => setLeaving((those) => those.filter(({ window }) => window.id !== id)),
    [],
  );
  return { comes: (id: string) => coming.get(id) ?? null, leaving, forget };
}

/** A window on its way out: it is only seen. */
function Leaving({
  window,
  move,
  moves,
  onGone,
}: {
  window: SceneWindow;
  move: Move;
  moves: WindowMoves;
  onGone(id: string): void;
}) {
  const box = useRef<HTMLDivElement>(null);
  const { id } = window;
  useEffect(() => {
    const element = box.current?.querySelector<HTMLElement>('[data-window]');
    const done = element ? moveWindow(element, window, move, false) : Promise.resolve();
    void done.then(() => onGone(id));
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return (
    <div ref={box} inert aria-hidden className="pointer-events-none">
      <Actions.Provider value={null}>
        <WindowView window={window} moves={moves} comes={null} />
      </Actions.Provider>
    </div>
  );
}
