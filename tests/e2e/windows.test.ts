import { expect } from 'chai';
import type { Locator, Page } from 'playwright-core';
import { createDock, createItem, createPanel } from '../../core/desk/defaults.ts';
import type { Desk } from '../../core/desk/desk.ts';
import { demoDesks } from '../../demo/desks.ts';
import { addDesk, chooseEdge, drawn, stored, untilKept, withApp } from '../support/app.ts';
import { emptyDesk } from '../support/desks.ts';

/** A desk of 1600 × 900 with what windows are worked by, and applications of its own. */
function workDesk(change: Partial<Desk> = {}): Desk {
  const base = emptyDesk();
  const [demo] = demoDesks();
  if (!demo) throw new Error('The demo has no desk');
  const finish = base.look.finish;
  const dock = createDock('dock', 'main', 'bottom', finish, [
    createItem('tally', 'application', { application: 'tallybook' }),
    createItem('files', 'application', { application: 'files' }),
    createItem('shell', 'application', { application: 'terminal' }),
  ]);
  return {
    ...base,
    name: 'At work',
    screens: [{ id: 'main', name: 'Main', width: 1280, height: 800, scaleFactor: 1, x: 0, y: 0 }],
    applications: demo.applications,
    workspaces: ['One', 'Two', 'Three'].map((name, index) => ({ id: `workspace-${index + 1}`, name })),
    edges: [
      {
        ...createPanel('panel', 'main', 'top', [
          createItem('menus', 'front-menus'),
          createItem('spaces', 'workspaces', {}, 'small'),
          createItem('open', 'open-windows'),
          createItem('spring', 'spring'),
          createItem('title', 'front-title', { shown: 'filled' }),
          createItem('clear', 'clear-view'),
          createItem('all', 'overview'),
        ]),
        length: { by: 'side' },
      },
      { ...dock, growth: { factor: 1, reach: 140 }, shows: { by: 'steps', from: 'any', in: 0, out: 0 } },
    ],
    ...change,
  };
}

withApp('windows', ({ server, open }) => {
  const start = (page: Page, name: string) =>
    page.getByRole('button', { name: `Start ${name}`, exact: true }).click();
  const windowOf = (page: Page, title: string): Locator =>
    page.locator('[data-window]').and(page.getByRole('region', { name: title, exact: true }));
  const boxOf = async (window: Locator) => {
    const box = await window.boundingBox();
    if (!box) throw new Error('The window is not seen');
    return {
      x: Math.round(box.x),
      y: Math.round(box.y),
      width: Math.round(box.width),
      height: Math.round(box.height),
    };
  };
  /** Drags by the real pointer, and lets go. */
  async function dragFrom(page: Page, from: { x: number; y: number }, by: { x: number; y: number }) {
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x + by.x / 2, from.y + by.y / 2, { steps: 4 });
    await page.mouse.move(from.x + by.x, from.y + by.y, { steps: 4 });
    await page.mouse.up();
    await drawn(page);
  }
  const titleMiddle = async (window: Locator) => {
    const { x, y, width } = await boxOf(window);
    return { x: x + width / 2, y: y + 20 };
  };
  /** A live desk of the page's own size, so that px are px. */
  const live = async (change: Partial<Desk> = {}) => {
    const id = await addDesk(server, workDesk(change));
    const page = await open(`/live/${id}`);
    // Where things are is looked at once they are there.
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await page.locator('[data-edge="dock"]').getByRole('button', { name: 'Start Tallybook' }).waitFor();
    return { page, id };
  };
  const SHEET = 'Dawn tally, week 48';

  it('open from a dock, are moved by their title, and sized from all eight sides by the real pointer', async () => {
    const { page } = await live();
    await start(page, 'Tallybook');
    const window = windowOf(page, SHEET);
    await window.waitFor();
    const first = await boxOf(window);
    expect([first.width, first.height]).to.deep.equal([620, 420]);
    await dragFrom(page, await titleMiddle(window), { x: -120, y: 60 });
    await expectBox(window, { ...first, x: first.x - 120, y: first.y + 60 });

    const ways = [
      [-1, -1],
      [0, -1],
      [1, -1],
      [-1, 0],
      [1, 0],
      [-1, 1],
      [0, 1],
      [1, 1],
    ] as const;
    for (const [x, y] of ways) {
      const before = await boxOf(window);
      const grip = await page.locator(`[data-window-grip="${x} ${y}"]`).boundingBox();
      if (!grip) throw new Error('No grip');
      await dragFrom(
        page,
        { x: grip.x + grip.width / 2, y: grip.y + grip.height / 2 },
        { x: 31 * x, y: 23 * y },
      );
      await expectBox(window, {
        x: before.x + (x === -1 ? -31 : 0),
        y: before.y + (y === -1 ? -23 : 0),
        width: before.width + (x === 0 ? 0 : 31),
        height: before.height + (y === 0 ? 0 : 23),
      });
    }
  });

  it('move as they come and go, for as long as the desk says, and not at all where motion is reduced', async () => {
    const desk = workDesk();
    const slow = { way: 'scale' as const, ms: 1500 };
    const { page } = await live({
      windows: { ...desk.windows, moves: { opens: slow, minimises: slow, fills: slow, closes: slow } },
    });
    await page.emulateMedia({ reducedMotion: 'no-preference' });
    const lengths = () =>
      page
        .locator('[data-window]')
        .evaluateAll((all) =>
          all.flatMap((one) => one.getAnimations().map(({ effect }) => effect?.getTiming().duration)),
        );
    await start(page, 'Tallybook');
    const window = windowOf(page, SHEET);
    await window.waitFor();
    expect(await lengths()).to.deep.equal([1500]);
    // What is closed is seen on its way, out of reach, and then gone.
    await page.keyboard.press('Control+Alt+x');
    await page.locator('[inert] [data-window]').waitFor({ state: 'attached' });
    await page.locator('[data-window]').waitFor({ state: 'detached' });
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await start(page, 'Tallybook');
    await window.waitFor();
    expect(await lengths()).to.deep.equal([]);
    await page.keyboard.press('Control+Alt+x');
    await page.locator('[data-window]').waitFor({ state: 'detached' });
  });

  it('are minimised, filled and closed by their buttons; filled, they are as large as what edges leave', async () => {
    const { page } = await live();
    await start(page, 'Tallybook');
    const window = windowOf(page, SHEET);
    await window.waitFor();
    const before = await boxOf(window);
    await window.getByRole('button', { name: /^Fill: / }).click();
    await page.waitForFunction(
      () => document.querySelector('[data-window]')?.getBoundingClientRect().width === 1280,
    );
    // The panel of 40 px keeps windows off; the dock does not, and has stepped aside.
    expect(await boxOf(window)).to.deep.equal({ x: 0, y: 40, width: 1280, height: 760 });
    await page.locator('[data-edge="dock"][data-away]').waitFor({ state: 'attached' });
    // The item that shows the title when filled has the buttons, too.
    await page
      .locator('[data-item="title"]')
      .getByRole('button', { name: /^Fill no more/ })
      .click();
    await page.waitForFunction(
      () => document.querySelector('[data-window]')?.getBoundingClientRect().width !== 1280,
    );
    await page.locator('[data-edge="dock"]:not([data-away])').waitFor();
    expect(await page.locator('[data-item="title"]').getByRole('button').count()).to.equal(0);
    await page.waitForFunction(
      (width) => document.querySelector('[data-window]')?.getBoundingClientRect().width === width,
      before.width,
    );
    expect(await boxOf(window)).to.deep.equal(before);

    await window.getByRole('button', { name: /^Minimise: / }).click();
    await window.waitFor({ state: 'detached' });
    await page
      .locator('[data-item="open"]')
      .getByRole('button', { name: `${SHEET}, minimised` })
      .click();
    await window.waitFor();
    expect(await boxOf(window)).to.deep.equal(before);
    await window.getByRole('button', { name: /^Close: / }).click();
    await window.waitFor({ state: 'detached' });
    expect(await page.locator('[data-stud]').count()).to.equal(0);
  });

  it('catch on halves and quarters, which are shown before, and come loose as large as they were', async () => {
    const { page } = await live();
    await start(page, 'Tallybook');
    const window = windowOf(page, SHEET);
    await window.waitFor();
    const before = await boxOf(window);
    const title = await titleMiddle(window);
    await page.mouse.move(title.x, title.y);
    await page.mouse.down();
    await page.mouse.move(600, 400, { steps: 4 });
    await page.mouse.move(4, 420, { steps: 4 });
    const hint = page.locator('[data-window-hint]');
    await hint.waitFor();
    await drawn(page);
    expect(await hint.boundingBox()).to.deep.equal({ x: 16, y: 56, width: 616, height: 728 });
    await page.mouse.up();
    await hint.waitFor({ state: 'detached' });
    await page.waitForFunction(
      () => document.querySelector('[data-window]')?.getBoundingClientRect().height === 728,
    );
    expect(await boxOf(window)).to.deep.equal({ x: 16, y: 56, width: 616, height: 728 });
    await dragFrom(page, { x: 300, y: 76 }, { x: 300, y: 200 });
    const loose = await boxOf(window);
    expect([loose.width, loose.height]).to.deep.equal([before.width, before.height]);
    // In a corner, a quarter.
    const at = await titleMiddle(window);
    await dragFrom(page, at, { x: 1277 - at.x, y: 70 - at.y });
    await page.waitForFunction(
      () => document.querySelector('[data-window]')?.getBoundingClientRect().height === 356,
    );
    expect(await boxOf(window)).to.deep.equal({ x: 648, y: 56, width: 616, height: 356 });
  });

  it('are worked by the keyboard alone: opened, tiled, filled, moved, sized, carried, closed', async () => {
    const { page } = await live();
    const launch = async (name: string) => {
      await page.keyboard.press('Control+Space');
      await page.getByRole('combobox').waitFor();
      await page.keyboard.type(name);
      await page
        .locator('[data-menu] [aria-current="true"]')
        .and(page.getByLabel(name, { exact: true }))
        .waitFor();
      await page.keyboard.press('Enter');
    };
    await launch('Tallybook');
    await windowOf(page, SHEET).waitFor();
    await launch('Terminal');
    const terminal = windowOf(page, 'Terminal');
    await terminal.waitFor();
    const until = (window: Locator, what: Partial<Awaited<ReturnType<typeof boxOf>>>) =>
      expectBox(window, what);
    await page.keyboard.press('Control+Alt+1');
    await until(terminal, { x: 16, y: 56, width: 616, height: 728 });
    await until(windowOf(page, SHEET), { x: 648, width: 616 });
    await page.keyboard.press('Control+Alt+f');
    await until(terminal, { x: 0, y: 40, width: 1280, height: 760 });
    await page.keyboard.press('Control+Alt+f');
    await until(terminal, { x: 16, width: 616 });
    await page.keyboard.press('Control+Alt+Shift+ArrowRight');
    await until(terminal, { x: 648, width: 616 });

    await page.keyboard.press('Control+Alt+g');
    for (let index = 0; index < 3; index++) await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('Shift+ArrowUp');
    await until(terminal, { x: 618, y: 0 });
    await page.keyboard.press('Escape');
    await until(terminal, { x: 648, y: 56 });
    await page.keyboard.press('Control+Alt+s');
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('Enter');
    await until(terminal, { x: 648, width: 606 });

    // The next window comes to the front, this one goes along to another workspace.
    await page.keyboard.press('Control+Alt+n');
    await page.locator('[data-window][data-front]').and(windowOf(page, SHEET)).waitFor();
    await page.keyboard.press('Control+Alt+n');
    await page.keyboard.press('Control+Alt+ArrowDown');
    await windowOf(page, SHEET).waitFor({ state: 'detached' });
    await terminal.waitFor();
    expect(await page.locator('[data-glance]').count()).to.equal(2);
    await page.keyboard.press('Control+Alt+x');
    await terminal.waitFor({ state: 'detached' });
    await page.keyboard.press('Control+Alt+ArrowLeft');
    await windowOf(page, SHEET).waitFor();
    // All out of the view, and back.
    await page.keyboard.press('Control+Alt+d');
    await windowOf(page, SHEET).waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Bring windows back' }).click();
    await windowOf(page, SHEET).waitFor();
  });

  it('have menus of their own, found by their roles and walked by keys', async () => {
    const { page } = await live();
    const bar = page.getByRole('menubar', { name: 'Menus of the front window' });
    expect(await bar.count()).to.equal(0);
    await start(page, 'Tallybook');
    await windowOf(page, SHEET).waitFor();
    expect(
      await bar.getByRole('menuitem').evaluateAll((all) => all.map((one) => one.ariaLabel)),
    ).to.deep.equal(['Sheet', 'Count', 'Look up', 'Window']);
    await start(page, 'Terminal');
    await windowOf(page, 'Terminal').waitFor();
    await bar.getByRole('menuitem', { name: 'Session' }).focus();
    await page.keyboard.press('ArrowRight');
    expect(await page.evaluate(() => document.activeElement?.ariaLabel)).to.equal('Text');
    await page.keyboard.press('ArrowDown');
    await page.getByRole('menu', { name: 'Text' }).waitFor();
    await page.keyboard.press('ArrowRight');
    const menu = page.getByRole('menu', { name: 'Window' });
    await menu.waitFor();
    expect(await menu.getByRole('menuitem').first().getAttribute('aria-label')).to.equal(
      'Fill, or not any more',
    );
    await page.keyboard.press('Enter');
    await menu.waitFor({ state: 'detached' });
    await expectBox(windowOf(page, 'Terminal'), { width: 1280, height: 760 });
    // What is no matter of windows is said.
    await page.keyboard.press('Control+Alt+u');
    await page.getByRole('menu', { name: 'Session' }).waitFor();
    await page.keyboard.press('Enter');
    await page.getByText('A session would begin.').waitFor();
    // While one is open, pointing at the next name is enough.
    await bar.getByRole('menuitem', { name: 'Session' }).click();
    await page.getByRole('menu', { name: 'Session' }).waitFor();
    const next = await bar.getByRole('menuitem', { name: 'Text' }).boundingBox();
    await page.mouse.move((next?.x ?? 0) + 6, (next?.y ?? 0) + 6, { steps: 3 });
    await page.getByRole('menu', { name: 'Text' }).waitFor();
    expect(await page.getByRole('menu').count()).to.equal(1);
    await page.mouse.down();
    await page.mouse.up();
    await page.getByRole('menu').waitFor({ state: 'detached' });
  });

  it('are dragged onto another screen beside theirs, where their place is shown before', async () => {
    const {
      screens: [main],
      windows,
    } = workDesk();
    if (!main) throw new Error('No screen');
    const side = { ...main, id: 'side', name: 'Side', width: 1000, x: main.width };
    const id = await addDesk(
      server,
      workDesk({
        screens: [main, side],
        windows: { ...windows, gaps: { ...windows.gaps, outer: 0, inner: 0 } },
      }),
    );
    const page = await open(`/desk/${id}`);
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await page.getByRole('button', { name: 'All screens side by side' }).click();
    await page.getByRole('button', { name: 'Try' }).click();
    await start(page, 'Tallybook');
    const window = windowOf(page, SHEET);
    const onto = page.locator('[data-screen="side"]');
    const scale = (await boxOf(onto)).width / 1000;
    const first = await boxOf(window);
    const { x, y } = await boxOf(onto);
    const from = { x: first.x + first.width / 2, y: first.y + 8 };
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x + 30, from.y, { steps: 3 });
    const to = { x: x + 400 * scale, y: y + 300 * scale };
    await page.mouse.move(to.x, to.y, { steps: 6 });
    const hint = onto.locator('[data-window-hint]');
    await hint.waitFor();
    await drawn(page);
    const shown = await boxOf(hint);
    await page.mouse.up();
    await hint.waitFor({ state: 'detached' });
    await onto.locator('[data-window]').waitFor();
    await expectBox(window, shown);
    // It is held where it was taken.
    const now = await boxOf(window);
    expect(now.x + now.width / 2).to.be.closeTo(to.x, 2);
    expect(now.y + 8).to.be.closeTo(to.y, 2);
    // At a side of the other screen it takes that half.
    await page.mouse.move(now.x + now.width / 2, now.y + 8);
    await page.mouse.down();
    await page.mouse.move(from.x, from.y, { steps: 6 });
    const main0 = await boxOf(page.locator('[data-screen="main"]'));
    await page.mouse.move(main0.x + 3, main0.y + main0.height / 2, { steps: 6 });
    await page.locator('[data-screen="main"] [data-window-hint]').waitFor();
    await page.mouse.up();
    await expectBox(page.locator('[data-screen="main"] [data-window]'), {
      width: Math.round(main0.width / 2),
    });
  });

  it('blur what shows through them, also where they are see-through on the whole', async () => {
    const desk = workDesk();
    const frosted = {
      ...desk.look.finish,
      kind: 'frosted' as const,
      tint: 'surface' as const,
      opacity: 60,
      blur: 20,
    };
    const habit = {
      id: 'habit',
      application: 'tallybook',
      workspace: 0,
      place: 'free' as const,
      width: null,
      height: null,
      frame: 'desk' as const,
      opacity: 50,
    };
    const { page } = await live({ windows: { ...desk.windows, finish: frosted, habits: [habit] } });
    await start(page, 'Tallybook');
    await windowOf(page, SHEET).waitFor();
    // Nothing of the page is seen from within what is see-through itself: the blur stands beside that.
    const blurred = await windowOf(page, SHEET).evaluate((section) => {
      const ways = [...section.querySelectorAll('*')]
        .filter((element) => getComputedStyle(element).backdropFilter !== 'none')
        .map((element) => {
          const up = [element];
          for (let at = element; at !== section && at.parentElement; at = at.parentElement)
            up.push(at.parentElement);
          return up;
        });
      return ways.filter((up) => up.every((element) => getComputedStyle(element).opacity === '1')).length;
    });
    expect(blurred).to.equal(1);
  });

  it('hold things that work: rows by arrows, switches by a press', async () => {
    const id = await addDesk(
      server,
      workDesk({
        applications: workDesk().applications.map((one) =>
          one.id === 'files' ? { ...one, Icon: 'preferences-system', Categories: ['Settings'] } : one,
        ),
      }),
    );
    const page = await open(`/live/${id}`);
    await start(page, 'Tallybook');
    const rows = windowOf(page, SHEET).getByRole('listbox');
    await rows.focus();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowDown');
    await windowOf(page, SHEET).getByRole('option', { name: 'Teal', selected: true }).waitFor();
    await start(page, 'Files');
    const lamp = windowOf(page, 'Files').getByRole('switch', { name: 'Turns in fog' });
    expect(await lamp.getAttribute('aria-checked')).to.equal('true');
    await lamp.click();
    await page.locator('[role="switch"][aria-label="Turns in fog"][aria-checked="false"]').waitFor();
  });

  it('are there again after a reload, and leave the desk as it was', async () => {
    const id = await addDesk(server, workDesk());
    const before = (await stored(server, id)).desk;
    const page = await open(`/desk/${id}`);
    await page.getByRole('button', { name: 'Try', exact: true }).click();
    await start(page, 'Tallybook');
    await windowOf(page, SHEET).waitFor();
    await page.keyboard.press('Control+Alt+1');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Arrange', exact: true, pressed: true }).waitFor();
    // They stay where parts are arranged, in every chapter; one press puts them out of sight, another brings them back.
    await windowOf(page, SHEET).waitFor();
    await page.getByRole('button', { name: 'Palette', exact: true }).click();
    await windowOf(page, SHEET).waitFor();
    await page.getByRole('button', { name: 'Hide the windows' }).click();
    await windowOf(page, SHEET).waitFor({ state: 'hidden' });
    await page.getByRole('button', { name: 'Windows: 1 open' }).waitFor();
    await page.getByRole('button', { name: 'Show the windows' }).click();
    await windowOf(page, SHEET).waitFor();
    await page.reload();
    await windowOf(page, SHEET).waitFor();
    expect((await stored(server, id)).desk).to.deep.equal(before);
    await page.getByRole('button', { name: 'Nothing to undo' }).waitFor();
    await page.getByRole('button', { name: 'Windows: 1 open' }).click();
    await page.getByRole('menuitem', { name: 'Close all' }).click();
    await page.getByRole('button', { name: 'Windows: 0 open' }).waitFor();
  });

  it('are framed as the chapter says: live, as steps that are undone, kept', async () => {
    const id = await addDesk(server, workDesk());
    const page = await open(`/desk/${id}`);
    await page.getByRole('button', { name: 'Windows', exact: true }).click();
    await page.getByRole('button', { name: 'Open three' }).click();
    const front = page.locator('[data-window][data-front]');
    await front.waitFor();
    await page
      .getByRole('complementary')
      .getByRole('button', { name: /^Title/ })
      .click();
    const height = page.getByRole('textbox', { name: 'Height' });
    await height.fill('60');
    await height.press('Enter');
    await untilKept(page);
    expect((await stored(server, id)).desk.windows.title.height).to.equal(60);
    await height.fill('5000');
    await height.press('Enter');
    await page.getByRole('alert').filter({ hasText: '72' }).waitFor();
    expect((await stored(server, id)).desk.windows.title.height).to.equal(60);
    await page.getByRole('radio', { name: 'Never' }).click();
    await page.waitForFunction(() => document.querySelector('[data-window-title]') === null);
    await page.keyboard.press('Control+z');
    await page.getByRole('radio', { name: 'Always', checked: true }).waitFor();
    await page.keyboard.press('Control+z');
    await untilKept(page);
    expect((await stored(server, id)).desk.windows.title.height).to.equal(44);
  });

  it('open by habits, of which an application has one', async () => {
    const id = await addDesk(server, workDesk());
    const page = await open(`/desk/${id}`);
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await page.getByRole('button', { name: 'Windows', exact: true }).click();
    await page
      .getByRole('complementary')
      .getByRole('button', { name: /^Habits/ })
      .click();
    await page.getByRole('button', { name: 'Habit', exact: true }).click();
    const place = page.getByRole('combobox', { name: /opens at$/i });
    await place.click();
    await page.getByRole('option', { name: 'Right half' }).click();
    await untilKept(page);
    const [habit] = (await stored(server, id)).desk.windows.habits;
    expect([habit?.application, habit?.place]).to.deep.equal(['tallybook', 'right']);
    await page.getByRole('button', { name: 'Try', exact: true }).click();
    await start(page, 'Tallybook');
    const window = windowOf(page, SHEET);
    await window.waitFor();
    const screen = await page.locator('[data-screen]').boundingBox();
    const box = await window.boundingBox();
    expect(((box?.x ?? 0) - (screen?.x ?? 0)) / (screen?.width ?? 1)).to.be.closeTo(648 / 1280, 0.01);
  });

  it('are seen all at once in the overview: found, carried across, workspaces added, named, removed', async () => {
    const { page, id } = await live();
    await start(page, 'Tallybook');
    await start(page, 'Terminal');
    await windowOf(page, 'Terminal').waitFor();
    await page.locator('[data-item="all"]').getByRole('button').click();
    const overview = page.getByRole('dialog', { name: 'Overview of all workspaces' });
    await overview.waitFor();
    const inside = (workspace: string) => overview.getByRole('group', { name: workspace, exact: true });
    expect(await inside('One').locator('[data-overview-window]').count()).to.equal(2);

    // Dragged by the pointer to the second workspace.
    const small = inside('One').getByRole('button', { name: 'Terminal' });
    const from = await small.boundingBox();
    const to = await overview.locator('[data-overview-workspace="workspace-2"]').boundingBox();
    if (!from || !to) throw new Error('Nothing to drag');
    await dragFrom(
      page,
      { x: from.x + from.width / 2, y: from.y + from.height / 2 },
      {
        x: to.x + to.width / 2 - from.x - from.width / 2,
        y: to.y + to.height / 2 - from.y - from.height / 2,
      },
    );
    await inside('Two').getByRole('button', { name: 'Terminal' }).waitFor();
    // And on to the third by keys.
    await inside('Two').getByRole('button', { name: 'Terminal' }).focus();
    await page.keyboard.press('Shift+ArrowRight');
    await inside('Three').getByRole('button', { name: 'Terminal' }).waitFor();

    await overview.getByRole('button', { name: 'Add a workspace' }).click();
    const name = overview.getByRole('textbox', { name: 'Name of Workspace 4' });
    await name.fill('Signals');
    await name.press('Enter');
    await inside('Signals').waitFor({ state: 'attached' });
    expect(await page.locator('[data-item="spaces"]').getByRole('button').count()).to.equal(4);
    await overview.getByRole('button', { name: 'Remove the workspace Two' }).press('Enter');
    await inside('Two').waitFor({ state: 'detached' });
    const names = async () => (await stored(server, id)).desk.workspaces.map((one) => one.name);
    for (let tries = 0; tries < 100 && (await names()).join() !== 'One,Three,Signals'; tries++)
      await page.waitForFunction(() => new Promise((done) => requestAnimationFrame(() => done(true))));
    expect(await names()).to.deep.equal(['One', 'Three', 'Signals']);

    // What is typed finds windows first, then applications; Enter goes there.
    await overview.getByRole('textbox', { name: 'Type to find a window or an application' }).fill('term');
    await overview.locator('[data-overview-window][aria-current="true"]').waitFor();
    await page.keyboard.press('Enter');
    await overview.waitFor({ state: 'detached' });
    await windowOf(page, 'Terminal').waitFor();
    await windowOf(page, SHEET).waitFor({ state: 'detached' });
    // By keys: opened, walked, left.
    await page.keyboard.press('Control+Alt+o');
    await overview.waitFor();
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('Enter');
    await windowOf(page, SHEET).waitFor();
    await page.keyboard.press('Control+Alt+o');
    await overview.waitFor();
    await page.keyboard.press('Escape');
    await overview.waitFor({ state: 'detached' });
  });

  it('open the overview from the corner that the desk has for it, once as the pointer comes in', async () => {
    const desk = workDesk();
    const { page } = await live({
      windows: { ...desk.windows, workspaces: { arranged: 'grid', columns: 2, corner: 'bottom-left' } },
    });
    await page.mouse.move(400, 400);
    await page.mouse.move(0, 799, { steps: 3 });
    const overview = page.getByRole('dialog', { name: 'Overview of all workspaces' });
    await overview.waitFor();
    const cells = await overview
      .locator('[data-overview-workspace]')
      .evaluateAll((all) => all.map((one) => Math.round(one.getBoundingClientRect().top)));
    expect(cells[0]).to.equal(cells[1]);
    expect(cells[2]).to.be.greaterThan(cells[0] ?? 0);
    await page.mouse.move(1, 798);
    await page.mouse.move(640, 400);
    await overview.waitFor();
    await page.mouse.move(0, 799);
    await overview.waitFor({ state: 'detached' });
  });

  it('leave icons on the bare desk in reach, which give way to what stands there', async () => {
    const desk = workDesk();
    const { page, id } = await live({
      desktopIcons: { ...desk.desktopIcons, shown: 'all' },
    });
    const icon = page.locator('[data-desktop-icon="tallybook"]');
    await icon.waitFor();
    expect((await icon.boundingBox())?.y).to.equal(56);
    await icon.getByRole('button').click();
    await windowOf(page, SHEET).waitFor();
    const studio = await open(`/desk/${id}`);
    await studio.getByRole('button', { name: 'Edges', exact: true }).click();
    await chooseEdge(studio, 'panel');
    const thick = studio.getByRole('textbox', { name: 'Thickness' });
    await thick.fill('80');
    await thick.press('Enter');
    await untilKept(studio);
    // The page that is live hears of it.
    await page.waitForFunction(
      () => document.querySelector('[data-desktop-icon="tallybook"]')?.getBoundingClientRect().y === 96,
    );
  });

  it('lets icons stand on another screen, chosen by its name, undone by one step', async () => {
    const studio = await open('/desk/night-watch');
    await studio.getByRole('button', { name: 'Windows', exact: true }).click();
    await studio
      .getByRole('complementary')
      .getByRole('button', { name: /^Desktop icons/ })
      .click();
    await studio.getByRole('radio', { name: 'All' }).click();
    const icons = studio.locator('[data-stage] [data-desktop-icon]');
    await icons.first().waitFor();
    await studio.getByRole('group', { name: 'On screens' }).getByRole('button', { name: 'Log' }).click();
    await icons.first().waitFor({ state: 'detached' });
    await studio
      .getByRole('group', { name: 'Screens', exact: true })
      .getByRole('button', { name: 'Log' })
      .click();
    await icons.first().waitFor();
    await untilKept(studio);
    const { desk } = await stored(server, 'night-watch');
    expect(desk.desktopIcons.screens).to.deep.equal([desk.screens[1]?.id]);
    await studio.getByRole('button', { name: 'Undo: Desktop icons: screens' }).click();
    await icons.first().waitFor({ state: 'detached' });
  });

  it('step aside for a window without flicker while one is dragged along the border', async () => {
    const { page } = await live();
    await start(page, 'Tallybook');
    const window = windowOf(page, SHEET);
    await window.waitFor();
    const dock = page.locator('[data-edge="dock"]');
    const dockTop = (await dock.boundingBox())?.y ?? 0;
    await page.evaluate(() => {
      const edge = document.querySelector('[data-edge="dock"]');
      const counted = globalThis as unknown as { turns: number };
      counted.turns = 0;
      if (edge) new MutationObserver(() => counted.turns++).observe(edge, { attributeFilter: ['data-away'] });
    });
    const box = await boxOf(window);
    const title = { x: box.x + 200, y: box.y + 20 };
    await page.mouse.move(title.x, title.y);
    await page.keyboard.down('Alt');
    await page.mouse.down();
    // Its lower side comes to the dock's upper one and trembles there.
    const border = dockTop - box.y - box.height;
    for (let step = 0; step < 40; step++)
      await page.mouse.move(title.x - step * 2, title.y + border + (step % 2 === 0 ? 3 : -3));
    await page.mouse.up();
    await page.keyboard.up('Alt');
    const turns = await page.evaluate(() => (globalThis as unknown as { turns: number }).turns);
    expect(turns).to.be.at.most(1);
    await dragFrom(page, await titleMiddle(window), { x: 0, y: -200 });
    await page.locator('[data-edge="dock"]:not([data-away])').waitFor();
  });

  /** Waits until a window is where it should be. */
  async function expectBox(window: Locator, wanted: Partial<Awaited<ReturnType<typeof boxOf>>>) {
    for (let tries = 0; tries < 200; tries++) {
      const box = await boxOf(window);
      if (Object.entries(wanted).every(([key, value]) => box[key as keyof typeof box] === value)) return;
      await window
        .page()
        .waitForFunction(() => new Promise((done) => requestAnimationFrame(() => done(true))));
    }
    expect(await boxOf(window)).to.include(wanted);
  }
});
