import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect } from 'chai';
import type axe from 'axe-core';
import type { Page } from 'playwright-core';
import { handle, withApp } from '../support/app.ts';

/** Every main view by the rules of WCAG 2.2 AA that a program can check. */

const source = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/** Small desks and widgets within links and buttons are pictures: the words in them are nobody's name. */
const NOT_OURS = ['label-content-name-mismatch'];
/** How large the parts of a desk are is for whoever made it to say. */
const NOT_ON_A_DESK = [...NOT_OURS, 'target-size'];

/** What is wrong, each with where. */
async function violations(page: Page, without: readonly string[]): Promise<string[]> {
  await page.evaluate(source);
  const rules = Object.fromEntries(without.map((rule) => [rule, { enabled: false }]));
  return page.evaluate(
    async (options) => {
      const { axe: tool } = window as unknown as { axe: typeof axe };
      const { violations: found } = await tool.run(options);
      return found.flatMap(({ id, nodes }) =>
        nodes.map(({ target, failureSummary }) => `${id}: ${target.join(' ')}: ${failureSummary ?? ''}`),
      );
    },
    { runOnly: TAGS, rules },
  );
}

const chapters = ['Backdrop', 'Palette', 'Look', 'Edges', 'Widgets', 'Menus', 'Windows'];

withApp('accessibility', ({ open }) => {
  const holds = async (page: Page, without = NOT_OURS) =>
    expect(await violations(page, without)).to.deep.equal([]);

  it('holds on the shelf', async () => {
    const page = await open('/');
    await page.getByText('Check the scales').waitFor();
    await holds(page);
  });

  it('holds in the studio, in every chapter', async () => {
    const page = await open('/desk/dawn-count');
    for (const chapter of chapters) {
      await page.getByRole('button', { name: chapter, exact: true }).click();
      await page.getByRole('heading', { name: chapter, exact: true, level: 2 }).waitFor();
      await page.getByText('One moment…').waitFor({ state: 'detached' });
      await holds(page);
    }
    await page.getByRole('button', { name: 'Look', exact: true }).click();
    await page
      .getByRole('complementary')
      .getByRole('button', { name: /^Findings/ })
      .click();
    await page.getByRole('heading', { name: 'Findings', level: 2 }).waitFor();
    await page.getByText('Looking…').first().waitFor({ state: 'detached' });
    await holds(page);
    await page.keyboard.press('Shift+C');
    await page.getByRole('combobox', { name: 'Compare with', exact: true }).click();
    await page.getByRole('option', { name: 'Another desk' }).click();
    await page.locator('[data-other]').waitFor();
    await page.locator('[data-differences]').waitFor();
    await holds(page);
    await page.getByRole('button', { name: 'Widgets', exact: true }).first().click();
    await handle(page, 'load').click();
    await page.getByRole('heading', { name: 'Machine', level: 2 }).waitFor();
    await holds(page);
  });

  for (const desk of ['dawn-count', 'ringing-day', 'sound-room'])
    it(`holds on ${desk.replace('-', ' ')} in use`, async () => {
      const page = await open(`/live/${desk}`);
      await page.locator('[data-screen] [data-widget]').first().waitFor();
      await holds(page, NOT_ON_A_DESK);
    });
});
