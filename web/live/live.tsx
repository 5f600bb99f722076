import { Suspense, useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Desk } from '../../core/desk/schema.ts';
import { shareUnchanged } from '../../core/scene/share.ts';
import { solve } from '../../core/scene/solve.ts';
import type { Scene } from '../../core/scene/scene.ts';
import { fetchLater, later } from '../later.ts';
import { Actions, type DeskActions } from '../render/actions.ts';
import { ScreenView } from '../render/screen-view.tsx';
import { conditionsOf, useConditions } from '../stores/conditions.ts';
import { prepareType } from '../stores/drawing.ts';
import { useDesk } from '../stores/desk.ts';
import { useOpenDesk, type OpenDeskHandlers } from '../stores/use-open-desk.ts';
import { LargeDesk, useHeldDesk } from '../stores/large-desk.tsx';
import { Message } from '../ui/message.tsx';

const AppList = later(() => import('../render/app-list.tsx'));

const handlers: OpenDeskHandlers = { onOpen: () => useConditions.getState().goNow() };

/** The desk alone, in use: its first screen takes the window's own size, and everything is solved for that. */
export function Live() {
  const { id = '' } = useParams();
  const desk = useDesk((state) => state.history?.present);
  const failure = useDesk((state) => state.failure);
  const [isListOpen, setListOpen] = useState(false);
  const size = useWindowSize();
  const conditions = useConditions();
  const [memory] = useState<{ scene: Scene | undefined }>(() => ({ scene: undefined }));

  const held = useHeldDesk(id);
  useOpenDesk(id, handlers);
  useEffect(fetchLater, []);
  useEffect(() => {
    if (!desk) return;
    document.title = desk.name;
    void prepareType(desk);
  }, [desk]);

  const actions = useMemo(
    (): DeskActions => ({
      openAppList: () => setListOpen((isOpen) => !isOpen),
      start(application) {
        useConditions.getState().toggleRunning(application);
        setListOpen(false);
      },
      goTo: (workspace) => useConditions.getState().goTo(workspace),
    }),
    [],
  );

  if (failure) return <Message title="The desk can’t be opened">{failure}</Message>;
  if (held) return <LargeDesk {...held} />;
  if (!desk) return null;
  const scene = shareUnchanged(memory.scene, solve(fitted(desk, size), conditionsOf(conditions)));
  memory.scene = scene;
  const [screen] = scene.screens;
  if (!screen) return null;
  return (
    <div className="group relative h-full overflow-hidden">
      <main aria-label={desk.name} className="h-full">
        <Actions.Provider value={actions}>
          <ScreenView scene={scene} screen={screen} pictureWidth={size.width * devicePixelRatio} isInUse />
          {isListOpen && (
            <Suspense>
              <AppList
                scene={scene}
                screen={screen}
                applications={desk.applications}
                onClose={() => setListOpen(false)}
              />
            </Suspense>
          )}
        </Actions.Provider>
      </main>
      <WayBack id={id} />
    </div>
  );
}

function fitted(desk: Desk, size: { width: number; height: number }): Desk {
  return {
    ...desk,
    screens: desk.screens.map((screen, index) => (index === 0 ? { ...screen, ...size } : screen)),
  };
}

function useWindowSize() {
  const [size, setSize] = useState({ width: innerWidth, height: innerHeight });
  useEffect(() => {
    const measure = () => setSize({ width: innerWidth, height: innerHeight });
    addEventListener('resize', measure);
    return () => removeEventListener('resize', measure);
  }, []);
  return size;
}

/** Shows itself when the pointer moves or the keyboard comes to it, and goes again by itself. */
function WayBack({ id }: { id: string }) {
  const [isShown, setShown] = useState(true);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    function stir() {
      setShown(true);
      clearTimeout(timer);
      timer = setTimeout(() => setShown(false), 2500);
    }
    stir();
    addEventListener('pointermove', stir);
    return () => {
      clearTimeout(timer);
      removeEventListener('pointermove', stir);
    };
  }, []);
  return (
    <nav
      aria-label="Out of live"
      className={`absolute bottom-4 right-4 flex gap-2 transition-opacity focus-within:opacity-100 ${isShown ? 'opacity-100' : 'opacity-0'}`}
    >
      <button
        type="button"
        className="h-8 rounded-lg bg-pit/85 px-3 text-chalk hover:bg-nap"
        onClick={() => void document.documentElement.requestFullscreen()}
      >
        Full screen
      </button>
      <Link
        to={`/desk/${id}`}
        className="inline-flex h-8 items-center rounded-lg bg-pit/85 px-3 text-chalk hover:bg-nap"
      >
        Back to the studio
      </Link>
    </nav>
  );
}
