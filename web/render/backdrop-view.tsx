import { createContext, memo, useContext, useEffect, useRef, useState } from 'react';
import type { Size } from '../../core/values/geometry.ts';
import type { Drawn } from '../../core/backdrop/drawn.ts';
import type { SceneBackdrop } from '../../core/scene/scene.ts';
import { backdropAddress } from '../api/addresses.ts';

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
}: {
  backdrop: SceneBackdrop;
  /** Device pixels that the screen takes up. */
  width: number;
}) {
  return (
    <>
      {backdrop.from && (
        <Layer key={`${backdrop.id} from`} drawn={backdrop.from.drawn} width={width} opacity={1} />
      )}
      <Layer key={backdrop.id} drawn={backdrop.drawn} width={width} opacity={backdrop.from?.share ?? 1} />
    </>
  );
});

function Layer({ drawn, width, opacity }: { drawn: Drawn; width: number; opacity: number }) {
  const live = useContext(LivePainting);
  const wanted = live?.isBefore ? { ...drawn, adjust: null } : drawn;
  const address = backdropAddress(wanted, width);
  const mayPaint = wanted.adjust !== null || wanted.source.kind === 'gradient';
  const isHeld = live !== null && live.isTurning && mayPaint;
  const shown = useLatest(address, isHeld);
  // The first one may still have to be made; a small one, known from the shelf, stands in for it.
  const [standIn] = useState(() =>
    width > STAND_IN_WIDTH
      ? `center / 100% 100% url("${backdropAddress(wanted, STAND_IN_WIDTH)}")`
      : undefined,
  );
  return (
    <>
      <img
        src={shown}
        alt=""
        draggable={false}
        data-backdrop
        className="absolute inset-0 size-full"
        style={{ opacity, background: standIn }}
      />
      {live && mayPaint && shown !== address && (
        <Painted live={live} drawn={wanted} width={width} opacity={opacity} />
      )}
    </>
  );
}

/**
 * The newest address whose picture is here. One picture is fetched at a time: while a setting is turned the states in
 * between are passed over.
 */
function useLatest(address: string, isHeld: boolean): string {
  const [shown, setShown] = useState(address);
  const work = useRef({ isBusy: false, wanted: address, here: address, isGone: false });
  useEffect(() => {
    const state = work.current;
    state.isGone = false;
    return () => void (state.isGone = true);
  }, []);
  useEffect(() => {
    const state = work.current;
    if (isHeld) return;
    state.wanted = address;
    async function fetchNewest(): Promise<void> {
      state.isBusy = true;
      while (state.here !== state.wanted && !state.isGone) {
        const next = state.wanted;
        await loaded(next);
        state.here = next;
        if (!state.isGone) setShown(next);
      }
      state.isBusy = false;
    }
    if (!state.isBusy) void fetchNewest();
  }, [address, isHeld]);
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
