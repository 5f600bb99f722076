import { capital } from '../../../core/values/words.ts';
import { create } from 'zustand';
import { named, type Edit } from '../../../core/desk/edits/edit.ts';
import { putLook, type ReadyLook } from '../../../core/desk/ready/ready.ts';
import type { Target } from '../../../core/desk/ready/topic.ts';
import { topics, type TopicKey } from '../../../core/desk/ready/topics.ts';
import type { Look } from '../../../core/look/schema.ts';
import { useDesk } from '../../session/desk.ts';
import { editAndSay } from '../../session/said-undo.ts';

/** One of the looks that are paged through. */
export interface Paged {
  id: string;
  title: string;
  edit: Edit;
  /** What it is, where it can be kept by name; what is drawn anew each time is none. */
  look: ReadyLook | null;
  /** The roles that it comes to, where the document does not say them. */
  roles?: Look['roles'];
  /** What is said once it is taken. */
  said?: string;
}

/** What is paged through: of what, for which part. */
export interface Pages {
  topic: TopicKey;
  target: Target;
  /** What the desk or the page adds, before the others. */
  extras: readonly Paged[];
}

interface Paging {
  pages: Pages | null;
  /** What the stage wears while somebody looks. */
  hand: Paged | null;
  /** What was in hand last. */
  told: Paged | null;
}

const closed: Paging = { pages: null, hand: null, told: null };

export const usePaging = create<Paging>()(() => closed);

/** A look as something to page to, for a part. */
export function pagedLook(look: ReadyLook, target: Target): Paged {
  const edit = named(`${capital(topics[look.topic].title)}: ${look.name}`, putLook(look, target));
  return { id: look.id, title: look.name, edit, look };
}

/** Lets the stage wear a look while somebody looks; null gives back the very desk. */
export function takeLookInHand(hand: Paged | null): void {
  if (usePaging.getState().hand?.id === hand?.id) return;
  usePaging.setState(hand ? { hand, told: hand } : { hand });
  if (hand) useDesk.getState().show(hand.edit);
  else useDesk.getState().dropGesture();
}

/** Puts a look on: one step. */
export function takeLook({ edit, title, said, ...paged }: Paged): void {
  usePaging.setState({ hand: null, told: { ...paged, edit, title } });
  useDesk.getState().dropGesture();
  editAndSay(edit, said ?? `${title} is taken.`);
}

export function openPages(pages: Pages): void {
  useDesk.getState().dropGesture();
  usePaging.setState({ ...closed, pages });
}

/** Leaves the looks: the desk is as it is. */
export function closePages(): void {
  if (!usePaging.getState().pages) return;
  takeLookInHand(null);
  usePaging.setState(closed);
}
