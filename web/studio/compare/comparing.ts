import { useMemo } from 'react';
import { z } from 'zod';
import { create } from 'zustand';
import type { Desk } from '../../../core/desk/desk.ts';
import { standingAs } from '../../../core/desk/standing.ts';
import { api } from '../../api/client.ts';
import { persist } from '../../later.ts';
import { arrangementNow } from '../../session/arranged.ts';
import { useConditions } from '../../session/conditions.ts';
import { useDeskAsItIs } from '../../session/desk-as-it-is.ts';
import { presentDesk, useDesk } from '../../session/desk.ts';
import { prepareDrawing } from '../../session/drawing.ts';
import { useView } from '../../stores/view.ts';

/** What the desk is compared with: itself as it was opened, in another arrangement, as it was saved; or another desk. */
export const With = z.discriminatedUnion('of', [
  z.object({ of: z.literal('opened') }),
  z.object({ of: z.literal('arrangement'), id: z.string().max(200) }),
  z.object({ of: z.enum(['keep', 'saved']), number: z.number().int().positive(), name: z.string().max(200) }),
  z.object({ of: z.literal('desk'), id: z.string().max(200), name: z.string().max(200) }),
]);
export type With = z.infer<typeof With>;

/** Parted by a line, side by side, or only while a key is held. */
export const ways = ['line', 'side', 'held'] as const;
export type Way = (typeof ways)[number];

/** Shows the other for as long as it is held. */
export const HOLD_KEY = 'C';

interface Comparing {
  with: With | null;
  way: Way;
  /** How far the line stands from the left of what is seen, 0 to 1. */
  at: number;
  /** The other is seen alone, for as long as a key is held. */
  isHeld: boolean;
  /** What it is drawn with is here, and it itself where it comes from the server. */
  isReady: boolean;
  /** A state that came from the server; null for one that this page has itself. */
  fetched: Desk | null;
  failure: string | null;
  /** The desk as it was when comparing began: what was taken since can be given back. */
  base: Desk | null;
}

const fresh = {
  with: null,
  at: 0.5,
  isHeld: false,
  isReady: false,
  fetched: null,
  failure: null,
  base: null,
};

export const useComparing = create<Comparing>()(() => ({ ...fresh, way: 'line' }));

/** Counts what was asked for: an answer that comes after another was asked for is nobody's any more. */
let asked = 0;

export function compareWith(other: With): void {
  const mine = ++asked;
  useComparing.setState({ ...fresh, at: useComparing.getState().at, with: other });
  void whenOpen()
    .then((desk) => {
      if (mine === asked) useComparing.setState({ base: desk });
      return fetchState(other, desk);
    })
    .then(
      (fetched) => mine === asked && useComparing.setState({ fetched, isReady: true }),
      (error: Error) => mine === asked && useComparing.setState({ failure: error.message }),
    );
}

/** The desk, once it is open. */
function whenOpen(): Promise<Desk> {
  return new Promise((resolve) => {
    const look = () => {
      const desk = presentDesk();
      if (desk) resolve(desk);
      return desk !== null;
    };
    if (look()) return;
    const stop = useDesk.subscribe(() => look() && stop());
  });
}

/** The same, and goes to where it is told. */
export function openCompare(other: With): void {
  compareWith(other);
  useView.getState().goToChapter('look', 'compare');
}

export function stopComparing(): void {
  asked++;
  useComparing.setState(fresh);
}

async function fetchState(other: With, desk: Desk): Promise<Desk | null> {
  switch (other.of) {
    case 'arrangement':
      return null;
    case 'opened':
      await prepareDrawing(openedAs() ?? desk);
      return null;
    case 'keep':
    case 'saved':
    case 'desk': {
      const stored = await persist(() =>
        other.of === 'desk' ? api.desk(other.id) : api.revision(desk.id, other.number),
      );
      await prepareDrawing(stored.desk);
      return stored.desk;
    }
  }
}

/** The desk as it was opened; null where nothing was done to it since. */
const openedAs = (): Desk | null => useDesk.getState().history?.past[0]?.state ?? null;

/** The other state. */
interface Other {
  /** As it is told of: it stands in the arrangement in which it is compared. */
  told: Desk;
  /** As it is drawn. */
  drawn: Desk;
}

/** What the desk is compared with; null while nothing is, or it is on its way. */
export function useOther(): Other | null {
  const other = useComparing((state) => state.with);
  const fetched = useComparing((state) => state.fetched);
  const desk = useDeskAsItIs();
  const isReady = useComparing((state) => state.isReady);
  const opened = useDesk(openedAs);
  // Another arrangement is on with another moment, half or workspace.
  const on = useConditions(() => (desk ? arrangementNow(desk) : null));
  return useMemo(() => {
    if (!other || !desk || !isReady) return null;
    if (other.of === 'arrangement') return inArrangement(desk, other.id);
    const state = other.of === 'opened' ? (opened ?? desk) : fetched;
    if (!state) return null;
    const onThere = state.arrangements.list.some(({ id }) => id === on) ? on : arrangementNow(state);
    const told = standingAs(state, onThere);
    return { told, drawn: state };
  }, [other, desk, isReady, opened, fetched, on]);
}

function inArrangement(desk: Desk, id: string): Other | null {
  if (!desk.arrangements.list.some((one) => one.id === id)) return null;
  const told = { ...standingAs(desk, id), arrangements: desk.arrangements };
  // Whichever is on by itself, this one is looked at.
  return { told, drawn: { ...told, arrangements: { ...desk.arrangements, list: [] } } };
}

/** What a state is called where people read of it. */
export function nameOfWith(other: With, { arrangements }: Desk): string {
  switch (other.of) {
    case 'opened':
      return 'As it was opened';
    case 'arrangement':
      return arrangements.list.find(({ id }) => id === other.id)?.name ?? 'The arrangement';
    default:
      return other.name;
  }
}

export function useNameOfOther(): string {
  const other = useComparing((state) => state.with);
  const desk = useDesk(({ history }) => history?.present);
  return other && desk ? nameOfWith(other, desk) : '';
}
