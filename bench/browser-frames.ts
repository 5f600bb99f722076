import type { Page } from 'playwright-core';
import { createDock, createItem, createWidget } from '../core/desk/defaults.ts';
import { sides } from '../core/values/geometry.ts';
import { widgetKinds, type WidgetType } from '../core/widgets/list.ts';
import { bareDesk } from '../demo/bare-desk.ts';
import { centreOf, handle } from '../tests/support/app.ts';
import { addDesk } from './browser-desk.ts';

/** How smooth what is drawn stays while something is dragged. */

/** Clocks with seconds and machine graphs. */
export const liveKinds: readonly KindOnDesk[] = [
  ['clock', 'line', { seconds: true }],
  ['machine', 'rings', {}],
  ['clock', 'hands', { seconds: true }],
  ['machine', 'graph', {}],
];

/** Frames while one of 120 of those is dragged about for 300 moves. */
export function dragAmongMany(page: Page, address: string): Promise<Frames> {
  return dragAmong(page, address, liveKinds);
}

/** The same among all kinds and faces. */
export function dragAmongMixed(page: Page, address: string): Promise<Frames> {
  return dragAmong(
    page,
    address,
    widgetKinds.flatMap(({ type, faces }) => faces.map(({ id }) => [type, id, {}] as const)),
  );
}

export interface Frames {
  share: number;
  perSecond: number;
  at95: number;
  /** ms */
  worst: number;
}

type KindOnDesk = readonly [WidgetType, string, Record<string, unknown>];

/** Puts a desk with 120 widgets of some kinds on the shelf; gives its id. */
export function addMany(address: string, name: string, kinds: readonly KindOnDesk[]): Promise<string> {
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
  return addDesk(address, { ...base, name, widgets });
}

async function dragAmong(page: Page, address: string, kinds: readonly KindOnDesk[]): Promise<Frames> {
  await page.goto(`${address}/desk/${await addMany(address, 'Many', kinds)}`);
  const part = handle(page, 'w54');
  await part.waitFor();
  return dragAbout(page, await centreOf(part));
}

/** What the browser alone makes of the same moves: a bare page that moves one box. */
export async function dragOnBarePage(page: Page): Promise<Frames> {
  await page.setContent('<div style="position:absolute;width:120px;height:60px;background:#888"></div>');
  await page.evaluate(`
    const box = document.querySelector('div');
    addEventListener('pointermove', ({ clientX, clientY }) => {
      box.style.transform = 'translate(' + clientX + 'px, ' + clientY + 'px)';
    });
  `);
  return dragAbout(page, { x: 640, y: 400 });
}

/** 300 moves around a point with the button down. */
async function dragAbout(page: Page, { x, y }: { x: number; y: number }): Promise<Frames> {
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

/** Begins to count frames. */
export async function startFrames(page: Page): Promise<void> {
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
export async function framesSince(page: Page): Promise<Frames> {
  const frames = ((await page.evaluate('window.frameTimes')) as number[]).slice(2);
  const sorted = frames.toSorted((a, b) => a - b);
  return {
    share: frames.filter((ms) => ms <= 20).length / frames.length,
    perSecond: (1000 * frames.length) / frames.reduce((sum, ms) => sum + ms, 0),
    at95: sorted[Math.floor(sorted.length * 0.95)] ?? NaN,
    worst: sorted.at(-1) ?? NaN,
  };
}

/** Frames while the pointer goes to and fro along a dock of sixteen applications, for 300 moves. */
export async function growDock(page: Page, address: string): Promise<Frames> {
  const base = bareDesk();
  const applications = base.applications.flatMap((one) => [one, { ...one, id: `${one.id}-2` }]);
  const items = applications.map(({ id }, index) =>
    createItem(`i${index}`, 'application', { application: id }),
  );
  const dock = createDock('dock', 'main', 'bottom', base.look.finish, items);
  const id = await addDesk(address, { ...base, name: 'A dock', applications, edges: [dock] });
  await page.goto(`${address}/live/${id}`);
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
export async function dragWindow(page: Page, address: string): Promise<Frames> {
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
  const id = await addDesk(address, { ...base, name: 'Windows', edges: sides.map(strip) });
  await page.goto(`${address}/live/${id}`);
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
