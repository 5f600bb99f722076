import { z } from 'zod';
import { GeoPlace } from '../values/earth.ts';
import { Id } from '../values/id.ts';
import { Name } from '../values/name.ts';
import { FORMAT, type Desk } from './desk.ts';
import { partsOf } from './parts.ts';
import { Worn } from './shapes/worn.ts';
import { schemas, sections } from './sections/list.ts';
import type { Path, Say } from './sections/section.ts';

/** The document's shape: a few values of its own, then the sections. */
export const DeskShape = z.looseObject({
  format: z.literal(FORMAT),
  id: Id,
  name: Name,
  place: GeoPlace,
  seed: z
    .number()
    .int()
    .min(0)
    .max(2 ** 31 - 1)
    .meta({ description: 'Of everything simulated on the desk' }),
  wears: Worn.nullable().meta({ description: 'The kit that was put on last; null where none was' }),
  ...schemas,
});

/** What the JSON Schema can't say: ids are unique, and whatever is named is there. */
export function checkDesk(desk: Desk, say: Say): void {
  const seen = new Set<string>();
  for (const { key, ids } of sections) {
    for (const [path, id] of ids?.(desk[key]) ?? []) {
      if (seen.has(id)) say([...path, 'id'], `is used twice: "${id}"`);
      seen.add(id);
    }
  }
  const known = {
    screens: new Set(desk.screens.map(({ id }) => id)),
    workspaces: new Set(desk.workspaces.map(({ id }) => id)),
    parts: new Set(partsOf(desk).map(({ id }) => id)),
  };
  for (const { check } of sections) check?.(desk, known, say);
}

export const DeskSchema: z.ZodType<Desk> = DeskShape.superRefine((value, context) =>
  checkDesk(value, (path: Path, message) => context.addIssue({ code: 'custom', path: [...path], message })),
);

/** The format as JSON Schema (draft 2020-12), as it stands in docs/. */
export function deskJsonSchema(): object {
  return {
    $id: 'desk.schema.json',
    title: 'Velvet Ledge desk',
    ...z.toJSONSchema(DeskShape, { io: 'input', unrepresentable: 'any' }),
  };
}
