import { unfitFor } from '../../backdrop/fitness.ts';
import { sourcesOf } from '../../backdrop/schema.ts';
import { named } from '../../desk/edits/edit.ts';
import { edits } from '../../desk/edits/edits.ts';
import type { Desk } from '../../desk/desk.ts';
import type { Rule } from '../finding.ts';

/** Ids of the pictures that lie behind everything on a desk. */
export function picturesBehind({ backdrops }: Desk): string[] {
  const sources = backdrops.flatMap(sourcesOf);
  return [...new Set(sources.flatMap((source) => (source.kind === 'picture' ? [source.picture] : [])))];
}

export const pictures: Rule = {
  id: 'pictures',
  title: 'Pictures are fit for their screens',
  fine: 'Each has pixels enough.',
  page: ['backdrop', null],
  find({ desk, scene, pictures: known }) {
    if (picturesBehind(desk).some((id) => !known.has(id))) return null;
    return scene.screens.flatMap(({ id, backdrop: { id: of, drawn } }) => {
      const backdrop = desk.backdrops.find((one) => one.id === of);
      const scale = desk.screens.find((one) => one.id === id)?.scaleFactor ?? 1;
      const pixels = { width: drawn.whole.width * scale, height: drawn.whole.height * scale };
      return (backdrop ? sourcesOf(backdrop) : []).flatMap((source) => {
        const facts = source.kind === 'picture' ? known.get(source.picture) : undefined;
        if (source.kind !== 'picture' || !facts) return [];
        return unfitFor(source, facts, pixels).map(({ why, told, help, soften }) => ({
          key: `${id} ${source.picture} ${why}`,
          told: `${source.name}: ${told}`,
          part: null,
          mends: [{ title: help, edit: named('Soften the picture', edits.setAdjust(of, soften)) }],
        }));
      });
    });
  },
};
