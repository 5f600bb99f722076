import { expect } from 'chai';
import type { Page } from 'playwright-core';
import sharp from 'sharp';
import { z } from 'zod';
import {
  createApplication,
  createBackdrop,
  createItem,
  createPanel,
  createWidget,
} from '../../core/desk/defaults.ts';
import type { Desk } from '../../core/desk/desk.ts';
import type { Edge } from '../../core/desk/shapes/edges.ts';
import type { Widget } from '../../core/desk/shapes/widgets.ts';
import { itemKinds } from '../../core/items/list.ts';
import { partsOn } from '../../core/scene/parts.ts';
import type { SceneScreen } from '../../core/scene/scene.ts';
import { solve } from '../../core/scene/solve.ts';
import { learnMenus } from '../../core/scene/menus/learn.ts';
import { learnDesk } from '../../core/scene/learn.ts';
import { learnExpressions } from '../../core/expressions/learn.ts';
import { learnSources } from '../../core/sources/learn.ts';
import { learnWidgets } from '../../core/widgets/learn.ts';
import { learnFamilies } from '../../core/text/families.ts';
import { plainUse } from '../../core/text/schema.ts';
import { families, type ShippedFamily } from '../../core/values/family.ts';
import { fieldOf } from '../../core/values/field.ts';
import { bottom, right, type Rect, type Size } from '../../core/values/geometry.ts';
import { widgetKinds } from '../../core/widgets/list.ts';
import { DAWN, emptyDesk, fromCorner } from '../support/desks.ts';
import { addDesk, withApp } from '../support/app.ts';

/** As many px as the window has: the desk is drawn at scale 1. */
const SCREEN = { width: 4000, height: 3000 };
/** Texts that reach high, deep and wide, for options that take text. */
const TEXTS = ["EEEE d MMMM 'Ågjy'", ''];

type Options = Record<string, unknown>;

/** Every value that a small option may have; of numbers both ends. */
function valuesOf(schema: z.ZodType): unknown[] {
  if (schema instanceof z.ZodDefault) return valuesOf(schema.unwrap() as z.ZodType);
  if (schema instanceof z.ZodBoolean) return [true, false];
  if (schema instanceof z.ZodEnum)
    return schema.options.filter((value) => value !== 'this-machine' && value !== 'station');
  if (schema instanceof z.ZodNumber) return [schema.minValue, schema.maxValue];
  return [];
}

/** What shows more than a face starts with. */
const SHOWN: Options = { network: true, labels: true, date: "EEEE d 'Ågj'" };

/** The options as they start, and with each of them that has an effect under the face changed in turn. */
function variants(schema: z.ZodObject, face: string, shown: Options = {}): Options[] {
  const values = { ...schema.parse({}), ...shown };
  const changed = Object.entries(schema.shape as Record<string, z.ZodType>)
    .filter(([, inner]) => fieldOf(inner)?.when?.(values, face) ?? true)
    .flatMap(([key, inner]) =>
      (key === 'date' || key === 'pattern' ? TEXTS : valuesOf(inner)).map((value) => ({ [key]: value })),
    );
  return [{}, ...changed].map((options) => ({ ...shown, ...options }));
}

const { finish } = emptyDesk().look;
const bare = { ...finish, kind: 'bare' as const, shadow: 0 };

/** Every kind, face, option and family once, as widgets that wait for their place. */
function everyWidget(): Widget[] {
  return widgetKinds.flatMap((kind) =>
    kind.faces.flatMap((face) =>
      variants(kind.options, face.id, SHOWN).map((options, index) => ({
        ...createWidget({
          id: `${kind.type}-${face.id}-${index}`,
          type: kind.type,
          face: face.id,
          place: { hangs: { from: 'screen', screen: 'main', point: 'top-left' }, x: 0, y: 0 },
          deskFinish: finish,
          options,
        }),
        finish: bare,
      })),
    ),
  );
}

const GAP = 40;

/** What a sheet has room for beside its edges; pictures and shapes may be larger than any screen. */
const ROOM = { width: SCREEN.width - 240 - GAP * 8, height: SCREEN.height - 240 - GAP * 8 };

/** Whether a widget is drawn so thinly that it is hardly there. */
function isFaint({ widgets }: Desk, id: string): boolean {
  const options = widgets.find((one) => one.id === id)?.options ?? {};
  return options['opacity'] === 5 || options['thick'] === 0.5 || options['width'] === 1;
}

/** Widgets row by row, the highest first, on as many screens as that takes; edges stand along the sides. */
function pagesOf(widgets: readonly Widget[]): Widget[][] {
  const pages: Widget[][] = [[]];
  let [x, y, row] = [GAP * 8, GAP * 8, 0];
  const heights = new Map(widgets.map((widget) => [widget, sizeOf(widget, 0).height]));
  const sorted = widgets.toSorted((a, b) => (heights.get(b) ?? 0) - (heights.get(a) ?? 0));
  for (const widget of sorted) {
    let size = sizeOf(widget, pages.length - 1);
    if (size.width > ROOM.width || size.height > ROOM.height) {
      // Only what is as large as one says can be too large.
      expect(['shape', 'picture', 'spectrum', 'tiles']).to.include(widget.type);
      continue;
    }
    if (x + size.width > SCREEN.width - 240) [x, y, row] = [GAP * 8, y + row + GAP, 0];
    if (y + size.height > SCREEN.height - 240) {
      pages.push([]);
      [x, y, row] = [GAP * 8, GAP * 8, 0];
      size = sizeOf(widget, pages.length - 1);
    }
    pages.at(-1)?.push({ ...widget, place: { ...widget.place, x: Math.round(x), y: Math.round(y) } });
    x += size.width + GAP;
    row = Math.max(row, size.height);
  }
  return pages;
}

/** Sheets differ in how the desk sets its type, too. */
const settings = [
  {},
  { size: 130, weight: 200, spacing: 3 },
  { size: 75, weight: -100, spacing: -2 },
] as const;

function deskOf(
  widgets: Widget[],
  edges: Edge[],
  [display, text, figures]: readonly ShippedFamily[],
  setting: (typeof settings)[number] = {},
): Desk {
  const set = (family: ShippedFamily) => ({ ...plainUse(family), ...setting });
  const desk = emptyDesk();
  return {
    ...desk,
    screens: [{ ...desk.screens[0]!, ...SCREEN }],
    // Black, so that all that isn't is ink.
    backdrops: [
      createBackdrop('black', {
        kind: 'gradient',
        shape: 'linear',
        angle: 0,
        centre: { x: 0.5, y: 0.5 },
        points: [
          { at: 0, colour: '#000000' },
          { at: 1, colour: '#000000' },
        ],
      }),
    ],
    look: {
      ...desk.look,
      half: { by: 'choice', half: 'dark' },
      finish: bare,
      fonts: {
        display: set(display ?? 'fraunces'),
        text: set(text ?? 'figtree'),
        figures: set(figures ?? 'recursive'),
      },
    },
    applications: [createApplication('tally', 'Tallybook', { Comment: 'Count what passes', Icon: 'folder' })],
    widgets,
    edges,
  };
}

/** Every family is the desk's own for each of its uses on some sheet. */
function fontsOf(sheet: number): ShippedFamily[] {
  return [0, 4, 8].map((step) => families[(sheet + step) % families.length] as ShippedFamily);
}

function sizeOf(widget: Widget, sheet: number): Rect {
  const [screen] = solve(deskOf([widget], [], fontsOf(sheet), settings[sheet % 3]), { moment: DAWN }).screens;
  return screen?.widgets[0]?.rect ?? { x: 0, y: 0, width: 0, height: 0 };
}

/** Every kind of item with every option, on edges of some depths along all sides. */
function everyEdge(sheet: number): Edge[] {
  const shapes = [
    { side: 'top', kind: 'panel', thickness: 40 },
    { side: 'bottom', kind: 'dock', thickness: 68 },
    { side: 'left', kind: 'panel', thickness: 64 },
    { side: 'right', kind: 'panel', thickness: 26 },
  ] as const;
  return shapes.flatMap(({ side, ...shape }) => {
    const items = itemKinds.flatMap((kind) =>
      kind.type === 'gap' || kind.type === 'spring'
        ? []
        : kind.faces.flatMap((face) =>
            variants(kind.options, face.id).map((options, index) =>
              createItem(
                `${side}-${kind.type}-${face.id}-${index}`,
                kind.type,
                { ...(kind.type === 'application' ? { application: 'tally' } : {}), ...options },
                face.id,
              ),
            ),
          ),
    );
    // Beside one another, a share of them on each sheet, so that all have room.
    const here = items.filter((_, index) => index % SHARES === sheet % SHARES);
    return Array.from({ length: STRIPS }, (_, strip) => ({
      ...createPanel(
        `edge-${side}-${strip}`,
        'main',
        side,
        here.filter((_, index) => index % STRIPS === strip),
      ),
      ...shape,
      length: { by: 'side' as const },
    }));
  });
}

/** On how many edges along each side the items stand. */
const STRIPS = 3;
/** On how many sheets they are spread. */
const SHARES = 5;

/** Of a line's width: how far letters may be drawn from where they were measured, between weights that were. */
const ASTRAY = 0.011;

interface Drawn {
  text: string;
  left: number;
  width: number;
  baseline: number;
}

/** What the page draws as text, by the id of its part or item: where each pen starts, and the line of writing. */
function textsOn(page: Page): Promise<Record<string, Drawn[]>> {
  return page.evaluate(async () => {
    await document.fonts.ready;
    const walker = document.createTreeWalker(document.querySelector('[data-screen]')!, NodeFilter.SHOW_TEXT);
    const nodes: Text[] = [];
    while (walker.nextNode()) if ((walker.currentNode as Text).data) nodes.push(walker.currentNode as Text);
    // All are read, then all are changed, then all are read again: the page is laid twice, not twice for each.
    const boxes = nodes.map((node) => {
      const range = document.createRange();
      range.selectNodeContents(node);
      return range.getBoundingClientRect();
    });
    // An empty box stands on the line of writing.
    const probes = nodes.map((node) => {
      const probe = document.createElement('i');
      probe.style.cssText = 'display:inline-block;width:0;height:0';
      node.after(probe);
      return probe;
    });
    const baselines = probes.map((probe) => probe.getBoundingClientRect().bottom);
    const found: Record<string, Drawn[]> = {};
    for (const [index, node] of nodes.entries()) {
      const owner = node.parentElement!.closest<HTMLElement>('[data-item], [data-widget]');
      const id = owner?.dataset['item'] ?? owner?.dataset['widget'] ?? '';
      const { left, width } = boxes[index]!;
      (found[id] ??= []).push({ text: node.data, left, width, baseline: baselines[index]! });
    }
    for (const probe of probes) probe.remove();
    return found;
  });
}

/** What the core laid, by the same ids. */
function textsIn(screen: SceneScreen): Record<string, Drawn[]> {
  const found: Record<string, Drawn[]> = {};
  for (const part of partsOn(screen)) {
    for (const { item, run, box, scale } of part.texts()) {
      const left = box.x + (run.x - run.ink.x) * scale;
      const baseline = box.y + (run.baseline - run.ink.y) * scale;
      (found[item ?? part.id] ??= []).push({ text: run.text, left, baseline, width: run.ink.width * scale });
    }
  }
  return found;
}

/** A picture as grey bytes, `width` in each row. */
interface Grey {
  data: Buffer;
  width: number;
  height: number;
}

/** Read once for all that stands on it. */
async function greyOf(shot: Buffer): Promise<Grey> {
  const { data, info } = await sharp(shot).greyscale().raw().toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

/** The ink on black within a rectangle, with some px around it: where it begins and ends. Null when there is none. */
function inkOf({ data, width, height }: Grey, rect: Rect): Rect | null {
  const around = 14;
  const first = { x: Math.max(0, Math.floor(rect.x) - around), y: Math.max(0, Math.floor(rect.y) - around) };
  const past = {
    x: Math.min(width, Math.ceil(right(rect)) + around),
    y: Math.min(height, Math.ceil(bottom(rect)) + around),
  };
  let [left, top, end, foot] = [Infinity, Infinity, -1, -1];
  for (let y = first.y; y < past.y; y++) {
    for (let x = first.x; x < past.x; x++) {
      if ((data[y * width + x] ?? 0) < 70) continue;
      left = Math.min(left, x);
      end = Math.max(end, x);
      top = Math.min(top, y);
      foot = Math.max(foot, y);
    }
  }
  if (end < 0) return null;
  return { x: left, y: top, width: end - left + 1, height: foot - top + 1 };
}

withApp('what the page draws and what the core laid', ({ server, browser }) => {
  /** A window as large as the screen that it shows, whose clock stands. */
  async function opened(viewport: Size = SCREEN): Promise<Page> {
    const context = await browser().newContext({ viewport });
    context.setDefaultTimeout(60_000);
    const page = await context.newPage();
    page.on('pageerror', (error) => {
      throw error;
    });
    await page.clock.setFixedTime(new Date(DAWN));
    return page;
  }

  async function show(page: Page, desk: Desk): Promise<void> {
    const id = await addDesk(server, desk);
    // A page that is open goes on to the next desk, as by a link in it.
    if (page.url().startsWith(server.address))
      await page.evaluate((address) => {
        history.pushState(null, '', address);
        dispatchEvent(new PopStateEvent('popstate'));
      }, `/live/${id}`);
    else await page.goto(`${server.address}/live/${id}`);
    await page.waitForFunction(
      ({ first, count }) =>
        document.querySelectorAll('[data-screen] [data-widget]').length === count &&
        (first === undefined || document.querySelector(`[data-widget="${first}"]`)) &&
        document.fonts.status === 'loaded' &&
        [...document.images].every(({ complete }) => complete) &&
        document.images.length > 0,
      { first: desk.widgets[0]?.id, count: desk.widgets.length },
    );
  }

  function compare(desk: Desk, drawn: Record<string, Drawn[]>, screen: SceneScreen): void {
    const laid = textsIn(screen);
    expect(Object.keys(drawn).sort(), desk.name).to.deep.equal(Object.keys(laid).sort());
    for (const [id, runs] of Object.entries(laid)) {
      const found = drawn[id] ?? [];
      expect(
        found.map(({ text }) => text),
        id,
      ).to.deep.equal(runs.map(({ text }) => text));
      runs.forEach((run, index) => {
        const one = found[index];
        const label = `${id}: "${run.text}"`;
        expect(one?.left, `${label}, its start`).to.be.closeTo(run.left, 0.6 + run.width * ASTRAY);
        expect(one?.baseline, `${label}, its line of writing`).to.be.closeTo(run.baseline, 0.6);
      });
    }
  }

  it('agree about every text of every kind, face, option and family, both ways; and boxes hold the ink', async function () {
    // Long work, beside other work.
    this.timeout(900_000);
    await Promise.all([learnFamilies(), learnWidgets(), learnSources(), learnExpressions()]);
    const sheets = pagesOf(everyWidget());
    expect(sheets.length).to.be.at.least(SHARES);
    const page = await opened();
    for (const [sheet, widgets] of sheets.entries()) {
      const fonts = fontsOf(sheet);
      const whole = {
        ...deskOf(widgets, everyEdge(sheet), fonts, settings[sheet % 3]),
        name: `Sheet ${sheet}`,
      };
      await learnDesk(whole);
      const [screen] = solve(whole, { moment: DAWN }).screens;
      if (!screen) throw new Error('no screen');
      expect(screen.edges.map(({ more }) => more)).to.deep.equal(screen.edges.map(() => null));
      await show(page, whole);
      compare(whole, await textsOn(page), screen);
      const picture = await greyOf(await page.screenshot({ type: 'jpeg', quality: 100 }));
      const laid = textsIn(screen);
      for (const { id, rect } of screen.widgets) {
        const aside = 1.5 + ASTRAY * Math.max(0, ...(laid[id] ?? []).map(({ width }) => width));
        const ink = inkOf(picture, rect);
        // What is heard may be silence just then, and a shape as faint as 5 %, or no more than a px.
        if (!ink && (id.startsWith('spectrum-') || isFaint(whole, id))) continue;
        if (!ink) throw new Error(`${id} shows nothing`);
        const label = `${id} in ${fonts.join(', ')}: ${JSON.stringify({ ink, rect })}`;
        expect(ink.x, `left of ${label}`).to.be.at.least(rect.x - aside);
        expect(ink.y, `top of ${label}`).to.be.at.least(rect.y - 1.5);
        expect(right(ink), `right of ${label}`).to.be.at.most(right(rect) + aside);
        expect(bottom(ink), `bottom of ${label}`).to.be.at.most(bottom(rect) + 1.5);
        // Nor are they larger: where there is only text, the ink begins where the box does.
        if (!/^clock-(serif|stack|hands|line|words|until)/.test(id)) continue;
        expect(ink.y, `top of ${label}`).to.be.at.most(rect.y + 7);
        expect(Math.min(ink.x - rect.x, right(rect) - right(ink)), `sides of ${label}`).to.be.at.most(6);
      }
    }
    await page.context().close();
  });

  it('agree about what is drawn smaller than asked for, as its screen is', async () => {
    const large = [
      { type: 'clock', face: 'stack', y: 0, scale: 10 },
      { type: 'picture', face: 'bare', y: 0, scale: 1, options: { height: 3000 } },
      { type: 'shape', face: 'words', y: 600, scale: 1, options: { size: 400, text: 'W'.repeat(30) } },
    ] as const;
    const widgets = large.map(({ y, scale, ...about }) => ({
      ...createWidget({ ...about, id: about.type, place: fromCorner(0, y), deskFinish: finish }),
      finish: bare,
      scale,
    }));
    const small = { width: 1400, height: 900 };
    const plain = deskOf(widgets, [], ['fraunces', 'commissioner', 'recursive']);
    const desk = { ...plain, name: 'Large', screens: [{ ...plain.screens[0]!, ...small }] };
    await learnDesk(desk);
    const [screen] = solve(desk, { moment: DAWN }).screens;
    if (!screen) throw new Error('no screen');
    const page = await opened(small);
    await show(page, desk);
    for (const [index, { id, scale }] of screen.widgets.entries())
      expect(scale, id).to.be.below(desk.widgets[index]?.scale ?? 0);
    compare(desk, await textsOn(page), screen);
    await page.context().close();
  });

  it('agree about the list of applications, which scrolls where it is long', async () => {
    const panel = createPanel('panel', 'main', 'left', [createItem('button', 'app-list')]);
    const names = Array.from({ length: 90 }, (_, index) => `Tallybook ${index}`);
    const desk: Desk = {
      ...deskOf([], [panel], ['fraunces', 'commissioner', 'recursive']),
      name: 'Many applications',
      applications: names.map((Name, index) =>
        createApplication(`app-${index}`, Name, {
          Comment: index % 3 === 0 ? '' : 'Count what passes',
          Icon: 'folder',
        }),
      ),
    };
    await Promise.all([learnDesk(desk), learnMenus()]);
    const [screen] = solve(desk, { moment: DAWN, open: { menu: 'appList', screen: 'main' } }).screens;
    const page = await opened();
    await show(page, desk);
    await page.getByRole('button', { name: 'Open the app list' }).click();
    const dialog = page.getByRole('dialog', { name: 'App list' });
    await dialog.waitFor();
    const box = await dialog.boundingBox();
    expect(box).to.deep.equal({ ...screen?.menu?.rect });
    expect((box?.height ?? 0) <= SCREEN.height).to.equal(true);
    // The last one is there, and the keyboard gets to it.
    await page.keyboard.press('ArrowUp');
    const last = dialog.getByRole('option').last();
    const at = await last.boundingBox();
    expect(at && at.y + at.height <= (box?.y ?? 0) + (box?.height ?? 0)).to.equal(true);
    const [first] = screen?.menu?.entries ?? [];
    const laid = first?.runs[0];
    await page.keyboard.press('ArrowDown');
    const name = dialog.locator('.run', { hasText: /^Tallybook 0$/ });
    const drawn = await name.boundingBox();
    const rows = screen?.menu?.view.x ?? 0;
    expect(drawn?.x).to.be.closeTo((box?.x ?? 0) + rows + (laid?.x ?? 0), 0.6);
    await page.context().close();
  });
});
