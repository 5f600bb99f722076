import clsx from 'clsx';
import { memo, useMemo } from 'react';
import type { Edge, Item } from '../../../../core/desk/shapes/edges.ts';
import type { Desk } from '../../../../core/desk/desk.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { itemKindOf } from '../../../../core/items/list.ts';
import { solve } from '../../../../core/scene/solve.ts';
import { EdgeView } from '../../../render/edges/edge-view.tsx';
import { useConditions } from '../../../session/conditions.ts';
import { useDesk } from '../../../session/desk.ts';
import { CardBackdrop } from '../../card-backdrop.tsx';
import { useHalf } from '../../../session/scene.ts';

/** What a card is drawn for, px, and what is free around the item on it. */
const CARD = { width: 129, height: 72, around: 8, name: 20 };

/** Each face of an item as it would look on its edge. */
export function ItemFaces({ item, edge }: { item: Item; edge: Edge }) {
  return (
    <div className="grid grid-cols-2 gap-2" role="group" aria-label="Faces" data-field="Face">
      {itemKindOf(item.type).faces.map(({ id, title }) => (
        <button
          key={id}
          type="button"
          aria-pressed={item.face === id}
          data-face={id}
          onClick={() => useDesk.getState().edit(edits.setItemFaces([item.id], id))}
          className={clsx(
            'relative w-full overflow-hidden rounded-lg bg-pit text-left hover:outline hover:outline-brass/70',
            item.face === id && 'outline-2 outline-offset-2 outline-brass outline',
          )}
          style={{ aspectRatio: `${CARD.width} / ${CARD.height}` }}
        >
          <ItemSketch item={item} edge={edge} face={id} />
          <span className="absolute inset-x-0 bottom-0 bg-linear-to-t from-black/75 to-transparent px-2 pb-0.5 pt-3 text-[12px] font-semibold text-white">
            {title}
          </span>
        </button>
      ))}
    </div>
  );
}

/** The edge with nothing on it but the item, as of the minute: what ticks would draw the eye from the stage. */
function sketchOf(desk: Desk, edge: Edge, item: Item, face: string): Desk {
  const alone: Edge = {
    ...edge,
    screen: 'sketch',
    length: { by: 'items' },
    align: 'centre',
    offset: 0,
    margin: 0,
    padding: 6,
    shows: { by: 'always' },
    labels: false,
    items: [{ ...item, face, before: 0, after: 0 }],
  };
  return {
    ...desk,
    screens: [{ id: 'sketch', name: 'Sketch', width: 1600, height: 1600, scaleFactor: 1, x: 0, y: 0 }],
    edges: [alone],
    widgets: [],
  };
}

const ItemSketch = memo(function ItemSketch({ item, edge, face }: { item: Item; edge: Edge; face: string }) {
  const desk = useDesk((state) => state.history?.present);
  const moment = useConditions((state) => Math.floor(state.moment / 60_000) * 60_000);
  const half = useHalf();
  const [look, place, applications, workspaces] = [
    desk?.look,
    desk?.place,
    desk?.applications,
    desk?.workspaces,
  ];
  const scene = useMemo(
    () => (desk ? solve(sketchOf(desk, edge, item, face), { moment, half }) : null),
    // What a sketch shows of the desk is named here; the rest of it may change freely.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [look, place, applications, workspaces, edge, item, face, moment, half],
  );
  const shown = scene?.screens[0]?.edges[0];
  const room = { width: CARD.width - 2 * CARD.around, height: CARD.height - CARD.name - CARD.around };
  const scale = shown ? Math.min(1, room.width / shown.rect.width, room.height / shown.rect.height) : 1;
  return (
    <CardBackdrop card={CARD} scene={scene}>
      {shown && (
        <div
          className="absolute origin-top-left"
          style={{
            left: (CARD.width - shown.rect.width * scale) / 2,
            top: (CARD.height - CARD.name - shown.rect.height * scale) / 2 + 4,
            transform: `scale(${scale}) translate(${-shown.rect.x}px, ${-shown.rect.y}px)`,
          }}
        >
          <EdgeView edge={shown} />
        </div>
      )}
    </CardBackdrop>
  );
});
