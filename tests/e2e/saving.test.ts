import { execFileSync, spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import { clockAt, emptyDesk, fromCorner } from '../support/desks.ts';
import { addDesk, handle, listed, stored, take, untilKept, withApp, Withheld } from '../support/app.ts';

withApp('saving', ({ server, open, browser }) => {
  it('keeps work while the server is gone and saves it when it is back', async () => {
    const page = await open('/desk/dawn-count');
    await handle(page, 'clock').click();
    await server.kill();
    await page.keyboard.press('Shift+ArrowRight');
    await page.locator('[data-saving="gone"]').waitFor();
    await page.getByText('server gone; kept in this browser').waitFor();
    await page.keyboard.press('Shift+ArrowRight');
    await server.start();
    await untilKept(page);
    const clock = (await stored(server, 'dawn-count')).desk.widgets.find(({ id }) => id === 'clock');
    expect(clock?.place.x).to.equal(116);
  });

  it('opens what it had not fetched yet once the server is back', async () => {
    const later = new Withheld('**/assets/studio-later-*.js');
    const page = await open('/desk/dawn-count', undefined, later.prepare);
    await handle(page, 'clock').waitFor();
    await server.kill();
    await later.letThrough();
    await page.getByRole('navigation').getByRole('button', { name: 'Palette' }).click();
    expect(await page.getByRole('heading', { name: 'Roles' }).count()).to.equal(0);
    await server.start();
    await page.getByRole('heading', { name: 'Roles' }).waitFor();
    expect(later.asked).to.be.above(0);
  });

  it('loses no acknowledged save when the server is killed', async () => {
    const page = await open('/desk/dawn-count');
    await handle(page, 'machine').click();
    await page.keyboard.press('Shift+ArrowDown');
    await untilKept(page);
    const before = await stored(server, 'dawn-count');
    await server.kill();
    await server.start();
    expect(await stored(server, 'dawn-count')).to.deep.equal(before);
    expect(before.desk.widgets.find(({ id }) => id === 'machine')?.place.y).to.equal(130);
  });

  it('saves the last move on a large desk, whose page is closed at once', async () => {
    const widgets = Array.from({ length: 300 }, (_, index) =>
      clockAt(`w${index}`, fromCorner((index % 20) * 60, Math.floor(index / 20) * 40)),
    );
    const id = await addDesk(server, { ...emptyDesk(), name: 'Many clocks', widgets });
    const text = JSON.stringify((await stored(server, id)).desk);
    // More than a request may hold that goes on after its page has gone.
    expect(text.length).to.be.above(65_536);
    const page = await browser().newPage();
    await page.goto(`${server.address}/desk/${id}`);
    await handle(page, 'w299').click();
    await page.keyboard.press('Shift+ArrowRight');
    await page.close({ runBeforeUnload: true });
    const x = async () => (await stored(server, id)).desk.widgets[299]?.place.x;
    const before = widgets[299]?.place.x ?? 0;
    while ((await x()) === before) await new Promise((resolve) => setTimeout(resolve, 50));
    expect((await stored(server, id)).revision).to.equal(2);
  });

  it('brings back what a closed page could not save', async () => {
    const context = await browser().newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await page.goto(`${server.address}/desk/sound-room`);
    await handle(page, 'clock').click();
    await server.kill();
    await page.keyboard.press('Shift+ArrowLeft');
    await page.locator('[data-saving="gone"]').waitFor();
    await page.close();
    await server.start();
    const again = await context.newPage();
    await again.goto(`${server.address}/desk/sound-room`);
    await again.getByRole('button', { name: 'Undo: Unsaved work' }).waitFor();
    await untilKept(again);
    expect(
      (await stored(server, 'sound-room')).desk.widgets.find(({ id }) => id === 'clock')?.place.x,
    ).to.equal(240);
    await context.close();
  });

  it('shows in a second tab what the first one changed', async () => {
    const first = await open('/desk/dawn-count');
    const second = await open('/desk/dawn-count');
    await handle(second, 'machine').waitFor();
    await handle(first, 'machine').click();
    await first.keyboard.press('Delete');
    await handle(second, 'machine').waitFor({ state: 'detached' });
    await second.getByText('Changed in another window').waitFor();
    await first.keyboard.press('Control+z');
    await handle(second, 'machine').waitFor();
  });

  it('asks when both changed it, and keeps both', async () => {
    const first = await open('/desk/night-watch');
    const second = await open('/desk/night-watch');
    for (const page of [first, second]) await handle(page, 'clock').click();
    // The second page is cut off, so that it does not hear of the first one's change.
    await second.route('**/api/**', (route) => route.abort());
    await second.keyboard.press('Shift+ArrowDown');
    await second.locator('[data-saving="gone"]').waitFor();
    await first.keyboard.press('Shift+ArrowRight');
    await untilKept(first);
    await second.unroute('**/api/**');
    const question = second.getByRole('dialog', { name: 'Changed in two places' });
    await question.waitFor();
    const theirs = await stored(server, 'night-watch');
    expect(theirs.desk.widgets.find(({ id }) => id === 'clock')?.place).to.include({ x: 160, y: -150 });
    // Meanwhile the other goes on.
    await first.keyboard.press('Shift+ArrowUp');
    await untilKept(first);
    const newer = await stored(server, 'night-watch');
    let letGo = () => {};
    const isHeld = new Promise<void>((resolve) => (letGo = resolve));
    await second.route('**/api/desks', async (route) => {
      await isHeld;
      await route.continue();
    });
    await second.getByRole('button', { name: /keep mine as a desk of its own/ }).click();
    // While the answer is on its way there is no other.
    await question.getByRole('button', { disabled: true }).nth(2).waitFor();
    letGo();
    await question.waitFor({ state: 'detached' });
    await second.locator(`[data-saving="kept"][data-revision="${newer.revision}"]`).waitFor();
    const copy = (await listed(server)).find(({ name }) => name === 'Night watch 2');
    const mine = await stored(server, copy?.id ?? '');
    expect(mine.desk.widgets.find(({ id }) => id === 'clock')?.place).to.include({ x: 150, y: -140 });
    expect(await stored(server, 'night-watch')).to.deep.equal(newer);
  });

  it('shows what another window changed once what was begun here is given up', async () => {
    const first = await open('/desk/dawn-count');
    const second = await open('/desk/dawn-count');
    await take(second, handle(second, 'clock'), { x: 60, y: -40 });
    await handle(first, 'machine').click();
    await first.keyboard.press('Delete');
    await untilKept(first);
    const { revision } = await stored(server, 'dawn-count');
    // It is heard of, and not taken from under the pointer.
    await second.evaluate(() => fetch('/api/desks'));
    expect(await handle(second, 'machine').count()).to.equal(1);
    await second.keyboard.press('Escape');
    await second.mouse.up();
    await handle(second, 'machine').waitFor({ state: 'detached' });
    await second.locator(`[data-saving="kept"][data-revision="${revision}"]`).waitFor();
    await first.keyboard.press('Control+z');
    await handle(second, 'machine').waitFor();
  });

  it('goes back to an earlier revision, as a step', async () => {
    const page = await open('/desk/dawn-count');
    await handle(page, 'elsewhere').click();
    await page.keyboard.press('Delete');
    await untilKept(page);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+k');
    await page.getByPlaceholder('What do you want to do', { exact: false }).waitFor();
    await page.keyboard.type('history');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Go back to revision 1', exact: true }).click();
    await handle(page, 'elsewhere').waitFor();
    await page.getByRole('button', { name: 'Undo: Back to revision 1' }).click();
    await handle(page, 'elsewhere').waitFor({ state: 'detached' });
  });

  it('says so where the browser refuses to keep what the server can’t be given, and hands it over as a file', async () => {
    const page = await open('/desk/dawn-count');
    await handle(page, 'clock').waitFor();
    await page.evaluate(() => {
      Storage.prototype.setItem = () => {
        throw new DOMException('Full', 'QuotaExceededError');
      };
    });
    await server.kill();
    await handle(page, 'clock').click();
    await page.keyboard.press('Shift+ArrowRight');
    await page.getByText('not kept: this browser has no room for it').waitFor();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save it as a file' }).click();
    const path = await (await download).path();
    const saved = JSON.parse(readFileSync(path, 'utf8')) as { id: string };
    expect(saved.id).to.equal('dawn-count');
    await server.start();
    await untilKept(page);
  });

  it('keeps work here while the server’s disk is full, and goes on once there is room', async function () {
    if (spawnSync('prlimit', ['--version']).status !== 0) this.skip();
    const limit = (bytes: string) =>
      execFileSync('prlimit', ['--pid', String(server.pid), `--fsize=${bytes}:`]);
    const page = await open('/desk/dawn-count');
    await handle(page, 'clock').waitFor();
    const before = await stored(server, 'dawn-count');
    limit('1024');
    await handle(page, 'clock').click();
    await page.keyboard.press('Shift+ArrowRight');
    await page.locator('[data-saving="held"]').waitFor();
    await page.getByText(/kept in this browser: The disk of the server/).waitFor();
    expect((await stored(server, 'dawn-count')).revision).to.equal(before.revision);
    limit('unlimited');
    await untilKept(page);
    expect((await stored(server, 'dawn-count')).revision).to.be.greaterThan(before.revision);
  });
});
