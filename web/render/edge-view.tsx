import { memo, type CSSProperties, type FC } from 'react';
import { dockLine } from '../../core/items/application/application.ts';
import { itemKindOf, type ItemType } from '../../core/items/list.ts';
import type { SceneEdge, SceneItem } from '../../core/scene/scene.ts';
import { isHorizontal, type Side } from '../../core/values/geometry.ts';
import type { EdgeFacts, ItemDrawing } from './item-drawing.ts';
import { AppListItem } from './items/app-list/app-list.tsx';
import { ApplicationItem } from './items/application/application.tsx';
import { DividerItem } from './items/divider/divider.tsx';
import { TrayItem } from './items/tray/tray.tsx';
import { WorkspacesItem } from './items/workspaces/workspaces.tsx';
import { QuietCard } from './quiet-card.tsx';
import { Runs, placeOf } from './runs.tsx';
import { surfaceBox, surfaceColours } from './surface.ts';

/** What is drawn of each kind of item; null where its texts are all there is. The type checker asks for every kind. */
const drawings: { [Type in ItemType]: ItemDrawing<Type> | null } = {
  'app-list': AppListItem,
  application: ApplicationItem,
  workspaces: WorkspacesItem,
  clock: null,
  date: null,
  tray: TrayItem,
  divider: DividerItem,
  gap: null,
  spring: null,
};

export const EdgeView = memo(function EdgeView({ edge }: { edge: SceneEdge }) {
  const { rect, side, surface, kind } = edge;
  // Where there is too little room, items keep to their boxes instead of printing over one another.
  const isCrowded = edge.missing > 0;
  return (
    <div
      data-edge={edge.id}
      className="absolute left-0 top-0"
      style={{
        transform: `translate(${rect.x}px, ${rect.y}px)`,
        width: rect.width,
        height: rect.height,
        ...surfaceColours(surface),
      }}
    >
      <div className="absolute inset-0" style={surfaceBox(surface, 1, edge.touchesSide ? side : null)} />
      {kind === 'dock' && <div className="absolute" style={litLine(side)} />}
      {edge.items.map((item) => (
        <ItemBox
          key={item.id}
          item={item}
          x={item.rect.x - rect.x}
          y={item.rect.y - rect.y}
          kind={kind}
          side={side}
          isCut={isCrowded}
        />
      ))}
    </div>
  );
});

/** The line on which a dock's icons stand: at the side nearest the screen's. */
function litLine(side: Side): CSSProperties {
  const across = { [side]: 0 } as CSSProperties;
  const along: CSSProperties = isHorizontal(side)
    ? { left: 0, right: 0, height: dockLine.width }
    : { top: 0, bottom: 0, width: dockLine.width };
  return {
    ...across,
    ...along,
    borderRadius: dockLine.width,
    background: 'var(--accent)',
    boxShadow: '0 0 14px color-mix(in srgb, var(--accent) 55%, transparent)',
  };
}

function ItemBox({
  item,
  x,
  y,
  kind,
  side,
  isCut,
}: EdgeFacts & {
  item: SceneItem;
  x: number;
  y: number;
  isCut: boolean;
}) {
  const { width, height } = item.rect;
  const { type, view, layout, at } = item;
  return (
    <div
      data-item={item.id}
      className={isCut ? 'absolute left-0 top-0 overflow-clip' : 'absolute left-0 top-0'}
      style={{ transform: `translate(${x}px, ${y}px)`, width, height }}
    >
      {/* What an item shows is as large as it wants to be, in the middle of the room that it got. */}
      <div style={placeOf({ ...at, ...layout.size })}>
        <ItemInside type={type} view={view} layout={layout} kind={kind} side={side} />
      </div>
    </div>
  );
}

const ItemInside = memo(function ItemInside({
  type,
  view,
  layout,
  kind,
  side,
}: Pick<SceneItem, 'type' | 'view' | 'layout'> & EdgeFacts) {
  const Drawn = drawings[type] as FC<{ view: unknown; layout: unknown; edge: EdgeFacts }> | null;
  return (
    <QuietCard title={itemKindOf(type).title} of={view}>
      {Drawn ? <Drawn view={view} layout={layout} edge={{ kind, side }} /> : <Runs runs={layout.runs} />}
    </QuietCard>
  );
});
