import { expect } from 'chai';
import { centreOf, drag, drawn, handle, stored, take, untilKept, withApp } from '../support/app.ts';

withApp('the stage', ({ server, open }) => {
  it('moves a widget with the pointer, shows the guide it catches on, keeps it over a reload, and undoes', async () => {
    const page = await open('/desk/dawn-count');
    const clock = handle(page, 'clock');
    const before = await clock.boundingBox();
    // Up to where the tops of the clock and the graph beside it nearly agree, and off to the side.
    await take(page, clock, { x: 120, y: -16 });
    await page.locator('line[data-guide="part"]').first().waitFor({ state: 'attached' });
    expect(await page.locator('[data-distance]').count()).to.be.greaterThan(0);
    await page.mouse.up();
    await drawn(page);
    expect(await page.locator('line[data-guide]').count()).to.equal(0);
    const moved = await clock.boundingBox();
    expect(moved?.x).to.be.greaterThan((before?.x ?? 0) + 100);
    await untilKept(page);
    const graph = await handle(page, 'load').boundingBox();
    expect(Math.abs((moved?.y ?? 0) - (graph?.y ?? 0))).to.be.below(0.6);

    await page.reload();
    await clock.waitFor();
    expect(await clock.boundingBox()).to.deep.equal(moved);

    await drag(page, clock, { x: 60, y: 60 });
    await page.keyboard.press('Control+z');
    expect(await clock.boundingBox()).to.deep.equal(moved);
    await page.keyboard.press('Control+Shift+z');
    expect((await clock.boundingBox())?.x).not.to.equal(moved?.x);
    await page.keyboard.press('Control+z');
    await untilKept(page, { isNew: false });
  });

  it('gives a drag up on Escape', async () => {
    const page = await open('/desk/dawn-count');
    const machine = handle(page, 'machine');
    const before = await machine.boundingBox();
    await take(page, machine, { x: 150, y: -80 });
    expect(await machine.boundingBox()).not.to.deep.equal(before);
    await page.keyboard.press('Escape');
    await page.mouse.up();
    expect(await machine.boundingBox()).to.deep.equal(before);
    expect(await page.getByRole('button', { name: 'Nothing to undo' }).isDisabled()).to.equal(true);
  });

  it('passes the snaps with Alt and keeps to one axis with Shift', async () => {
    const page = await open('/desk/dawn-count');
    const machine = handle(page, 'machine');
    const before = await machine.boundingBox();
    await page.keyboard.down('Shift');
    await drag(page, machine, { x: 90, y: 22 });
    await page.keyboard.up('Shift');
    const kept = await machine.boundingBox();
    expect(kept?.y).to.equal(before?.y);
    expect(kept?.x).to.be.greaterThan((before?.x ?? 0) + 70);
    await page.keyboard.press('Control+z');
    await page.keyboard.down('Alt');
    await take(page, machine, { x: -1, y: 30 });
    expect(await page.locator('line[data-guide]').count()).to.equal(0);
    await page.mouse.up();
    await page.keyboard.up('Alt');
    await page.keyboard.press('Control+z');
  });

  it('draws nothing but the moved widget anew while it is dragged', async () => {
    const page = await open('/desk/dawn-count');
    // A chosen moment: nothing ticks.
    await page.getByRole('slider', { name: 'Time of day' }).press('ArrowRight');
    await page.evaluate(() => {
      const others = [
        ...document.querySelectorAll(
          '[data-stage] [data-widget]:not([data-widget="machine"]), [data-stage] [data-edge]',
        ),
      ];
      const changes: string[] = [];
      (window as unknown as { changes: string[] }).changes = changes;
      const observer = new MutationObserver((list) =>
        changes.push(...list.map(({ target }) => (target as Element).outerHTML.slice(0, 80))),
      );
      for (const other of others)
        observer.observe(other, { subtree: true, childList: true, attributes: true, characterData: true });
    });
    await take(page, handle(page, 'machine'), { x: 200, y: 40 });
    expect(await page.evaluate(() => (window as unknown as { changes: string[] }).changes)).to.deep.equal([]);
    await page.keyboard.press('Escape');
    await page.mouse.up();
  });

  it('does not move what is locked, and says so', async () => {
    const page = await open('/desk/dawn-count');
    const clock = handle(page, 'clock');
    await clock.click();
    await page.keyboard.press('l');
    const before = await clock.boundingBox();
    await drag(page, clock, { x: 80, y: 80 });
    await page.keyboard.press('ArrowRight');
    expect(await clock.boundingBox()).to.deep.equal(before);
    await page.getByText('Locked: press L to unlock it first.').waitFor();
    await page.keyboard.press('l');
    await page.keyboard.press('ArrowRight');
    expect(await clock.boundingBox()).not.to.deep.equal(before);
    await untilKept(page);
  });

  it('adds a widget dragged out of the column where it is let go, and by one press', async () => {
    const page = await open('/desk/bare-desk');
    await page.getByRole('button', { name: 'All 9 faces of Clock' }).click();
    const card = page.locator('[data-card="clock-hands"]');
    const from = await centreOf(card);
    const stage = await centreOf(page.locator('[data-stage]'));
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x + 40, from.y + 10, { steps: 4 });
    await page.mouse.move(stage.x + 150, stage.y + 60, { steps: 10 });
    await page.mouse.up();
    const added = page.locator('[data-stage] [data-widget]');
    await added.waitFor();
    const { x, y } = await centreOf(added);
    expect(Math.hypot(x - stage.x - 150, y - stage.y - 60)).to.be.below(8);
    await page.getByRole('heading', { name: 'Clock', level: 2 }).waitFor();

    await page.getByRole('button', { name: 'Back to Widgets' }).click();
    // One that is let go beside the stage, or given up, is not added.
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x + 40, from.y + 10, { steps: 4 });
    await page.mouse.up();
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(stage.x, stage.y, { steps: 4 });
    await page.keyboard.press('Escape');
    // Not even by letting go over its own card.
    await page.mouse.move(from.x, from.y);
    await page.mouse.up();
    await page.getByRole('searchbox', { name: 'Find a widget' }).fill('traffic');
    await page.locator('[data-card="machine-bars"]').click();
    await page.getByRole('heading', { name: 'Machine', level: 2 }).waitFor();
    await untilKept(page);
    expect(
      (await stored(server, 'bare-desk')).desk.widgets.map(({ type, face }) => `${type} ${face}`),
    ).to.deep.equal(['clock hands', 'machine bars']);
  });

  it('selects several by a drawn rectangle, aligns and removes them, and brings them back', async () => {
    const page = await open('/desk/dawn-count');
    const box = await page.locator('[data-stage]').boundingBox();
    if (!box) throw new Error('no stage');
    await page.mouse.move(box.x + 12, box.y + 24);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width * 0.45, box.y + box.height * 0.75, { steps: 6 });
    await page.mouse.up();
    await page.getByRole('heading', { name: '3 widgets' }).waitFor();
    await page.getByRole('button', { name: 'Align right' }).click();
    const right = async (id: string) => {
      const part = await handle(page, id).boundingBox();
      return (part?.x ?? 0) + (part?.width ?? 0);
    };
    expect(Math.abs((await right('clock')) - (await right('machine')))).to.be.below(0.6);
    await page.keyboard.press('Delete');
    expect(await handle(page, 'clock').count()).to.equal(0);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await handle(page, 'clock').waitFor();
    await page.keyboard.press('Control+z');
  });

  it('scales a widget by its corner', async () => {
    const page = await open('/desk/dawn-count');
    const machine = handle(page, 'machine');
    await machine.click();
    const before = await machine.boundingBox();
    await drag(page, machine.locator('[data-corner="1,1"]'), { x: 90, y: 40 });
    const after = await machine.boundingBox();
    expect((after?.width ?? 0) / (before?.width ?? 1)).to.be.closeTo(
      (after?.height ?? 0) / (before?.height ?? 1),
      0.01,
    );
    expect(after?.width).to.be.greaterThan((before?.width ?? 0) + 40);
    await page.keyboard.press('Control+z');
  });

  it('opens a menu by the right button on any part', async () => {
    const page = await open('/desk/dawn-count');
    const widgets = page.locator('[data-stage] [data-widget]');
    await handle(page, 'machine').click({ button: 'right' });
    const before = await widgets.count();
    await page.getByRole('menuitem', { name: /Duplicate/ }).click();
    expect(await widgets.count()).to.equal(before + 1);
    await page.keyboard.press('Control+z');
    await page.locator('[data-grip="dock"]').click({ button: 'right', force: true });
    await page.getByRole('menuitem', { name: /Remove/ }).click();
    expect(await handle(page, 'dock').count()).to.equal(0);
    await page.keyboard.press('Control+z');
    await handle(page, 'dock').waitFor();
  });
});
