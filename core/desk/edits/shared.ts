import { z } from 'zod';
import { EdgeFrame, ItemFrame } from '../../arrange/schema.ts';
import { itemKindOf } from '../../items/list.ts';
import { fieldOf, unwrapped, type FieldFacts } from '../../values/field.ts';
import { lookUp } from '../../values/look-up.ts';
import { widgetKindOf } from '../../widgets/list.ts';
import type { Desk } from '../desk.ts';
import { WidgetFrame } from '../shapes/widgets.ts';
import { editOf } from './edit.ts';

/** A field that several chosen things have in common. */
export interface SharedField {
  /** What it is known by: two fields of one name are the same where their values are of one sort. */
  is: string;
  facts: FieldFacts;
  /** Its schema in each of those that have it; ranges may differ. */
  schemas: readonly z.ZodType[];
  /** Its value in each of those that have it. */
  values: readonly unknown[];
}

/** Fields of one thing that are edited as a form: its frame, or its options. */
interface Layer {
  schema: z.ZodObject;
  values: Record<string, unknown>;
  face: string | null;
}

/**
 * The fields that at least two of some widgets, edges and items have and that have an effect in them, by those that come
 * first. An edge counts with the options of what is on it. Lists and groups of fields are not among them.
 */
export function sharedFields(desk: Desk, ids: readonly string[]): SharedField[] {
  const found = new Map<string, { facts: FieldFacts; schemas: z.ZodType[]; values: unknown[] }>();
  for (const layer of layersOf(desk, ids))
    for (const { is, key, facts, schema } of effectiveIn(layer)) {
      const known = found.get(is) ?? { facts, schemas: [], values: [] };
      found.set(is, known);
      known.schemas.push(schema);
      known.values.push(lookUp(layer.values, key));
    }
  return [...found]
    .filter(([, { values }]) => values.length > 1)
    .map(([is, { facts, ...each }]) => ({ is, facts, ...each }));
}

export const sharedEdits = {
  /** Gives all of some things one value of a field that they share; what does not take it stays. */
  setShared: (ids: readonly string[], is: string, value: unknown) =>
    editOf('Several', (desk) => {
      for (const layer of layersOf(desk, ids))
        for (const { key, schema } of effectiveIn(layer).filter((field) => field.is === is))
          if (schema.safeParse(value).success) Object.assign(layer.values, { [key]: structuredClone(value) });
    }),
};

/** The fields of one value that have an effect in a layer. */
function effectiveIn({ schema, values, face }: Layer) {
  return Object.entries(schema.shape as Record<string, z.ZodType>).flatMap(([key, inner]) => {
    const facts = fieldOf(inner);
    const is = facts && identityOf(key, inner, facts);
    return is && facts.when?.(values, face) !== false ? [{ is, key, facts, schema: inner }] : [];
  });
}

function layersOf(desk: Desk, ids: readonly string[]): Layer[] {
  const chosen = new Set(ids);
  const options: Layer[] = [];
  const frames: Layer[] = [];
  const frame = (schema: z.ZodObject, thing: object, face: string | null) =>
    frames.push({ schema, values: thing as Record<string, unknown>, face });
  for (const widget of desk.widgets) {
    if (!chosen.has(widget.id)) continue;
    options.push({ schema: widgetKindOf(widget.type).options, values: widget.options, face: widget.face });
    frame(WidgetFrame, widget, widget.face);
  }
  for (const edge of desk.edges) {
    if (chosen.has(edge.id)) frame(EdgeFrame, edge, null);
    for (const item of edge.items) {
      if (!chosen.has(item.id) && !chosen.has(edge.id)) continue;
      options.push({ schema: itemKindOf(item.type).options, values: item.options, face: item.face });
      if (chosen.has(item.id)) frame(ItemFrame, item, item.face);
    }
  }
  return [...options, ...frames];
}

/** What a field of one value is known by; null for what holds several. */
function identityOf(key: string, schema: z.ZodType, { control }: FieldFacts): string | null {
  const inner = unwrapped(schema);
  if (inner instanceof z.ZodObject || inner instanceof z.ZodArray || inner instanceof z.ZodDiscriminatedUnion)
    return null;
  return `${key} ${inner.def.type} ${control ?? ''}`;
}
