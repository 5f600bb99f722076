import { strToU8 } from 'fflate';
import { z } from 'zod';
import type { Desk } from '../desk.ts';
import { readDesk } from '../read.ts';
import { pathText, refuse, type Result } from '../problem.ts';
import { sections } from '../sections/list.ts';
import type { KitKind } from '../sections/section.ts';
import { MOST_IN_KIT, ReadyLook } from '../ready/ready.ts';
import { Id } from '../../values/id.ts';
import { Name } from '../../values/name.ts';
import type { TypeOf } from '../../values/types.ts';

/** What a kit can have, as the sections of a desk say it. */
export const kitKinds: readonly KitKind[] = sections.flatMap(({ kits }) => kits);
const keys = kitKinds.map(({ key }) => key);

/** How many kits there can be, and what is said where there is no room for one more. */
export const MOST_KITS = 400;
export const kitsFull = {
  path: '',
  message: `There is room for ${MOST_KITS} kits: take one off the shelf first.`,
};

/** Bytes of what is said of a kit, as its file has them: what goes out comes in again. */
export const MOST_SAID = 256 * 1024;

/** What is said of a kit; its version rises with every change of what it has. */
export const KitFacts = z.looseObject({
  id: Id,
  name: Name,
  version: z.number().int().min(1).max(1_000_000_000),
  by: z.string().trim().max(120).meta({ description: 'Who made it' }),
  notes: z.string().max(2000),
  looks: z
    .array(ReadyLook)
    .max(MOST_IN_KIT)
    .optional()
    .meta({ description: 'Looks of single parts that come with it' }),
  kinds: z.array(z.enum(keys)).min(1).max(keys.length).meta({ description: 'What of a desk’s dress it has' }),
});
export type KitFacts = TypeOf<typeof KitFacts>;

/**
 * The dress of a desk without its arrangement, by kinds. It is put on a desk that shows nothing of anybody's own, and taken
 * off that again when it is worn: whatever a desk is checked, brought to the present format and carried by, a kit is.
 */
export interface Kit extends KitFacts {
  desk: Desk;
}

/** The kind of a key; undefined where this version has none such. */
export function kitKindOf(key: string): KitKind | undefined {
  return kitKinds.find((kind) => kind.key === key);
}

/** What is said of a kit, from parsed JSON. */
export function readKitFacts(json: unknown): Result<KitFacts> {
  const read = KitFacts.safeParse(json);
  if (read.success) {
    const facts = { ...read.data, kinds: [...new Set(read.data.kinds)] };
    const { desk: _, ...said } = { desk: null, ...facts };
    if (strToU8(JSON.stringify(said, null, 2)).length > MOST_SAID)
      return refuse('', `says more than ${MOST_SAID / 1024} KiB of itself`);
    return { ok: true, value: facts };
  }
  const [wrong] = read.error.issues;
  return refuse(pathText(wrong?.path ?? []), wrong?.message ?? 'is not a kit');
}

/** A kit from parsed JSON: its facts, and its desk, of this format or an older one. */
export function readKit(json: unknown): Result<Kit> {
  const facts = readKitFacts(json);
  if (!facts.ok) return facts;
  const desk = readDesk((json as { desk?: unknown }).desk);
  return desk.ok ? { ok: true, value: { ...facts.value, desk: desk.value } } : desk;
}
