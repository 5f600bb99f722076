import type { DeskDraft } from '../desk.ts';

/** A change of a desk by name: what a person reads of it in the history, and what it does to a draft. */
export interface Edit {
  label: string;
  apply(draft: DeskDraft): void;
}

export function editOf(label: string, apply: Edit['apply']): Edit {
  return { label, apply };
}

/** The same change under a name that says more of why it was made. */
export function named(label: string, { apply }: Edit): Edit {
  return { label, apply };
}

/** Several changes as one. */
export function together(label: string, edits: readonly Edit[]): Edit {
  return editOf(label, (draft) => {
    for (const edit of edits) edit.apply(draft);
  });
}

export function byId<T extends { id: string }>(list: readonly T[], id: string): T | undefined {
  return list.find((one) => one.id === id);
}
