import { memo, type CSSProperties, type FC } from 'react';
import { isHorizontal, type Side } from '../../core/values/geometry.ts';
import type { ItemType, ItemViewOf } from '../../core/items/list.ts';
import type { SceneEdge, SceneItem } from '../../core/scene/scene.ts';
import { AppListItem } from './items/app-list/app-list.tsx';
import { ApplicationItem } from './items/application/application.tsx';
import { ClockItem } from './items/clock/clock.tsx';
import { DateItem } from './items/date/date.tsx';
import { DividerItem } from './items/divider/divider.tsx';
import { TrayItem } from './items/tray/tray.tsx';
import { WorkspacesItem } from './items/workspaces/workspaces.tsx';
import { LINE, type EdgeFacts } from './edge-facts.ts';
import { QuietCard } from './quiet-card.tsx';
import { surfaceBox, surfaceColours } from './surface.ts';

type Drawing<Type extends ItemType> = FC<{ view: ItemViewOf<Type>; edge: EdgeFacts }>;

/** The drawing half of every kind of item. Blanks draw nothing. */
const drawings: { [Type in ItemType]: Drawing<Type> | null } = {
  'app-list': AppListItem,
  application: ApplicationItem,
  workspaces: WorkspacesItem,
  clock: ClockItem,
  date: DateItem,
  tray: TrayItem,
  divider: DividerItem,
  gap: null,
  spring: null,
};

export const EdgeView = memo(function EdgeView({ edge }: { edge: SceneEdge }) {
  const { rect, side, surface, kind } = edge;
  const facts: EdgeFacts = {
    side,
    isVertical: !isHorizontal(side),
    isDock: kind === 'dock',
    iconSize: edge.iconSize,
  };
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
          edge={facts}
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
    ? { left: 0, right: 0, height: LINE.width }
    : { top: 0, bottom: 0, width: LINE.width };
  return {
    ...across,
    ...along,
    borderRadius: LINE.width,
    background: 'var(--accent)',
    boxShadow: '0 0 14px color-mix(in srgb, var(--accent) 55%, transparent)',
  };
}

function ItemBox({
  item,
  x,
  y,
  edge,
  isCut,
}: {
  item: SceneItem;
  x: number;
  y: number;
  edge: EdgeFacts;
  isCut: boolean;
}) {
  const { width, height } = item.rect;
  return (
    <div
      data-item={item.id}
      className={isCut ? 'absolute left-0 top-0 overflow-clip' : 'absolute left-0 top-0'}
      style={{ transform: `translate(${x}px, ${y}px)`, width, height }}
    >
      <ItemInside
        type={item.type}
        view={item.view}
        side={edge.side}
        isDock={edge.isDock}
        iconSize={edge.iconSize}
      />
    </div>
  );
}

const ItemInside = memo(function ItemInside({
  type,
  view,
  side,
  isDock,
  iconSize,
}: {
  type: ItemType;
  view: SceneItem['view'];
  side: Side;
  isDock: boolean;
  iconSize: number;
}) {
  const Drawn = drawings[type] as FC<{ view: unknown; edge: EdgeFacts }> | null;
  if (!Drawn) return null;
  return (
    <QuietCard title={type} of={view}>
      <Drawn view={view} edge={{ side, isDock, iconSize, isVertical: !isHorizontal(side) }} />
    </QuietCard>
  );
});
