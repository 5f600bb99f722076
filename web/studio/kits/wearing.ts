import { create } from 'zustand';
import { edits } from '../../../core/desk/edits/edits.ts';
import { named } from '../../../core/desk/edits/edit.ts';
import { kitKinds, type Kit } from '../../../core/desk/kits/kit.ts';
import { useDesk } from '../../session/desk.ts';
import { prepareDrawing } from '../../session/drawing.ts';
import { editAndSay } from '../../session/said-undo.ts';

/** Which kit is in hand, and which kinds of what it has are worn. */
interface Wearing {
  /** What the stage wears while somebody looks; null where it is as it is. */
  hand: Kit | null;
  /** What the column tells of: what was in hand last. */
  told: Kit | null;
  ticks: ReadonlySet<string>;
}

const usual = () => new Set(kitKinds.filter(({ isAside }) => !isAside).map(({ key }) => key));

export const useWearing = create<Wearing>()(() => ({ hand: null, told: null, ticks: usual() }));

/** The kinds of a kit that are worn. */
export function wornOf(kit: Kit, ticks: ReadonlySet<string>): string[] {
  return kit.kinds.filter((key) => ticks.has(key));
}

function showHand(): void {
  const { hand, ticks } = useWearing.getState();
  const worn = hand ? wornOf(hand, ticks) : [];
  if (hand && worn.length > 0) useDesk.getState().show(edits.wearKit(hand, worn));
  else useDesk.getState().dropGesture();
}

/** Lets the stage wear a kit while somebody looks; null gives back the very desk. */
export function takeInHand(kit: Kit | null): void {
  if (useWearing.getState().hand === kit) return;
  useWearing.setState(kit ? { hand: kit, told: kit } : { hand: null });
  if (!kit) {
    showHand();
    return;
  }
  // With the very event where that can be: one picture later is late for who points at one after another.
  if (prepared.has(kit)) return showHand();
  void prepareKit(kit).then(() => {
    if (useWearing.getState().hand === kit) showHand();
  });
}

const prepared = new WeakSet<Kit>();

/** Fetches what a kit is drawn with: it may be of faces that nobody has seen yet. */
export async function prepareKit(kit: Kit): Promise<void> {
  await prepareDrawing(kit.desk);
  prepared.add(kit);
}

export function setTicks(ticks: ReadonlySet<string>): void {
  useWearing.setState({ ticks });
  if (useWearing.getState().hand) showHand();
}

/** Puts a kit on: one step. */
export function wear(kit: Kit): void {
  const kinds = wornOf(kit, useWearing.getState().ticks);
  useWearing.setState({ hand: null, told: kit });
  useDesk.getState().dropGesture();
  if (kinds.length > 0)
    editAndSay(named(`Wear ${kit.name}`, edits.wearKit(kit, kinds)), `Wears ${kit.name}.`);
}

/** Leaves the kits: the desk is as it is. */
export function leaveKits(): void {
  takeInHand(null);
  useWearing.setState({ told: null });
}
