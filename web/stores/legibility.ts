import { useEffect } from 'react';
import { create } from 'zustand';
import type { Desk } from '../../core/desk/desk.ts';
import type { JudgeConditions, Judgement } from '../../core/legibility/judge.ts';
import type { Mend } from '../../core/legibility/mends.ts';
import { askJudge } from '../workers/pixels.ts';
import { useConditions } from '../session/conditions.ts';
import { presentDesk, useDesk } from '../session/desk.ts';

/** How well the texts of the desk can be read. Worked out only while somebody looks at it. */
interface LegibilityState {
  /** The weakest first; null until the first look is done. */
  judgements: Judgement[] | null;
  isBusy: boolean;
  failure: string | null;
}

export const useLegibility = create<LegibilityState>()(() => ({
  judgements: null,
  isBusy: false,
  failure: null,
}));

/** How many places of the page look. */
let lookers = 0;
let isJudging = false;
let judged: { desk: Desk; key: string } | null = null;

/** A turn of a slider is waited out for this long; the judging itself is quick. */
const REST_MS = 120;
let timer: ReturnType<typeof setTimeout> | undefined;

function conditions(): JudgeConditions {
  const { moment, workspace, windows } = useConditions.getState();
  return { moment: Math.floor(moment / 60_000) * 60_000, workspace, windows };
}

function keyOf({ moment, workspace, windows = [] }: JudgeConditions): string {
  const open = windows.map(({ id, rect, slot, isFilled, isMinimised }) => [
    id,
    rect,
    slot,
    isFilled,
    isMinimised,
  ]);
  return `${moment} ${workspace ?? 0} ${JSON.stringify(open)}`;
}

function settledDesk(): Desk | null {
  const { history } = useDesk.getState();
  // What is only shown, a palette pointed at, is not what the desk is.
  return history?.gesture?.isOnlyShown ? history.gesture.base : (history?.present ?? null);
}

async function judge(): Promise<void> {
  const desk = settledDesk();
  const now = conditions();
  if (isJudging || !desk || lookers === 0 || isFresh()) return;
  isJudging = true;
  useLegibility.setState({ isBusy: true });
  try {
    const judgements = await askJudge((worker) => worker.judge(desk, now));
    useLegibility.setState({ judgements, failure: null });
  } catch {
    useLegibility.setState({
      failure: 'The backdrop can’t be had, so nothing can be said of the texts on it.',
    });
  }
  judged = { desk, key: keyOf(now) };
  isJudging = false;
  // While a part is dragged the desk is never the one that was judged; its turn comes when the hand rests.
  if (isFresh() || lookers === 0) useLegibility.setState({ isBusy: false });
  else schedule();
}

function isFresh(): boolean {
  return judged !== null && judged.desk === settledDesk() && judged.key === keyOf(conditions());
}

function schedule(): void {
  if (lookers === 0) return;
  // What was said of the desk before is no longer so.
  if (!isFresh()) useLegibility.setState({ isBusy: true });
  clearTimeout(timer);
  timer = setTimeout(() => void judge(), REST_MS);
}

useDesk.subscribe((state, before) => {
  if (state.history?.present !== before.history?.present) schedule();
});
useConditions.subscribe((state, before) => {
  if (
    Math.floor(state.moment / 60_000) !== Math.floor(before.moment / 60_000) ||
    state.workspace !== before.workspace ||
    state.windows !== before.windows
  )
    schedule();
});

/** Keeps the judgements fresh for as long as a component shows them. */
export function useJudging(): void {
  useEffect(() => {
    lookers++;
    void judge();
    return () => void lookers--;
  }, []);
}

/** What would make all that is hard to read readable, and how much is left. */
export async function findAllMends(): Promise<{ mends: Mend[]; left: number }> {
  const desk = settledDesk();
  if (!desk) return { mends: [], left: 0 };
  const found = await askJudge((worker) => worker.mendAll(desk, conditions()));
  // What was tried on another desk says nothing of this one.
  return desk === settledDesk() ? found : { mends: [], left: 0 };
}

/** What would make a text readable, the least change first. */
export async function findMends(judgement: Judgement): Promise<Mend[]> {
  const desk = presentDesk();
  return desk ? askJudge((worker) => worker.findMends(desk, conditions(), judgement)) : [];
}
