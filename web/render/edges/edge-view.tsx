import clsx from 'clsx';
import {
  Suspense,
  memo,
  useContext,
  useMemo,
  useRef,
  type ComponentProps,
  type ComponentType,
  type FC,
} from 'react';
import { later } from '../../later.ts';
import { itemKindOf, type ItemType } from '../../../core/items/list.ts';
import type { SceneEdge, SceneItem, SceneMore } from '../../../core/scene/scene.ts';
import { lineStyle } from './dock-line.ts';
import type { EdgeFacts, ItemDrawing } from './item-drawing.ts';
import { menuButtons } from '../items/menu-buttons.tsx';
import { ApplicationItem } from '../items/application/application.tsx';
import { ClockItem } from '../items/clock/clock.tsx';
import { DateItem } from '../items/date/date.tsx';
import { DaylightItem } from '../items/daylight/daylight.tsx';
import { HalfItem } from '../items/half/half.tsx';
import { LabelItem } from '../items/label/label.tsx';
import { PictureItem } from '../items/picture/picture.tsx';
import { ReadingItem } from '../items/reading/reading.tsx';
import { PlayingItem } from '../items/playing/playing.tsx';
import { VolumeItem } from '../items/volume/volume.tsx';
import { SessionItem } from '../items/session/session.tsx';
import { WithPresses } from './item-presses.tsx';
import { DividerItem } from '../items/divider/divider.tsx';
import { TrayItem } from '../items/tray/tray.tsx';
import { WorkspacesItem } from '../items/workspaces/workspaces.tsx';
import { Actions } from '../actions.ts';
import { useGrowth } from './growth.ts';
import { Press } from '../kit/press.tsx';
import { QuietCard } from '../kit/quiet-card.tsx';
import { Runs, placeOf } from '../kit/runs.tsx';
import { OnSurface, surfaceBox, surfaceColours } from '../kit/surface.ts';

const windowItems = () => import('../items/window-items.ts');
const OpenWindowsItem = later(async () => ({ default: (await windowItems()).OpenWindowsItem }));
const FrontTitleItem = later(async () => ({ default: (await windowItems()).FrontTitleItem }));
const FrontMenusItem = later(async () => ({ default: (await windowItems()).FrontMenusItem }));
const ClearViewItem = later(async () => ({ default: (await windowItems()).ClearViewItem }));
const OverviewItem = later(async () => ({ default: (await windowItems()).OverviewItem }));

/** What is drawn of each kind of item; null where its texts are all there is. The type checker asks for every kind. */
const drawings: {
  [Type in ItemType]: ItemDrawing<Type> | ComponentType<ComponentProps<ItemDrawing<Type>>> | null;
} = {
  ...menuButtons,
  application: ApplicationItem,
  workspaces: WorkspacesItem,
  'open-windows': OpenWindowsItem,
  'front-title': FrontTitleItem,
  'front-menus': FrontMenusItem,
  'clear-view': ClearViewItem,
  overview: OverviewItem,
  clock: ClockItem,
  date: DateItem,
  tray: TrayItem,
  divider: DividerItem,
  gap: null,
  spring: null,
  daylight: DaylightItem,
  reading: ReadingItem,
  half: HalfItem,
  session: SessionItem,
  playing: PlayingItem,
  volume: VolumeItem,
  label: LabelItem,
  picture: PictureItem,
};

export const EdgeView = memo(function EdgeView({ edge }: { edge: SceneEdge }) {
  const { rect, side, surface, kind, backing, growth, line, mark, plate, more } = edge;
  const box = useRef<HTMLDivElement>(null);
  const isInUse = useContext(Actions) !== null;
  useGrowth(box, edge, isInUse ? growth : null);
  const facts = useMemo(
    () => ({ kind, side, line: line ?? undefined, mark: mark ?? undefined, plate }),
    [kind, side, line, mark, plate],
  );
  // Where there is too little room, items keep to their boxes instead of printing over one another.
  const isCrowded = edge.missing > 0;
  const away = edge.isAway ? offScreen(edge) : { x: 0, y: 0 };
  return (
    <OnSurface.Provider value={surface}>
      <div
        ref={box}
        data-edge={edge.id}
        data-bare={surface.kind === 'bare' || undefined}
        data-away={edge.isAway || undefined}
        className={clsx('absolute left-0 top-0', isInUse && 'slips')}
        style={{
          transform: `translate(${rect.x + away.x}px, ${rect.y + away.y}px)`,
          width: rect.width,
          height: rect.height,
          ...surfaceColours(surface),
        }}
      >
        {backing && (
          <div
            data-stretches={backing.width === rect.width && backing.height === rect.height ? '' : undefined}
            style={{
              ...placeOf({ ...backing, x: backing.x - rect.x, y: backing.y - rect.y }),
              ...surfaceBox(surface, 1, edge.touchesSide ? side : null),
            }}
          />
        )}
        {line && line.kind !== 'none' && (
          <div className="absolute" data-stretches="" data-line={line.kind} style={lineStyle(line, side)} />
        )}
        {edge.items.map((item) => (
          <ItemBox
            key={item.id}
            item={item}
            x={item.rect.x - rect.x}
            y={item.rect.y - rect.y}
            facts={facts}
            isCut={isCrowded}
          />
        ))}
        {more && <MoreBox edge={edge.id} more={more} x={more.rect.x - rect.x} y={more.rect.y - rect.y} />}
      </div>
    </OnSurface.Provider>
  );
});

/** How far an edge goes to be off its screen. */
function offScreen({ side, rect }: SceneEdge): { x: number; y: number } {
  const margin = 40;
  switch (side) {
    case 'top':
      return { x: 0, y: -(rect.y + rect.height + margin) };
    case 'left':
      return { x: -(rect.x + rect.width + margin), y: 0 };
    case 'bottom':
      return { x: 0, y: rect.height + margin };
    case 'right':
      return { x: rect.width + margin, y: 0 };
  }
}

/** The button that opens what found no room. */
function MoreBox({ edge, more, x, y }: { edge: string; more: SceneMore; x: number; y: number }) {
  const { rect, at, layout, ids, surface } = more;
  return (
    <div
      data-more={edge}
      className="absolute left-0 top-0"
      style={{
        transform: `translate(${x}px, ${y}px)`,
        width: rect.width,
        height: rect.height,
        ...(surface && surfaceColours(surface)),
      }}
    >
      <Press
        label={`${ids.length} more`}
        onPress={(actions) => actions.turnMore(edge)}
        className="panel-press"
      >
        <span style={placeOf({ ...at, ...layout.size })}>
          <Runs runs={layout.runs} />
        </span>
      </Press>
    </div>
  );
}

export function ItemBox({
  item,
  x,
  y,
  facts,
  isCut,
}: {
  item: SceneItem;
  x: number;
  y: number;
  facts: EdgeFacts;
  isCut: boolean;
}) {
  const { width, height } = item.rect;
  const { type, view, layout, at, presses, surface } = item;
  const inside = <ItemInside id={item.id} type={type} view={view} layout={layout} facts={facts} />;
  const box = (
    <div
      data-item={item.id}
      className={isCut ? 'absolute left-0 top-0 overflow-clip' : 'absolute left-0 top-0'}
      style={{
        transform: `translate(${x}px, ${y}px)`,
        width,
        height,
        ...(surface && surfaceColours(surface)),
      }}
    >
      {/* What an item shows is as large as it wants to be, in the middle of the room that it got. */}
      <div style={placeOf({ ...at, ...layout.size })}>
        {presses ? (
          <WithPresses id={item.id} presses={presses}>
            {inside}
          </WithPresses>
        ) : (
          inside
        )}
      </div>
    </div>
  );
  return surface ? <OnSurface.Provider value={surface}>{box}</OnSurface.Provider> : box;
}

const ItemInside = memo(function ItemInside({
  id,
  type,
  view,
  layout,
  facts,
}: Pick<SceneItem, 'id' | 'type' | 'view' | 'layout'> & { facts: EdgeFacts }) {
  const Drawn = drawings[type] as FC<{ id: string; view: unknown; layout: unknown; edge: EdgeFacts }> | null;
  return (
    <QuietCard title={itemKindOf(type).title} of={view}>
      {Drawn ? (
        <Suspense fallback={<Runs runs={layout.runs} />}>
          <Drawn id={id} view={view} layout={layout} edge={facts} />
        </Suspense>
      ) : (
        <Runs runs={layout.runs} />
      )}
    </QuietCard>
  );
});
