import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { PlainSource, Source } from '../../../../core/backdrop/schema.ts';
import type { Backdrop } from '../../../../core/backdrop/schema.ts';
import { useDesk } from '../../../session/desk.ts';
import { useDeskAsItIs } from '../../../session/desk-as-it-is.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { useBackdropView } from './view.ts';

/**
 * The backdrop in the column: the one chosen there, or the one that lies on the screen in view. It stays as it is while the stage
 * only shows something else: a form that became another one would move from under the pointer.
 */
export function useBackdrop(): Backdrop | undefined {
  const chosen = useBackdropView((view) => view.backdrop);
  const inForce = useScreenInView()?.backdrop.id;
  const backdrops = useDeskAsItIs()?.backdrops ?? [];
  return (
    backdrops.find(({ id }) => id === chosen) ?? backdrops.find(({ id }) => id === inForce) ?? backdrops[0]
  );
}

/** A plain source that is edited: a backdrop's own, or one entry of its rotation. */
export interface EditedSource<S extends PlainSource = PlainSource> {
  source: S;
  /** One step of history. */
  set(label: string, next: PlainSource): void;
  /** Shown on the stage alone, until the gesture is dropped. */
  show(label: string, next: PlainSource): void;
  /** A turn of a gesture. */
  turn(label: string, next: PlainSource): void;
}

export function editSource(backdrop: Backdrop, entry: string | null): EditedSource | null {
  const { edit, show, turn } = useDesk.getState();
  const { id, source } = backdrop;
  if (source.kind !== 'rotation') {
    return {
      source,
      set: (label, next) => edit(named(label, edits.setSource(id, next))),
      show: (label, next) => show(named(label, edits.setSource(id, next))),
      turn: (label, next) => turn(named(label, edits.setSource(id, next))),
    };
  }
  const found = source.entries.find((one) => one.id === entry);
  if (!found) return null;
  const withEntry = (next: PlainSource): Source => ({
    ...source,
    entries: source.entries.map((one) => (one.id === entry ? { ...one, source: next } : one)),
  });
  return {
    source: found.source,
    set: (label, next) => edit(named(label, edits.setSource(id, withEntry(next)))),
    show: (label, next) => show(named(label, edits.setSource(id, withEntry(next)))),
    turn: (label, next) => turn(named(label, edits.setSource(id, withEntry(next)))),
  };
}
