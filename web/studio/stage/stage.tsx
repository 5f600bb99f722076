import { useBackdropView } from '../chapters/backdrop/view.ts';
import { useEyes } from '../chapters/palette/view.ts';
import clsx from 'clsx';
import { ImagePlus } from 'lucide-react';
import {
  Suspense,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type DragEvent,
  type RefObject,
} from 'react';
import type { Scene, SceneScreen } from '../../../core/scene/scene.ts';
import type { Point } from '../../../core/values/geometry.ts';
import { later } from '../../later.ts';
import { Actions } from '../../render/actions.ts';
import { LivePainting } from '../../render/backdrop/backdrop-view.tsx';
import { paintBackdrop } from '../../workers/pixels.ts';
import { usedOn } from '../../session/actions.ts';
import { hearMenuKeys } from '../../session/keys/menu-keys.ts';
import { letSlip } from '../../session/presence/slipping.ts';
import { useDesk } from '../../session/desk.ts';
import { persist } from '../../later.ts';
import { Sounding } from '../../render/kit/sounding.ts';
import { useSounding } from '../../session/sound/use-sounding.ts';
import { ScreenView, pictureWidthAt } from '../../render/screen/screen-view.tsx';
import { deskActions } from '../../session/actions.ts';
import { useAwaitsBehind } from '../../session/behind.ts';
import { useScene } from '../../session/scene.ts';
import { useScreenInView } from '../../stores/screen.ts';
import { useStage } from '../../stores/stage.ts';
import { currentScreen } from '../../stores/screen.ts';
import { amongCompared, useView } from '../../stores/view.ts';
import { useComparing, type Way } from '../compare/comparing.ts';
import { takePicture } from '../pictures/pictures.ts';
import { EyesFilters, eyesFilter } from './layers/eyes.tsx';
import { Overlay } from './layers/overlay.tsx';
import { PartMenu } from './part-menu.tsx';
import { StageBar } from './camera/stage-bar.tsx';
import { StageScale, type StageScaleValue } from './camera/stage-scale.ts';
import { cameraFor, shownOf } from './camera/stage-view.ts';
import { useCamera } from './camera/use-camera.ts';

const Starts = later(async () => ({ default: (await import('./starts.tsx')).Starts }));
const OverStage = later(async () => ({ default: (await import('../compare/other-screens.tsx')).OverStage }));
const BesideStage = later(async () => ({
  default: (await import('../compare/other-screens.tsx')).BesideStage,
}));
const Dropper = later(async () => ({ default: (await import('./dropper.tsx')).Dropper }));

export function Stage() {
  const scene = useScene((state) => state.scene);
  const view = useView((state) => state.screen);
  const stage = useStage();
  const area = useArea();
  const picture = usePictureDrop();
  useCamera(area);
  const mode = useView((state) => state.mode);
  // What slips away does so where the desk is used; where it is arranged all of it is there.
  useEffect(() => {
    if (mode !== 'try') return;
    const stops = [letSlip(), hearMenuKeys()];
    return () => stops.forEach((stop) => stop());
  }, [mode]);
  useEffect(
    () =>
      usedOn({
        screen: () => currentScreen()?.id ?? null,
        arrange: () => useView.getState().setMode('arrange'),
      }),
    [],
  );
  const shown = useMemo(() => shownOf(scene, view, stage.isTogether), [scene, view, stage.isTogether]);
  const camera = shown && cameraFor(stage, shown);
  const compared = useCompared();
  const awaitsBehind = useAwaitsBehind(({ isAwaited }) => isAwaited);
  return (
    <div className="flex min-h-0 min-w-0 flex-1 flex-col" {...picture.handlers}>
      <StageBar scale={camera?.scale ?? 1} />
      <div className="flex min-h-0 flex-1">
        <div
          ref={area}
          data-stage-area
          data-awaits-behind={awaitsBehind || undefined}
          className="relative min-h-0 min-w-0 flex-1 touch-none overflow-hidden"
        >
          {scene && shown && camera && stage.area.width > 0 && (
            <PartMenu>
              {shown.screens.map(({ screen, at }) => (
                <Frame
                  key={screen.id}
                  scene={scene}
                  screen={screen}
                  scale={camera.scale}
                  at={{ x: camera.at.x + at.x * camera.scale, y: camera.at.y + at.y * camera.scale }}
                  isNamed={shown.screens.length > 1}
                  isPictureOver={picture.isOver}
                />
              ))}
              {compared && (
                <Suspense>
                  <OverStage shown={shown} camera={camera} />
                </Suspense>
              )}
            </PartMenu>
          )}
        </div>
        {shown && camera && compared === 'side' && (
          <Suspense>
            <BesideStage shown={shown} camera={camera} />
          </Suspense>
        )}
      </div>
    </div>
  );
}

/** How the desk is compared; null while it isn't. */
function useCompared(): Way | null {
  const isComparing = useView(amongCompared);
  return useComparing(({ with: other, way }) => (isComparing && other ? way : null));
}

/** The room that there is for the screens. */
function useArea() {
  const area = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const element = area.current;
    if (!element) return;
    const observer = new ResizeObserver(
      ([entry]) =>
        entry &&
        useStage.setState({ area: { width: entry.contentRect.width, height: entry.contentRect.height } }),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return area;
}

/** By their endings: sets of icons. */
const ICON_ARCHIVE = /\.(zip|tar|tgz|tar\.gz)$/i;
/** … what is heard, and lists of it. */
const SOUND = /\.(mp3|ogg|opus|flac|wav|m4a|xspf|m3u8?)$/i;

/** A picture file that is dropped becomes the backdrop; sounds and playlists go to the list of what is played. */
function usePictureDrop() {
  const [isOver, setOver] = useState(false);
  return {
    isOver,
    handlers: {
      onDragOver(event: DragEvent) {
        if (!event.dataTransfer.types.includes('Files')) return;
        event.preventDefault();
        setOver(true);
      },
      onDragLeave: () => setOver(false),
      onDrop(event: DragEvent) {
        event.preventDefault();
        setOver(false);
        const files = [...event.dataTransfer.files];
        if (takesIcons(event.dataTransfer, files)) return;
        const sounds = files.filter(({ type, name }) => type.startsWith('audio/') || SOUND.test(name));
        const file = files.find((one) => !sounds.includes(one));
        if (file) void takePicture(file);
        if (sounds.length > 0) {
          useView.getState().goToChapter('widgets', 'sound');
          void persist(() => import('../chapters/widgets/sound/take-sounds.ts')).then(({ takeSounds }) =>
            takeSounds(sounds),
          );
        }
      },
    },
  };
}

/** A folder or an archive that is dropped is a set of icons. */
function takesIcons({ items }: DataTransfer, files: readonly File[]): boolean {
  const entry = items[0]?.webkitGetAsEntry();
  const archive = files.find(({ name }) => ICON_ARCHIVE.test(name));
  if (!entry?.isDirectory && !archive) return false;
  useView.getState().goToChapter('look', 'icons');
  void persist(() => import('../icons/take-icons.ts')).then(async (icons) => {
    if (entry?.isDirectory)
      await icons.takeIconFolder(entry.name, await icons.droppedFolder(entry as FileSystemDirectoryEntry));
    else if (archive) await icons.takeIcons(archive, archive.name);
  });
  return true;
}

/** Lets whatever is dragged on the stage ask where on the desk it is. */
function useStageScale(frame: RefObject<HTMLElement | null>, scale: number): StageScaleValue {
  const now = useRef(scale);
  useEffect(() => {
    now.current = scale;
  });
  return useMemo(
    () => ({
      scale: () => now.current,
      toDesk(page) {
        const box = frame.current?.getBoundingClientRect();
        return {
          x: (page.x - (box?.left ?? 0)) / now.current,
          y: (page.y - (box?.top ?? 0)) / now.current,
        };
      },
    }),
    [frame],
  );
}

interface ShownScreen {
  scene: Scene;
  screen: SceneScreen;
  scale: number;
}

/** A screen where it stands on the stage, with all that lies over it. */
function Frame({
  at,
  isNamed,
  isPictureOver,
  ...shown
}: ShownScreen & { at: Point; isNamed: boolean; isPictureOver: boolean }) {
  const { screen, scale } = shown;
  const frame = useRef<HTMLDivElement>(null);
  const stageScale = useStageScale(frame, scale);
  const mode = useView((view) => view.mode);
  const eyes = useEyes((state) => state.eyes);
  // Colours, type and icons are judged on windows too; one press beside the ledge puts them out of the way.
  const seesWindows = useView((view) => view.mode === 'try' || view.seesWindows);
  const picking = useView((view) => view.picking);
  const isCurrent = useScreenInView()?.id === screen.id;
  const isTarget = useView((view) => view.target) === screen.id;
  useSharpness(frame, scale);
  return (
    <StageScale.Provider value={stageScale}>
      <div
        ref={frame}
        data-stage={isCurrent || undefined}
        data-frame={screen.id}
        data-no-windows={seesWindows ? undefined : ''}
        className="absolute rounded-md"
        style={{
          width: screen.rect.width * scale,
          height: screen.rect.height * scale,
          left: Math.round(at.x),
          top: Math.round(at.y),
          boxShadow: 'var(--stage-shadow), 0 0 0 1px color-mix(in oklab, var(--seam) 70%, transparent)',
        }}
        // Whoever takes something on a screen is on that screen.
        onPointerDownCapture={() => isCurrent || useView.getState().showScreen(screen.id)}
        onFocusCapture={() => isCurrent || useView.getState().showScreen(screen.id)}
      >
        {isNamed && (
          <span
            className={clsx(
              'absolute bottom-full left-0 max-w-full truncate pb-1 text-[12px]',
              isCurrent ? 'text-brass' : 'text-dust',
            )}
          >
            {screen.name}
          </span>
        )}
        {eyes !== 'usual' && <EyesFilters />}
        <div className="size-full overflow-hidden rounded-md" style={{ filter: eyesFilter(eyes) }}>
          <LiveScreen {...shown} isInUse={mode === 'try'} />
        </div>
        {mode === 'arrange' && !picking && <Overlay screen={screen} scale={scale} isCurrent={isCurrent} />}
        {mode === 'arrange' && !picking && isCurrent && isBare(screen) && (
          <Suspense>
            <Starts screen={screen} />
          </Suspense>
        )}
        {picking && isCurrent && (
          <Suspense>
            <Dropper screen={screen} scale={scale} picking={picking} />
          </Suspense>
        )}
        {(isTarget || (isPictureOver && isCurrent)) && (
          <div className="pointer-events-none absolute inset-0 rounded-md outline-2 outline-offset-2 outline-brass outline-dashed" />
        )}
        {isPictureOver && isCurrent && <PictureOver />}
      </div>
    </StageScale.Provider>
  );
}

function isBare({ edges, widgets }: SceneScreen): boolean {
  return edges.length + widgets.length === 0;
}

/** Ms after which what was brought nearer is drawn anew at its size. */
const REST_MS = 120;

/** Parts that have layers of their own keep the pixels of the size that they had first: after a change they get new ones. */
function useSharpness(frame: RefObject<HTMLElement | null>, scale: number): void {
  const drawn = useRef(scale);
  useEffect(() => {
    const element = frame.current;
    if (!element || drawn.current === scale) return;
    drawn.current = scale;
    element.setAttribute('data-rescaled', '');
    const timer = setTimeout(() => element.removeAttribute('data-rescaled'), REST_MS);
    return () => clearTimeout(timer);
  }, [frame, scale]);
}

/** The screen as it is drawn, and as it works in Try. */
function LiveScreen({ scene, screen, scale, isInUse }: ShownScreen & { isInUse: boolean }) {
  const isTurning = useDesk(({ history }) => history?.gesture?.isOnlyShown === false);
  const isBefore = useBackdropView((state) => state.isBefore);
  const sounding = useSounding();
  const desk = useDesk(({ history }) => history?.present.id ?? null);
  const painting = useMemo(() => ({ paint: paintBackdrop, isTurning, isBefore }), [isTurning, isBefore]);
  return (
    <div
      className="origin-top-left"
      style={{ transform: `scale(${scale})`, width: screen.rect.width, height: screen.rect.height }}
    >
      <Actions.Provider value={isInUse ? deskActions : null}>
        <LivePainting.Provider value={painting}>
          <Sounding.Provider value={sounding}>
            <ScreenView
              scene={scene}
              screen={screen}
              pictureWidth={pictureWidthAt(screen, scale)}
              desk={desk}
              isInUse={isInUse}
            />
          </Sounding.Provider>
        </LivePainting.Provider>
      </Actions.Provider>
    </div>
  );
}

function PictureOver() {
  return (
    <div className="pointer-events-none absolute inset-0 grid place-items-center rounded-md bg-pit/60">
      <span className="flex items-center gap-2 rounded-lg bg-nap px-4 py-2 font-medium">
        <ImagePlus size={18} /> A picture becomes the backdrop, a sound goes on the list, a folder or archive
        is a set of icons
      </span>
    </div>
  );
}
