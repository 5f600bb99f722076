import type { Page } from 'playwright-core';
import { ourKits } from '../core/kits/ours.ts';
import { centreOf, handle } from '../tests/support/app.ts';
import { addMany, framesSince, liveKinds, startFrames, type Frames } from './browser-frames.ts';
import type { Row } from './row.ts';

/** How fast looks are put on, and how smooth two of them stay side by side. */

/** Of a kit that is pointed at: ms until the stage wears it, painted, at 95 % of two rounds of our twelve. */
export async function wearPointedAt(page: Page, address: string): Promise<number> {
  const kits = ourKits();
  const [first] = kits;
  await page.goto(`${address}/desk/${await addMany(address, 'Worn', liveKinds)}`);
  await handle(page, 'w54').waitFor();
  await page.getByRole('button', { name: 'Look', exact: true }).click();
  await page.getByRole('button', { name: /^Kits/ }).click();
  await page.locator(`[data-look="${first?.id}"]`).waitFor();
  // As text: the compiler's helpers for named functions are not known in the page.
  await page.evaluate(`
    window.worn = [];
    let came = null;
    // Whatever hears first that the pointer is on another one: it may be worn with that very event.
    const hear = (event, onto, from) => {
      const look = onto?.closest?.('[data-look]');
      if (look && look !== from?.closest?.('[data-look]')) came = event.timeStamp;
    };
    window.addEventListener('pointerout', (event) => hear(event, event.relatedTarget, event.target), true);
    new MutationObserver(() => {
      if (came === null) return;
      const from = came;
      came = null;
      requestAnimationFrame(() => setTimeout(() => window.worn.push(performance.now() - from)));
    }).observe(document.querySelector('[data-stage] [data-screen]'), { attributes: true, attributeFilter: ['style'] });
  `);
  let count = 0;
  for (const round of [0, 1, 2])
    for (const { id: kit } of kits) {
      const option = page.locator(`[data-look="${kit}"]`);
      await option.scrollIntoViewIfNeeded();
      const { x, y } = await centreOf(option);
      await page.mouse.move(x, y);
      count++;
      await page.waitForFunction(
        (least) => (window as unknown as { worn: number[] }).worn.length >= least,
        count,
      );
      // The first round fetches what is drawn small: that is no wearing yet.
      if (round === 0 && kit === kits.at(-1)?.id) {
        await page.evaluate('window.worn.length = 0');
        count = 0;
      }
    }
  const times = ((await page.evaluate('window.worn')) as number[]).toSorted((a, b) => a - b);
  return times[Math.floor(times.length * 0.95)] ?? NaN;
}

/** Ms for which a day is played while its frames are counted. */
const PLAYED = 5000;

/** Frames while a day is played, of a desk alone and beside another one. */
export async function playCompared(
  page: Page,
  address: string,
): Promise<{ alone: Frames; compared: Frames }> {
  await page.goto(`${address}/desk/dawn-count`);
  await handle(page, 'clock').waitFor();
  const played = async () => {
    await page.getByRole('button', { name: 'Play the day' }).click();
    await startFrames(page);
    await page.waitForTimeout(PLAYED);
    const frames = await framesSince(page);
    await page.getByRole('button', { name: 'Stop the day' }).click();
    return frames;
  };
  // The first time the pictures of the day are fetched.
  await played();
  const alone = await played();
  await page.keyboard.press('Shift+C');
  await page.getByRole('combobox', { name: 'Compare with', exact: true }).click();
  await page.getByRole('option', { name: 'Another desk' }).click();
  await page.getByRole('combobox', { name: 'Which to compare with' }).click();
  await page.getByRole('option', { name: 'Night watch' }).click();
  await page.locator('[data-other] [data-widget]').first().waitFor();
  await played();
  return { alone, compared: await played() };
}

export function looksRows(worn: number, { alone, compared }: { alone: Frames; compared: Frames }): Row[] {
  return [
    {
      what: 'a kit pointed at, worn by a desk of 120 widgets: at 95 %',
      value: worn,
      unit: 'ms',
      reach: 'within 100 ms',
      isMet: worn <= 100,
    },
    {
      what: 'two desks compared while the day is played: frames a second',
      value: compared.perSecond,
      unit: '',
      reach: 'at least 30',
      isMet: compared.perSecond >= 30,
    },
    { what: '… of the desk alone', value: alone.perSecond, unit: '', reach: '', isMet: null },
  ];
}
