import { z } from 'zod';
import { Backdrop } from '../../backdrop/schema.ts';
import { defineSection, without } from './section.ts';
import { content } from '../../values/dress.ts';

export const backdrops = defineSection({
  key: 'backdrops',
  schema: content(
    z.array(Backdrop).min(1).max(200).meta({
      description: 'The first lies everywhere; of the others the one that says most of where it lies',
    }),
  ),
  ids: (list) =>
    list.flatMap(({ id, source }, index) => [
      [['backdrops', index], id] as const,
      ...(source.kind === 'rotation'
        ? source.entries.map(
            (entry, at) => [['backdrops', index, 'source', 'entries', at], entry.id] as const,
          )
        : []),
    ]),
  check({ backdrops: list }, { screens, workspaces }, say) {
    list.forEach(({ for: { screen, workspace, half } }, i) => {
      if (i === 0 && (screen ?? workspace ?? half) !== null)
        say(['backdrops', 0, 'for'], 'must lie everywhere: it is what the others are exceptions from');
      if (screen !== null && !screens.has(screen))
        say(['backdrops', i, 'for', 'screen'], `names a screen that is not there: "${screen}"`);
      if (workspace !== null && !workspaces.has(workspace))
        say(['backdrops', i, 'for', 'workspace'], `names a workspace that is not there: "${workspace}"`);
    });
  },
  /** The one that lies everywhere stays. */
  forget(desk, gone) {
    desk.backdrops = without(
      desk.backdrops,
      ({ id, for: { screen, workspace } }, index) =>
        index > 0 && (gone.has(id) || gone.has(screen ?? '') || gone.has(workspace ?? '')),
    );
  },
});
