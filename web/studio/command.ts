export const groups = ['Desk', 'Selection', 'Add', 'Go to', 'Moment', 'Stage', 'Interface'] as const;

/** One thing that can be done. Keys, menus, the command search and the list of shortcuts are all made of these. */
export interface Command {
  id: string;
  title: string;
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
