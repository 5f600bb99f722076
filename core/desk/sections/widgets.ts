import { current, isDraft } from 'immer';
import { z } from 'zod';
import { content, dressedIn, dressOf } from '../../values/dress.ts';
import { widgetKindOf, type WidgetType } from '../../widgets/list.ts';
import { modelsFor } from '../edits/models.ts';
import { freePlace } from '../whereabouts.ts';
import { WidgetSchema, widgetsInCircles, type Widget } from '../shapes/widgets.ts';
import { defineSection, idsIn, without } from './section.ts';

export const widgets = defineSection({
  key: 'widgets',
  title: 'Widgets',
  schema: content(z.array(WidgetSchema).max(4000).meta({ description: 'The later one stands above' })),
  kits: [
    {
      key: 'widgets',
      title: 'Widgets’ style',
      told: ({ widgets: list }) => (list.length === 1 ? '1 widget' : `${list.length} widgets`),
      wear(desk, from) {
        // Read as they are, not through the draft: there may be hundreds, and a kit is put on while somebody points at it.
        const widgets = isDraft(desk.widgets) ? current(desk.widgets) : desk.widgets;
        const models = modelsFor(widgets, from.widgets, isApart);
        const dresses = new Map<Widget, Record<string, unknown>>();
        desk.widgets = widgets.map((widget, index) => {
          const model = models[index];
          if (!model) return widget;
          let dress = dresses.get(model.of);
          if (!dress)
            dresses.set(model.of, (dress = dressOf(WidgetSchema, model.of) as Record<string, unknown>));
          const { face, ...rest } = dress;
          return dressedIn(WidgetSchema, widget, model.takesFace ? { face, ...rest } : rest);
        });
      },
    },
  ],
  ids: (list) => idsIn('widgets', list),
  check({ widgets: list }, { screens, parts, workspaces }, say) {
    list.forEach(({ place: { hangs }, workspaces: on }, i) => {
      on.forEach((id, at) => {
        if (!workspaces.has(id))
          say(['widgets', i, 'workspaces', at], `names a workspace that is not there: "${id}"`);
      });
      const path = (key: string) => ['widgets', i, 'place', 'hangs', key];
      if (hangs.from !== 'part') {
        if (!screens.has(hangs.screen))
          say(path('screen'), `names a screen that is not there: "${hangs.screen}"`);
      } else if (!parts.has(hangs.part)) {
        say(path('part'), `names a part that is not there: "${hangs.part}"`);
      }
    });
    const inCircle = widgetsInCircles(list);
    list.forEach(({ id }, i) => {
      if (inCircle.has(id)) say(['widgets', i, 'place', 'hangs', 'part'], 'hangs, in a circle, from itself');
    });
  },
  parts: (list) => list,
  /** What hung from a part that is gone stays where it stands, hanging from the desk. */
  forget(desk, gone, whereabouts) {
    desk.widgets = without(
      desk.widgets,
      ({ id, place: { hangs } }) => gone.has(id) || (hangs.from !== 'part' && gone.has(hangs.screen)),
    );
    for (const widget of desk.widgets) {
      widget.workspaces = without(widget.workspaces, (id) => gone.has(id));
      const { hangs } = widget.place;
      if (hangs.from !== 'part' || !gone.has(hangs.part)) continue;
      const rect = whereabouts?.rects.get(widget.id);
      const screen = whereabouts?.screen.id ?? desk.screens[0]?.id ?? '';
      widget.place =
        rect && whereabouts
          ? freePlace(rect, whereabouts)
          : { hangs: { from: 'free', screen, point: 'centre' }, x: 0, y: 0 };
    }
  },
});

/** Whether a widget shows something else than others of its kind do. */
function isApart({ type, face }: { type: string; face: string }): boolean {
  return widgetKindOf(type as WidgetType).faces.find(({ id }) => id === face)?.isApart === true;
}
