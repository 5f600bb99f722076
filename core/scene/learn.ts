import type { Desk } from '../desk/desk.ts';
import type { Item } from '../desk/sections/edges.ts';
import type { Widget } from '../desk/sections/widgets.ts';
import { itemKindOf } from '../items/list.ts';
import { areLearned, learnExpressions } from '../expressions/learn.ts';
import { learnSources } from '../sources/learn.ts';
import type { Need } from '../sources/readings.ts';
import { learnWidgets, workOf } from '../widgets/learn.ts';
import { originsOf } from '../expressions/telling.ts';
import { needsOf as toldNeeds } from '../expressions/text.ts';
import { widgetKindOf, type WidgetType } from '../widgets/list.ts';
import { isUsual, learnFamilies, learnOthers } from '../text/families.ts';
import { knowsFamily, wantsFallback } from '../text/cuts.ts';
import { families, isOwn, type Family, type ShippedFamily } from '../values/family.ts';

/** Makes sure that everything on a desk can be worked out and measured, before it is solved. */
export async function learnDesk(desk: Desk): Promise<void> {
  const hasOthers = !isUsual(JSON.stringify(desk));
  await Promise.all([
    learnFamilies(familiesOf(desk)),
    hasOthers ? learnOthers() : null,
    learnWidgets(desk.widgets.map(({ type }) => type)),
    learnNeeds(needsOf(desk)),
  ]);
}

/** What a desk's parts read. */
function needsOf({ widgets, edges }: Desk): Need[] {
  return [...widgets.flatMap(needsOfWidget), ...edges.flatMap(({ items }) => items.flatMap(needsOfItem))];
}

function needsOfWidget({ type, options, face, shows }: Widget): Need[] {
  return [
    ...widgetKindOf(type).needs(options, face),
    ...(shows.by === 'while' ? toldNeeds([shows.holds], originsOf(options)) : []),
  ];
}

function needsOfItem({ type, options, face }: Item): readonly Need[] {
  return itemKindOf(type).needs?.(options, face) ?? [];
}

/** Makes sure that all of this can be read. */
async function learnNeeds(needs: readonly Need[]): Promise<void> {
  await Promise.all([
    learnSources(needs.map(({ source }) => source)),
    needs.some(({ byExpression }) => byExpression) ? learnExpressions() : null,
  ]);
}

/** Parts and looks of which all was found to be there: what is learned once stays. */
const complete = new WeakSet<object>();

/** What is missing for solving a desk, some of it as it turned out when it was solved; null when nothing is. */
export function learnMissing(desk: Desk): (() => Promise<unknown>) | null {
  const { look } = desk;
  const widgets = desk.widgets.filter((one) => !complete.has(one));
  const edges = desk.edges.filter((one) => !complete.has(one));
  const isNew = widgets.length + edges.length > 0 || !complete.has(look);
  if (!isNew && !wantsFallback()) return null;
  const missing = familiesOf({ look, widgets, edges }).filter(
    (family) => !isOwn(family) && !knowsFamily(family),
  );
  const types = widgets.map(({ type }) => type).filter((type) => workOf(type) === null);
  const unread = needsOf({ ...desk, widgets, edges }).filter((need) => !areLearned([need]));
  if (missing.length + types.length + unread.length === 0)
    for (const one of [look, ...widgets, ...edges]) if (Object.isFrozen(one)) complete.add(one);
  if (missing.length + types.length + unread.length === 0 && !wantsFallback()) return null;
  return () =>
    Promise.all([
      learnFamilies(missing),
      learnWidgets(types),
      learnNeeds(unread),
      wantsFallback() ? learnOthers() : null,
    ]);
}

/** The families that a desk sets text in. */
export function familiesOf({ look, widgets, edges }: Pick<Desk, 'look' | 'widgets' | 'edges'>): Family[] {
  const chosen = [...widgets, ...edges.flatMap(({ items }) => items)]
    .map(({ options }) => options['type'])
    .filter((type) => families.includes(type as never));
  return [
    ...new Set([...Object.values(look.fonts).map(({ family }) => family), ...(chosen as ShippedFamily[])]),
  ];
}

/** What any face of a kind reads as it starts. */
function needsOfKind(type: WidgetType): Need[] {
  const { faces, options, needs } = widgetKindOf(type);
  const start = options.parse({});
  return faces.flatMap(({ id }) => needs(start, id));
}

/** Whether a widget of this kind can be solved, whatever desk it is on. */
export function isKindKnown(type: WidgetType): boolean {
  return workOf(type) !== null && areLearned(needsOfKind(type));
}

export async function learnKind(type: WidgetType): Promise<void> {
  await Promise.all([learnWidgets([type]), learnNeeds(needsOfKind(type))]);
}
