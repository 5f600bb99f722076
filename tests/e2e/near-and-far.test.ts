import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { clockAt, emptyDesk, fromCorner } from '../support/desks.ts';
import { addDesk, centreOf, drag, handle, stored, untilKept, withApp, chooseEdge } from '../support/app.ts';

withApp('near and far', ({ server, open }) => {
  const desk = (name: string) => ({
    ...emptyDesk(),
    name,
    widgets: [clockAt('one', fromCorner(200, 200)), clockAt('two', fromCorner(600, 350))],
  });
  const twoScreens = (name: string) => {
    const base = desk(name);
    const [first] = base.screens;
    if (!first) throw new Error('no screen');
    const second = { ...first, id: 'second', name: 'North wall', x: first.width, width: 1080, height: 1350 };
    return addDesk(server, { ...base, screens: [{ ...first, name: 'Desk lamp side' }, second] });
  };
  /** Stage px for each px of the desk. */
  const scale = (page: Page) =>
    page.locator('[data-stage]').evaluate((stage) => {
      const screen = stage.querySelector<HTMLElement>('[data-screen]');
      return stage.clientWidth / (screen?.offsetWidth ?? NaN);
    });
  const untilNearer = (page: Page, least: number) =>
    page.waitForFunction((wanted) => {
      const screen = document.querySelector<HTMLElement>('[data-stage] [data-screen]');
      return (
        (document.querySelector('[data-stage]')?.clientWidth ?? 0) / (screen?.offsetWidth ?? NaN) >= wanted
      );
    }, least);
  const area = async (page: Page) => {
    const box = await page.locator('[data-stage-area]').boundingBox();
    if (!box) throw new Error('no stage');
    return box;
  };

  it('comes nearer with what is under the pointer staying there, by wheel and by keys, and shows all again', async () => {
    const id = await addDesk(server, desk('Nearer'));
    const page = await open(`/desk/${id}`);
    const whole = await scale(page);
    const before = await centreOf(handle(page, 'one'));
    await page.mouse.move(before.x, before.y);
    await page.keyboard.down('Control');
    for (let notch = 0; notch < 5; notch++) await page.mouse.wheel(0, -100);
    await page.keyboard.up('Control');
    await untilNearer(page, whole * 2.4);
    const after = await centreOf(handle(page, 'one'));
    expect(Math.hypot(after.x - before.x, after.y - before.y)).to.be.below(12);
    await page.keyboard.press('0');
    expect(await scale(page)).to.be.closeTo(whole, 0.002);
    await page.keyboard.press('Shift+Z');
    expect(await scale(page)).to.be.closeTo(1, 0.002);
    await page.keyboard.press('-');
    expect(await scale(page)).to.be.closeTo(0.8, 0.002);
  });

  it('keeps handles as large as they are, draws sharp, and moves what is dragged as far as the pointer went', async () => {
    const id = await addDesk(server, desk('Dragged near'));
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').click();
    await page.keyboard.press('z');
    const near = await scale(page);
    expect(near).to.be.above(1);
    const corner = await handle(page, 'one').locator('[data-corner] span').first().boundingBox();
    expect(corner?.width).to.be.closeTo(10, 1);
    // No layer of its own is left that would be drawn from fewer pixels.
    await page.locator('[data-rescaled]').waitFor({ state: 'detached' });
    await page.keyboard.down('Alt');
    await drag(page, handle(page, 'one'), { x: 60, y: 30 });
    await page.keyboard.up('Alt');
    await untilKept(page);
    const [moved] = (await stored(server, id)).desk.widgets;
    expect((moved?.place.x ?? 0) - 200).to.be.closeTo(60 / near, 4);
    expect((moved?.place.y ?? 0) - 200).to.be.closeTo(30 / near, 4);
    // Where one is stays over an edit, and a reload.
    expect(await scale(page)).to.be.closeTo(near, 0.002);
    await page.reload();
    await handle(page, 'one').waitFor();
    expect(await scale(page)).to.be.closeTo(near, 0.002);
  });

  it('is moved along by the wheel, by Space and by the middle button, and at the border by a drag', async () => {
    const id = await addDesk(server, desk('Moved along'));
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').waitFor();
    await page.keyboard.press('Shift+Z');
    for (let press = 0; press < 4; press++) await page.keyboard.press('=');
    await untilNearer(page, 2.3);
    const corner = async () => (await page.locator('[data-stage]').boundingBox()) ?? { x: NaN, y: NaN };
    const box = await area(page);
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    const first = await corner();
    await page.mouse.wheel(0, 120);
    await page.waitForFunction(
      (y) => (document.querySelector('[data-stage]')?.getBoundingClientRect().y ?? 0) < y - 80,
      first.y,
    );
    const second = await corner();
    await page.keyboard.down('Space');
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 90, box.y + box.height / 2 + 40, { steps: 4 });
    await page.mouse.up();
    await page.keyboard.up('Space');
    const third = await corner();
    expect(third.x - second.x).to.be.closeTo(90, 2);
    await page.mouse.down({ button: 'middle' });
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2, { steps: 4 });
    await page.mouse.up({ button: 'middle' });
    expect((await corner()).x - third.x).to.be.closeTo(-90, 2);
    await handle(page, 'one').click();
    await page.keyboard.press('z');
    const taken = await centreOf(handle(page, 'one'));
    const before = await corner();
    await page.mouse.move(taken.x, taken.y);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width - 60, taken.y, { steps: 5 });
    await page.mouse.move(box.x + box.width - 4, taken.y, { steps: 3 });
    await page.waitForFunction(
      (x) => (document.querySelector('[data-stage]')?.getBoundingClientRect().x ?? 0) < x - 200,
      before.x,
    );
    await page.mouse.up();
    await untilKept(page);
    const [moved] = (await stored(server, id)).desk.widgets;
    expect(moved?.place.x).to.be.above(300);
  });

  it('holds a part inside that is dragged out, and keeps what it shows', async () => {
    const id = await addDesk(server, desk('Held inside'));
    const page = await open(`/desk/${id}`);
    await drag(page, handle(page, 'one'), { x: -900, y: -700 });
    await untilKept(page);
    const [moved] = (await stored(server, id)).desk.widgets;
    expect(moved?.place).to.deep.include({ x: 0, y: 0 });
  });

  it('brings an edge near while its values are changed', async () => {
    const page = await open('/desk/dawn-count');
    await chooseEdge(page, 'panel');
    const whole = await scale(page);
    const slider = page.getByRole('slider', { name: 'Thickness', exact: true });
    await slider.focus();
    await slider.press('ArrowRight');
    await untilNearer(page, 0.99);
    const panel = await handle(page, 'panel').boundingBox();
    const box = await area(page);
    expect(panel?.y ?? -1).to.be.within(box.y - 1, box.y + box.height);
    await page.waitForFunction(
      (wide) => (document.querySelector('[data-stage]')?.clientWidth ?? 9999) <= wide,
      whole * 1920 + 2,
    );
    await page.keyboard.press('Control+z');
    await untilKept(page, { isNew: false });
  });

  it('names screens, shows them side by side, and moves parts between them by dragging and by a key', async () => {
    const id = await twoScreens('Two walls');
    const page = await open(`/desk/${id}`);
    await page.getByRole('button', { name: 'North wall' }).waitFor();
    await page.getByRole('button', { name: 'All screens side by side' }).click();
    const second = page.locator('[data-frame="second"]');
    const to = await centreOf(second);
    const from = await centreOf(handle(page, 'one'));
    await drag(page, handle(page, 'one'), { x: to.x - from.x, y: to.y - from.y });
    await second.locator('[data-handle="one"]').waitFor();
    await untilKept(page);
    const hangs = async (part: string) =>
      (await stored(server, id)).desk.widgets.find((one) => one.id === part)?.place.hangs;
    expect(await hangs('one')).to.deep.include({ screen: 'second' });
    const landed = await centreOf(handle(page, 'one'));
    expect(Math.hypot(landed.x - to.x, landed.y - to.y)).to.be.below(10);
    await handle(page, 'two').click();
    await page.keyboard.press('m');
    await second.locator('[data-handle="two"]').waitFor();
    await untilKept(page);
    await page.keyboard.press('Control+z');
    await untilKept(page);
    expect(await hangs('two')).not.to.deep.include({ screen: 'second' });
  });

  it('lets a screen be dragged on the map to where it comes to stand against another, and moved by arrows', async () => {
    const id = await twoScreens('On the map');
    const page = await open(`/desk/${id}`);
    await page.getByRole('button', { name: 'Screens: sizes, and more of them' }).click();
    const place = async () => {
      await untilKept(page);
      const { screens } = (await stored(server, id)).desk;
      return [screens[1]?.x, screens[1]?.y];
    };
    const second = page.locator('[data-map-screen="second"]');
    const first = await page.locator('[data-map-screen="main"]').boundingBox();
    const box = await second.boundingBox();
    if (!first || !box) throw new Error('no map');
    // Its top right corner to a little over the other's left side, a little under its top.
    await drag(page, second, { x: first.x + 4 - (box.x + box.width), y: 3 + first.y - box.y });
    expect(await place()).to.deep.equal([-1080, 0]);
    await second.focus();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Shift+ArrowDown');
    expect(await place()).to.deep.equal([-1080, 220]);
    // It goes no farther than to where it touches the other one.
    await page.keyboard.press('ArrowRight');
    await page.getByRole('textbox', { name: 'North wall: x' }).fill('70000');
    await page.keyboard.press('Enter');
    await page.getByText(/Not taken/).waitFor();
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    expect(await place()).to.deep.equal([1000, 0]);
  });

  it('copies, cuts and pastes parts within a desk and to another', async () => {
    const id = await addDesk(server, desk('From here'));
    const other = await addDesk(server, { ...emptyDesk(), name: 'To there' });
    const page = await open(`/desk/${id}`);
    await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
    await handle(page, 'one').click();
    await page.keyboard.press('Control+c');
    await page.keyboard.press('Control+v');
    await untilKept(page);
    expect((await stored(server, id)).desk.widgets.map(({ place }) => [place.x, place.y])).to.deep.include([
      224, 224,
    ]);
    expect(await page.evaluate(() => navigator.clipboard.readText())).to.contain('"velvet-ledge-parts"');
    await handle(page, 'two').click();
    await page.keyboard.press('Control+x');
    await handle(page, 'two').waitFor({ state: 'detached' });
    await untilKept(page);
    await page.goto(`${server.address}/desk/${other}`);
    await page.getByText('A bare desk.', { exact: false }).waitFor();
    await page.keyboard.press('Control+v');
    await page.locator('[data-stage] [data-widget]').waitFor();
    await untilKept(page, { isNew: false });
    const { desk: there } = await stored(server, other);
    expect(there.widgets).to.have.length(1);
    expect(there.widgets[0]?.place).to.deep.include({ x: 600, y: 350 });
    // What is no part of ours, or damaged, changes nothing.
    await page.evaluate(() => navigator.clipboard.writeText('{"velvet-ledge-parts": 3, "edges": 5}'));
    await page.keyboard.press('Control+v');
    await page.getByText(/^What was copied can’t be put here/).waitFor();
  });
});
