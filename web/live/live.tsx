import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { fetchLater } from '../later.ts';
import { Actions } from '../render/actions.ts';
import { ScreenView } from '../render/screen-view.tsx';
import { deskActions } from '../session/actions.ts';
import { useConditions } from '../session/conditions.ts';
import { useDesk } from '../session/desk.ts';
import { LargeDesk, useHeldDesk } from '../session/large-desk.tsx';
import { useScene } from '../session/scene.ts';
import { useOpenDesk, type OpenDeskHandlers } from '../session/use-open-desk.ts';
import { Message } from '../ui/message.tsx';

const handlers: OpenDeskHandlers = {
  onOpen() {
    useConditions.getState().goNow();
    useConditions.getState().startAnew(windowSize());
  },
};

/** The desk alone, in use: its first screen takes the window's own size, and everything is solved for that. */
export function Live() {
  const { id = '' } = useParams();
  const name = useDesk((state) => state.history?.present.name);
  const failure = useDesk((state) => state.failure);
  const scene = useScene((state) => state.scene);
  const held = useHeldDesk(id);
  useOpenDesk(id, handlers);
  useFilledWindow();
  useEffect(fetchLater, []);
  useEffect(() => {
    if (name) document.title = name;
  }, [name]);

  if (failure) return <Message title="The desk can’t be opened">{failure}</Message>;
  if (held) return <LargeDesk {...held} />;
  const [screen] = scene?.screens ?? [];
  if (!scene || !screen) return null;
  return (
    <div className="group relative h-full overflow-hidden">
      <main aria-label={name} className="h-full">
        <Actions.Provider value={deskActions}>
          <ScreenView
            scene={scene}
            screen={screen}
            pictureWidth={screen.rect.width * devicePixelRatio}
            isInUse
          />
        </Actions.Provider>
      </main>
      <WayBack id={id} />
    </div>
  );
}

const windowSize = () => ({ width: innerWidth, height: innerHeight });

/** The first screen is as large as the window, for as long as the page is this one. */
function useFilledWindow(): void {
  useEffect(() => {
    const measure = () => useConditions.setState({ window: windowSize() });
    addEventListener('resize', measure);
    return () => {
      removeEventListener('resize', measure);
      useConditions.setState({ window: null });
    };
  }, []);
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
