import { Suspense, useEffect } from 'react';
import { useLocation, useNavigate, useParams } from 'react-router';
import { toast } from '../ui/toast.ts';
import { fetchLater, later } from '../later.ts';
import { useConditions } from '../session/conditions.ts';
import { ApplicationIcon, DeskIcons } from '../render/kit/icons.tsx';
import { useDesk } from '../session/desk.ts';
import { useScene } from '../session/scene.ts';
import { useOpenDesk, type OpenDeskHandlers } from '../session/use-open-desk.ts';
import { resetStage } from '../stores/stage.ts';
import { amongKits, useView } from '../stores/view.ts';
import { usePaging } from './ready/paging.ts';
import { PickFromStage } from '../ui/pick-from-stage.ts';
import { LargeDesk, useHeldDesk } from '../session/large-desk.tsx';
import { Message } from '../ui/message.tsx';
import { useCardInHand } from './card-drag.ts';
import { Column } from './column/column.tsx';
import { chapters } from './chapters/list.ts';
import { setNavigate } from './commands/commands.ts';
import { Header } from './header/header.tsx';
import { useClipboard } from './parts/clipboard.ts';
import { keepView } from './kept-view.ts';
import { useKeys } from './commands/keys.ts';
import { useLastWay } from './parts/last-way.ts';
import { useRefusals } from './sheets/kept-aside.ts';
import { Ledge } from './ledge/ledge.tsx';
import { Rail } from './rail.tsx';
import { Stage } from './stage/stage.tsx';

const DraggedCard = later(async () => ({
  default: (await import('./chapters/widgets/face-card.tsx')).DraggedCard,
}));

const ReadyRow = later(() => import('./ready/ready-row.tsx'));
const KitsRow = later(() => import('./kits/kits-row.tsx'));
const Sheets = later(() => import('./sheets/sheets.tsx'));
const ConflictSheet = later(async () => ({ default: (await import('./sheets/conflict.tsx')).ConflictSheet }));
const RescuedSheet = later(async () => ({ default: (await import('./sheets/rescued.tsx')).RescuedSheet }));

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
  useLastWay();
  useEffect(fetchLater, []);
  useEffect(() => setNavigate((path) => void navigate(path)), [navigate]);
  useEffect(() => {
    document.title = name ? `${name} · Velvet Ledge` : 'Velvet Ledge';
  }, [name]);

  if (failure) return <Message title="The desk can’t be opened">{failure}</Message>;
  if (held) return <LargeDesk {...held} />;
  if (!isOpen) return <div className="grid h-full place-items-center text-dust">Opening the desk…</div>;
  return (
    <>
      <div className="grid h-full grid-cols-[64px_clamp(304px,20vw,384px)_minmax(0,1fr)] grid-rows-[48px_minmax(0,1fr)]">
        <Header />
        <Rail />
        <PickFromStage.Provider value={pickFromStage}>
          <Column />
        </PickFromStage.Provider>
        <main className="flex min-h-0 min-w-0 flex-col bg-pit">
          <Stage />
          <LitLine />
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
    </>
  );
}

/** What stands under the stage: the day, or looks to be worn. */
function LitLine() {
  const isAmongKits = useView(amongKits);
  const pages = usePaging((state) => state.pages);
  if (!isAmongKits && !pages) return <Ledge />;
  return (
    <Suspense fallback={<div className="h-[104px] shrink-0" />}>
      {pages ? <ReadyRow pages={pages} /> : <KitsRow />}
    </Suspense>
  );
}

const pickFromStage = (title: string, take: (colour: string) => void) =>
  useView.getState().pick({ title, take });

function CardOverlay() {
  const held = useCardInHand((state) => state.held);
  return (
    held && (
      <div className="pointer-events-none fixed z-50" style={{ left: held.at.x, top: held.at.y }}>
        {held.by === 'face' ? (
          <Suspense>
            <DraggedCard type={held.widget} face={held.face} />
          </Suspense>
        ) : (
          <ApplicationInHand application={held.application} />
        )}
      </div>
    )
  );
}

/** The icon of an application that hangs from the pointer. */
function ApplicationInHand({ application }: { application: string }) {
  const found = useDesk((state) => state.history?.present.applications.find(({ id }) => id === application));
  const icons = useScene((state) => state.scene?.icons);
  return (
    found &&
    icons && (
      <div className="-translate-1/2 rounded-lg bg-pit/80 p-2 text-chalk outline-2 outline-brass outline">
        <DeskIcons icons={icons}>
          <ApplicationIcon application={application} name={found.Icon} size={28} />
        </DeskIcons>
      </div>
    )
  );
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
