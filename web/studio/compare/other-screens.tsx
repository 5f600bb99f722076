import clsx from 'clsx';
import { useEffect, useMemo, useRef, useState, type CSSProperties, type PointerEvent } from 'react';
import { useShallow } from 'zustand/react/shallow';
import type { Desk } from '../../../core/desk/desk.ts';
import { conditionsOf } from '../../../core/scene/conditions.ts';
import type { Scene } from '../../../core/scene/scene.ts';
import { createSolver } from '../../../core/scene/solver.ts';
import { clamp, type Rect, type Size } from '../../../core/values/geometry.ts';
import { ScreenView, pictureWidthAt } from '../../render/screen/screen-view.tsx';
import { Sounding } from '../../render/kit/sounding.ts';
import { useBehind } from '../../render/screen/use-behind.ts';
import { useConditions } from '../../session/conditions.ts';
import { useSounding } from '../../session/sound/use-sounding.ts';
import { useStage } from '../../stores/stage.ts';
import { useEyes } from '../chapters/palette/view.ts';
import type { Camera } from '../stage/camera/camera.ts';
import type { Shown } from '../stage/camera/stage-view.ts';
import { eyesFilter } from '../stage/layers/eyes.tsx';
import { HOLD_KEY, useComparing, useNameOfOther, useOther } from './comparing.ts';

interface Placing {
  shown: Shown;
  camera: Camera;
}

/** By how much of what is seen a key moves the line. */
const STEP = 0.01;
const LARGE_STEP = 0.1;

/** The other desk over the one on the stage, as far as the line lets it be seen; all of it while the key is held. */
export function OverStage({ shown, camera }: Placing) {
  const other = useOther();
  const way = useComparing((state) => state.way);
  const at = useComparing((state) => state.at);
  const isHeld = useComparing((state) => state.isHeld);
  const area = useStage((state) => state.area);
  const name = useNameOfOther();
  useRelease();
  if (!other) return null;
  const seen = seenOf({ shown, camera }, area);
  const from = isHeld ? seen.x : way === 'line' ? seen.x + at * seen.width : null;
  if (from === null) return way === 'side' ? <Name name="Now" at={seen} isAbove /> : null;
  return (
    <>
      <div
        className="absolute inset-0 overflow-hidden"
        style={{ clipPath: `inset(0 0 0 ${Math.max(0, from)}px)`, pointerEvents: 'none' }}
      >
        <Screens desk={other.drawn} shown={shown} camera={camera} takesPresses />
      </div>
      {isHeld ? <Name name={name} at={seen} /> : <Line seen={seen} at={at} />}
    </>
  );
}

/** The other desk beside the one on the stage, as near as that is. */
export function BesideStage({ shown, camera }: Placing) {
  const other = useOther();
  const name = useNameOfOther();
  const area = useStage((state) => state.area);
  const seen = seenOf({ shown, camera }, area);
  return (
    <div className="relative min-h-0 min-w-0 flex-1 overflow-hidden border-l-2 border-brass/40">
      {other && <Screens desk={other.drawn} shown={shown} camera={camera} />}
      <Name name={name} at={seen} isAbove />
    </div>
  );
}

/** Where of the stage something of the desk is seen, px. */
function seenOf({ shown: { bounds }, camera }: Placing, area: Size): Rect {
  const left = Math.max(0, camera.at.x + bounds.x * camera.scale);
  const top = Math.max(0, camera.at.y + bounds.y * camera.scale);
  const right = Math.min(area.width, camera.at.x + (bounds.x + bounds.width) * camera.scale);
  const bottom = Math.min(area.height, camera.at.y + (bounds.y + bounds.height) * camera.scale);
  return { x: left, y: top, width: right - left, height: bottom - top };
}

/** The same moment and conditions as on the stage; what lies behind it is its own. */
function useOtherScene(desk: Desk): Scene {
  const [solver] = useState(createSolver);
  const conditions = useConditions(useShallow(conditionsOf));
  const behind = useBehind(desk, conditions.moment, conditions.half ?? undefined);
  return useMemo(
    () =>
      solver(desk, { ...conditions, ...behind, isHeld: false, open: null, openMore: null, overview: null }),
    [solver, desk, conditions, behind],
  );
}

function Screens({
  desk,
  shown,
  camera,
  takesPresses = false,
}: Placing & { desk: Desk; takesPresses?: boolean }) {
  const scene = useOtherScene(desk);
  const sounding = useSounding();
  const eyes = useEyes((state) => state.eyes);
  return (
    <Sounding.Provider value={sounding}>
      {shown.screens.map(({ screen: { id, rect, name }, at }, index) => {
        const screen = scene.screens.find((one) => one.id === id) ?? scene.screens[index];
        // One of other proportions is shown whole.
        const share = screen ? Math.min(rect.width / screen.rect.width, rect.height / screen.rect.height) : 1;
        const scale = camera.scale * share;
        const style: CSSProperties = {
          left: Math.round(camera.at.x + at.x * camera.scale),
          top: Math.round(camera.at.y + at.y * camera.scale),
          width: rect.width * camera.scale,
          height: rect.height * camera.scale,
          filter: eyesFilter(eyes),
          // What stands there on the desk itself is not to be taken through it.
          pointerEvents: takesPresses ? 'auto' : 'none',
        };
        return (
          <div
            key={id}
            data-other={id}
            aria-hidden
            className="absolute grid place-items-center overflow-hidden rounded-md bg-pit"
            style={style}
          >
            {screen ? (
              <div
                inert
                className="relative overflow-hidden"
                style={{ width: screen.rect.width * scale, height: screen.rect.height * scale }}
              >
                <div
                  className="origin-top-left"
                  style={{
                    transform: `scale(${scale})`,
                    width: screen.rect.width,
                    height: screen.rect.height,
                  }}
                >
                  <ScreenView scene={scene} screen={screen} pictureWidth={pictureWidthAt(screen, scale)} />
                </div>
              </div>
            ) : (
              <p className="text-dust">There is no screen beside {name} in it.</p>
            )}
          </div>
        );
      })}
    </Sounding.Provider>
  );
}

const tag =
  'absolute max-w-[220px] truncate rounded-sm bg-velvet/90 px-2 py-0.5 text-[12px] leading-[18px] text-chalk pointer-events-none';

/** What is seen here: said on it, or above it where there is room. */
function Name({ name, at, isAbove = false }: { name: string; at: Rect; isAbove?: boolean }) {
  const top = isAbove ? Math.max(0, at.y - 28) : at.y + 10;
  return (
    <span data-theme="velvet" className={tag} style={{ left: isAbove ? at.x : at.x + 10, top }}>
      {name}
    </span>
  );
}

/** The line between the two: dragged, or moved by keys. */
function Line({ seen, at }: { seen: Rect; at: number }) {
  const name = useNameOfOther();
  const held = useRef(false);
  const put = (next: number) => useComparing.setState({ at: clamp(next, 0, 1) });
  function drag(event: PointerEvent<HTMLElement>): void {
    if (!held.current) return;
    const area = event.currentTarget.parentElement?.getBoundingClientRect();
    if (area) put((event.clientX - area.left - seen.x) / seen.width);
  }
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label="Line between the two"
      aria-orientation="horizontal"
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(at * 100)}
      aria-valuetext={`${Math.round(at * 100)} %: the desk at the left, ${name} at the right`}
      data-theme="velvet"
      className="group absolute z-10 w-6 -translate-x-1/2 cursor-ew-resize touch-none outline-none"
      style={{ left: seen.x + at * seen.width, top: seen.y, height: seen.height }}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.stopPropagation();
        held.current = true;
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={drag}
      onPointerUp={() => (held.current = false)}
      onPointerCancel={() => (held.current = false)}
      onKeyDown={(event) => {
        const next = nextOf(event.key, event.shiftKey ? LARGE_STEP : STEP, at);
        if (next === null) return;
        event.preventDefault();
        event.stopPropagation();
        put(next);
      }}
    >
      <span className="absolute inset-y-0 left-1/2 w-[2px] -translate-x-1/2 bg-brass shadow-[0_0_0_1px_rgb(0_0_0/.35),0_0_12px_var(--brass)]" />
      <span className="absolute bottom-6 left-1/2 h-9 w-[7px] -translate-x-1/2 rounded-[4px] bg-chalk shadow-[0_0_0_1px_var(--pit)] group-focus-visible:outline-2 group-focus-visible:outline-offset-2 group-focus-visible:outline-brass" />
      <span className={clsx(tag, 'right-[calc(50%+8px)] top-2.5')}>Now</span>
      <span className={clsx(tag, 'left-[calc(50%+8px)] top-2.5 w-max')}>{name}</span>
    </div>
  );
}

function nextOf(key: string, step: number, at: number): number | null {
  switch (key) {
    case 'ArrowLeft':
    case 'ArrowDown':
      return at - step;
    case 'ArrowRight':
    case 'ArrowUp':
      return at + step;
    case 'Home':
      return 0;
    case 'End':
      return 1;
    default:
      return null;
  }
}

/** Whatever holds it, the desk is there again once that is let go. */
function useRelease(): void {
  useEffect(() => {
    const release = () => useComparing.setState({ isHeld: false });
    const onKeyUp = ({ key }: KeyboardEvent) => {
      if (key.toUpperCase() === HOLD_KEY) release();
    };
    document.addEventListener('keyup', onKeyUp);
    addEventListener('blur', release);
    return () => {
      document.removeEventListener('keyup', onKeyUp);
      removeEventListener('blur', release);
      release();
    };
  }, []);
}
