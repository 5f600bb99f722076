import '../support/page.ts';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { startHistory } from '../../core/desk/history.ts';
import { useDesk } from '../../web/session/desk.ts';
import { chapters } from '../../web/studio/chapters/list.ts';
import { entriesNow } from '../../web/studio/search/entries.ts';
import { drawn, handle, stored, untilKept, withApp } from '../support/app.ts';

/** Types into the search, and takes what has the title. */
async function find(page: Page, words: string, title: string, group: string | RegExp = ''): Promise<void> {
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('What do you want to do', { exact: false }).fill(words);
  const best = page.locator('[cmdk-item][data-selected="true"]').filter({ hasText: title });
  await best.filter({ hasText: group }).waitFor();
  await page.keyboard.press('Enter');
  await page.getByPlaceholder('What do you want to do', { exact: false }).waitFor({ state: 'detached' });
}

const hasFocus = (page: Page, field: string) =>
  page.waitForFunction(
    (label) => document.activeElement?.closest<HTMLElement>('[data-field]')?.dataset['field'] === label,
    field,
  );

withApp('the search', ({ server, open }) => {
  it('leads from everyday words to the very field, opened and with the focus in it', async () => {
    const page = await open('/desk/dawn-count');
    await page.locator('[data-stage]').waitFor();
    for (const [words, heading, field] of [
      ['rounded corners', 'Finish', 'Corner radius'],
      ['hover zoom', /Dock/, 'Grows to'],
      ['dark mode', 'Look', 'Light and dark'],
      ['accent colour', 'Palette', 'Accent'],
    ] as const) {
      await page.keyboard.press('Control+k');
      await page.getByPlaceholder('What do you want to do', { exact: false }).fill(words);
      await page.locator('[cmdk-item][data-selected="true"]').filter({ hasText: field }).waitFor();
      await page.keyboard.press('Enter');
      await page.getByRole('heading', { name: heading, level: 2 }).waitFor();
      await page.waitForFunction(
        (label) => document.activeElement?.closest<HTMLElement>('[data-field]')?.dataset['field'] === label,
        field,
      );
    }
    await page.keyboard.press('Control+k');
    await page.getByPlaceholder('What do you want to do', { exact: false }).fill('radiuuuus');
    await page.getByText('Nothing by that name. Nearest to it:').waitFor();
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /^Corner radius/ })
      .first()
      .click();
    await page.waitForFunction(
      () =>
        document.activeElement?.closest<HTMLElement>('[data-field]')?.dataset['field'] === 'Corner radius',
    );
  });

  it('finds every field that stands on any page of any chapter', async () => {
    const page = await open('/desk/dawn-count');
    await page.locator('[data-stage]').waitFor();
    const { desk } = await stored(server, 'dawn-count');
    useDesk.setState({ history: startHistory(desk) });
    const found = new Set(entriesNow().map(({ title }) => title));
    useDesk.setState({ history: null });
    const stand = new Set<string>();
    for (const { title, pages } of chapters)
      for (const where of [null, ...pages]) {
        await find(page, where ? `${title}: ${where.title}` : title, where?.title ?? title);
        await page.getByRole('heading', { name: where?.title ?? title, level: 2 }).waitFor();
        await drawn(page);
        const labels = await page
          .locator('aside [data-field]')
          .evaluateAll((rows) => rows.map((row) => row.getAttribute('data-field') ?? ''));
        for (const label of labels) stand.add(label);
      }
    expect(stand.size).to.be.above(60);
    expect([...stand].filter((label) => !found.has(label))).to.deep.equal([]);
  });

  it('goes to what decides a field where it has no effect, and to fields in sheets and on the ledge', async () => {
    const page = await open('/desk/dawn-count');
    await page.locator('[data-stage]').waitFor();
    await find(page, 'latitude', 'Latitude', 'Place');
    await page.getByRole('dialog', { name: 'Place' }).waitFor();
    await hasFocus(page, 'Latitude');
    await page.keyboard.press('Escape');
    await page.getByRole('dialog', { name: 'Place' }).waitFor({ state: 'detached' });
    await find(page, 'time of day', 'Time of day');
    await page.waitForFunction(() => document.activeElement?.getAttribute('role') === 'slider');
    // The backdrop is a rotation: what it is decides.
    await find(page, 'angle', 'Angle', 'Backdrop: gradient');
    await hasFocus(page, 'Kind of backdrop');
  });

  it('adds what a field belongs to where there is none yet, in one step, and turns faces of what is chosen', async () => {
    const page = await open('/desk/dawn-count');
    await page.locator('[data-stage]').waitFor();
    await find(page, 'bands', 'Bands', 'adds spectrum');
    await page.getByRole('heading', { name: 'Spectrum', level: 2 }).waitFor();
    await hasFocus(page, 'Bands');
    expect(await page.locator('[data-stage] [data-widget]').count()).to.equal(7);
    await page.getByRole('button', { name: 'Undo: Add spectrum' }).click();
    await page.waitForFunction(() => document.querySelectorAll('[data-stage] [data-widget]').length === 6);
    await handle(page, 'clock').click();
    await find(page, 'face: hands', 'Face: hands', 'Clock, chosen');
    await page.getByRole('button', { name: 'Undo: Face' }).waitFor();
    await untilKept(page);
    const { widgets } = (await stored(server, 'dawn-count')).desk;
    expect(widgets.find(({ id }) => id === 'clock')?.face).to.equal('hands');
  });
});
