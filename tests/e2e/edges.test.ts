import { expect } from 'chai';
import { isThereInRehearsal } from '../../core/timeline/visits/visits.ts';
import type { Page } from 'playwright-core';
import { createDock, createItem, createPanel } from '../../core/desk/defaults.ts';
import type { Desk } from '../../core/desk/desk.ts';
import type { Edge } from '../../core/desk/shapes/edges.ts';
import {
  addDesk,
  centreOf,
  drag,
  drawn,
  handle,
  stored,
  take,
  untilKept,
  withApp,
  chooseEdge,
} from '../support/app.ts';
import { DAWN, clockAt, closedMenus, emptyDesk, fromCorner } from '../support/desks.ts';

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
    expect(edge?.length).to.deep.equal({ by: 'side' });
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
    await chooseEdge(page, 'dock');
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

  const withEdges = (name: string, edges: Desk['edges'], widgets: Desk['widgets'] = []) =>
    addDesk(server, { ...emptyDesk(), name, edges, widgets });
  const starters = (count: number, label = false) =>
    Array.from({ length: count }, (_, index) =>
      createItem(`item-${index}`, 'application', {
        application: emptyDesk().applications[index % 8]?.id,
        label,
      }),
    );
  const panel = (items: Edge['items'], change: Partial<Edge> = {}): Edge => ({
    ...createPanel('panel', 'main', 'top', items),
    ...change,
  });
  const dock = (items: Edge['items'], change: Partial<Edge> = {}): Edge => ({
    ...createDock('dock', 'main', 'bottom', emptyDesk().look.finish, items),
    ...change,
  });
  const kept = async (page: Page, id: string) => {
    await untilKept(page);
    return (await stored(server, id)).desk.edges;
  };

  it('give items at once, also off a strip that is not chosen: along it, onto another, and off', async () => {
    const id = await withEdges('Items in hand', [panel([createItem('clock', 'clock')]), dock(starters(4))]);
    const page = await open(`/desk/${id}`);
    const first = handle(page, 'item-0');
    await drag(page, first, { x: 60, y: 0 });
    expect((await kept(page, id))[1]?.items.map((item) => item.id)).to.deep.equal([
      'item-1',
      'item-0',
      'item-2',
      'item-3',
    ]);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    const from = await centreOf(handle(page, 'item-2'));
    const to = await centreOf(handle(page, 'clock'));
    await drag(page, handle(page, 'item-2'), { x: to.x + 30 - from.x, y: to.y - from.y });
    const moved = await kept(page, id);
    expect(moved[0]?.items.map((item) => item.id)).to.deep.equal(['clock', 'item-2']);
    expect(moved[1]?.items).to.have.length(3);
    // Off every edge it is said what letting go would do.
    const off = await centreOf(handle(page, 'item-3'));
    await page.mouse.move(off.x, off.y);
    await page.mouse.down();
    await page.mouse.move(off.x, off.y - 160, { steps: 8 });
    await page.getByText(/^Let go to take .* from the dock/).waitFor();
    await page.mouse.up();
    // What offers to take it back stays for a few seconds: pressed first.
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    expect((await kept(page, id))[1]?.items).to.have.length(3);
    await page.keyboard.press('Control+Shift+z');
    expect((await kept(page, id))[1]?.items).to.have.length(2);
  });

  it('are dragged longer, thicker and elsewhere by their handles, unless they are locked', async () => {
    const id = await withEdges('By its handles', [dock(starters(4))]);
    const page = await open(`/desk/${id}`);
    await chooseEdge(page, 'dock');
    const box = await handle(page, 'dock').boundingBox();
    await drag(page, page.locator('[data-span="end"]'), { x: 60, y: 0 });
    const after = await handle(page, 'dock').boundingBox();
    if (!box || !after) throw new Error('no dock');
    expect(after.x).to.be.closeTo(box.x, 1);
    expect(after.width).to.be.closeTo(box.width + 60, 4);
    await drag(page, page.locator('[data-span="inner"]'), { x: 0, y: -20 });
    const [longer] = await kept(page, id);
    expect(longer?.length.by).to.equal('fixed');
    expect(longer?.thickness).to.be.greaterThan(80);
    await page.keyboard.press('l');
    await page.locator('[data-span]').first().waitFor({ state: 'detached' });
    await drag(page, page.locator('[data-grip="dock"]'), { x: -300, y: -200 });
    await page.getByText('Locked: press L to unlock it first.').waitFor();
    expect((await kept(page, id))[0]).to.deep.include({ locked: true, side: 'bottom' });
  });

  it('own the corners in an order that can be changed', async () => {
    const id = await withEdges('Corners', [
      panel([], { length: { by: 'side' } }),
      { ...panel([], { length: { by: 'side' }, side: 'left' }), id: 'rail' },
    ]);
    const page = await open(`/desk/${id}`);
    const top = async () => (await handle(page, 'rail').boundingBox())?.y ?? NaN;
    const before = await top();
    await page.getByRole('button', { name: 'Edges', exact: true }).click();
    await page.getByRole('button', { name: 'Move Panel at the left', exact: true }).focus();
    await page.keyboard.press('ArrowUp');
    expect((await kept(page, id)).map((edge) => edge.id)).to.deep.equal(['rail', 'panel']);
    expect(await top()).to.be.below(before - 5);
  });

  it('start from strips of ours, and stand as another one with all that is on them', async () => {
    const id = await withEdges('Strips', []);
    const page = await open(`/desk/${id}`);
    await page.getByRole('button', { name: 'Edges', exact: true }).click();
    await page.locator('[data-strip="full"]').click();
    await page.getByRole('heading', { name: 'Panel', level: 2 }).waitFor();
    const [first] = await kept(page, id);
    await page.getByRole('button', { name: /^Stand as/ }).click();
    await page.locator('[data-strip="rail"]').click();
    const [rail] = await kept(page, id);
    expect(rail?.side).to.equal('left');
    expect(rail?.items).to.deep.equal(first?.items);
    await page.getByRole('button', { name: 'Back to Edges' }).click();
    await page.locator('[data-strip="concert"]').click();
    expect((await kept(page, id)).map(({ kind }) => kind)).to.deep.equal(['panel', 'panel', 'dock']);
  });

  it('put away what finds no room, behind a button that opens it, by the keyboard too', async () => {
    const id = await withEdges('Too tight', [
      panel(starters(30, true), { length: { by: 'fixed', px: 560 } }),
    ]);
    const page = await open(`/desk/${id}`);
    await chooseEdge(page, 'panel');
    await page.getByText(/^No room for .* behind the \+\d+/).waitFor();
    await page.getByRole('button', { name: 'Try' }).click();
    const more = page.getByRole('button', { name: /^\d+ more$/ });
    await more.focus();
    await page.keyboard.press('Enter');
    const rest = page.getByRole('dialog', { name: 'What found no room' });
    await rest.waitFor();
    await page.keyboard.press('ArrowDown');
    expect(await rest.locator('button:focus').count()).to.equal(1);
    await page.keyboard.press('Escape');
    await rest.waitFor({ state: 'detached' });
    // The focus is given back.
    expect(await more.evaluate((button) => button === document.activeElement)).to.equal(true);
    await more.click();
    await rest.getByRole('button').first().click();
    await rest.waitFor({ state: 'detached' });
  });

  it('do by each button and the wheel what an item was given to do', async () => {
    const presses = {
      left: 'app-list',
      middle: 'next-workspace',
      right: 'half',
      wheel: 'workspaces',
    } as const;
    const id = await withEdges('Presses', [
      panel([
        { ...createItem('clock', 'clock'), presses },
        createItem('spaces', 'workspaces', {}, 'names'),
        createItem('button', 'app-list'),
        createItem('leave', 'session', { act: 'leave' }),
        createItem('switch', 'half'),
      ]),
    ]);
    const page = await open(`/live/${id}`);
    const clock = page.locator('[data-item="clock"]');
    const current = page.locator('[aria-current="true"]');
    await current.waitFor();
    const first = await current.getAttribute('aria-label');
    const untilOther = (label: string | null) =>
      page.waitForFunction(
        (before) => document.querySelector('[aria-current="true"]')?.getAttribute('aria-label') !== before,
        label,
      );
    await clock.click({ button: 'middle' });
    await untilOther(first);
    await clock.hover();
    const second = await current.getAttribute('aria-label');
    await page.mouse.wheel(0, -120);
    await untilOther(second);
    await page.getByRole('button', { name: 'Look at the dark half' }).waitFor();
    await clock.click({ button: 'right' });
    await page.getByRole('button', { name: 'Look at the light half' }).click();
    await page.getByRole('button', { name: 'Look at the dark half' }).waitFor();
    await page.getByRole('button', { name: 'Leave', exact: true }).click();
    await page.getByText('The session would end.').waitFor();
    // By the keyboard as well: the clock became a button.
    await clock.getByRole('button', { name: 'Open the app list' }).focus();
    await page.keyboard.press('Enter');
    await page.getByRole('dialog', { name: 'App list' }).waitFor();
  });

  it('let an item wear another face, by pointer and keyboard, which is kept and can be undone', async () => {
    const id = await withEdges('Faces', [
      panel([createItem('clock', 'clock'), createItem('wave', 'application', { application: 'wavebox' })]),
    ]);
    const page = await open(`/desk/${id}`);
    const texts = (item: string) => page.locator(`[data-stage] [data-item="${item}"] .run`).allTextContents();
    const faceOf = async (index: number) => (await stored(server, id)).desk.edges[0]?.items[index]?.face;
    await handle(page, 'clock').click();
    const faces = page.getByRole('group', { name: 'Faces' });
    // Each is a picture of the item itself.
    await faces.locator('[data-face="stack"] .run').nth(1).waitFor();
    await faces.getByRole('button', { name: 'Over the date' }).click();
    await untilKept(page);
    expect(await texts('clock')).to.have.length(2);
    expect(await faceOf(0)).to.equal('stack');
    // What has an effect only under a face is there under it.
    await page.getByRole('textbox', { name: 'Date', exact: true }).waitFor();
    await faces.getByRole('button', { name: 'Dial' }).press('Enter');
    await page.locator('[data-stage] [data-item="clock"] svg').waitFor();
    expect(await texts('clock')).to.deep.equal([]);
    await page.keyboard.press('Control+z');
    await page.locator('[data-stage] [data-item="clock"] .run').nth(1).waitFor();
    await handle(page, 'wave').click();
    await faces.getByRole('button', { name: 'Words', exact: true }).click();
    await untilKept(page);
    await page.reload();
    await page.locator('[data-stage] [data-item="wave"]').waitFor();
    expect(await texts('wave')).to.deep.equal(['Wavebox']);
    expect([await faceOf(0), await faceOf(1)]).to.deep.equal(['stack', 'words']);
  });

  it('swap an item for another kind in its place, with what both understand, and set its room', async () => {
    const id = await withEdges('Swapped', [
      panel([
        createItem('one', 'clock', { zone: 'UTC' }),
        createItem('two', 'app-list'),
        createItem('three', 'tray'),
      ]),
    ]);
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').click();
    await page.getByRole('button', { name: 'Swap for another kind' }).click();
    await page.getByRole('menuitem', { name: 'Date', exact: true }).click();
    await page.getByRole('heading', { name: 'Date', level: 2 }).waitFor();
    const [swapped] = (await kept(page, id))[0]?.items ?? [];
    expect(swapped).to.deep.include({ id: 'one', type: 'date' });
    expect(swapped?.options['zone']).to.equal('UTC');
    await page.getByRole('switch', { name: 'Icons as the edge' }).click();
    await page.getByRole('button', { name: 'icon size for all 3 between the springs' }).click();
    await page.getByRole('textbox', { name: 'Margin before' }).fill('40');
    await page.keyboard.press('Enter');
    const items = (await kept(page, id))[0]?.items ?? [];
    expect(items.map(({ iconSize }) => iconSize)).to.deep.equal([24, 24, 24]);
    expect(items[0]?.before).to.equal(40);
  });

  it('slip away in use, come with the pointer at their side or by a key, and go again', async () => {
    const id = await withEdges('Slips', [dock(starters(5), { shows: { by: 'slips', in: 60, out: 120 } })]);
    const page = await open(`/live/${id}`);
    const edge = page.locator('[data-edge="dock"]');
    const away = page.locator('[data-edge="dock"][data-away]');
    await away.waitFor();
    const screen = await page.locator('[data-screen]').boundingBox();
    if (!screen) throw new Error('no screen');
    const middle = screen.x + screen.width / 2;
    // Passing by is not asking.
    await page.mouse.move(middle, screen.y + screen.height - 1);
    await page.mouse.move(middle, screen.y + 100);
    await page.mouse.move(middle, screen.y + screen.height - 1);
    await page.locator('[data-edge="dock"]:not([data-away])').waitFor();
    const there = await edge.boundingBox();
    await page.mouse.move(middle, (there?.y ?? 0) + 10);
    await drawn(page);
    expect(await away.count()).to.equal(0);
    await page.mouse.move(middle, screen.y + 60);
    await away.waitFor();
    await page.keyboard.press('e');
    await page.locator('[data-edge="dock"]:not([data-away])').waitFor();
    await page.keyboard.press('e');
    await away.waitFor();
    // The focus that comes to it calls it.
    await edge.getByRole('button').first().focus();
    await page.keyboard.press('Tab');
    await page.locator('[data-edge="dock"]:not([data-away])').waitFor();
  });

  it('stay while a menu of the front window hangs from them', async () => {
    const bar = (id: string, side: 'top' | 'left', out: number, items: Edge['items']) => ({
      ...panel(items),
      id,
      side,
      shows: { by: 'slips' as const, in: 60, out },
    });
    const id = await withEdges('Menus that hang', [
      bar('menus', 'top', 100, [...starters(1), createItem('front', 'front-menus')]),
      bar('late', 'left', 2000, [createItem('more', 'application', { application: 'files' })]),
    ]);
    const page = await open(`/live/${id}`);
    const there = (edge: string) => page.locator(`[data-edge="${edge}"]:not([data-away])`);
    const away = (edge: string) => page.locator(`[data-edge="${edge}"][data-away]`);
    await away('menus').waitFor({ state: 'attached' });
    const screen = await page.locator('[data-screen]').boundingBox();
    if (!screen) throw new Error('no screen');
    const toTop = async () => {
      const box = await page.locator('[data-edge="menus"]').boundingBox();
      await page.mouse.move((box?.x ?? 0) + 8, screen.y + 1);
      await there('menus').waitFor();
    };
    await toTop();
    await page.locator('[data-edge="menus"]').getByRole('button').first().click();
    const name = page
      .getByRole('menubar', { name: 'Menus of the front window' })
      .getByRole('menuitem')
      .first();
    await name.waitFor({ state: 'attached' });
    const side = await page.locator('[data-edge="late"]').boundingBox();
    await page.mouse.move(screen.x + 1, (side?.y ?? 0) + 8);
    await there('late').waitFor();
    await toTop();
    await name.click();
    const menu = page.getByRole('menu');
    await menu.waitFor();
    const at = await centreOf(menu);
    await page.mouse.move(at.x, at.y);
    // What takes longer to go is gone by now; what the menu hangs from would have been long before.
    await away('late').waitFor({ state: 'attached' });
    expect(await there('menus').count()).to.equal(1);
    // The focus holds it too, until it goes elsewhere.
    await page.keyboard.press('Escape');
    await page.mouse.click(screen.x + 40, screen.y + screen.height - 40);
    await away('menus').waitFor({ state: 'attached' });
  });

  it('slip in and out on the ledge as a rehearsed day has it, wherever the pointer is', async () => {
    const id = await withEdges('Rehearsed', [
      dock(starters(3), { shows: { by: 'slips', in: 100, out: 300 } }),
    ]);
    const { seed } = emptyDesk();
    const moments = Array.from({ length: 60 }, (_, minute) => DAWN + minute * 60_000);
    const isThere = (moment: number) => isThereInRehearsal(seed, 'dock', moment, { in: 100, out: 300 });
    expect(moments.some(isThere) && !moments.every(isThere)).to.equal(true);
    const page = await open(`/desk/${id}`, new Date(DAWN));
    await page.getByRole('button', { name: 'Try', exact: true }).click();
    await page.locator('[data-edge="dock"][data-away]').waitFor({ state: 'attached' });
    // The ledge's thumb goes on by minutes.
    const thumb = page.locator('[data-ledge]').getByRole('slider').first();
    await thumb.focus();
    for (let press = 0; press < 40; press++) {
      await page.keyboard.press('ArrowRight');
      const moment = Number(await page.locator('[data-moment]').getAttribute('data-moment'));
      const state = isThere(moment) ? '[data-edge="dock"]:not([data-away])' : '[data-edge="dock"][data-away]';
      await page.locator(state).waitFor({ state: 'attached' });
    }
  });

  it('let icons of a dock grow under the pointer, neighbours making room', async () => {
    const id = await withEdges('Grows', [dock(starters(5), { growth: { factor: 1.8, reach: 140 } })]);
    const page = await open(`/live/${id}`);
    const icons = page.locator('[data-grows]');
    await icons.nth(4).waitFor();
    const boxes = () =>
      icons.evaluateAll((all) => all.map((one) => one.getBoundingClientRect().toJSON() as DOMRect));
    const before = await boxes();
    const [, , third] = before;
    if (!third) throw new Error('no icon');
    await page.mouse.move(third.x + third.width / 2, third.y + third.height / 2);
    await page.waitForFunction((width) => {
      const icon = document.querySelectorAll('[data-grows]')[2];
      return (icon?.getBoundingClientRect().width ?? 0) > width * 1.6;
    }, third.width);
    const grown = await boxes();
    grown.slice(1).forEach((box, index) => {
      const left = grown[index];
      expect(box.x).to.be.at.least((left?.x ?? 0) + (left?.width ?? 0) - 1);
    });
    expect(grown[4]?.x).to.be.greaterThan(before[4]?.x ?? NaN);
    // What lies beneath them reaches as far as they do.
    const line = await page.locator('[data-edge] [data-stretches]').last().boundingBox();
    const last = grown[4] ?? { x: NaN, width: NaN };
    expect((line?.x ?? NaN) + (line?.width ?? NaN)).to.be.at.least(last.x + last.width);
    await page.mouse.move(third.x, 5);
    await page.waitForFunction(
      (width) =>
        (document.querySelectorAll('[data-grows]')[2]?.getBoundingClientRect().width ?? 0) < width * 1.02,
      third.width,
    );
  });

  it('show what is outside and what is inside as measures while they change', async () => {
    const id = await withEdges('Measured', [dock(starters(4), { margin: 30, padding: 10 })]);
    const page = await open(`/desk/${id}`);
    await chooseEdge(page, 'dock');
    const measure = page.locator('[data-measure]');
    const set = async (name: string, value: string) => {
      await page.getByRole('textbox', { name: `${name}, exact` }).fill(value);
      await page.keyboard.press('Enter');
    };
    await set('Padding', '40');
    await page.getByText('40 inside').first().waitFor();
    expect(await measure.count()).to.equal(2);
    await set('Floating distance', '60');
    // Both in the same frame: the edge is being brought near.
    const gap = await page.waitForFunction(() => {
      const off = [...document.querySelectorAll('[data-measure]')].find(
        (one) => one.textContent === '60 outside',
      );
      const edge = document.querySelector('[data-handle="dock"]');
      return off && edge
        ? { px: off.getBoundingClientRect().top - edge.getBoundingClientRect().bottom }
        : null;
    });
    expect((await gap.jsonValue())?.px).to.be.closeTo(0, 1.5);
    // They go by themselves.
    await measure.waitFor({ state: 'detached' });
  });

  it('say at once when the last way to start an application is gone, and offer one', async () => {
    const id = await addDesk(server, {
      ...emptyDesk(),
      name: 'Last way',
      ...closedMenus(),
      edges: [panel([createItem('button', 'app-list'), createItem('clock', 'clock')])],
    });
    const page = await open(`/desk/${id}`);
    await handle(page, 'button').click();
    await page.keyboard.press('Delete');
    await page.getByText('Nothing on the desk starts an application any more.').waitFor();
    await page.getByRole('button', { name: 'Put a button there' }).click();
    await page.locator('[data-stage] [data-handle][aria-label^="App list button"]').waitFor();
    await untilKept(page);
    expect((await stored(server, id)).desk.edges[0]?.items.map(({ type }) => type)).to.deep.equal([
      'app-list',
      'clock',
    ]);
  });

  it('say at once that they stand over something, and move it off', async () => {
    const id = await withEdges(
      'Covered',
      [dock(starters(5), { length: { by: 'side' } })],
      [clockAt('one', fromCorner(300, 530))],
    );
    const page = await open(`/desk/${id}`);
    await page
      .locator('[data-cover]', { hasText: 'The dock at the bottom stands over the clock (line)' })
      .waitFor();
    await page.getByRole('button', { name: 'Move it off' }).click();
    await page.locator('[data-cover]').waitFor({ state: 'detached' });
    await untilKept(page);
    const clock = await handle(page, 'one').boundingBox();
    const edge = await handle(page, 'dock').boundingBox();
    expect((clock?.y ?? 0) + (clock?.height ?? 0)).to.be.below(edge?.y ?? 0);
  });

  it('are told of with all else that could be better, each with what mends it, which can be undone', async () => {
    const id = await withEdges(
      'Found',
      [dock(starters(5), { length: { by: 'side' } })],
      [clockAt('one', fromCorner(300, 530))],
    );
    const page = await open(`/desk/${id}`);
    await page.getByRole('button', { name: 'Look', exact: true }).click();
    await page
      .getByRole('complementary')
      .getByRole('button', { name: /^Findings/ })
      .click();
    await page.getByRole('heading', { name: 'Findings', level: 2 }).waitFor();
    const rule = page.locator('[data-rule="covered"]');
    await rule.getByText('The dock at the bottom stands over the clock (line)').waitFor();
    await page.locator('[data-rule="pictures"]').getByText('Each has pixels enough.').waitFor();
    await page.locator('[data-rule="texts"]').getByText('Looking…').waitFor({ state: 'detached' });
    // On the stage the part is marked; the mark leads to its line, and the line lights the mark.
    const mark = page.locator('[data-finding-mark="one"]');
    const [around, clock] = [await mark.locator('..').boundingBox(), await handle(page, 'one').boundingBox()];
    expect(Math.abs((around?.x ?? 0) - (clock?.x ?? 99))).to.be.below(3);
    expect(Math.abs((around?.width ?? 0) - (clock?.width ?? 99))).to.be.below(6);
    await mark.click();
    await page.waitForFunction(() => document.activeElement?.closest('[data-finding="one"]'));
    await rule.getByRole('button', { name: 'Move it off' }).focus();
    await page.keyboard.press('Enter');
    await rule.getByText('Every part has its place.').waitFor();
    await mark.waitFor({ state: 'detached' });
    await untilKept(page);
    const { y } = (await stored(server, id)).desk.widgets[0]?.place ?? { y: NaN };
    expect(y).to.be.below(530);
    await page.keyboard.press('Control+z');
    await rule.getByRole('button', { name: 'Select it' }).click();
    await page.getByRole('heading', { name: 'Clock', level: 2 }).waitFor();
  });

  it('take an application that is dragged from the column, shown where it would stand, and not one let go elsewhere', async () => {
    const id = await withEdges('Dragged on', [dock(starters(4))]);
    const page = await open(`/desk/${id}`);
    await chooseEdge(page, 'dock');
    const card = page.locator('[data-application="terminal"]');
    await card.scrollIntoViewIfNeeded();
    const from = await centreOf(card);
    const [second, third] = await Promise.all([
      centreOf(handle(page, 'item-1')),
      centreOf(handle(page, 'item-2')),
    ]);
    const between = { x: (second.x + third.x) / 2, y: second.y };
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x + 40, from.y - 20, { steps: 3 });
    await page.mouse.move(between.x, between.y, { steps: 8 });
    // It is there before it is let go; away from the dock it is not.
    await page.locator('[data-edge="dock"] [data-item]').nth(4).waitFor();
    await page.mouse.move(between.x, between.y - 220, { steps: 4 });
    await page.locator('[data-edge="dock"] [data-item]').nth(4).waitFor({ state: 'detached' });
    await page.mouse.move(between.x, between.y, { steps: 4 });
    await page.locator('[data-edge="dock"] [data-item]').nth(4).waitFor();
    await page.mouse.up();
    await untilKept(page);
    const items = async () =>
      (await stored(server, id)).desk.edges[0]?.items.map(({ options }) => options['application']);
    expect((await items())?.[2]).to.equal('terminal');
    await page.getByRole('button', { name: 'Undo: Add Terminal' }).click();
    await untilKept(page);
    expect(await items()).to.have.length(4);
    await take(page, card, { x: 300, y: -200 });
    await page.mouse.up();
    await untilKept(page, { isNew: false });
    expect(await items()).to.have.length(4);
    // A press puts it at the end.
    await card.click();
    await untilKept(page);
    expect((await items())?.at(-1)).to.equal('terminal');
  });
});
