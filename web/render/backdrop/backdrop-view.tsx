import { createContext, memo, useContext, useEffect, useRef, useState } from 'react';
import type { Size } from '../../../core/values/geometry.ts';
import type { Drawn } from '../../../core/backdrop/drawn.ts';
import type { SceneBackdrop } from '../../../core/scene/scene.ts';
import { backdropAddress, sketchAddress } from '../../api/addresses.ts';
import { lastPicture, noteShown, rememberPicture, wasShown } from './last-pictures.ts';
import { useIsAwaited, useMayCome } from './looked-at.ts';

/** What the studio adds to how backdrops are shown: changes under way are painted at once, here in the browser. */
export interface LivePainting {
  paint(drawn: Drawn, size: Size): Promise<ImageBitmap>;
  /** A setting is being turned: the server is asked once it rests. */
  isTurning: boolean;
  /** Shows it without its adjustments. */
  isBefore: boolean;
}

export const LivePainting = createContext<LivePainting | null>(null);

const STAND_IN_WIDTH = 480;

/** What lies behind everything on a screen; one backdrop passing into the next while it changes. */
export const BackdropView = memo(function BackdropView({
  backdrop,
  width,
  screen,
}: {
  backdrop: SceneBackdrop;
  /** Device pixels that the screen takes up. */
  width: number;
  /** Under what the picture behind this screen is remembered, for when it is opened again; null where it is not. */
  screen: string | null;
}) {
  return (
    <>
      {backdrop.from && (
        <Layer
          key="from"
          id={backdrop.id}
          drawn={backdrop.from.drawn}
          width={width}
          opacity={1}
          screen={null}
        />
      )}
      {/* The same layer whatever lies there: one backdrop stays until the next one is here. */}
      <Layer
        key="now"
        id={backdrop.id}
        drawn={backdrop.drawn}
        width={width}
        opacity={backdrop.from?.share ?? 1}
        screen={screen}
      />
    </>
  );
});

function Layer({
  id,
  drawn,
  width,
  opacity,
  screen,
}: {
  id: string;
  drawn: Drawn;
  width: number;
  opacity: number;
  screen: string | null;
}) {
  const live = useContext(LivePainting);
  const wanted = live?.isBefore ? { ...drawn, adjust: null } : drawn;
  const address = backdropAddress(wanted, width);
  const mayPaint = wanted.adjust !== null || wanted.source.kind === 'gradient';
  const isHeld = live !== null && live.isTurning && mayPaint;
  const small = width > STAND_IN_WIDTH ? backdropAddress(wanted, STAND_IN_WIDTH) : null;
  const shown = useLatest({ address, small, of: id, isHeld });
  const [{ standIn, sketch, isKnown }] = useState(() => standInFor(wanted, { address, small, screen }));
  const isDrawn = useIsHere(sketch);
  const isLookedAt = screen !== null;
  const mayCome = useMayCome();
  const mayAsk = isDrawn && (isLookedAt || isKnown || mayCome);
  const [isHere, setHere] = useState(false);
  useIsAwaited(isLookedAt ? !isHere : !isDrawn);
  return (
    <>
      <img
        src={mayAsk ? shown : undefined}
        alt=""
        draggable={false}
        data-backdrop
        className="absolute inset-0 size-full"
        style={{
          opacity,
          background: isHere || !standIn ? undefined : `center / 100% 100% url("${standIn}")`,
        }}
        onLoad={() => {
          setHere(true);
          noteShown(shown);
          if (screen !== null) rememberPicture(screen, shown);
        }}
        onError={() => setHere(true)}
      />
      {live && mayPaint && shown !== address && (
        <Painted live={live} drawn={wanted} width={width} opacity={opacity} />
      )}
    </>
  );
}

/**
 * What stands in for the first picture until that is made: a small one that this page has shown already, the one that was
 * last seen there, or a drawing.
 */
function standInFor(
  drawn: Drawn,
  { address, small, screen }: { address: string; small: string | null; screen: string | null },
): { standIn: string | null; sketch: string | null; isKnown: boolean } {
  if (wasShown(address)) return { standIn: null, sketch: null, isKnown: true };
  const last = screen === null ? null : lastPicture(screen);
  const known = small !== null && wasShown(small) ? small : last;
  if (known !== null) return { standIn: known, sketch: null, isKnown: false };
  const sketch = sketchAddress(drawn);
  return { standIn: sketch, sketch, isKnown: false };
}

/**
 * Whether a drawing is here, so that the picture it stands in for may be asked for: a browser asks a server for few at
 * once, and pictures that are being made would hold up all drawings behind them.
 */
function useIsHere(sketch: string | null): boolean {
  const [isHere, setHere] = useState(sketch === null);
  useEffect(() => {
    if (sketch !== null) void loaded(sketch).then(() => setHere(true));
  }, [sketch]);
  return isHere;
}

interface Wanted {
  address: string;
  /** A small one that stands in for it; null when it is small itself. */
  small: string | null;
  /** Id of the backdrop. */
  of: string;
  isHeld: boolean;
}

/**
 * The newest address whose picture is here. One picture is fetched at a time: while a setting is turned the states in
 * between are passed over.
 */
function useLatest({ address, small, of, isHeld }: Wanted): string {
  const [shown, setShown] = useState(address);
  const work = useRef({
    isBusy: false,
    wanted: { address, small, of },
    here: address,
    hereOf: of,
    isGone: false,
  });
  useEffect(() => {
    const state = work.current;
    state.isGone = false;
    return () => void (state.isGone = true);
  }, []);
  useEffect(() => {
    const state = work.current;
    if (isHeld) return;
    state.wanted = { address, small, of };
    const show = (picture: string) => void (state.isGone || setShown(picture));
    async function fetchNewest(): Promise<void> {
      state.isBusy = true;
      while (state.here !== state.wanted.address && !state.isGone) {
        const next = state.wanted;
        const whole = loaded(next.address);
        // Another backdrop is seen as soon as anything of it is here.
        if (next.of !== state.hereOf && next.small !== null) {
          const isSmall = await Promise.race([loaded(next.small).then(() => true), whole.then(() => false)]);
          if (isSmall) show(next.small);
        }
        await whole;
        state.here = next.address;
        state.hereOf = next.of;
        show(next.address);
      }
      state.isBusy = false;
    }
    if (!state.isBusy) void fetchNewest();
  }, [address, small, of, isHeld]);
  return shown;
}

async function loaded(address: string): Promise<void> {
  const image = new Image();
  image.src = address;
  // One that can't be had is shown as missing, rather than the old one for ever.
  await image.decode().catch(() => {});
}

/** The newest state, painted in a worker. */
function Painted({
  live,
  drawn,
  width,
  opacity,
}: {
  live: LivePainting;
  drawn: Drawn;
  width: number;
  opacity: number;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const work = useRef<{ isBusy: boolean; wanted: Drawn | null }>({ isBusy: false, wanted: null });
  useEffect(() => {
    const state = work.current;
    state.wanted = drawn;
    async function paintNewest(): Promise<void> {
      state.isBusy = true;
      while (state.wanted) {
        const next = state.wanted;
        state.wanted = null;
        const size = {
          width: Math.round(width),
          height: Math.round((width * next.part.height) / next.part.width),
        };
        const bitmap = await live.paint(next, size).catch(() => null);
        const element = canvas.current;
        if (!element || !bitmap) continue;
        element.width = bitmap.width;
        element.height = bitmap.height;
        element.getContext('bitmaprenderer')?.transferFromImageBitmap(bitmap);
        element.dataset['painted'] = 'true';
      }
      state.isBusy = false;
    }
    if (!state.isBusy) void paintNewest();
  }, [drawn, live, width]);
  return (
    <canvas ref={canvas} data-live-backdrop className="absolute inset-0 size-full" style={{ opacity }} />
  );
}
