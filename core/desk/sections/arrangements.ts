import { Arrangements } from '../shapes/arrangements.ts';
import { defineSection, idsIn, without } from './section.ts';

export const arrangements = defineSection({
  key: 'arrangements',
  title: 'Arrangements',
  schema: Arrangements,
  kits: [],
  ids: ({ list }) => idsIn('list', list).map(([path, id]) => [['arrangements', ...path], id] as const),
  check({ arrangements: { list, chosen, standing } }, { screens, parts, workspaces }, say) {
    const there = new Set(list.map(({ id }) => id));
    for (const [key, id] of Object.entries({ chosen, standing })) {
      const path = ['arrangements', key];
      if (id !== null && !there.has(id)) say(path, `names an arrangement that is not there: "${id}"`);
    }
    if (chosen === null && list.length > 0)
      say(['arrangements', 'chosen'], 'names no arrangement, though there are some');
    list.forEach(({ holds, widgets, edges }, index) => {
      const path = ['arrangements', 'list', index];
      if (holds.by === 'workspace' && !workspaces.has(holds.workspace))
        say([...path, 'holds', 'workspace'], `names a workspace that is not there: "${holds.workspace}"`);
      widgets?.forEach(({ place: { hangs } }, at) => {
        const where = [...path, 'widgets', at, 'place', 'hangs'];
        if (hangs.from === 'part' && !parts.has(hangs.part))
          say([...where, 'part'], `names a part that is not there: "${hangs.part}"`);
        if (hangs.from !== 'part' && !screens.has(hangs.screen))
          say([...where, 'screen'], `names a screen that is not there: "${hangs.screen}"`);
      });
      edges?.forEach(({ screen }, at) => {
        if (!screens.has(screen))
          say([...path, 'edges', at, 'screen'], `names a screen that is not there: "${screen}"`);
      });
    });
  },
  /** What stood on something that is gone stands in no arrangement any more: there it is where it is elsewhere. */
  forget(desk, gone) {
    const { arrangements: all } = desk;
    all.list = without(all.list, ({ id }) => gone.has(id));
    for (const one of all.list) {
      if (one.holds.by === 'workspace' && gone.has(one.holds.workspace)) one.holds = { by: 'choice' };
      one.widgets &&= without(
        one.widgets,
        ({ id, place: { hangs } }) =>
          gone.has(id) || gone.has(hangs.from === 'part' ? hangs.part : hangs.screen),
      );
      one.edges &&= without(one.edges, ({ id, screen }) => gone.has(id) || gone.has(screen));
      one.windows &&= without(
        one.windows,
        ({ application, screen, workspace }) =>
          gone.has(application) || gone.has(screen) || gone.has(workspace),
      );
    }
    const first = all.list[0]?.id ?? null;
    if (all.chosen === null || gone.has(all.chosen)) all.chosen = first;
    if (all.standing !== null && gone.has(all.standing)) all.standing = null;
  },
});
