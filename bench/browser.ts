import { readFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { gzipSync } from 'node:zlib';
import type { Page } from 'playwright-core';
import type { Widget } from '../core/desk/sections/widgets.ts';
import { widgetKinds, type WidgetType } from '../core/widgets/list.ts';
import { createDock, createItem, createWidget } from '../core/desk/defaults.ts';
import { sides } from '../core/values/geometry.ts';
import { bareDesk } from '../demo/bare-desk.ts';
import { RunningServer, centreOf, handle, launchBrowser } from '../tests/support/app.ts';
import type { Row } from './main.ts';

export async function benchBrowser(): Promise<Row[]> {
  const server = new RunningServer();
  const [browser] = await Promise.all([launchBrowser(), server.start()]);
  try {
    /** Alone in the browser: what another page has open would be measured too. */
    const alone = async <Result>(measure: (page: Page, address: string) => Promise<Result>) => {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
      const result = await measure(await context.newPage(), server.address);
      await context.close();
      return result;
    };
    const first = await alone(firstUse);
    const frames = await alone(dragAmongMany);
    const dock = await alone(growDock);
    const script = scriptSize();
    const fresh = await alone(legibilityAfterChange);
    const live = await alone(liveLoad);
    const spectrum = await alone(spectrumLoad);
    const frame = await alone((page) => frameLoad(page));
    const windows = await alone(dragWindow);
    const mixed = await alone(dragAmongMixed);
    const large = await alone(openLarge);
    return rowsOf({ first, frames, dock, script, fresh, live, spectrum, frame, windows, mixed, large });
  } finally {
    await browser.close();
    await server.end();
  }
}

interface Measured {
  first: number;
  frames: Frames;
  dock: Frames;
  script: number;
  fresh: number;
  live: number;
  spectrum: number;
  frame: number;
  windows: Frames;
  mixed: Frames;
  large: number;
}

function rowsOf({
  first,
  frames,
  dock,
  script,
  fresh,
  live,
  spectrum,
  frame,
  windows,
  mixed,
  large,
}: Measured): Row[] {
  return [
    {
      what: 'studio opened on the demo: painted and usable',
      value: first,
      unit: 'ms',
      reach: 'within 1500 ms',
      isMet: first <= 1500,
    },
    {
      what: 'script before first use, gzipped',
      value: script,
      unit: 'kB',
      reach: 'at most 300 kB',
      isMet: script <= 300,
    },
    {
      what: 'drag one of 120 live widgets: frames within 20 ms',
      value: frames.share * 100,
      unit: '%',
      reach: '95 %',
      isMet: frames.share >= 0.95,
    },
    {
      what: 'drag one of 120 mixed widgets: frames within 20 ms',
      value: mixed.share * 100,
      unit: '%',
      reach: '',
      isMet: null,
    },
    {
      what: 'live: what a spectrum of 64 bands takes more, of one core',
      value: spectrum,
      unit: '%',
      reach: 'under 8 %',
      isMet: spectrum < 8,
    },
    {
      what: '… what a canvas takes alone of which one px changes as often',
      value: frame,
      unit: '%',
      reach: '',
      isMet: null,
    },
    {
      what: 'a dock of 16 that grows under the pointer, live: frames within 20 ms',
      value: dock.share * 100,
      unit: '%',
      reach: '95 %',
      isMet: dock.share >= 0.95,
    },
    ...windowRows(windows),
    {
      what: 'legibility fresh after a change, in the studio',
      value: fresh,
      unit: 'ms',
      reach: 'within 500 ms',
      isMet: fresh <= 500,
    },
    {
      what: 'live desk with 12 widgets: of one core',
      value: live,
      unit: '%',
      reach: 'under 8 %',
      isMet: live < 8,
    },
    {
      what: 'desk of 4,000 widgets: says that it is large, and can be left or opened',
      value: large,
      unit: 'ms',
      reach: 'within 5000 ms',
      isMet: large <= 5000,
    },
    { what: '… the frame at 95 %', value: frames.at95, unit: 'ms', reach: '', isMet: null },
  ];
}

function windowRows({ share, worst }: Frames): Row[] {
  return [
    {
      what: 'a window dragged over four strips, live: frames within 20 ms',
      value: share * 100,
      unit: '%',
      reach: '95 %',
      isMet: share >= 0.95,
    },
    {
      what: '… the worst frame',
      value: worst,
      unit: 'ms',
      reach: 'under 60 ms',
      isMet: worst < 60,
    },
  ];
}

/** Median of five loads with an empty cache, each until a widget on the stage can be pressed and the backdrop is there. */
async function firstUse(page: Page, address: string): Promise<number> {
  const times: number[] = [];
  // The scene's picture is drawn by the server once, for everybody.
  await page.goto(`${address}/desk/dawn-count`);
  await untilUsable(page);
  const session = await page.context().newCDPSession(page);
  for (let load = 0; load < 5; load++) {
    await session.send('Network.clearBrowserCache');
    const start = performance.now();
    await page.goto(`${address}/desk/dawn-count`, { waitUntil: 'commit' });
    await untilUsable(page);
    times.push(performance.now() - start);
  }
  return times.sort((a, b) => a - b)[2] ?? NaN;
}

async function untilUsable(page: Page): Promise<void> {
  await handle(page, 'clock').waitFor();
  await page.waitForFunction(
    () => document.querySelector<HTMLImageElement>('[data-stage] [data-backdrop]')?.complete,
  );
}

/** Frames while one of 120 widgets, clocks with seconds and machine graphs, is dragged about for 300 moves. */
function dragAmongMany(page: Page, address: string): Promise<Frames> {
  return dragAmong(page, address, [
    ['clock', 'line', { seconds: true }],
    ['machine', 'rings', {}],
    ['clock', 'hands', { seconds: true }],
    ['machine', 'graph', {}],
  ]);
}

/** The same among all kinds and faces. */
function dragAmongMixed(page: Page, address: string): Promise<Frames> {
  return dragAmong(
    page,
    address,
    widgetKinds.flatMap(({ type, faces }) => faces.map(({ id }) => [type, id, {}] as const)),
  );
}

interface Frames {
  share: number;
  at95: number;
  /** ms */
  worst: number;
}

async function dragAmong(
  page: Page,
  address: string,
  kinds: readonly (readonly [WidgetType, string, Record<string, unknown>])[],
): Promise<Frames> {
  const base = bareDesk();
  const widgets = Array.from({ length: 120 }, (_, index) => {
    const [type, face, options] = kinds[index % kinds.length] ?? ['clock', 'line', {}];
    const place = {
      hangs: { from: 'screen' as const, screen: 'main', point: 'top-left' as const },
      x: 20 + (index % 12) * 155,
      y: 20 + Math.floor(index / 12) * 104,
    };
    return {
      ...createWidget({ id: `w${index}`, type, face, place, deskFinish: base.look.finish, options }),
      scale: 0.34,
    };
  });
  const made = await fetch(`${address}/api/desks`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ ...base, name: 'Many', widgets }),
  });
  const { desk } = (await made.json()) as { desk: { id: string } };
  await page.goto(`${address}/desk/${desk.id}`);
  const part = handle(page, 'w54');
  await part.waitFor();
  const { x, y } = await centreOf(part);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await startFrames(page);
  for (let move = 0; move < 300; move++) {
    const angle = move / 12;
    await page.mouse.move(x + Math.cos(angle) * (20 + move / 2), y + Math.sin(angle) * (20 + move / 4));
  }
  const frames = await framesSince(page);
  await page.mouse.up();
  return frames;
}

async function startFrames(page: Page): Promise<void> {
  // As text: the compiler's helpers for named functions are not known in the page.
  await page.evaluate(`
    window.frameTimes = [];
    let last = performance.now();
    requestAnimationFrame(function beat(now) {
      window.frameTimes.push(now - last);
      last = now;
      requestAnimationFrame(beat);
    });
  `);
}

/** The share of frames within 20 ms, and the one at 95 %. */
async function framesSince(page: Page): Promise<Frames> {
  const frames = ((await page.evaluate('window.frameTimes')) as number[]).slice(2);
  const sorted = frames.toSorted((a, b) => a - b);
  return {
    share: frames.filter((ms) => ms <= 20).length / frames.length,
    at95: sorted[Math.floor(sorted.length * 0.95)] ?? NaN,
    worst: sorted.at(-1) ?? NaN,
  };
}

/** Frames while the pointer goes to and fro along a dock of sixteen applications, for 300 moves. */
async function growDock(page: Page, address: string): Promise<Frames> {
  const base = bareDesk();
  const applications = base.applications.flatMap((one) => [one, { ...one, id: `${one.id}-2` }]);
  const items = applications.map(({ id }, index) =>
    createItem(`i${index}`, 'application', { application: id }),
  );
  const dock = createDock('dock', 'main', 'bottom', base.look.finish, items);
  const made = await fetch(`${address}/api/desks`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ ...base, name: 'A dock', applications, edges: [dock] }),
  });
  const { desk } = (await made.json()) as { desk: { id: string } };
  await page.goto(`${address}/live/${desk.id}`);
  const edge = page.locator('[data-edge="dock"]');
  await edge.waitFor();
  const box = await edge.boundingBox();
  if (!box) throw new Error('The dock is not there');
  await startFrames(page);
  for (let move = 0; move < 300; move++) {
    const share = (1 + Math.sin(move / 14)) / 2;
    await page.mouse.move(box.x + share * box.width, box.y + box.height / 2);
  }
  return framesSince(page);
}

/** Frames while a window is dragged about over four strips that step aside, for 300 moves. */
async function dragWindow(page: Page, address: string): Promise<Frames> {
  const base = bareDesk();
  const strip = (side: (typeof sides)[number]) => {
    const items = ['tallybook', 'files', 'terminal'].map((application) =>
      createItem(`${side}-${application}`, 'application', { application }),
    );
    return {
      ...createDock(`dock-${side}`, 'main', side, base.look.finish, items),
      shows: { by: 'steps' as const, from: 'any' as const, in: 150, out: 250 },
    };
  };
  const made = await fetch(`${address}/api/desks`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ ...base, name: 'Windows', edges: sides.map(strip) }),
  });
  const { desk } = (await made.json()) as { desk: { id: string } };
  await page.goto(`${address}/live/${desk.id}`);
  await page.locator('[data-edge="dock-bottom"]').getByRole('button', { name: 'Start Tallybook' }).click();
  const title = page.locator('[data-window-title]');
  await title.waitFor();
  const { x, y } = await centreOf(title);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await startFrames(page);
  for (let move = 0; move < 300; move++) {
    const angle = move / 24;
    await page.mouse.move(x + Math.cos(angle) * move * 1.6, y + 60 + Math.sin(angle) * move * 0.9);
  }
  const frames = await framesSince(page);
  await page.mouse.up();
  return frames;
}

/** Median of seven: from a turn of the desk's sheerness until every text is judged anew. */
async function legibilityAfterChange(page: Page, address: string): Promise<number> {
  await page.goto(`${address}/desk/dawn-count`);
  await page.getByRole('button', { name: 'Look', exact: true }).click();
  await page.getByRole('button', { name: /^Finish/ }).click();
  await page.getByRole('textbox', { name: 'Sheerness, exact' }).fill('60');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Back to Look' }).click();
  await page.getByRole('button', { name: /^Legibility/ }).click();
  await page.locator('[data-judged]').first().waitFor();
  await page.getByRole('switch', { name: 'On the stage' }).click();
  const times: number[] = [];
  for (let round = 0; round < 7; round++) {
    await page.locator('[aria-busy="false"]').waitFor();
    // Undo and redo are changes of the desk like any other.
    const spent = await page.evaluate(
      (key) =>
        new Promise<number>((done) => {
          const busy = document.querySelector('[aria-busy]');
          let wasBusy = false;
          const start = performance.now();
          new MutationObserver((_, observer) => {
            const isBusy = busy?.getAttribute('aria-busy') === 'true';
            if (wasBusy && !isBusy) {
              observer.disconnect();
              done(performance.now() - start);
            }
            wasBusy ||= isBusy;
          }).observe(busy as Element, { attributes: true });
          document.dispatchEvent(new KeyboardEvent('keydown', { key, ctrlKey: true, bubbles: true }));
        }),
      round % 2 === 0 ? 'z' : 'y',
    );
    times.push(spent);
  }
  return times.sort((a, b) => a - b)[3] ?? NaN;
}

/** From asking for a desk of 4,000 widgets until the page can be used. */
async function openLarge(page: Page, address: string): Promise<number> {
  const base = bareDesk();
  const widgets = Array.from({ length: 4000 }, (_, index) =>
    createWidget({
      id: `w${index}`,
      type: 'clock',
      face: 'line',
      place: {
        hangs: { from: 'screen', screen: 'main', point: 'top-left' },
        x: index % 1800,
        y: index % 1000,
      },
      deskFinish: base.look.finish,
      options: {},
    }),
  );
  const made = await fetch(`${address}/api/desks`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ ...base, name: 'Thousands', widgets }),
  });
  const { desk } = (await made.json()) as { desk: { id: string } };
  const start = performance.now();
  await page.goto(`${address}/desk/${desk.id}`);
  await page.getByRole('button', { name: 'Open it all the same' }).waitFor();
  return performance.now() - start;
}

/** Percent of one core that the whole browser takes for a live desk with 12 widgets, over ten seconds. */
function liveLoad(page: Page, address: string): Promise<number> {
  const widgets = Array.from({ length: 12 }, (_, index) =>
    widgetAt(
      index,
      index % 2 ? 'machine' : 'clock',
      index % 2 ? 'rings' : 'line',
      index % 2 ? {} : { seconds: true },
    ),
  );
  return loadOf(page, address, widgets);
}

/** The same that a spectrum of 64 bands, followed without sound, takes more than the still player above it. */
async function spectrumLoad(page: Page, address: string): Promise<number> {
  const player = widgetAt(0, 'player', 'card', {});
  const still = await loadOf(page, address, [player]);
  const spectrum = widgetAt(1, 'spectrum', 'bars', { bands: 64, width: 600, height: 160 });
  return (await loadOf(page, address, [player, spectrum])) - still;
}

/** What the browser alone takes for a canvas of that size in which one px changes thirty times a second. */
async function frameLoad(page: Page): Promise<number> {
  await page.setContent('<canvas width="600" height="160"></canvas>');
  await page.evaluate(() => {
    const context = document.querySelector('canvas')?.getContext('2d');
    let count = 0;
    const draw = () => {
      if (!context) return;
      context.fillStyle = count++ % 2 ? '#000' : '#fff';
      context.fillRect(0, 0, 1, 1);
      setTimeout(() => requestAnimationFrame(draw), 31);
    };
    draw();
  });
  return spentBy(page, 2000);
}

function widgetAt(index: number, type: WidgetType, face: string, options: Record<string, unknown>): Widget {
  return createWidget({
    id: `w${index}`,
    type,
    face,
    place: {
      hangs: { from: 'screen', screen: 'main', point: 'top-left' },
      x: 40 + (index % 3) * 600,
      y: 40 + Math.floor(index / 3) * 240,
    },
    deskFinish: bareDesk().look.finish,
    options,
  });
}

/** Percent of one core that the whole browser takes for a live desk with some widgets, over ten seconds. */
async function loadOf(page: Page, address: string, widgets: Widget[]): Promise<number> {
  const made = await fetch(`${address}/api/desks`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ ...bareDesk(), name: 'Load', widgets }),
  });
  const { desk } = (await made.json()) as { desk: { id: string } };
  await page.goto(`${address}/live/${desk.id}`);
  await page
    .locator('[data-widget]')
    .nth(widgets.length - 1)
    .waitFor();
  // What loading left to do is done by then, and pieces are looked into.
  return spentBy(page, 6000);
}

/** Percent of one core that the whole browser takes over ten seconds, once it was left alone for some ms. */
async function spentBy(page: Page, after: number): Promise<number> {
  const session = await page.context().browser()?.newBrowserCDPSession();
  if (!session) return NaN;
  const spent = async () => {
    const { processInfo } = await session.send('SystemInfo.getProcessInfo');
    return processInfo.reduce((sum, { cpuTime }) => sum + cpuTime, 0);
  };
  await new Promise((done) => setTimeout(done, after));
  const before = await spent();
  await new Promise((done) => setTimeout(done, 10_000));
  return ((await spent()) - before) * 10;
}

/** kB of the scripts that the studio needs before it can be used: the entry, its route and what they import. */
function scriptSize(): number {
  const folder = pathToFileURL(`${process.cwd()}/dist/web/`);
  const manifest = JSON.parse(readFileSync(new URL('.vite/manifest.json', folder), 'utf8')) as Record<
    string,
    { file: string; imports?: string[] }
  >;
  const seen = new Set<string>();
  const visit = (key: string) => {
    if (seen.has(key)) return;
    seen.add(key);
    manifest[key]?.imports?.forEach(visit);
  };
  visit('index.html');
  visit('studio/studio.tsx');
  const bytes = [...seen].reduce(
    (sum, key) => sum + gzipSync(readFileSync(new URL(manifest[key]?.file ?? '', folder))).length,
    0,
  );
  return bytes / 1000;
}
