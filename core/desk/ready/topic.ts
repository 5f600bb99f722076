import type { z } from 'zod';
import type { MenuKey } from '../../menus/schema.ts';
import { partsOf } from '../parts.ts';
import type { Desk, DeskDraft } from '../desk.ts';

/** Whose look is changed: the desk's, that of some parts, of a menu, of all windows, or of a backdrop. */
export type Target =
  | { by: 'desk' }
  | { by: 'parts'; ids: readonly string[] }
  | { by: 'menu'; menu: MenuKey }
  | { by: 'windows' }
  | { by: 'backdrop'; id: string };

/** Something that there are ready looks of: what such a look holds, where a desk has it, and how it is put there. */
export interface Topic<Value = unknown> {
  key: string;
  /** One of them, in a word or two. */
  title: string;
  plural: string;
  schema: z.ZodType<Value>;
  /** What is there now; null where there is no such place. */
  at(desk: Desk, target: Target): Value | null;
  put(desk: DeskDraft, target: Target, value: Value): void;
  /** Everything of its kind that a desk wears. */
  wornBy(desk: Desk): readonly Value[];
}

export function defineTopic<const Key extends string, Value>(
  topic: Topic<Value> & { key: Key },
): Topic<Value> & { key: Key } {
  return topic;
}

/** Those parts of a desk that a target names. */
export function partsAt(desk: Desk, target: Target) {
  return target.by === 'parts' ? partsOf(desk).filter(({ id }) => target.ids.includes(id)) : [];
}
