import type { Browser, Page } from 'playwright-core';
import type { Desk } from '../../core/desk/desk.ts';
import { differencesOf } from '../../core/desk/differences.ts';
import { dawnCount } from '../support/desks.ts';
import { RunningServer, addDesk, launchBrowser, stored } from '../support/app.ts';
import { chanceFrom, type Chance } from './random.ts';
import type { Found } from './server.ts';

/**
 * Walks about in the studio as somebody would who presses, drags and types at random, reloads, looks at live, and loses
 * the server now and then; every other walk goes on in two tabs of one desk. In the end nothing may have failed, what is
 * kept is what every tab shows, undoing to the start gives back the desk as it was opened (where nobody else changed it),
 * and redoing to the end the desk as it was left.
 */

const STEPS = 40;
const KEYS = [
  ...'123456LFTMZSNP0+-=',
  'Escape',
  'Delete',
  'ArrowLeft',
  'ArrowDown',
  'Shift+ArrowRight',
  'Control+a',
  'Control+z',
  'Control+Shift+z',
  'Control+d',
  'Control+c',
  'Control+v',
  'Control+k',
  'Shift+D',
  'Control+Alt+w',
  'Control+Space',
  'F6',
  'Tab',
  'Enter',
  'Space',
];
const TEXTS = ['0', '-3', '2.5', '99999', 'gull', '07:30', ''];
/** What leads away from the page, or asks for a file. */
const APART =
  /live|screen$|shelf|file|picture|bake|export|png|jpeg|webp|window of its own|upload|font|to the studio/i;

const SAVES = /^(PUT|PATCH)$/;

interface Target {
  name: string;
  kind: string;
  x: number;
  y: number;
}

/** What can be pressed or taken, where it is seen. */
function targetsOn(page: Page): Promise<Target[]> {
  return page.evaluate(() =>
    [
      ...document.querySelectorAll(
        'button, input, [role="slider"], [data-handle], [role="menuitem"], [role="option"]',
      ),
    ]
      .filter((element) => !element.matches(':disabled, [type="file"]'))
      .map((element) => ({ element, box: element.getBoundingClientRect() }))
      .filter(
        ({ box }) =>
          box.width > 0 && box.right > 0 && box.bottom > 0 && box.left < innerWidth && box.top < innerHeight,
      )
      .map(({ element, box }) => ({
        name: element.getAttribute('aria-label') ?? element.textContent ?? '',
        kind: element.getAttribute('role') ?? element.tagName.toLowerCase(),
        x: Math.min(innerWidth - 2, Math.max(1, box.left + box.width / 2)),
        y: Math.min(innerHeight - 2, Math.max(1, box.top + box.height / 2)),
      })),
  );
}

/** One step; gives back what was done. */
async function step(page: Page, chance: Chance): Promise<string> {
  const way = chance.below(20);
  if (way < 5) {
    const key = chance.of(KEYS);
    await page.keyboard.press(key);
    return `key ${key}`;
  }
  const targets = (await targetsOn(page)).filter(({ name }) => !APART.test(name));
  if (targets.length === 0) return 'nothing to press';
  const target = chance.of(targets);
  const { name, x, y } = target;
  await page.mouse.move(x, y);
  if (way < 11) {
    await page.mouse.down();
    await page.mouse.up();
    return `press ${name}`;
  }
  if (way < 16) {
    await page.mouse.down();
    await page.mouse.move(x + chance.below(300) - 150, y + chance.below(200) - 100, { steps: 4 });
    // Sometimes something else happens on the way.
    const key = chance.below(4) === 0 ? chance.of(KEYS) : null;
    if (key) await page.keyboard.press(key);
    await page.mouse.move(x + chance.below(200) - 100, y + chance.below(200) - 100, { steps: 3 });
    await page.mouse.up();
    return `drag ${name}${key ? ` with ${key} on the way` : ''}`;
  }
  if (way === 16 && target.kind === 'input') {
    await page.mouse.click(x, y);
    const text = chance.of(TEXTS);
    await page.keyboard.press('Control+a');
    await page.keyboard.type(text);
    await page.keyboard.press(chance.of(['Enter', 'Tab', 'Escape']));
    return `type "${text}" into ${name}`;
  }
  if (way === 17) {
    await page.keyboard.down('Control');
    await page.mouse.wheel(0, chance.of([-100, 100]));
    await page.keyboard.up('Control');
    return 'wheel';
  }
  if (way === 18) {
    await page.reload();
    await stageOf(page);
    return 'reload';
  }
  if (way === 19) {
    await page.context().setOffline(chance.below(2) === 0);
    return 'the server goes, or comes';
  }
  return `point at ${name}`;
}

/** Waits for the stage; a walk may be in live, where there is none, or on its way there. */
async function stageOf(page: Page): Promise<void> {
  const stage = page.locator('[data-stage]');
  const live = page.locator('nav[aria-label="Out of live"]');
  await stage.or(live).first().waitFor();
  const studio = page.url().replace('/live/', '/desk/').replace(/\?.*$/, '');
  if (page.url().includes('/live/')) await page.goto(studio);
  await stage.waitFor();
}

/** Answers the question that a tab asks when another one overtook it. */
async function choose(page: Page, chance: Chance): Promise<string | null> {
  const question = page.getByRole('dialog', { name: 'Changed in two places' });
  const answers = question.getByRole('button', { disabled: false });
  const which = chance.below(3);
  // None can be pressed while one is on its way.
  if ((await answers.count()) < 3) return null;
  const name = (await answers.nth(which).textContent()) ?? '';
  await answers.nth(which).click();
  return `choose “${name}”`;
}

/** Until the header of each page says that the server has what is shown; gives back what had to be answered. */
async function settle(pages: Page[], chance: Chance): Promise<string[]> {
  const answers: string[] = [];
  for (const page of pages) {
    const isKept = page.locator('[data-saving="kept"]');
    const question = page.getByRole('dialog', { name: 'Changed in two places' });
    for (let press = 0; press < 3; press++) await page.keyboard.press('Escape');
    // A text of lines has its own steps: it is left first.
    await page.evaluate(() => document.querySelector<HTMLElement>('textarea:focus')?.blur());
    await stageOf(page);
    // Others may save while an answer is on its way: then it is asked again.
    for (let time = 0; time < 6 && (await isKept.count()) === 0; time++) {
      await isKept.or(question).first().waitFor({ timeout: 20_000 });
      const answer = await choose(page, chance);
      if (answer) answers.push(answer);
    }
    await isKept.waitFor({ timeout: 20_000 });
  }
  return answers;
}

/** Walks back or on through the steps of a page, up to their end. */
async function pressUntil(page: Page, key: string, nothing: string): Promise<void> {
  for (let press = 0; press < 400; press++) {
    if ((await page.getByRole('button', { name: nothing }).count()) > 0) break;
    // What was asked for last may have opened since, and have the keys.
    if (press % 20 === 19) await page.keyboard.press('Escape');
    await page.keyboard.press(key);
  }
}

const withoutName = ({ name: _, ...desk }: Desk) => JSON.stringify(desk);

/** Every page shows the newest revision that the server has. */
async function agree(pages: Page[], server: RunningServer, id: string): Promise<boolean> {
  const { revision } = await stored(server, id);
  const showIt = pages.map((page) =>
    page
      .locator(`[data-saving="kept"][data-revision="${revision}"]`)
      .waitFor({ timeout: 20_000 })
      .then(
        () => true,
        () => false,
      ),
  );
  return (await Promise.all(showIt)).every(Boolean);
}

async function walk(browser: Browser, server: RunningServer, seed: number, found: Found[]): Promise<void> {
  const chance = chanceFrom(seed);
  const done: string[] = [];
  const say = (what: string, detail = '') =>
    found.push({ what: `walk ${seed}: ${what}`, detail: `${detail}\nafter: ${done.join('; ')}` });
  const id = await addDesk(server, { ...dawnCount(), name: `Walk ${seed}` });
  const first = (await stored(server, id)).desk;
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  context.setDefaultTimeout(20_000);
  const pages: Page[] = [];
  for (let tab = 0; tab < 1 + (seed % 2); tab++) {
    const page = await context.newPage();
    page.on('pageerror', (error) => say('the page fails', error.stack ?? error.message));
    page.on('response', (response) => {
      if (SAVES.test(response.request().method()) && response.status() >= 400 && response.status() !== 412)
        say(`a save is refused with ${response.status()}`);
    });
    pages.push(page);
  }
  try {
    for (const page of pages) {
      await page.goto(`${server.address}/desk/${id}`);
      await stageOf(page);
    }
    for (let count = 0; count < STEPS; count++) {
      const page = chance.of(pages);
      await page.bringToFront();
      const chosen = await choose(page, chance);
      if (chosen) done.push(chosen);
      // Nothing can be loaded anew while the server is away.
      const doing = await step(page, chance).catch(async (error: Error) => {
        if (!/ERR_INTERNET_DISCONNECTED/.test(error.message)) throw error;
        await context.setOffline(false);
        await page.goto(`${server.address}/desk/${id}`);
        return 'reload without the server';
      });
      done.push(pages.length > 1 ? `${pages.indexOf(page) + 1}: ${doing}` : doing);
      if (await page.getByText('Something broke').count()) return void say('the page breaks');
      if (!page.url().includes(id)) await page.goto(`${server.address}/desk/${id}`);
    }
    await context.setOffline(false);
    done.push(...(await settle(pages, chance)));
    if (!(await agree(pages, server, id))) say('a tab does not show what is kept');
    const [page] = pages;
    if (!page) return;
    await page.bringToFront();
    if (await page.getByRole('button', { name: 'Arrange', pressed: false }).count())
      await page.keyboard.press('t');
    const isFirst = pages.length === 1 ? first : null;
    await backAndOn({ page, pages, chance, server, id, first: isFirst, say });
  } catch (error) {
    say('it does not come to its end', String(error));
  } finally {
    await context.close();
  }
}

interface Ended {
  page: Page;
  pages: Page[];
  chance: Chance;
  server: RunningServer;
  id: string;
  /** What undoing must lead to; null where another tab's work stands in between. */
  first: Desk | null;
  say(what: string, detail?: string): void;
}

/** All steps undone and done again, at the end of a walk. */
async function backAndOn({ page, pages, chance, server, id, first, say }: Ended): Promise<void> {
  async function goTo(key: string, nothing: string): Promise<Desk> {
    await pressUntil(page, key, nothing);
    await settle(pages, chance);
    return (await stored(server, id)).desk;
  }
  function compare(wanted: Desk, got: Desk, what: string): void {
    if (withoutName(wanted) === withoutName(got)) return;
    say(what, JSON.stringify(differencesOf(wanted, got)).slice(0, 1200));
  }
  // What was undone on the way belongs to the end as well.
  const left = await goTo('Control+Shift+z', 'Nothing to redo');
  const start = await goTo('Control+z', 'Nothing to undo');
  if (first) compare(first, start, 'undo to the start gives another desk');
  compare(left, await goTo('Control+Shift+z', 'Nothing to redo'), 'redo to the end gives another desk');
}

/** So many walks from a seed on; what is found has its seed and the way there. */
export async function walkOften(times: number, seed: number, found: Found[]): Promise<void> {
  const server = new RunningServer();
  const [browser] = await Promise.all([launchBrowser(), server.start()]);
  for (let count = 0; count < times; count++) await walk(browser, server, seed + count, found);
  await browser.close();
  await server.end();
}
