import { useBackdropView } from '../chapters/backdrop/view.ts';
import { useEyes } from '../chapters/palette/view.ts';
import { useDroppable } from '@dnd-kit/core';
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
import type { Size } from '../../../core/values/geometry.ts';
import { later } from '../../later.ts';
import { Actions } from '../../render/actions.ts';
import { LivePainting } from '../../render/backdrop-view.tsx';
import { paintBackdrop } from '../../workers/pixels.ts';
import { useDesk } from '../../session/desk.ts';
import { ScreenView } from '../../render/screen-view.tsx';
import { deskActions } from '../../session/actions.ts';
import { useScene } from '../../session/scene.ts';
import { useScreenInView } from '../../stores/screen.ts';
import { useView } from '../../stores/view.ts';
import { takePicture } from '../pictures.ts';
import { EyesFilters, eyesFilter } from './eyes.tsx';
import { Overlay } from './overlay.tsx';
import { PartMenu } from './part-menu.tsx';
import { StageScale, type StageScaleValue } from './stage-scale.ts';

const Dropper = later(async () => ({ default: (await import('./dropper.tsx')).Dropper }));

export const STAGE_DROP = 'stage';

/** Px around the screen on the stage. */
const ROOM = 22;

export function Stage() {
  const scene = useScene((state) => state.scene);
  const screen = useScreenInView();
  const { area, size } = useAreaSize();
  const picture = usePictureDrop();
  const scale = screen ? scaleFor(screen, size) : 1;
  return (
    <div className="flex min-h-0 min-w-0 flex-1 flex-col" {...picture.handlers}>
      <HintRow scale={scale} />
      <div ref={area} className="relative min-h-0 flex-1 overflow-hidden">
        {scene && screen && size.width > 0 && (
          <Frame scene={scene} screen={screen} scale={scale} size={size} isPictureOver={picture.isOver} />
        )}
      </div>
    </div>
  );
}

/** The room that there is for the screen. */
function useAreaSize() {
  const area = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState<Size>({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const element = area.current;
    if (!element) return;
    const observer = new ResizeObserver(
      ([entry]) => entry && setSize({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return { area, size };
}

function scaleFor({ rect }: SceneScreen, size: Size): number {
  return Math.max(
    0.05,
    Math.min((size.width - 2 * ROOM) / rect.width, (size.height - 2 * ROOM) / rect.height),
  );
}

/** A picture file that is dropped becomes the backdrop. */
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
        const [file] = event.dataTransfer.files;
        if (file) void takePicture(file);
      },
    },
  };
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

/** The screen where it stands on the stage, with all that lies over it. */
function Frame({ size, isPictureOver, ...shown }: ShownScreen & { size: Size; isPictureOver: boolean }) {
  const { screen, scale } = shown;
  const frame = useRef<HTMLDivElement>(null);
  const stageScale = useStageScale(frame, scale);
  const drop = useDroppable({ id: STAGE_DROP });
  const mode = useView((view) => view.mode);
  const eyes = useEyes((state) => state.eyes);
  const picking = useView((view) => view.picking);
  return (
    <StageScale.Provider value={stageScale}>
      <PartMenu>
        <div
          ref={(element) => {
            frame.current = element;
            drop.setNodeRef(element);
          }}
          data-stage
          className="absolute rounded-md"
          style={{
            width: screen.rect.width * scale,
            height: screen.rect.height * scale,
            left: (size.width - screen.rect.width * scale) / 2,
            top: Math.max(4, (size.height - screen.rect.height * scale) / 2 - 8),
            boxShadow: 'var(--stage-shadow), 0 0 0 1px color-mix(in oklab, var(--seam) 70%, transparent)',
          }}
        >
          {eyes !== 'usual' && <EyesFilters />}
          <div className="size-full overflow-hidden rounded-md" style={{ filter: eyesFilter(eyes) }}>
            <LiveScreen {...shown} isInUse={mode === 'try'} />
          </div>
          {mode === 'arrange' && !picking && <Overlay screen={screen} scale={scale} />}
          {picking && (
            <Suspense>
              <Dropper screen={screen} scale={scale} picking={picking} />
            </Suspense>
          )}
          {(drop.isOver || isPictureOver) && (
            <div className="pointer-events-none absolute inset-0 rounded-md outline-2 outline-offset-2 outline-brass outline-dashed" />
          )}
          {isPictureOver && <PictureOver />}
        </div>
      </PartMenu>
    </StageScale.Provider>
  );
}

/** The screen as it is drawn, and as it works in Try. */
function LiveScreen({ scene, screen, scale, isInUse }: ShownScreen & { isInUse: boolean }) {
  const isTurning = useDesk(({ history }) => history?.gesture?.isOnlyShown === false);
  const isBefore = useBackdropView((state) => state.isBefore);
  const painting = useMemo(() => ({ paint: paintBackdrop, isTurning, isBefore }), [isTurning, isBefore]);
  return (
    <div
      className="origin-top-left"
      style={{ transform: `scale(${scale})`, width: screen.rect.width, height: screen.rect.height }}
    >
      <Actions.Provider value={isInUse ? deskActions : null}>
        <LivePainting.Provider value={painting}>
          <ScreenView
            scene={scene}
            screen={screen}
            pictureWidth={screen.rect.width * scale * devicePixelRatio}
            isInUse={isInUse}
          />
        </LivePainting.Provider>
      </Actions.Provider>
    </div>
  );
}

function PictureOver() {
  return (
    <div className="pointer-events-none absolute inset-0 grid place-items-center rounded-md bg-pit/60">
      <span className="flex items-center gap-2 rounded-lg bg-nap px-4 py-2 font-medium">
        <ImagePlus size={18} /> Let go to make it the backdrop
      </span>
    </div>
  );
}

const arrangeHints = [
  ['Alt', 'pass snaps'],
  ['Shift', 'keep axis'],
  ['L', 'lock'],
] as const;

function HintRow({ scale }: { scale: number }) {
  const mode = useView((view) => view.mode);
  return (
    <div className="flex h-9 shrink-0 items-center gap-4 whitespace-nowrap px-[22px] text-[12px] text-dust">
      {mode === 'arrange' ? (
        arrangeHints.map(([key, text]) => (
          <span key={key}>
            <kbd className="mr-1.5 font-mono font-semibold text-chalk">{key}</kbd>
            {text}
          </span>
        ))
      ) : (
        <span>
          The pointer uses the desk. <kbd className="mx-1 font-mono font-semibold text-chalk">Esc</kbd> goes
          back to arranging.
        </span>
      )}
      <span className="ml-auto font-mono">{Math.round(scale * 100)}%</span>
    </div>
  );
}
