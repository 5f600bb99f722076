import { readFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { gzipSync } from 'node:zlib';
import type { Page } from 'playwright-core';
import { createWidget } from '../core/desk/defaults.ts';
import { bareDesk } from '../demo/bare-desk.ts';
import { handle } from '../tests/support/app.ts';
import { addDesk } from './browser-desk.ts';

/** How long somebody waits, and for how much. */

/** Median of five loads with an empty cache, each until a widget on the stage can be pressed and the backdrop is there. */
export async function firstUse(page: Page, address: string): Promise<number> {
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

/** Median of seven: from a turn of the desk's opacity until every text is judged anew. */
export async function legibilityAfterChange(page: Page, address: string): Promise<number> {
  await page.goto(`${address}/desk/dawn-count`);
  await page.getByRole('button', { name: 'Look', exact: true }).click();
  await page.getByRole('button', { name: /^Finish/ }).click();
  await page.getByRole('textbox', { name: 'Opacity, exact' }).fill('40');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Back to Look' }).click();
  await page.getByRole('button', { name: /^Legibility/ }).click();
  await page.locator('[aria-busy="false"]').waitFor();
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
export async function openLarge(page: Page, address: string): Promise<number> {
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
  const id = await addDesk(address, { ...base, name: 'Thousands', widgets });
  const start = performance.now();
  await page.goto(`${address}/desk/${id}`);
  await page.getByRole('button', { name: 'Open it all the same' }).waitFor();
  return performance.now() - start;
}

/** kB of the scripts that the studio needs before it can be used: the entry, the studio's file and what they import. */
export function scriptSize(): number {
  const folder = pathToFileURL(`${process.cwd()}/dist/web/`);
  const manifest = JSON.parse(readFileSync(new URL('.vite/manifest.json', folder), 'utf8')) as Record<
    string,
    { file: string; name?: string; imports?: string[] }
  >;
  const seen = new Set<string>();
  const visit = (key: string) => {
    if (seen.has(key)) return;
    seen.add(key);
    manifest[key]?.imports?.forEach(visit);
  };
  const studio = Object.entries(manifest).find(([, { name }]) => name === 'studio');
  if (!studio) throw new Error('The build has no file of the studio');
  visit('index.html');
  visit(studio[0]);
  const bytes = [...seen].reduce(
    (sum, key) => sum + gzipSync(readFileSync(new URL(manifest[key]?.file ?? '', folder))).length,
    0,
  );
  return bytes / 1000;
}
