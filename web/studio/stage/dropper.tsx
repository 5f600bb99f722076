import {
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
  type KeyboardEvent,
  type PointerEvent,
  type RefObject,
} from 'react';
import { clamp, type Point } from '../../../core/values/geometry.ts';
import type { SceneScreen } from '../../../core/scene/scene.ts';
import { useView, type Picking } from '../../stores/view.ts';
import { awaitBackdrop } from '../../workers/pixels.ts';
import { drawnColourAt } from './drawn-colour.ts';
import { lookUp } from '../../../core/values/look-up.ts';

/** Pixels seen in the magnified cell along a side (odd), and how large each is drawn, px. */
const SEEN = 11;
const CELL = 11;
/** Px between the pixel and the sign beside it, and between that and the sides of the window. */
const BESIDE = 18;
const EDGE = 8;

/** Picks a colour off the screen, by the pointer or by arrows: that of what is drawn there, or of the backdrop's pixel. */
export function Dropper({
  screen,
  scale,
  picking,
}: {
  screen: SceneScreen;
  scale: number;
  picking: Picking;
}) {
  const layer = useRef<HTMLDivElement>(null);
  const pixels = usePixels(screen);
  const { width, height } = screen.rect;
  const [at, setAt] = useState({ x: Math.floor(width / 2), y: Math.floor(height / 2) });
  useEffect(() => layer.current?.focus(), []);
  const behind = pixels && colourAt(pixels, at.x, at.y);
  const drawn = useDrawn(layer, at, scale, behind);
  const colour = drawn ?? behind;
  const leave = () => useView.getState().pick(null);
  const take = () => {
    if (!colour) return;
    leave();
    picking.take(colour);
  };
  const place = (event: PointerEvent) => {
    const box = event.currentTarget.getBoundingClientRect();
    setAt({
      x: clamp(Math.floor((event.clientX - box.left) / scale), 0, width - 1),
      y: clamp(Math.floor((event.clientY - box.top) / scale), 0, height - 1),
    });
  };
  function onKeyDown(event: KeyboardEvent) {
    const by = event.shiftKey ? 10 : 1;
    const moves: Record<string, [number, number]> = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, -by],
      ArrowDown: [0, by],
    };
    const move = lookUp(moves, event.key);
    if (move)
      setAt(({ x, y }) => ({ x: clamp(x + move[0], 0, width - 1), y: clamp(y + move[1], 0, height - 1) }));
    else if (event.key === 'Enter' || event.key === ' ') take();
    else if (event.key === 'Escape') leave();
    else return;
    event.preventDefault();
    event.stopPropagation();
  }
  const sign = useSignBeside(layer, { x: at.x * scale, y: at.y * scale }, pixels !== null);
  return (
    <div
      ref={layer}
      tabIndex={0}
      role="application"
      aria-label={`${picking.title}: arrows move by one pixel, Enter takes it, Escape leaves`}
      data-dropper
      data-theme="velvet"
      className="absolute inset-0 cursor-crosshair touch-none select-none rounded-md outline-2 outline-offset-2 outline-brass outline"
      onPointerMove={place}
      onPointerDown={(event) => {
        // A drag looks for a pixel: no text of the page is marked by it.
        event.preventDefault();
        layer.current?.focus();
        event.currentTarget.setPointerCapture(event.pointerId);
        place(event);
      }}
      onPointerUp={take}
      onKeyDown={onKeyDown}
    >
      <div
        ref={sign}
        className="pointer-events-none absolute left-0 top-0 rounded-xl border border-seam bg-pit p-2 shadow-2xl"
      >
        {pixels ? (
          <Magnified pixels={pixels} at={at} />
        ) : (
          <p className="p-2 text-dust">Reading the pixels…</p>
        )}
        <p
          className="mt-1.5 flex items-center gap-2 font-mono text-[12px] text-chalk"
          data-picked={colour ?? ''}
        >
          <span className="size-4 rounded" style={{ background: colour ?? undefined }} />
          {colour}
          <span className="ml-auto text-dust">
            {at.x}, {at.y}
          </span>
        </p>
      </div>
      <span
        className="pointer-events-none absolute size-2 -translate-x-1/2 -translate-y-1/2 rounded-full border border-white shadow-[0_0_0_1px_black]"
        style={{ left: (at.x + 0.5) * scale, top: (at.y + 0.5) * scale }}
      />
    </div>
  );
}

/** The colour of what is drawn on the screen over its backdrop at a point (px of the screen); null where nothing is. */
function useDrawn(
  layer: RefObject<HTMLDivElement | null>,
  { x, y }: Point,
  scale: number,
  behind: string | null,
): string | null {
  const [drawn, setDrawn] = useState<string | null>(null);
  useEffect(() => {
    // Everything on the screen can be met while one picks; the layer above takes the presses.
    const frame = layer.current?.closest('[data-frame]');
    frame?.setAttribute('data-met', '');
    return () => frame?.removeAttribute('data-met');
  }, [layer]);
  useLayoutEffect(() => {
    const box = layer.current?.getBoundingClientRect();
    const screen = layer.current?.closest('[data-frame]')?.querySelector('[data-screen]');
    if (!box || !screen || !behind) return;
    setDrawn(drawnColourAt(screen, box.left + (x + 0.5) * scale, box.top + (y + 0.5) * scale, behind));
  }, [layer, x, y, scale, behind]);
  return drawn;
}

/** Keeps a sign beside a point of a layer (px of the page), on the side where there is room, and within the window. */
function useSignBeside(
  layer: RefObject<HTMLDivElement | null>,
  { x, y }: Point,
  isFilled: boolean,
): RefObject<HTMLDivElement | null> {
  const sign = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const ground = layer.current?.getBoundingClientRect();
    const own = sign.current?.getBoundingClientRect();
    if (!ground || !own || !sign.current) return;
    const beside = (start: number, point: number, length: number, room: number) => {
      const after = start + point + BESIDE;
      const wished = after + length > room - EDGE ? start + point - BESIDE - length : after;
      return clamp(wished, EDGE, Math.max(EDGE, room - EDGE - length)) - start;
    };
    const left = beside(ground.left, x, own.width, innerWidth);
    const top = beside(ground.top, y, own.height, innerHeight);
    sign.current.style.transform = `translate(${left}px, ${top}px)`;
  }, [layer, x, y, isFilled]);
  return sign;
}

/** The pixels of the backdrop, one for each px of the screen. */
function usePixels(screen: SceneScreen): ImageData | null {
  const [pixels, setPixels] = useState<ImageData | null>(null);
  const { drawn } = screen.backdrop;
  const { width, height } = screen.rect;
  useEffect(() => {
    let isStale = false;
    void awaitBackdrop(drawn, { width, height }).then((bitmap) => {
      if (isStale) return;
      const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
      context?.drawImage(bitmap, 0, 0);
      setPixels(context?.getImageData(0, 0, width, height) ?? null);
    });
    return () => {
      isStale = true;
    };
  }, [drawn, width, height]);
  return pixels;
}

function colourAt({ data, width, height }: ImageData, x: number, y: number): string | null {
  if (x < 0 || y < 0 || x >= width || y >= height) return null;
  const at = (y * width + x) * 4;
  return `#${[0, 1, 2].map((channel) => (data[at + channel] ?? 0).toString(16).padStart(2, '0')).join('')}`;
}

function Magnified({ pixels, at }: { pixels: ImageData; at: { x: number; y: number } }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    const half = (SEEN - 1) / 2;
    context.clearRect(0, 0, SEEN * CELL, SEEN * CELL);
    for (let row = 0; row < SEEN; row++) {
      for (let column = 0; column < SEEN; column++) {
        const colour = colourAt(pixels, at.x + column - half, at.y + row - half);
        if (!colour) continue;
        context.fillStyle = colour;
        context.fillRect(column * CELL, row * CELL, CELL, CELL);
      }
    }
    context.strokeStyle = '#fff';
    context.lineWidth = 2;
    context.strokeRect(half * CELL, half * CELL, CELL, CELL);
  }, [pixels, at]);
  return <canvas ref={canvas} width={SEEN * CELL} height={SEEN * CELL} className="block rounded-lg" />;
}
