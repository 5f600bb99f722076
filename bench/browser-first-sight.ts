import type { Browser, Page } from 'playwright-core';
import { RunningServer } from '../tests/support/app.ts';
import type { Row } from './row.ts';

/** How soon pictures are seen on a data folder on which nothing was ever looked at. */

/** ms since the page's script was there. */
interface Sight {
  /** Something of every backdrop: a drawing, or its pixels. */
  seen: number;
  /** The pixels of the first one as large as it is shown. */
  sharp: number;
}

async function sightOf(browser: Browser, path: string, shown: string): Promise<Sight> {
  const server = new RunningServer();
  await server.start();
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  try {
    const page = await context.newPage();
    await page.goto(server.address + path);
    await page.locator(shown).first().waitFor();
    await page.waitForFunction(
      (within) => {
        const images = [...document.querySelectorAll<HTMLImageElement>(`${within} img[data-backdrop]`)];
        return images.length > 0 && images.every(({ complete, style }) => complete && !style.background);
      },
      shown,
      { timeout: 60_000 },
    );
    return await readTimes(page);
  } finally {
    await context.close();
    await server.end();
  }
}

/** From what the browser noted of each file that it asked for. */
function readTimes(page: Page): Promise<Sight> {
  return page.evaluate(() => {
    const files = performance.getEntriesByType('resource') as PerformanceResourceTiming[];
    const script = Math.min(
      ...files.filter(({ name }) => name.includes('/assets/main-')).map(({ responseEnd }) => responseEnd),
    );
    // Covers of what is played come from there too, and are no backdrops.
    const behind = [...document.querySelectorAll<HTMLImageElement>('img[data-backdrop]')].map(({ src }) =>
      new URL(src).searchParams.get('drawn'),
    );
    const pictures = files
      .filter(
        ({ name }) =>
          name.includes('/api/backdrops') && behind.includes(new URL(name).searchParams.get('drawn')),
      )
      .map(({ name, responseEnd }) => {
        const { pathname, searchParams } = new URL(name);
        const width = pathname.endsWith('/sketch') ? 0 : Number(searchParams.get('width'));
        return { drawn: searchParams.get('drawn') ?? '', width, at: responseEnd - script };
      });
    const firstOf = (drawn: string) =>
      Math.min(...pictures.filter((one) => one.drawn === drawn).map(({ at }) => at));
    const large = Math.max(...pictures.map(({ width }) => width));
    return {
      seen: Math.max(...pictures.map(({ drawn }) => firstOf(drawn))),
      sharp: Math.min(...pictures.filter(({ width }) => width === large).map(({ at }) => at)),
    };
  });
}

export async function firstSight(browser: Browser): Promise<Row[]> {
  const shelf = await sightOf(browser, '/', '[data-desk]');
  const live = await sightOf(browser, '/live/dawn-count', '[data-screen]');
  const studio = await sightOf(browser, '/desk/dawn-count', '[data-stage]');
  const row = (what: string, value: number, most: number): Row => ({
    what,
    value,
    unit: 'ms',
    reach: `within ${most} ms`,
    isMet: value <= most,
  });
  return [
    row('on a fresh folder, after its script: every desk of the shelf is pictured', shelf.seen, 1000),
    row('… live’s backdrop is sharp', live.sharp, 2000),
    row('… the studio’s stage is sharp', studio.sharp, 2000),
  ];
}
