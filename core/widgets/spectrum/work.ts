import type { WidgetContext } from '../../kinds/kind.ts';
import type { Inked, Layout, Paint } from '../../kinds/layout.ts';
import type { SpectrumSettings } from '../../sound/spectrum/settings.ts';
import { onNow } from '../../sources/sound/on-now.ts';
import type { SoundReading } from '../../sources/sound/sound.ts';
import { sourceOf } from '../../sources/sound/schema.ts';
import type { SpectrumFace, SpectrumOptions } from './spectrum.ts';

/** All that its drawing goes by; the levels themselves are looked up with every frame. */
export interface SpectrumView {
  face: SpectrumFace;
  hears: SpectrumOptions['hears'];
  settings: SpectrumSettings;
  colours: Paint[];
  along: 'bands' | 'level';
  /** Of a band's room, 0 to 0.8. */
  gap: number;
  isMirrored: boolean;
  isTurned: boolean;
  isFlipped: boolean;
  /** Frames a second at most; 0 for one that shows, once a second, what is heard just then. */
  most: number;
  /** What is on, and since when. */
  on: Pick<SoundReading, 'began' | 'paused' | 'isHeard'> & { source: string | null; seconds: number };
}

export interface SpectrumLayout extends Layout {
  /** Room beyond the box for what leans or glows, px. */
  beyond: number;
}

export function view(
  options: SpectrumOptions,
  face: SpectrumFace,
  context: WidgetContext,
): SpectrumView & { width: number; height: number } {
  const { readings, textColour, isQuiet } = context;
  const { hears, colours, along, gap, mirrored, turned, flipped, most, width, height, ...settings } = options;
  const { track, began, paused, isHeard } = onNow(readings);
  return {
    face,
    hears,
    settings,
    colours: colours.map(({ colour }) => textColour(colour)),
    along,
    gap: gap / 100,
    isMirrored: mirrored,
    isTurned: turned,
    isFlipped: flipped,
    most: isQuiet ? 0 : most,
    on: {
      began,
      paused,
      isHeard,
      source: track && sourceOf(track),
      seconds: track?.seconds ?? 0,
    },
    width,
    height,
  };
}

export function layout(seen: ReturnType<typeof view>, face: SpectrumFace): SpectrumLayout {
  const { width, height, isTurned } = seen;
  if (face === 'ring') return { size: { width, height: width }, runs: [], beyond: 0 };
  return { size: isTurned ? { width: height, height: width } : { width, height }, runs: [], beyond: 0 };
}

export function inked({ colours }: SpectrumView, { size }: SpectrumLayout): Inked[] {
  const rect = { x: 0, y: 0, ...size };
  return colours.map((colour, index) => ({ what: `Its colour ${index + 1}`, rect, colour }));
}
