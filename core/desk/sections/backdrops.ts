import { z } from 'zod';
import { Backdrop, sourcesOf, titleOfSource, type Source } from '../../backdrop/schema.ts';
import type { Desk, DeskDraft } from '../desk.ts';
import { defineSection, without } from './section.ts';
import { content } from '../../values/dress.ts';

export const backdrops = defineSection({
  key: 'backdrops',
  title: 'Backdrop',
  schema: content(
    z.array(Backdrop).min(1).max(200).meta({
      description: 'The first lies everywhere; of the others the one that says most of where it lies',
    }),
  ),
  kits: [
    {
      key: 'backdrop',
      title: 'Backdrop',
      told: ({ backdrops: [first] }) => (first ? toldOf(first.source) : ''),
      wear: wearBackdrops,
      own: ({ backdrops: list }) => list.filter(liesAnywhere).flatMap(picturesIn),
    },
  ],
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

/** Whether a backdrop lies on whatever screen and workspace. */
function liesAnywhere({ for: { screen, workspace } }: Backdrop): boolean {
  return screen === null && workspace === null;
}

/** What lies everywhere, and in a half of its own, becomes what another desk has there; screens and workspaces keep theirs. */
function wearBackdrops(desk: DeskDraft, from: Desk): void {
  // The first lies everywhere, and stays the one it is.
  const [{ id: first = 'worn', spans = false } = {}] = desk.backdrops;
  const come = from.backdrops.filter(liesAnywhere).map((one): Backdrop => {
    const id = one.for.half === null ? first : `worn-${one.for.half}`;
    const source = structuredClone(one.source);
    if (source.kind === 'rotation')
      source.entries.forEach((entry, at) => (entry.id = `worn-${id}-${at + 1}`));
    return { ...structuredClone(one), id, source, spans };
  });
  desk.backdrops = [...come, ...desk.backdrops.filter((one) => !liesAnywhere(one))];
}

/** The names of pictures of one's own in a backdrop. */
function picturesIn(backdrop: Backdrop): string[] {
  return sourcesOf(backdrop).flatMap((source) => (source.kind === 'picture' ? [source.name] : []));
}

function toldOf(source: Source): string {
  return source.kind === 'rotation' ? `${source.entries.length} in turn` : titleOfSource(source);
}
