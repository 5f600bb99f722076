import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { ourLooks } from '../../core/ready/ours.ts';
import { handle, stored, untilKept, withApp } from '../support/app.ts';

const look = (page: Page, id: string) => page.locator(`[data-look="${id}"]`);
const ready = (page: Page, topic: string) => page.locator(`[data-ready="${topic}"]`);
const inHand = (page: Page) => page.locator('[data-look][aria-selected="true"]');

withApp('ready looks', ({ server, open }) => {
  const radiusOf = (page: Page) =>
    page
      .locator('[data-stage] [data-widget="machine"] > div')
      .first()
      .evaluate((part) => getComputedStyle(part).borderRadius);

  it('are paged through by the keyboard, worn by the part in hand, left as it was, and taken in one step', async () => {
    const page = await open('/desk/dawn-count');
    const before = (await stored(server, 'dawn-count')).desk;
    await handle(page, 'machine').click();
    await ready(page, 'surface').focus();
    await page.keyboard.press('Enter');
    await look(page, 'ours-surface-pebble').waitFor();
    const own = await radiusOf(page);
    const seen = new Set<string>();
    // Thirty of them, one after another, without leaving the part.
    for (let index = 0; index < 30; index++) {
      await page.keyboard.press('ArrowRight');
      seen.add((await inHand(page).getAttribute('data-look')) ?? '');
    }
    expect(seen.size).to.equal(30);
    await page.getByRole('button', { name: 'Nothing to undo' }).waitFor();
    await page.keyboard.press('Escape');
    await inHand(page).waitFor({ state: 'detached' });
    expect(await radiusOf(page)).to.equal(own);
    await look(page, 'ours-surface-pebble').hover();
    await page.waitForFunction(
      (old) =>
        getComputedStyle(
          document.querySelector('[data-stage] [data-widget="machine"] > div') ?? document.body,
        ).borderRadius !== old,
      own,
    );
    await look(page, 'ours-surface-pebble').focus();
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Undo: Surface: Pebble' }).waitFor();
    await untilKept(page);
    const { desk } = await stored(server, 'dawn-count');
    const pebble = ourLooks().find(({ id }) => id === 'ours-surface-pebble');
    expect(desk.widgets.find(({ id }) => id === 'machine')?.finish).to.deep.equal(pebble?.value);
    expect(desk.edges).to.deep.equal(before.edges);
    // Escape leaves the row; the part is still chosen, and the day is there again.
    await page.keyboard.press('Escape');
    await page.locator('[data-looks]').waitFor({ state: 'detached' });
    await ready(page, 'surface').waitFor();
    await page.keyboard.press('Control+z');
    await untilKept(page);
    expect((await stored(server, 'dawn-count')).desk).to.deep.equal(before);
  });

  it('of a backdrop are tried on what lies behind, and one is taken', async () => {
    const page = await open('/desk/tide-table');
    const before = (await stored(server, 'tide-table')).desk.backdrops;
    await page.getByRole('button', { name: 'Backdrop', exact: true }).click();
    await page.getByRole('button', { name: /^Adjust/ }).click();
    await ready(page, 'adjust').click();
    const negative = look(page, 'ours-adjust-negative');
    await negative.waitFor();
    /** Whether the stage shows a backdrop that is turned into its negative. */
    const untilNegative = (isWanted: boolean) =>
      page.waitForFunction(
        (wanted) =>
          [...document.querySelectorAll<HTMLImageElement>('[data-stage] [data-screen] img')].some(({ src }) =>
            decodeURIComponent(src).includes('"negative":100'),
          ) === wanted,
        isWanted,
      );
    await negative.hover();
    await untilNegative(true);
    await page.mouse.move(700, 300);
    await untilNegative(false);
    await negative.click();
    await page.getByRole('button', { name: 'Undo: Adjustment: Negative' }).waitFor();
    await untilKept(page);
    const [after] = (await stored(server, 'tide-table')).desk.backdrops;
    expect(after?.adjust.negative).to.equal(100);
    expect(after?.source).to.deep.equal(before[0]?.source);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+z');
    await untilKept(page);
    expect((await stored(server, 'tide-table')).desk.backdrops).to.deep.equal(before);
  });

  it('are kept by name, for all desks, called otherwise and let go of', async () => {
    const page = await open('/desk/sound-room');
    await page.getByRole('button', { name: 'Look', exact: true }).click();
    await page.getByRole('button', { name: /^Pointer/ }).click();
    await ready(page, 'pointer').click();
    await page.getByRole('textbox', { name: 'Keep this pointer as' }).fill('Night hand');
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    const mine = page.locator('[data-look]', { hasText: 'Night hand' });
    await mine.waitFor();
    const other = await open('/desk/tide-table');
    await other.getByRole('button', { name: 'Look', exact: true }).click();
    await other.getByRole('button', { name: /^Pointer/ }).click();
    await ready(other, 'pointer').click();
    const there = other.locator('[data-look]', { hasText: 'Night hand' });
    await there.click();
    await other.getByRole('button', { name: 'Undo: Pointer: Night hand' }).waitFor();
    await untilKept(other);
    const from = (await stored(server, 'sound-room')).desk.look.pointer;
    expect((await stored(server, 'tide-table')).desk.look.pointer).to.deep.equal(from);
    await other.getByRole('textbox', { name: 'Name of the pointer' }).fill('Day hand');
    await other.keyboard.press('Enter');
    await other.locator('[data-look]', { hasText: 'Day hand' }).waitFor();
    // The first page hears of it.
    await page.locator('[data-look]', { hasText: 'Day hand' }).waitFor();
    await other.getByRole('button', { name: 'Let go of Day hand' }).click();
    await page.locator('[data-look]', { hasText: 'Day hand' }).waitFor({ state: 'detached' });
    await other.close();
  });

  it('give a dock another line and other marks, and open windows to look at frames on', async () => {
    const page = await open('/desk/night-watch');
    await page.getByRole('button', { name: 'Windows', exact: true }).click();
    await ready(page, 'frame').click();
    await page.locator('[data-stage] [data-window]').first().waitFor();
    await look(page, 'ours-frame-hatch').click();
    await page.getByRole('button', { name: 'Undo: Frame: Hatch' }).waitFor();
    await untilKept(page);
    expect((await stored(server, 'night-watch')).desk.windows.buttons).to.include({
      side: 'left',
      shape: 'notches',
    });
    const id = (await stored(server, 'dawn-count')).desk.edges.find(({ kind }) => kind === 'dock')?.id ?? '';
    const dawn = await open('/desk/dawn-count');
    await dawn.locator(`[data-grip="${id}"]`).click({ force: true });
    await ready(dawn, 'dock').click();
    await look(dawn, 'ours-dock-beads').click();
    await dawn.locator('[data-stage] [data-line="dots"]').waitFor();
    await untilKept(dawn);
    expect((await stored(server, 'dawn-count')).desk.edges.find((edge) => edge.id === id)).to.deep.include({
      mark: { shape: 'pair', colour: 'accent' },
    });
    await dawn.keyboard.press('Control+z');
    await dawn.locator('[data-stage] [data-line="whole"]').waitFor();
  });
});
