import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { handle, withApp } from '../support/app.ts';

const MOMENT = new Date('2026-11-24T07:12:00Z');
const MINUTE = 60_000;

/** Lets the server say something else of itself as its line to a page begins to stand. */
const saysOfItself = (page: Page, about: { build: string | null; room: number | null }) =>
  page.route('**/api/events*', (route) =>
    route.fulfill({
      contentType: 'text/event-stream',
      body: `event: hello\ndata: ${JSON.stringify(about)}\n\n`,
    }),
  );

withApp('what is said plainly when it happens', ({ open }) => {
  it('a page that an older server gave: load it again, by a press', async () => {
    const page = await open('/desk/dawn-count');
    await handle(page, 'clock').waitFor();
    expect(await page.getByText('given by an older server').count()).to.equal(0);
    await saysOfItself(page, { build: '/assets/index-of-tomorrow.js', room: null });
    await page.reload();
    await page.getByText('This page was given by an older server: load it again').waitFor();
    await page.unroute('**/api/events*');
    const loaded = page.waitForEvent('load');
    await page.getByRole('button', { name: 'Load again' }).click();
    await loaded;
    await handle(page, 'clock').waitFor();
    expect(await page.getByText('given by an older server').count()).to.equal(0);
  });

  it('a disk that is nearly full, and how much is left of it', async () => {
    const page = await open('/desk/dawn-count');
    await saysOfItself(page, { build: null, room: 80.5 * 2 ** 20 });
    await page.reload();
    await page.getByText('The disk of the server is nearly full: 80 MB are left.').waitFor();
  });

  it('a clock that was set back, and nothing of one that was set a little', async () => {
    const page = await open('/desk/dawn-count', MOMENT);
    await handle(page, 'clock').waitFor();
    await page.clock.setFixedTime(new Date(MOMENT.getTime() - MINUTE));
    await page.locator('[data-widget="clock"]').getByText('07:11').waitFor();
    expect(await page.getByText('clock was set back').count()).to.equal(0);
    await page.clock.setFixedTime(new Date(MOMENT.getTime() - 41 * MINUTE));
    await page.getByText('This machine’s clock was set back by 40 min').waitFor();
  });
});
