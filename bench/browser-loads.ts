import type { Page } from 'playwright-core';
import { createWidget } from '../core/desk/defaults.ts';
import type { Widget } from '../core/desk/shapes/widgets.ts';
import type { WidgetType } from '../core/widgets/list.ts';
import { bareDesk } from '../demo/bare-desk.ts';
import { addDesk } from './browser-desk.ts';

/** What a desk costs that nobody touches. */

/** Percent of one core that the whole browser takes for a live desk with 12 widgets, over ten seconds. */
export function liveLoad(page: Page, address: string): Promise<number> {
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
export async function spectrumLoad(page: Page, address: string): Promise<number> {
  const player = widgetAt(0, 'player', 'card', {});
  const still = await loadOf(page, address, [player]);
  const spectrum = widgetAt(1, 'spectrum', 'bars', { bands: 64, width: 600, height: 160 });
  return (await loadOf(page, address, [player, spectrum])) - still;
}

/** What the browser alone takes for a canvas of that size in which one px changes thirty times a second. */
export async function frameLoad(page: Page): Promise<number> {
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
  const id = await addDesk(address, { ...bareDesk(), name: 'Load', widgets });
  await page.goto(`${address}/live/${id}`);
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
