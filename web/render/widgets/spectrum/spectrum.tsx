import { useContext, useEffect, useRef } from 'react';
import { paintOn } from '../../../../core/kinds/layout.ts';
import { mix } from '../../../../core/values/colour.ts';
import { bandEdges, bandLevels } from '../../../../core/sound/spectrum/bands.ts';
import { createLevels, type Levels } from '../../../../core/sound/spectrum/levels.ts';
import type { SpectrumLayout, SpectrumView } from '../../../../core/widgets/spectrum/work.ts';
import { Sounding } from '../../kit/sounding.ts';
import { OnSurface } from '../../kit/surface.ts';
import { onBeat } from './beat.ts';
import { draws, type Picture } from './draw.ts';

interface Props {
  view: SpectrumView;
  layout: SpectrumLayout;
}

/** Drawn on a canvas, outside of what React knows: many things move at once. */
export function Spectrum({ view, layout }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const sounding = useContext(Sounding);
  const surface = useContext(OnSurface);
  const { width, height } = layout.size;
  // A part that comes to stand elsewhere has new colours; what it hears goes on.
  const paints = view.colours.map((colour) => (surface ? paintOn(surface, colour) : '#888888')).join(' ');
  useEffect(() => {
    const element = canvas.current;
    if (!element) return;
    const painter = createPainter(element, view, paints.split(' '), { width, height });
    if (sounding === null) return;
    if (!sounding) {
      painter.settle(example(view.settings.bands));
      return;
    }
    return animate(painter, view, sounding);
  }, [view, paints, width, height, sounding]);
  return <canvas ref={canvas} data-spectrum className="absolute inset-0" style={{ width, height }} />;
}

/** Where a face is chosen and nothing sounds: levels as low surf with a call over it would have them. */
function example(bands: number): Float64Array {
  return Float64Array.from({ length: bands }, (_, band) => {
    const at = band / bands;
    const surf = Math.exp(-((at - 0.16) ** 2) / 0.03);
    const call = 0.8 * Math.exp(-((at - 0.62) ** 2) / 0.006);
    return -52 + 44 * Math.max(surf, call) + 7 * Math.sin(band * 2.3);
  });
}

interface Painter {
  levels: Levels;
  paint(): void;
  settle(db: Float64Array): void;
}

const keptLevels = new WeakMap<HTMLCanvasElement, { bands: number; levels: Levels }>();

function createPainter(
  canvas: HTMLCanvasElement,
  view: SpectrumView,
  colours: readonly string[],
  size: { width: number; height: number },
): Painter {
  const { bands, peaks } = view.settings;
  // A setting that is turned doesn't let everything fall to the ground.
  const known = keptLevels.get(canvas);
  const levels = known?.bands === bands ? known.levels : createLevels(bands);
  keptLevels.set(canvas, { bands, levels });
  const context = canvas.getContext('2d');
  // What is turned lies on its side: it is drawn as if it did not.
  const [long, high] =
    view.isTurned && view.face !== 'ring' ? [size.height, size.width] : [size.width, size.height];
  const colourAt = blend(colours);
  let fitted = 0;
  function paint(): void {
    if (!context) return;
    const now = performance.now();
    if (now - fitted > 1000) {
      fitted = now;
      fit(canvas, size);
    }
    const scale = canvas.width / size.width;
    context.setTransform(scale, 0, 0, scale, 0, 0);
    context.clearRect(0, 0, size.width, size.height);
    if (view.isTurned && view.face !== 'ring') context.transform(0, 1, -1, 0, size.width, 0);
    if (view.isFlipped) context.transform(1, 0, 0, -1, 0, high);
    const order = view.isMirrored && view.face !== 'ring' ? mirrored : plain;
    const picture: Picture = {
      values: order(levels.values),
      peaks: peaks ? order(levels.peaks) : null,
      width: long,
      height: high,
      gap: view.gap,
      colourAt,
      fill: fillOf(context, colours, view, long, high),
      along: view.along,
    };
    draws[view.face](context, picture);
  }
  return {
    levels,
    paint,
    settle(db) {
      levels.settle(db, view.settings);
      paint();
    },
  };
}

const plain = (values: Float64Array): ArrayLike<number> => values;
/** From the highest down to the lowest in the middle and up again. */
function mirrored(values: Float64Array): ArrayLike<number> {
  const half = Array.from(values);
  return [...half.toReversed(), ...half];
}

/** As many px as it is seen in, whatever scales it. */
function fit(canvas: HTMLCanvasElement, { width, height }: { width: number; height: number }): void {
  const seen = canvas.getBoundingClientRect();
  const scale = Math.min(3, Math.max(0.5, (Math.max(seen.width, 1) / width) * devicePixelRatio));
  const [wide, high] = [Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale))];
  if (canvas.width !== wide || canvas.height !== high) Object.assign(canvas, { width: wide, height: high });
}

function fillOf(
  context: CanvasRenderingContext2D,
  colours: readonly string[],
  { along, isMirrored }: SpectrumView,
  width: number,
  height: number,
): CanvasGradient | string {
  if (colours.length < 2) return colours[0] ?? '#888888';
  const gradient =
    along === 'level'
      ? context.createLinearGradient(0, height, 0, 0)
      : context.createLinearGradient(isMirrored ? width / 2 : 0, 0, width, 0);
  colours.forEach((colour, index) => gradient.addColorStop(index / (colours.length - 1), colour));
  return gradient;
}

/** Colours from one end to the other, mixed as the eye sees them; looked up in 32 steps. */
function blend(colours: readonly string[]): (share: number) => string {
  if (colours.length < 2) return () => colours[0] ?? '#888888';
  const steps = Array.from({ length: 33 }, (_, step) => between(colours, step / 32));
  return (share) => steps[Math.round(Math.min(1, Math.max(0, share)) * 32)] ?? '#888888';
}

function between(colours: readonly string[], share: number): string {
  const at = share * (colours.length - 1);
  const from = Math.min(colours.length - 2, Math.floor(at));
  return mix(colours[from] ?? '#888888', colours[from + 1] ?? '#888888', at - from);
}

function animate({ levels, paint, settle }: Painter, view: SpectrumView, sounding: Sounding): () => void {
  const { settings } = view;
  const edges = bandEdges(settings);
  const db = new Float64Array(settings.bands);
  const calm = view.most === 0 || matchMedia('(prefers-reduced-motion: reduce)').matches;
  let shown = NaN;
  let isBlank = false;
  const look = (): Float64Array | null => {
    const found = sounding.power(view, settings.window);
    return found && bandLevels(found.power, { ...found, edges, tilt: settings.tilt }, db);
  };
  return onBeat(calm ? 1 : view.most, (passed) => {
    const started = performance.now();
    const now = sounding.now();
    const isLive = sounding.isLive(view);
    const levelsNow = look();
    // A moment that stands still shows what was heard just then; nothing moves.
    const isHeld = !isLive && now === shown;
    const hasJumped = !isLive && Math.abs(now - shown) > 1500;
    if (isHeld && !isBlank && levels.values.some((value) => value > 0)) return;
    shown = now;
    if (levelsNow && (hasJumped || isHeld || calm)) {
      settle(levelsNow);
      isBlank = false;
    } else {
      if (!levelsNow && isBlank) return;
      levels.take(levelsNow, passed, settings);
      paint();
      isBlank = !levelsNow && levels.isStill();
    }
    sounding.tellCost(performance.now() - started);
  });
}

export const faces = {
  bars: Spectrum,
  blocks: Spectrum,
  reeds: Spectrum,
  ribbon: Spectrum,
  line: Spectrum,
  dots: Spectrum,
  ring: Spectrum,
};
