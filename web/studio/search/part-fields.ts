import type { z } from 'zod';
import { ItemFrame } from '../../../core/arrange/schema.ts';
import { Edge } from '../../../core/desk/shapes/edges.ts';
import { WidgetFrame } from '../../../core/desk/shapes/widgets.ts';
import type { Desk } from '../../../core/desk/desk.ts';
import { titleOfEdge } from '../../../core/desk/part-names.ts';
import { itemKindOf, itemKinds, type ItemType } from '../../../core/items/list.ts';
import { widgetKindOf, widgetKinds, type WidgetType } from '../../../core/widgets/list.ts';
import { Finish } from '../../../core/values/finish.ts';
import { foundIn, type FormNow, type FoundField } from './found.ts';

/** A field of a part's form. */
export interface PartField extends FoundField {
  /** What it belongs to, as it is told. */
  of: string;
  /** Id of the part that is chosen to get there, and its chapter. */
  part: string;
  chapter: 'widgets' | 'edges';
}

interface Formed extends Pick<PartField, 'of' | 'part' | 'chapter'> {
  forms: readonly { schema: z.ZodObject; now: FormNow }[];
}

const valuesOf = (record: object): FormNow => ({ values: { ...record }, face: null });

/** All that has a form on a desk, what is chosen first: of others that are alike, one stands for all. */
function formedOn({ edges, widgets, look }: Desk, selection: readonly string[]): Formed[] {
  const finishOf = (part: { finish: Finish | null }) => ({
    schema: Finish,
    now: valuesOf(part.finish ?? look.finish),
  });
  const all = [
    ...widgets.map((widget): Formed => {
      const { id, type, face, options } = widget;
      const kind = widgetKindOf(type);
      const own = { schema: kind.options, now: { values: options, face } };
      const forms = [own, { schema: WidgetFrame, now: valuesOf(widget) }, finishOf(widget)];
      return { part: id, of: kind.title, chapter: 'widgets', forms };
    }),
    ...edges.map((edge): Formed => {
      const forms = [{ schema: Edge, now: valuesOf(edge) }, finishOf(edge)];
      return { part: edge.id, of: titleOfEdge(edge), chapter: 'edges', forms };
    }),
    ...edges
      .flatMap(({ items }) => items)
      .map((item): Formed => {
        const { id, type, face, options } = item;
        const kind = itemKindOf(type);
        const own = { schema: kind.options, now: { values: options, face } };
        const forms = [own, { schema: ItemFrame, now: valuesOf(item) }];
        return { part: id, of: kind.title, chapter: 'edges', forms };
      }),
  ];
  return [
    ...all.filter(({ part }) => selection.includes(part)),
    ...all.filter(({ part }) => !selection.includes(part)),
  ];
}

/** Every field that the forms of a desk's parts have, each kind of part once. */
export function fieldsOnParts(desk: Desk, selection: readonly string[]): PartField[] {
  const found = new Map<string, PartField>();
  for (const { of, part, chapter, forms } of formedOn(desk, selection))
    for (const field of forms.flatMap(({ schema, now }) => foundIn(schema, now))) {
      const name = `${of} ${field.key}`;
      const before = found.get(name);
      // One on which it has an effect comes before one on which it has none.
      if (!before || (field.isThere && !before.isThere)) found.set(name, { ...field, of, part, chapter });
    }
  return [...found.values()];
}

/** A field of a kind of which none is on the desk yet: one is added to get there. */
export interface KindField extends FoundField {
  /** The kind's title, and its other words. */
  of: string;
  ofAlso: string;
  adds: { widget: WidgetType; face: string } | { item: ItemType };
}

/** The fields of all the kinds that a desk has none of. */
export function fieldsOfOthers(desk: Desk): KindField[] {
  const there = new Set<string>(desk.widgets.map(({ type }) => type));
  const onEdges = new Set<string>(desk.edges.flatMap(({ items }) => items.map(({ type }) => type)));
  const widgets = widgetKinds
    .filter(({ type }) => !there.has(type))
    .flatMap(({ type, title, also = '', faces, options }) =>
      foundIn(options).map((found): KindField => {
        // The first face under which it has an effect.
        const values = options.parse({});
        const [first = ''] = faces.map(({ id }) => id);
        const face = faces.find(({ id }) => reaches(options, found, { values, face: id }))?.id ?? first;
        return { ...found, of: title, ofAlso: also, adds: { widget: type, face } };
      }),
    );
  const items = itemKinds
    .filter(({ type }) => !onEdges.has(type))
    .flatMap(({ type, title, options }) =>
      foundIn(options).map((found): KindField => ({ ...found, of: title, ofAlso: '', adds: { item: type } })),
    );
  return desk.edges.length > 0 ? [...widgets, ...items] : widgets;
}

function reaches(options: z.ZodObject, { key }: FoundField, now: FormNow): boolean {
  return foundIn(options, now).some((one) => one.key === key && one.isThere);
}
