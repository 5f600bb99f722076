import { mkdirSync } from 'node:fs';
import type { Page } from 'playwright-core';
import { RunningServer, handle, launchBrowser, untilKept, chooseEdge } from '../tests/support/app.ts';

/** Every picture is of the same moment: first light at Marrow Point. */
const MOMENT = new Date('2026-11-24T07:12:00Z');

interface Shot {
  name: string;
  path: string;
  theme?: 'dark' | 'light';
  prepare?: (page: Page) => Promise<unknown>;
  /** After the picture is taken. */
  tidy?: (page: Page) => Promise<unknown>;
}

const shots: Shot[] = [
  { name: 'shelf', path: '/', prepare: (page) => page.getByText('Check the scales').waitFor() },
  {
    name: 'studio-widgets',
    path: '/desk/dawn-count',
    async prepare(page) {
      await handle(page, 'load').click();
      await page.getByRole('heading', { name: 'Machine', level: 2 }).waitFor();
    },
  },
  {
    name: 'studio-tiles',
    path: '/desk/sound-room',
    async prepare(page) {
      await handle(page, 'tiles').click({ position: { x: 30, y: 30 }, force: true });
      await page.locator('[data-cell]').first().waitFor();
      await untilDrawn(page);
    },
  },
  {
    name: 'studio-edges',
    path: '/desk/night-watch',
    async prepare(page) {
      await page.locator('[data-saving="kept"]').waitFor();
      await chooseEdge(page, 'panel');
      await page.keyboard.press('z');
      await page.waitForFunction(() => {
        const panel = document.querySelector('[data-edge="panel"]')?.getBoundingClientRect();
        return panel && panel.height > 30 && panel.bottom < innerHeight - 90;
      });
      // To where most of it stands.
      await page.mouse.move(800, 300);
      await page.mouse.wheel(-2000, 0);
      await page.waitForFunction(() => {
        const behind = document.querySelector<HTMLImageElement>('[data-stage] img[data-backdrop]');
        return behind?.complete && behind.naturalWidth >= 1920;
      });
    },
  },
  {
    name: 'studio-backdrop',
    path: '/desk/dawn-count',
    prepare: (page) => chapter(page, 'Backdrop'),
  },
  {
    name: 'studio-palette',
    path: '/desk/dawn-count',
    async prepare(page) {
      await chapter(page, 'Palette');
      await page.locator('[aria-busy="false"]').waitFor();
      await page.getByRole('button', { name: 'Raised: what it is made of' }).click();
    },
  },
  {
    name: 'studio-screens',
    path: '/desk/night-watch',
    prepare: (page) => page.getByRole('button', { name: 'All screens side by side' }).click(),
  },
  {
    name: 'studio-compare',
    path: '/desk/dawn-count',
    async prepare(page) {
      await page.keyboard.press('Shift+C');
      await page.getByRole('combobox', { name: 'Compare with', exact: true }).click();
      await page.getByRole('option', { name: 'Another desk' }).click();
      await page.getByRole('combobox', { name: 'Which to compare with' }).click();
      await page.getByRole('option', { name: 'Night watch' }).click();
      await page.locator('[data-other] img[data-backdrop]').last().waitFor();
      await page.waitForFunction(() => {
        const last = [...document.querySelectorAll<HTMLImageElement>('[data-other] img[data-backdrop]')].at(
          -1,
        );
        return last?.complete && last.naturalWidth > 0;
      });
    },
  },
  {
    name: 'studio-legibility',
    path: '/desk/dawn-count',
    async prepare(page) {
      await chapter(page, 'Look');
      await page.getByRole('button', { name: /^Finish/ }).click();
      await page.getByRole('textbox', { name: 'Opacity, exact' }).fill('4');
      await page.keyboard.press('Enter');
      await page.getByRole('button', { name: 'Back to Look' }).click();
      await page.getByRole('button', { name: /^Legibility/ }).click();
      await page.getByText(/hard to read/).waitFor();
      await page.getByRole('switch', { name: 'On the stage' }).click();
      await page.locator('[data-judged="weak"] button').first().click();
      await page.getByRole('button', { name: /^More opacity/ }).waitFor();
    },
    // The desk is shown again later, as it was.
    async tidy(page) {
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: /^Undo: / }).click();
      await untilKept(page, { isNew: false });
    },
  },
  {
    name: 'studio-kits',
    path: '/desk/dawn-count',
    async prepare(page) {
      await chapter(page, 'Look');
      await page.getByRole('button', { name: /^Kits/ }).click();
      await page.locator('[data-look="ours-first-frost"] [data-screen]').waitFor();
      const behind = page.locator('[data-stage] img[data-backdrop]').last();
      const before = await behind.getAttribute('src');
      await page.locator('[data-look="ours-lamp-oil"]').hover();
      await page.locator('[data-look="ours-lamp-oil"][aria-selected="true"]').waitFor();
      // What lies behind is the kit's too, once the server has made it.
      await page.waitForFunction((old) => {
        const images = [...document.querySelectorAll<HTMLImageElement>('[data-stage] img[data-backdrop]')];
        const last = images.at(-1);
        return last?.complete && last.naturalWidth > 0 && last.getAttribute('src') !== old;
      }, before);
    },
  },
  {
    name: 'studio-menus',
    path: '/desk/ringing-day',
    async prepare(page) {
      await chapter(page, 'Menus');
      await page.locator('[data-menu-card="appWall"]').click();
      await page.locator('[data-stage] [data-menu="appWall"]').waitFor();
    },
  },
  {
    name: 'live-quick-find',
    path: '/live/tide-table',
    async prepare(page) {
      await page.locator('[data-bare]').first().waitFor();
      await page.keyboard.press('Control+Space');
      await page.keyboard.type('12 ft in m');
      await page.locator('[data-menu]').getByRole('option', { name: '3.6576 m' }).waitFor();
      await page.locator('nav[data-shown="false"]').waitFor({ state: 'attached' });
    },
  },
  {
    name: 'try-app-list',
    path: '/desk/sound-room',
    async prepare(page) {
      await page.getByRole('button', { name: 'Try' }).click();
      await page.getByRole('button', { name: 'Open the app list' }).click();
      await page.getByRole('dialog', { name: 'App list' }).waitFor();
      await untilDrawn(page);
    },
  },
  {
    name: 'studio-sound',
    path: '/desk/sound-room',
    async prepare(page) {
      await chapter(page, 'Widgets');
      await page
        .locator('aside')
        .getByRole('button', { name: /^Sound/ })
        .click();
      await page.getByRole('button', { name: /^Bells of the outer/ }).click();
      await page.getByRole('button', { name: 'Palette of its cover' }).waitFor();
      await untilDrawn(page);
    },
  },
  {
    name: 'studio-calendars-linen',
    path: '/desk/ringing-day',
    theme: 'light',
    async prepare(page) {
      await chapter(page, 'Widgets');
      await page.getByRole('button', { name: /^Calendars \d/ }).click();
      await page.getByText(/events around this month/).waitFor();
    },
  },
  { name: 'live', path: '/live/sound-room', prepare: untilDrawn },
  {
    name: 'studio-windows',
    path: '/desk/dawn-count',
    async prepare(page) {
      await chapter(page, 'Windows');
      for (const name of ['Terminal', 'Tallybook']) {
        await page.getByRole('combobox', { name: 'Open another window' }).click();
        await page.getByRole('option', { name }).click();
      }
      await page.locator('[data-window]').nth(1).waitFor();
      await page
        .locator('aside')
        .getByRole('button', { name: /^Not in front/ })
        .click();
      await page.getByText('Usual eyes').waitFor();
    },
  },
  {
    name: 'try-windows',
    path: '/desk/ringing-day',
    async prepare(page) {
      await page.getByRole('button', { name: 'Try' }).click();
      for (const name of ['Files', 'Postbag', 'Tallybook'])
        await page
          .locator('[data-edge="dock"]')
          .getByRole('button', { name: `Start ${name}` })
          .click();
      await page.locator('[data-window]').nth(2).waitFor();
      await page.keyboard.press('Control+Alt+4');
      await page.locator('[data-front-menu="1"]').click();
      await page.getByRole('menu', { name: 'Count' }).waitFor();
    },
  },
  {
    name: 'live-overview',
    path: '/live/two-hides',
    async prepare(page) {
      for (const name of ['Tallybook', 'Terminal', 'Wavebox']) {
        await page.keyboard.press('Control+Space');
        await page.getByRole('combobox').fill(name);
        await page.getByRole('option', { name, exact: true }).waitFor();
        await page.keyboard.press('Enter');
        await page.getByRole('combobox').waitFor({ state: 'detached' });
      }
      await page.keyboard.press('Control+Alt+2');
      await page.keyboard.press('Control+Alt+ArrowDown');
      await page.keyboard.press('Control+Alt+o');
      await page.getByRole('dialog', { name: 'Overview of all workspaces' }).waitFor();
      await page.locator('nav[data-shown="false"]').waitFor({ state: 'attached' });
    },
  },
];

/** Waits for a piece to be looked into, and its spectrum to stand. */
function untilDrawn(page: Page): Promise<unknown> {
  return page.waitForFunction(() => {
    const canvas = document.querySelector<HTMLCanvasElement>('[data-spectrum]');
    const pixels = canvas?.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height / 2).data ?? [];
    return pixels.some((value, at) => at % 4 === 3 && value > 60);
  });
}

/** Goes to a chapter, and waits for what it shows. */
async function chapter(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name, exact: true }).click();
  await page.getByRole('heading', { name, level: 2 }).waitFor();
  await page.getByText('One moment…').waitFor({ state: 'detached' });
}

const folder = new URL('../docs/screenshots/', import.meta.url).pathname;
mkdirSync(folder, { recursive: true });
const wanted = process.argv.slice(2);
const server = new RunningServer();
const [browser] = await Promise.all([launchBrowser(), server.start()]);
try {
  for (const { name, path, theme = 'dark', prepare, tidy } of shots) {
    if (wanted.length > 0 && !wanted.includes(name)) continue;
    const context = await browser.newContext({
      viewport: { width: 1280, height: 800 },
      colorScheme: theme,
      reducedMotion: 'reduce',
    });
    const page = await context.newPage();
    await page.clock.setFixedTime(MOMENT);
    await page.goto(server.address + path);
    await page.locator('[data-backdrop]').first().waitFor();
    await prepare?.(page);
    await page.getByText('One moment…').waitFor({ state: 'detached' });
    await page.evaluate(() => document.fonts.ready);
    await page.waitForFunction(() => [...document.images].every((image) => image.complete));
    await page.screenshot({ path: `${folder}${name}.png` });
    await tidy?.(page);
    console.log(name);
    await context.close();
  }
} finally {
  await browser.close();
  await server.end();
}
