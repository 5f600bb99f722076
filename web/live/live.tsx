import { useEffect, useMemo, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import type { Scene, SceneScreen } from '../../core/scene/scene.ts';
import { fetchLater } from '../later.ts';
import { Actions } from '../render/actions.ts';
import { Sounding } from '../render/kit/sounding.ts';
import { ScreenView } from '../render/screen/screen-view.tsx';
import { deskActions, usedOn } from '../session/actions.ts';
import { useConditions } from '../session/conditions.ts';
import { hearMenuKeys } from '../session/keys/menu-keys.ts';
import { letSlip } from '../session/presence/slipping.ts';
import { useDesk } from '../session/desk.ts';
import { LargeDesk, useHeldDesk } from '../session/large-desk.tsx';
import { useAwaitsBehind } from '../session/behind.ts';
import { useScene } from '../session/scene.ts';
import { useSounding } from '../session/sound/use-sounding.ts';
import { useOpenDesk, type OpenDeskHandlers } from '../session/use-open-desk.ts';
import { Message } from '../ui/message.tsx';
import { agreeWithOthers } from './agree.ts';
import { WayBack } from './way-back.tsx';

const handlers: OpenDeskHandlers = {
  onOpen() {
    useConditions.getState().goNow();
    useConditions.getState().startAnew();
  },
};

/** One screen of a desk alone, in use: as it is, as large as the window has room for. */
export function Live() {
  const { id = '' } = useParams();
  const [query] = useSearchParams();
  const navigate = useNavigate();
  const name = useDesk((state) => state.history?.present.name);
  const failure = useDesk((state) => state.failure);
  const scene = useScene((state) => state.scene);
  const held = useHeldDesk(id);
  useOpenDesk(id, handlers);
  const sounding = useSounding();
  useEffect(() => agreeWithOthers(id), [id]);
  useEffect(letSlip, [id]);
  useEffect(hearMenuKeys, [id]);
  useEffect(fetchLater, []);
  useEffect(() => {
    if (name) document.title = name;
  }, [name]);

  const wanted = query.get('screen');
  const screen = scene?.screens.find((one) => one.id === wanted) ?? scene?.screens[0];
  const shown = screen?.id ?? null;
  useEffect(
    () => usedOn({ screen: () => shown, arrange: () => void navigate(`/desk/${encodeURIComponent(id)}`) }),
    [id, shown, navigate],
  );

  if (failure) return <Message title="The desk can’t be opened">{failure}</Message>;
  if (held) return <LargeDesk {...held} />;
  if (!scene || !screen) return null;
  return (
    <div className="relative h-full overflow-hidden bg-black">
      <main aria-label={name} className="h-full">
        <Actions.Provider value={deskActions}>
          <Sounding.Provider value={sounding}>
            <Filling key={screen.id} desk={id} scene={scene} screen={screen} />
          </Sounding.Provider>
        </Actions.Provider>
      </main>
      <WayBack id={id} screens={scene.screens} shown={screen} />
    </div>
  );
}

/** A screen in the middle of the window. Where that has the screen's own size, it is drawn px for px. */
function Filling({ desk, scene, screen }: { desk: string; scene: Scene; screen: SceneScreen }) {
  const window = useWindowSize();
  const { width, height } = screen.rect;
  const scale = Math.min(window.width / width, window.height / height);
  const style = useMemo(
    () => ({
      left: Math.round((window.width - width * scale) / 2),
      top: Math.round((window.height - height * scale) / 2),
      width,
      height,
      transform: scale === 1 ? undefined : `scale(${scale})`,
    }),
    [window, width, height, scale],
  );
  const awaitsBehind = useAwaitsBehind(({ isAwaited }) => isAwaited);
  return (
    <div className="absolute origin-top-left" data-awaits-behind={awaitsBehind || undefined} style={style}>
      <ScreenView
        scene={scene}
        screen={screen}
        pictureWidth={width * scale * devicePixelRatio}
        desk={desk}
        isInUse
      />
    </div>
  );
}

const windowSize = () => ({ width: innerWidth, height: innerHeight });

function useWindowSize() {
  const [size, setSize] = useState(windowSize);
  useEffect(() => {
    const measure = () => setSize(windowSize());
    addEventListener('resize', measure);
    return () => removeEventListener('resize', measure);
  }, []);
  return size;
}
