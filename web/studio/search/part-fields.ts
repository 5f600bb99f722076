import type { z } from 'zod';
import { ItemFrame } from '../../../core/arrange/schema.ts';
import { Edge } from '../../../core/desk/shapes/edges.ts';
import { WidgetFrame } from '../../../core/desk/shapes/widgets.ts';
import type { Desk } from '../../../core/desk/desk.ts';
import { titleOfEdge } from '../../../core/desk/part-names.ts';
import { itemKindOf } from '../../../core/items/list.ts';
import { widgetKindOf } from '../../../core/widgets/list.ts';
import { rowsOf } from '../form/schema.ts';

/** A field of a part's form. */
export interface PartField {
  /** Of the field in its form. */
  key: string;
  label: string;
  /** Other words for it. */
  also: string;
  /** What it belongs to, as it is told. */
  of: string;
  /** Id of the part that is chosen to get there, and its chapter. */
  part: string;
  chapter: 'widgets' | 'edges';
}

interface Formed {
  id: string;
  of: string;
  chapter: PartField['chapter'];
  schemas: readonly z.ZodObject[];
  values: object;
  face: string | null;
}

/** All that has a form on a desk, what is chosen first: of others that are alike, one stands for all. */
function formedOn(desk: Desk, selection: readonly string[]): Formed[] {
  const edges = desk.edges.map((edge): Formed => ({
    id: edge.id,
    of: titleOfEdge(edge),
    chapter: 'edges',
    schemas: [Edge],
    values: edge,
    face: null,
  }));
  const items = desk.edges.flatMap((edge) =>
    edge.items.map((item): Formed => {
      const { title, options } = itemKindOf(item.type);
      const { id, face } = item;
      return { id, of: title, chapter: 'edges', schemas: [options, ItemFrame], values: item.options, face };
    }),
  );
  const widgets = desk.widgets.map((widget): Formed => {
    const { title, options } = widgetKindOf(widget.type);
    const { id, face } = widget;
    return {
      id,
      of: title,
      chapter: 'widgets',
      schemas: [options, WidgetFrame],
      values: widget.options,
      face,
    };
  });
  const all = [...widgets, ...edges, ...items];
  return [
    ...all.filter(({ id }) => selection.includes(id)),
    ...all.filter(({ id }) => !selection.includes(id)),
  ];
}

/** Every field that the forms of a desk's parts have, each kind of part once. */
export function fieldsOnParts(desk: Desk, selection: readonly string[]): PartField[] {
  const known = new Set<string>();
  const found: PartField[] = [];
  for (const { id, of, chapter, schemas, values, face } of formedOn(desk, selection))
    for (const schema of schemas)
      for (const [key, { facts }] of rowsOf(schema, { values: { ...values }, face })) {
        const name = `${of} ${key}`;
        if (known.has(name)) continue;
        known.add(name);
        found.push({ key, label: facts.label, also: facts.also ?? '', of, part: id, chapter });
      }
  return found;
}
