import type { AnyWidgetWork } from '../kinds/kind.ts';
import { widgetKindOf, widgetKinds, type WidgetType } from './list.ts';

/** How kinds of widgets are worked out, once that was fetched. */
const known = new Map<WidgetType, AnyWidgetWork>();

/** Null until it was learned. */
export function workOf(type: WidgetType): AnyWidgetWork | null {
  return known.get(type) ?? null;
}

/** Makes sure that widgets of these kinds can be solved. */
export async function learnWidgets(
  types: readonly WidgetType[] = widgetKinds.map(({ type }) => type),
): Promise<void> {
  await Promise.all(
    [...new Set(types)].map(async (type) => {
      if (!known.has(type)) known.set(type, await widgetKindOf(type).load());
    }),
  );
}
