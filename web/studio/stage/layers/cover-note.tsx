import { Layers2 } from 'lucide-react';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { MARGIN } from '../../../../core/arrange/free-spot.ts';
import { partOf } from '../../../../core/desk/parts.ts';
import { coversOn, movedOff, type Cover } from '../../../../core/scene/covers.ts';
import type { SceneScreen } from '../../../../core/scene/scene.ts';
import { moveInside } from '../../../../core/values/geometry.ts';
import { presentDesk, useDesk } from '../../../session/desk.ts';
import { groundOf } from '../../../session/scene.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { nameOfPart } from '../../parts/acts.ts';

/** Says at once that an edge stands over something, with what helps. Null when none does, or while something moves. */
export function CoverNote() {
  const screen = useScreenInView();
  const edges = useDesk(({ history }) => history?.present.edges);
  const isMoving = useDesk(({ history }) => history?.gesture !== null);
  if (!screen || !edges || isMoving) return null;
  const slips = (id: string) => edges.some((edge) => edge.id === id && edge.shows.by === 'slips');
  const [cover, ...others] = coversOn(screen, slips);
  const desk = presentDesk();
  const over = cover && desk && partOf(desk, cover.edge);
  const under = cover && desk && partOf(desk, cover.part);
  if (!cover || !over || !under) return null;
  return (
    <span role="status" data-cover className="flex min-w-0 items-center gap-2 text-rust">
      <Layers2 size={14} className="shrink-0" />
      <span className="truncate">
        {capital(nameOfPart(over))} stands over {nameOfPart(under)}
        {others.length > 0 && `, and ${others.length} more`}
      </span>
      <button
        type="button"
        className="shrink-0 text-brass hover:underline"
        onClick={() => mend(cover, screen)}
      >
        {cover.isEdge ? 'Stand one inside the other' : 'Move it off'}
      </button>
    </span>
  );
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function mend(cover: Cover, screen: SceneScreen): void {
  const { edit } = useDesk.getState();
  if (cover.isEdge) {
    // What comes after it is laid in what it leaves.
    edit(named('Stand one inside the other', edits.setEdge(cover.edge, { keepsWindowsOff: true })));
    return;
  }
  const edge = screen.edges.find(({ id }) => id === cover.edge);
  const widget = screen.widgets.find(({ id }) => id === cover.part);
  if (!edge || !widget) return;
  const rect = moveInside(movedOff(widget.rect, edge, MARGIN), screen.rect);
  edit(named('Move it off', edits.moveWidgets(new Map([[widget.id, rect]]), groundOf(screen))));
}
