import { z } from 'zod';
import { Id } from '../../values/id.ts';
import { Name } from '../../values/name.ts';
import { atLeastOne } from '../../values/types.ts';
import { isSame } from '../differences.ts';
import type { Desk } from '../desk.ts';
import { editOf, type Edit } from '../edits/edit.ts';
import { pathText, refuse, type Result } from '../problem.ts';
import type { Target } from './topic.ts';
import { topicKeys, topics, type TopicKey } from './topics.ts';

/** How many of one's own there can be, and what is said where there is no room for one more. */
export const MOST_LOOKS = 400;
/** How many a kit takes along. */
export const MOST_IN_KIT = 60;
export const looksFull = {
  path: '',
  message: `There is room for ${MOST_LOOKS} looks: let go of one first.`,
};

/** A look of one part by name, for all desks. */
export interface ReadyLook {
  id: string;
  topic: TopicKey;
  name: string;
  /** It has passed the schema of its topic. */
  value: unknown;
}

const ofTopics = topicKeys.map((key) =>
  z.looseObject({ id: Id, topic: z.literal(key), name: Name, value: topics[key].schema }),
);
export const ReadyLook: z.ZodType<ReadyLook> = z.discriminatedUnion('topic', atLeastOne(ofTopics));

/** A look from parsed JSON. */
export function readLook(json: unknown): Result<ReadyLook> {
  const read = ReadyLook.safeParse(json);
  if (read.success) return { ok: true, value: read.data };
  const [wrong] = read.error.issues;
  return refuse(pathText(wrong?.path ?? []), wrong?.message ?? 'is not a look');
}

/** Puts a look on what it is for. */
export function putLook(
  { topic, name, value }: Pick<ReadyLook, 'topic' | 'name' | 'value'>,
  at: Target,
): Edit {
  return editOf(name, (desk) => topics[topic].put(desk, at, structuredClone(value)));
}

/** Whether a desk wears a look somewhere. */
export function wears(desk: Desk, { topic, value }: Pick<ReadyLook, 'topic' | 'value'>): boolean {
  return topics[topic].wornBy(desk).some((worn) => isSame(worn, value));
}
