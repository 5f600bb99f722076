import { intersection, type Point, type Rect, type Size } from '../values/geometry.ts';
import { blurPixels } from '../backdrop/adjust.ts';
import { backdropFor, drawnOf, type Drawn } from '../backdrop/drawn.ts';
import { tonesOf } from '../backdrop/read-tones.ts';
import { isDark, TONES_WIDTH, type Tones } from '../backdrop/tones.ts';
import { paletteOf, type Surface } from '../colour/look.ts';
import { toBytes } from '../values/colour.ts';
import type { Pixels } from '../colour/extract.ts';
import { luminance, ratioOf } from '../colour/tone.ts';
import { APCA_BODY, APCA_LARGE, apcaContrast } from '../colour/apca.ts';
import type { Backdrop } from '../backdrop/schema.ts';
import type { Desk } from '../desk/desk.ts';
import type { Screen } from '../desk/shapes/screens.ts';
import { halvesIn } from '../timeline/half/half.ts';
import { halves, type Half } from '../values/roles.ts';
import { paintOn, type Run } from '../kinds/layout.ts';
import { nearerOf, surfaceFor } from '../scene/backdrop.ts';
import { menuOpenedBy } from '../menus/openers.ts';
import { menuKeys, type MenuKey } from '../menus/schema.ts';
import { idOfMenu } from '../scene/menus/hanging.ts';
import type { OpenMenu } from '../scene/conditions.ts';
import type { SeenIcons } from '../scene/part.ts';
import type { Scene, SceneScreen } from '../scene/scene.ts';
import { partsOn } from '../scene/parts.ts';
import { createMemory } from '../scene/memory.ts';
import { solve } from '../scene/solve.ts';
import type { TrialWindow } from '../windows/trial.ts';

/**
 * Whether texts, signs, icons and marks can be read: each against the pixels that really lie beneath it, on every screen, in both halves and
 * over every entry of a rotation.
 */

export interface JudgeConditions {
  moment: number;
  workspace?: number;
  windows?: readonly TrialWindow[];
}

/** The worst that befalls one text. */
export interface Judgement {
  /** Ids of the edge or widget, and of the item on an edge. */
  part: string;
  item: string | null;
  screen: string;
  /** What is written; of a sign, an icon or a mark what it is. */
  text: string;
  isSign: boolean;
  /** As it is drawn, #rrggbb. */
  colour: string;
  /** In px of the screen. */
  box: Rect;
  /** It is there only while something is pointed at. */
  isTold: boolean;
  /** Where within the box the weakest pixels are. */
  worst: Point;
  half: Half;
  /** Whether the desk is ever in that half by itself. */
  isShown: boolean;
  backdrop: string;
  /** Of a rotation, the entry beneath. */
  entry: string | null;
  /** The contrast ratio (WCAG 2.2) that nineteen of twenty pixels reach, and what the text needs. */
  contrast: number;
  needs: number;
  /** The same by APCA, as an amount. */
  lc: number;
  lcNeeds: number;
}

/** Gives the pixels of a backdrop at a size. */
export type PixelsOf = (drawn: Drawn, size: Size) => Promise<Pixels>;

/** How what lies behind is seen. */
export interface Sight {
  pixelsOf: PixelsOf;
  /** How dark and light it is, and where; null where that is not known. */
  tonesOf(drawn: Drawn): Promise<Tones | null>;
}

/** Sees by pixels alone. */
export function sightBy(pixelsOf: PixelsOf): Sight {
  return {
    pixelsOf,
    async tonesOf(drawn) {
      const height = Math.max(1, Math.round((TONES_WIDTH * drawn.part.height) / drawn.part.width));
      return tonesOf(await pixelsOf(drawn, { width: TONES_WIDTH, height }));
    },
  };
}

/** Pixels along a screen's longer side: a text of usual size is still several pixels high. */
const LOOKED_AT = 640;

/** Large text needs less (WCAG 2.2, success criterion 1.4.3): 24 px, or 18.66 px in bold. */
function needsOf(
  { size, weight }: Pick<Run, 'size' | 'weight'>,
  scale: number,
): { needs: number; lcNeeds: number } {
  const px = size * scale;
  const isLarge = px >= 24 || (px >= 18.66 && weight >= 700);
  return isLarge ? { needs: 3, lcNeeds: APCA_LARGE } : { needs: 4.5, lcNeeds: APCA_BODY };
}

/** What is no text needs less (WCAG 2.2, success criterion 1.4.11), and so does what is meant to be faint. */
const SEEN = { needs: 3, lcNeeds: APCA_LARGE };

/** What is missing, as a share of what is needed: below 1 is too little. */
export function enough({ contrast, needs }: Pick<Judgement, 'contrast' | 'needs'>): number {
  return contrast / needs;
}

/**
 * Every text of a desk with the worst that befalls it, the weakest first; what befalls it in a half that is never shown
 * counts apart, and comes after. `only` names the one part to look at.
 */
export async function judgeDesk(
  desk: Desk,
  conditions: JudgeConditions,
  sight: Sight,
  only: string | null = null,
): Promise<Judgement[]> {
  const worst = new Map<string, Judgement>();
  const shown = await halvesShown(desk, conditions, sight);
  for (const half of halves) {
    const isShown = shown.includes(half);
    for (const view of viewsOf(desk, only)) {
      for await (const found of judgeView(desk, { ...conditions, half, open: view.open }, view.only, sight)) {
        const key = `${found.part} ${found.item ?? ''} ${found.text} ${isShown}`;
        const known = worst.get(key);
        if (!known || enough(found) < enough(known)) worst.set(key, { ...found, isShown });
      }
    }
  }
  return [...worst.values()].sort((a, b) => Number(b.isShown) - Number(a.isShown) || enough(a) - enough(b));
}

/** The halves that a desk comes to be in: by its backdrop, those that whatever may lie behind its first screen makes it. */
async function halvesShown(
  desk: Desk,
  conditions: JudgeConditions,
  { tonesOf }: Sight,
): Promise<readonly Half[]> {
  const [screen] = desk.screens;
  if (desk.look.half.by !== 'backdrop' || !screen) return halvesIn(desk.look.half);
  const deciding = layersOf(desk, screen, { half: 'light' }, conditions);
  const known = await Promise.all(deciding.map(({ drawn }) => tonesOf(drawn)));
  return halves.filter((half) => known.some((tones) => !tones || isDark(tones) === (half === 'dark')));
}

/** Every text of a desk in one half, or of one part of it, over all that may lie behind it. */
async function* judgeView(
  desk: Desk,
  conditions: JudgeConditions & { half: Half; open: OpenMenu | null },
  only: string | null,
  { pixelsOf, tonesOf }: Sight,
): AsyncGenerator<Omit<Judgement, 'isShown'>> {
  const memory = createMemory();
  const scene = solve(desk, conditions, memory);
  // Where the palette follows the backdrop, all screens take theirs from what lies behind the first.
  const [first] = scene.screens;
  const leading = desk.look.follows && first ? await tonesOf(nearerOf(first.backdrop)) : null;
  for (const screen of scene.screens) {
    const source = desk.screens.find(({ id }) => id === screen.id);
    if (!source || (only !== null && !partsOn(screen).some(({ id }) => id === only))) continue;
    const density = LOOKED_AT / Math.max(screen.rect.width, screen.rect.height);
    const size = {
      width: Math.max(1, Math.round(screen.rect.width * density)),
      height: Math.max(1, Math.round(screen.rect.height * density)),
    };
    for (const { drawn, backdrop, entry } of layersOf(desk, source, scene, conditions)) {
      const [pixels, tones] = await Promise.all([pixelsOf(drawn, size), tonesOf(drawn)]);
      const known = new Map<string, Tones>();
      if (first && leading) known.set(first.id, leading);
      if (tones) known.set(screen.id, tones);
      const over = known.size > 0 && solve(desk, { ...conditions, tones: known }, memory);
      const seen = (over || scene).screens.find(({ id }) => id === screen.id) ?? screen;
      for (const found of judgeScreen(seen, pixels, density, { only, icons: seenIcons(scene.icons) }))
        yield { ...found, half: scene.half, backdrop, entry };
    }
  }
}

/** What is looked at one after another: the desk itself, and each menu over it, on the screen where it opens. */
function viewsOf(desk: Desk, only: string | null): { open: OpenMenu | null; only: string | null }[] {
  const views = menuKeys.map((menu) => ({
    open: { menu, screen: screenOfMenu(menu, desk) },
    only: idOfMenu(menu),
  }));
  const one = views.find((view) => view.only === only);
  if (one) return [one];
  const itself = { open: null, only };
  return only === null ? [itself, ...views] : [itself];
}

/** The screen of the button that opens a menu, or the first. */
function screenOfMenu(menu: MenuKey, { edges, screens }: Desk): string {
  const edge = edges.find(({ items }) => items.some(({ type }) => menuOpenedBy(type)?.key === menu));
  return edge?.screen ?? screens[0]?.id ?? '';
}

/** Everything that may lie behind a screen in a half: the backdrop in force, with each entry if it is a rotation. */
function layersOf(
  desk: Desk,
  screen: Screen,
  { half }: Pick<Scene, 'half'>,
  { moment, workspace = 0 }: JudgeConditions,
): { drawn: Drawn; backdrop: string; entry: string | null }[] {
  const palette = paletteOf(desk.look.roles[half]);
  const backdrop: Backdrop = backdropFor(desk.backdrops, {
    screen: screen.id,
    workspace: desk.workspaces[workspace]?.id ?? '',
    half,
  });
  const surface = surfaceFor(screen, desk, backdrop.spans && backdrop.for.screen === null);
  const entries =
    backdrop.source.kind === 'rotation' ? backdrop.source.entries : [{ id: null, source: backdrop.source }];
  return entries.map(({ id, source }) => ({
    drawn: drawnOf(source, backdrop.adjust, surface, { palette, place: desk.place, moment }),
    backdrop: backdrop.id,
    entry: id,
  }));
}

type Found = Omit<Judgement, 'half' | 'isShown' | 'backdrop' | 'entry'>;

/** Paints surface upon surface over the backdrop (`pixels` is changed), and looks beneath each text once its own is there. */
function judgeScreen(
  screen: SceneScreen,
  pixels: Pixels,
  density: number,
  { only, icons }: { only: string | null; icons: SeenIcons },
): Found[] {
  const found: Found[] = [];
  const parts = partsOn(screen);
  const target = parts.find(({ id }) => id === only);
  for (const part of parts) {
    // What does not lie beneath the one part makes no difference to it.
    if (target && !intersection(part.surfaceRect ?? part.rect, target.rect)) continue;
    paintSurface(pixels, part.surfaceRect ?? part.rect, part.surface, density, part.scale);
    if (only === null || part.id === only) {
      for (const { rect, colour, opacity } of part.backings?.() ?? [])
        tint(pixels, pixelRect(pixels, rect, density), paintOn(part.surface, colour), opacity);
      for (const { item, run, box, scale, plate, surface, isDimmed } of part.texts()) {
        if (run.text.trim() === '') continue;
        const colour = paintOn(plate?.surface ?? surface ?? part.surface, run.colour);
        // A plate is there with its own text only.
        const area = plate && pixelRect(pixels, plate.rect, density);
        const before = area && cut(pixels, area);
        if (plate) paintSurface(pixels, plate.rect, plate.surface, density, scale);
        const seen = lookBeneath(pixels, box, colour, density);
        if (before) put(pixels, area, before);
        if (seen)
          found.push({
            part: part.id,
            item,
            screen: screen.id,
            text: run.text,
            isSign: false,
            colour,
            isTold: plate !== null,
            box,
            ...seen,
            ...(isDimmed ? SEEN : needsOf(run, scale)),
          });
      }
      for (const { item, what, box, colour: paint, surface } of part.signs?.(icons) ?? []) {
        const colour = paintOn(surface ?? part.surface, paint);
        const seen = lookBeneath(pixels, box, colour, density);
        const sign = { part: part.id, item, screen: screen.id, text: what, isSign: true, isTold: false };
        if (seen) found.push({ ...sign, colour, box, ...seen, ...SEEN });
      }
    }
    if (part.id === only) break;
  }
  return found;
}

/** A rectangle of the screen as whole pixels inside the picture; null when nothing of it is there. */
function pixelRect({ width, height }: Size, rect: Rect, density: number): Rect | null {
  const x = Math.max(0, Math.floor(rect.x * density));
  const y = Math.max(0, Math.floor(rect.y * density));
  const right = Math.min(width, Math.ceil((rect.x + rect.width) * density));
  const bottom = Math.min(height, Math.ceil((rect.y + rect.height) * density));
  return right > x && bottom > y ? { x, y, width: right - x, height: bottom - y } : null;
}

function paintSurface(
  pixels: Pixels,
  rect: Rect,
  surface: Surface,
  density: number,
  blurScale: number,
): void {
  const area = pixelRect(pixels, rect, density);
  if (!area) return;
  if (surface.blur > 0) blurArea(pixels, area, surface.blur * blurScale * density);
  tint(pixels, area, surface.fill, parseInt(surface.fill.slice(7, 9) || 'ff', 16) / 255);
}

/** Lays a colour over an area; `opacity` 0 to 1. */
function tint({ data, width }: Pixels, area: Rect | null, colour: string, opacity: number): void {
  if (!area || opacity === 0) return;
  const [r, g, b] = toBytes(colour);
  for (let y = area.y; y < area.y + area.height; y++) {
    for (let x = area.x; x < area.x + area.width; x++) {
      const at = (y * width + x) * 4;
      data[at] = (data[at] as number) * (1 - opacity) + r * opacity + 0.5;
      data[at + 1] = (data[at + 1] as number) * (1 - opacity) + g * opacity + 0.5;
      data[at + 2] = (data[at + 2] as number) * (1 - opacity) + b * opacity + 0.5;
    }
  }
}

/** Blurs what lies beneath an area; at its sides the blur sees what is inside only, as browsers have it. */
function blurArea(pixels: Pixels, area: Rect, sigma: number): void {
  const data = cut(pixels, area);
  blurPixels({ width: area.width, height: area.height, data }, sigma);
  put(pixels, area, data);
}

/** The pixels of an area, by themselves. */
function cut(pixels: Pixels, { x, y, width, height }: Rect): Uint8ClampedArray {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let row = 0; row < height; row++) {
    const start = ((y + row) * pixels.width + x) * 4;
    data.set(pixels.data.subarray(start, start + width * 4), row * width * 4);
  }
  return data;
}

/** Puts such pixels back, or others in their place. */
function put(pixels: Pixels, { x, y, width, height }: Rect, data: Uint8ClampedArray): void {
  for (let row = 0; row < height; row++) {
    pixels.data.set(
      data.subarray(row * width * 4, (row + 1) * width * 4),
      ((y + row) * pixels.width + x) * 4,
    );
  }
}

/** The share of a text's area that may be weaker than what it is judged by. */
const WEAKEST_SHARE = 0.05;

/** Where the value stands that so many others come before, by size and, among equal ones, by place. */
function rankedAt(values: Float64Array, rank: number): number {
  const sorted = values.toSorted();
  const value = sorted[rank] as number;
  // So many equal ones stand before it.
  let before = rank - sorted.indexOf(value);
  return values.findIndex((one) => one === value && before-- === 0);
}

function lookBeneath(
  pixels: Pixels,
  box: Rect,
  colour: string,
  density: number,
): { contrast: number; lc: number; worst: Point } | null {
  const area = pixelRect(pixels, box, density);
  if (!area) return null;
  const text = luminance(...toBytes(colour));
  const ratios = new Float64Array(area.width * area.height);
  let [index, weakest] = [0, 0];
  for (let y = area.y; y < area.y + area.height; y++) {
    for (let x = area.x; x < area.x + area.width; x++) {
      const at = (y * pixels.width + x) * 4;
      const beneath = luminance(
        pixels.data[at] as number,
        pixels.data[at + 1] as number,
        pixels.data[at + 2] as number,
      );
      const ratio = ratioOf(text, beneath);
      ratios[index] = ratio;
      if (ratio < (ratios[weakest] as number)) weakest = index;
      index++;
    }
  }
  const judged = rankedAt(ratios, Math.floor(ratios.length * WEAKEST_SHARE));
  const pixelAt = (of: number) =>
    (area.y + Math.floor(of / area.width)) * pixels.width + area.x + (of % area.width);
  const hex = hexAt(pixels, pixelAt(judged) * 4);
  const pixel = pixelAt(weakest);
  return {
    contrast: ratios[judged] as number,
    lc: Math.abs(apcaContrast(colour, hex)),
    worst: {
      x: ((pixel % pixels.width) + 0.5) / density,
      y: (Math.floor(pixel / pixels.width) + 0.5) / density,
    },
  };
}

function hexAt({ data }: Pixels, at: number): string {
  return `#${[0, 1, 2].map((channel) => (data[at + channel] as number).toString(16).padStart(2, '0')).join('')}`;
}

/** A set of one's own has its own colours, and an ink that was chosen is no part's. */
function seenIcons({ own, ink, tile }: Scene['icons']): SeenIcons {
  if (own || ink.way !== 'plain') return 'coloured';
  return tile === 'none' ? 'inked' : 'tiled';
}
