import { expect } from 'chai';
import { centreOf, drag, handle, stored, take, untilKept, withApp } from '../support/app.ts';

withApp('edges', ({ server, open }) => {
  it('move to another side by dragging, and the free area with them', async () => {
    const page = await open('/desk/dawn-count');
    const stage = await centreOf(page.locator('[data-stage]'));
    const clock = handle(page, 'clock');
    const before = await clock.boundingBox();
    const panel = handle(page, 'panel');
    const from = await panel.boundingBox();
    await page.mouse.move((from?.x ?? 0) + 3, (from?.y ?? 0) + 8);
    await page.mouse.down();
    await page.mouse.move(stage.x, stage.y + 180, { steps: 8 });
    await page.mouse.up();
    await page.locator('[data-handle="panel"][aria-label="Panel at the bottom"]').waitFor();
    expect((await clock.boundingBox())?.y).to.be.below(before?.y ?? 0);
    await page.keyboard.press('Control+z');
    expect(await clock.boundingBox()).to.deep.equal(before);
  });

  it('are added, given items, reordered by dragging, and taken away', async () => {
    const page = await open('/desk/bare-desk');
    await page.getByRole('button', { name: 'Edges' }).click();
    await page.getByRole('button', { name: 'Panel', exact: true }).click();
    await page.getByRole('heading', { name: 'Panel', level: 2 }).waitFor();
    const rows = page.locator('[data-row]');
    const titles = async () => (await rows.allInnerTexts()).map((text) => text.split('\n')[0]);
    expect(await titles()).to.deep.equal(['App list button', 'Workspaces', 'Divider', 'Tray', 'Clock']);

    await page.getByRole('button', { name: 'Add an item' }).click();
    await page.getByRole('menuitem', { name: /^Spring/ }).click();
    await page.getByRole('heading', { name: 'Spring', level: 2 }).waitFor();
    await page.getByRole('button', { name: 'Back to Panel' }).click();

    await take(page, page.getByRole('button', { name: 'Move Spring', exact: true }), { x: 0, y: -110 });
    await page.mouse.up();
    await page.waitForFunction(() =>
      document.querySelectorAll('[data-row]')[2]?.textContent?.includes('Spring'),
    );
    expect(await titles()).to.deep.equal([
      'App list button',
      'Workspaces',
      'Spring',
      'Divider',
      'Tray',
      'Clock',
    ]);

    // By the keyboard as well.
    await page.getByRole('button', { name: 'Move Clock', exact: true }).focus();
    await page.keyboard.press('ArrowUp');

    await page.getByRole('button', { name: 'Remove Divider' }).click();
    await page.getByRole('radio', { name: 'Whole side' }).click();
    await untilKept(page);
    const [edge] = (await stored(server, 'bare-desk')).desk.edges;
    expect(edge?.length).to.equal('fill');
    expect(edge?.items.map(({ type }) => type)).not.to.include('divider');
    expect(edge?.items.map(({ type }) => type).slice(0, 3)).to.deep.equal([
      'app-list',
      'workspaces',
      'spring',
    ]);

    await page.keyboard.press('Delete');
    expect(await page.locator('[data-stage] [data-handle]').count()).to.equal(0);
    await page.keyboard.press('Control+z');
    expect(await page.locator('[data-stage] [data-edge]').count()).to.equal(1);
  });

  it('let items be dragged along them on the stage', async () => {
    const page = await open('/desk/dawn-count');
    await handle(page, 'dock').click({ position: { x: 4, y: 4 } });
    const first = handle(page, 'dock-1');
    await drag(page, first, { x: 75, y: 0 });
    await untilKept(page);
    const dock = (await stored(server, 'dawn-count')).desk.edges.find(({ id }) => id === 'dock');
    expect(dock?.items.map(({ id }) => id).indexOf('dock-1')).to.equal(2);
    await page.keyboard.press('Control+z');
    await untilKept(page, { isNew: false });
  });

  it('open the app list in Try, start what is chosen, and mark it', async () => {
    const page = await open('/desk/sound-room');
    await page.getByRole('button', { name: 'Try' }).click();
    await page.getByRole('button', { name: 'Open the app list' }).click();
    const list = page.getByRole('dialog', { name: 'App list' });
    await list.waitFor();
    await page.keyboard.type('wave');
    await page.keyboard.press('Enter');
    await list.waitFor({ state: 'detached' });
    await page.locator('[data-stud="wavebox"]').waitFor();
    await page.getByRole('button', { name: 'Workspace Cut' }).click();
    await page.keyboard.press('Escape');
    await handle(page, 'dock').waitFor();
  });
});
