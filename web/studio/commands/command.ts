export const groups = ['Desk', 'Selection', 'Add', 'Go to', 'Moment', 'Stage', 'Interface'] as const;

/** One thing that can be done. Keys, menus, the command search and the list of shortcuts are all made of these. */
export interface Command {
  id: string;
  title: string;
  /** What it is called as things are now, where that changes. */
  titleNow?: () => string;
  /** Other words that people look for it by. */
  also?: string;
  group: (typeof groups)[number];
  /** Such as `Ctrl+Shift+Z`; Ctrl stands for the Command key too. */
  keys?: readonly string[];
  /** Said in the list of shortcuts only. */
  isKeyOnly?: boolean;
  isAvailable?: () => boolean;
  run: () => void;
}

/** What a command is called now. */
export function titleOf({ title, titleNow }: Command): string {
  return titleNow?.() ?? title;
}
