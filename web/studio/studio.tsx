import {
  DndContext,
  DragOverlay,
  PointerSensor,
  pointerWithin,
  useDndMonitor,
  useSensor,
  useSensors,
  type CollisionDetection,
  type DragEndEvent,
} from '@dnd-kit/core';
import { Suspense, useEffect, useState } from 'react';
import { useLocation, useNavigate, useParams } from 'react-router';
import { toast } from '../ui/toast.ts';
import type { WidgetType } from '../../core/widgets/list.ts';
import { fetchLater, later } from '../later.ts';
import { useConditions } from '../session/conditions.ts';
import { useDesk } from '../session/desk.ts';
import { currentScreen } from '../stores/screen.ts';
import { useOpenDesk, type OpenDeskHandlers } from '../session/use-open-desk.ts';
import { resetStage } from '../stores/stage.ts';
import { useView } from '../stores/view.ts';
import { PickFromStage } from '../ui/colour-field.tsx';
import { LargeDesk, useHeldDesk } from '../session/large-desk.tsx';
import { Message } from '../ui/message.tsx';
import { addWidget } from './acts.ts';
import { Column } from './column/column.tsx';
import { DraggedCard } from './chapters/widgets/face-card.tsx';
import { chapters } from './chapters/list.ts';
import { setNavigate } from './commands.ts';
import { Header } from './header/header.tsx';
import { useClipboard } from './clipboard.ts';
import { keepView } from './kept-view.ts';
import { useKeys } from './keys.ts';
import { useRefusals } from './kept-aside.ts';
import { Ledge } from './ledge/ledge.tsx';
import { Rail } from './rail.tsx';
import { STAGE_DROP, Stage } from './stage/stage.tsx';

const Sheets = later(() => import('./sheets.tsx'));
const ConflictSheet = later(async () => ({ default: (await import('./conflict.tsx')).ConflictSheet }));
const RescuedSheet = later(async () => ({ default: (await import('./rescued.tsx')).RescuedSheet }));

export function Studio() {
  const { id = '' } = useParams();
  const navigate = useNavigate();
  const { state } = useLocation();
  const failure = useDesk((state) => state.failure);
  const isOpen = useDesk((state) => state.history !== null);
  const name = useDesk((state) => state.history?.present.name);
  const isSheetOpen = useView((view) => view.sheet !== null);
  const isConflict = useDesk((state) => state.saving.state === 'conflict');
  const isRescued = useDesk((state) => state.rescued !== null);
  const held = useHeldDesk(id);
  useOpenDesk(id, handlers);
  useEffect(() => {
    const start = (state as { chapter?: string } | null)?.chapter;
    if (start) useView.getState().goToChapter(start);
    return keepView(id);
  }, [id, state]);
  useKeys();
  useClipboard();
  useRefusals();
  useEffect(fetchLater, []);
  useEffect(() => setNavigate((path) => void navigate(path)), [navigate]);
  useEffect(() => {
    document.title = name ? `${name} · Velvet Ledge` : 'Velvet Ledge';
  }, [name]);

  // A press adds a widget; only a real drag starts one.
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));

  if (failure) return <Message title="The desk can’t be opened">{failure}</Message>;
  if (held) return <LargeDesk {...held} />;
  if (!isOpen) return <div className="grid h-full place-items-center text-dust">Opening the desk…</div>;
  return (
    <DndContext sensors={sensors} collisionDetection={overStage} autoScroll={false} onDragEnd={dropOnStage}>
      <div className="grid h-full grid-cols-[64px_304px_minmax(0,1fr)] grid-rows-[48px_minmax(0,1fr)]">
        <Header />
        <Rail />
        <PickFromStage.Provider value={pickFromStage}>
          <Column />
        </PickFromStage.Provider>
        <main className="flex min-h-0 min-w-0 flex-col bg-pit">
          <Stage />
          <Ledge />
        </main>
      </div>
      {isSheetOpen && (
        <Suspense>
          <Sheets />
        </Suspense>
      )}
      <Suspense>
        {isConflict && <ConflictSheet />}
        {isRescued && <RescuedSheet />}
      </Suspense>
      <CardOverlay />
    </DndContext>
  );
}

const pickFromStage = (title: string, take: (colour: string) => void) =>
  useView.getState().pick({ title, take });

interface Card {
  widget: WidgetType;
  face: string;
}

/** The card in hand: the one on the column may go while it is dragged. */
let inHand: Card | undefined;

function CardOverlay() {
  const [card, setCard] = useState<Card>();
  const hold = (next: Card | undefined) => setCard((inHand = next));
  useDndMonitor({
    onDragStart: ({ active }) => hold(active.data.current as Card | undefined),
    onDragEnd: () => hold(undefined),
    onDragCancel: () => hold(undefined),
  });
  return (
    <DragOverlay dropAnimation={null}>
      {card && <DraggedCard type={card.widget} face={card.face} />}
    </DragOverlay>
  );
}

/** What is near lies under the column too, where nothing is dropped on it. */
const overStage: CollisionDetection = (asked) => {
  const point = asked.pointerCoordinates;
  const box = document.querySelector('[data-stage-area]')?.getBoundingClientRect();
  const isOver =
    point &&
    box &&
    point.x >= box.left &&
    point.x <= box.right &&
    point.y >= box.top &&
    point.y <= box.bottom;
  return isOver ? pointerWithin(asked) : [];
};

/** A widget let go over the stage stands where its card was. */
function dropOnStage({ active, over }: DragEndEvent): void {
  const card = inHand;
  const [isStage, id] = String(over?.id ?? '').split(' ');
  const box = isStage === STAGE_DROP ? over?.rect : null;
  if (box && id) useView.getState().showScreen(id);
  const moved = active.rect.current.translated;
  const screen = currentScreen();
  if (!card || !box || !moved || !screen) return;
  const scale = box.width / screen.rect.width;
  addWidget(card.widget, card.face, {
    x: (moved.left + moved.width / 2 - box.left) / scale,
    y: (moved.top + moved.height / 2 - box.top) / scale,
  });
}

const handlers: OpenDeskHandlers = {
  onOpen() {
    useView.getState().startAnew();
    resetStage();
    for (const { reset } of chapters) reset?.();
    useConditions.getState().startAnew();
  },
  onTaken: () => void toast('Changed in another window; this is the newest state.'),
  onRemoved: () =>
    void toast.warning('This desk was taken off the shelf elsewhere. Put it back there to go on saving.'),
};
