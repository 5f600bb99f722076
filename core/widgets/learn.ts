import type { AnyWidgetWork } from '../kinds/kind.ts';
import { ownLibrary, Subject, type Library } from '../values/library.ts';
import { widgetKindOf, widgetKinds, type WidgetType } from './list.ts';

/** How kinds are worked out, as far as that was learned. */
const works = new Subject(() => new Map<WidgetType, AnyWidgetWork>());

/** How a kind is worked out; null until it was learned. */
export function workOf(type: WidgetType, library: Library): AnyWidgetWork | null {
  return library.on(works).get(type) ?? null;
}

/** Makes sure that widgets of these kinds can be solved. */
export async function learnWidgets(
  types: readonly WidgetType[] = widgetKinds.map(({ type }) => type),
  library: Library = ownLibrary,
): Promise<void> {
  const known = library.on(works);
  await Promise.all(
    [...new Set(types)].map(async (type) => {
      if (!known.has(type)) known.set(type, await widgetKindOf(type).load());
    }),
  );
}
