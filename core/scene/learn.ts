import type { Desk } from '../desk/desk.ts';
import type { Item } from '../desk/shapes/edges.ts';
import type { Widget } from '../desk/shapes/widgets.ts';
import { itemKindOf } from '../items/list.ts';
import { areLearned, learnExpressions } from '../expressions/learn.ts';
import { learnSources } from '../sources/learn.ts';
import type { Need } from '../sources/readings.ts';
import { learnWidgets, workOf } from '../widgets/learn.ts';
import { originsOf } from '../expressions/telling.ts';
import { needsOf as toldNeeds } from '../expressions/text.ts';
import { widgetKindOf, type WidgetType } from '../widgets/list.ts';
import { isUsual, learnFamilies, learnOthers } from '../text/families.ts';
import { fontBook } from '../text/cuts.ts';
import { ownLibrary, Subject, type Library } from '../values/library.ts';
import { families, isOwn, type Family } from '../values/family.ts';

/** Makes sure that everything on a desk can be worked out and measured, before it is solved. */
export async function learnDesk(desk: Desk, library: Library = ownLibrary): Promise<void> {
  const hasOthers = !isUsual(JSON.stringify(desk));
  await Promise.all([
    learnFamilies(familiesOf(desk), library),
    hasOthers ? learnOthers(library) : null,
    learnWidgets(
      desk.widgets.map(({ type }) => type),
      library,
    ),
    learnNeeds(needsOf(desk), library),
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
async function learnNeeds(needs: readonly Need[], library: Library): Promise<void> {
  await Promise.all([
    learnSources(
      needs.map(({ source }) => source),
      library,
    ),
    needs.some(({ byExpression }) => byExpression) ? learnExpressions(library) : null,
  ]);
}

/** Parts and desks' looks of which all was found to be there. */
const completed = new Subject(() => new WeakSet<object>());

/** What is missing for solving a desk, some of it as it turned out when it was solved; null when nothing is. */
export function learnMissing(desk: Desk, library: Library = ownLibrary): (() => Promise<unknown>) | null {
  const { look } = desk;
  const [complete, fonts] = [library.on(completed), library.on(fontBook)];
  const widgets = desk.widgets.filter((one) => !complete.has(one));
  const edges = desk.edges.filter((one) => !complete.has(one));
  const isNew = widgets.length + edges.length > 0 || !complete.has(look);
  if (!isNew && !fonts.wantsFallback) return null;
  const missing = familiesOf({ look, widgets, edges }).filter(
    (family) => !isOwn(family) && !fonts.knows(family),
  );
  const types = widgets.map(({ type }) => type).filter((type) => workOf(type, library) === null);
  const unread = needsOf({ ...desk, widgets, edges }).filter((need) => !areLearned([need], library));
  if (missing.length + types.length + unread.length === 0)
    for (const one of [look, ...widgets, ...edges]) if (Object.isFrozen(one)) complete.add(one);
  if (missing.length + types.length + unread.length === 0 && !fonts.wantsFallback) return null;
  return () =>
    Promise.all([
      learnFamilies(missing, library),
      learnWidgets(types, library),
      learnNeeds(unread, library),
      fonts.wantsFallback ? learnOthers(library) : null,
    ]);
}

/** The families that a desk sets text in. */
function familiesOf({ look, widgets, edges }: Pick<Desk, 'look' | 'widgets' | 'edges'>): Family[] {
  const chosen = [...widgets, ...edges.flatMap(({ items }) => items)].flatMap(
    ({ options }) => families.find((family) => family === options['type']) ?? [],
  );
  return [...new Set([...Object.values(look.fonts).map(({ family }) => family), ...chosen])];
}

/** What any face of a kind reads as it starts. */
function needsOfKind(type: WidgetType): Need[] {
  const { faces, options, needs } = widgetKindOf(type);
  const start = options.parse({});
  return faces.flatMap(({ id }) => needs(start, id));
}

/** Whether a widget of this kind can be solved, whatever desk it is on. */
export function isKindKnown(type: WidgetType, library: Library = ownLibrary): boolean {
  return workOf(type, library) !== null && areLearned(needsOfKind(type), library);
}

export async function learnKind(type: WidgetType, library: Library = ownLibrary): Promise<void> {
  await Promise.all([learnWidgets([type], library), learnNeeds(needsOfKind(type), library)]);
}
