import { capital } from '../../values/words.ts';
import { MARGIN } from '../../arrange/free-spot.ts';
import type { Desk } from '../../desk/desk.ts';
import { named } from '../../desk/edits/edit.ts';
import { edits } from '../../desk/edits/edits.ts';
import { nameOfPart } from '../../desk/part-names.ts';
import { partOf } from '../../desk/parts.ts';
import { coversOn, movedOff, type Cover } from '../../scene/covers.ts';
import { whereaboutsOf } from '../../scene/parts.ts';
import type { SceneScreen } from '../../scene/scene.ts';
import { moveInside } from '../../values/geometry.ts';
import type { Finding, Mend, Rule } from '../finding.ts';

/** What stands over something else on a screen. */
export function coveredOn(screen: SceneScreen, desk: Desk): Finding[] {
  const slips = (id: string) => desk.edges.some((edge) => edge.id === id && edge.shows.by === 'slips');
  return coversOn(screen, slips).flatMap((cover) => {
    const [over, under] = [partOf(desk, cover.edge), partOf(desk, cover.part)];
    if (!over || !under) return [];
    const name = nameOfPart(over);
    return [
      {
        key: `${cover.edge} ${cover.part}`,
        told: `${capital(name)} stands over ${nameOfPart(under)}`,
        part: cover.part,
        mends: mendsOf(cover, screen),
      },
    ];
  });
}

function mendsOf(cover: Cover, screen: SceneScreen): Mend[] {
  if (cover.isEdge) {
    // What comes after it is laid in what it leaves.
    const title = 'Stand one inside the other';
    return [{ title, edit: named(title, edits.setEdge(cover.edge, { keepsWindowsOff: true })) }];
  }
  const edge = screen.edges.find(({ id }) => id === cover.edge);
  const widget = screen.widgets.find(({ id }) => id === cover.part);
  if (!edge || !widget) return [];
  const rect = moveInside(movedOff(widget.rect, edge, MARGIN), screen.rect);
  const moved = edits.moveWidgets(new Map([[widget.id, rect]]), whereaboutsOf(screen));
  return [{ title: 'Move it off', edit: named('Move it off', moved) }];
}

export const covered: Rule = {
  id: 'covered',
  title: 'Nothing stands over anything',
  fine: 'Every part has its place.',
  page: ['edges', null],
  find: ({ desk, scene }) => scene.screens.flatMap((screen) => coveredOn(screen, desk)),
};
