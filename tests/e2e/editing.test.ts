import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { bareDesk } from '../../demo/bare-desk.ts';
import { createWidget } from '../../core/desk/defaults.ts';
import { addDesk, drag, drawn, handle, stored, untilKept, withApp, chooseEdge } from '../support/app.ts';

withApp('editing', ({ server, open }) => {
  const widget = async (desk: string, id: string) =>
    (await stored(server, desk)).desk.widgets.find((part) => part.id === id);

  async function choose(page: Page, field: string, choice: RegExp): Promise<void> {
    await page.getByRole('combobox', { name: field }).click();
    await page.getByRole('option', { name: choice }).click();
  }

  it('chooses another face and other options, which last', async () => {
    const page = await open('/desk/dawn-count');
    await handle(page, 'clock').click();
    await page.getByRole('button', { name: /^Face / }).click();
    await page.getByRole('group', { name: 'Faces' }).getByRole('button', { name: 'Stack' }).click();
    await page.getByRole('switch', { name: 'Seconds' }).click();
    await page.getByRole('radio', { name: '12', exact: true }).click();
    await page.getByRole('combobox', { name: 'Time zone' }).fill('Asia/Tokyo');
    await page.keyboard.press('Enter');
    await page.getByRole('group', { name: 'Colour' }).getByRole('button', { name: 'Colour: Accent' }).click();
    await untilKept(page);
    await page.reload();
    await handle(page, 'clock').waitFor();
    const clock = await widget('dawn-count', 'clock');
    expect(clock?.face).to.equal('stack');
    expect(clock?.options).to.include({ seconds: true, hours: '12', zone: 'Asia/Tokyo', colour: 'accent' });
  });

  it('hangs a widget from a point and from a neighbour without moving it', async () => {
    const page = await open('/desk/dawn-count');
    const machine = handle(page, 'machine');
    await machine.click();
    const before = await machine.boundingBox();
    await page
      .getByRole('radiogroup', { name: 'Point' })
      .getByRole('radio', { name: 'bottom right' })
      .click();
    expect(await machine.boundingBox()).to.deep.equal(before);
    await choose(page, 'Hangs from', /the dock at the bottom/);
    expect(await machine.boundingBox()).to.deep.equal(before);
    await choose(page, 'Side of it', /above it/);
    await untilKept(page);
    expect((await widget('dawn-count', 'machine'))?.place.hangs).to.deep.equal({
      from: 'part',
      part: 'dock',
      side: 'top',
      align: 'start',
    });
    // It goes where the dock goes.
    const dock = await page.locator('[data-grip="dock"]').boundingBox();
    await page.mouse.move((dock?.x ?? 0) + 18, (dock?.y ?? 0) + 8);
    await page.mouse.down();
    await page.mouse.move((dock?.x ?? 0) + 420, (dock?.y ?? 0) - 440, { steps: 6 });
    await page.mouse.up();
    await drawn(page);
    expect((await machine.boundingBox())?.y).to.be.below((before?.y ?? 0) - 100);
    await page.keyboard.press('Control+z');
    expect(await machine.boundingBox()).to.deep.equal(before);
  });

  it('gives a widget a finish of its own, and lets it follow the desk again', async () => {
    const page = await open('/desk/dawn-count');
    await handle(page, 'load').click();
    await page.getByText('follows the desk', { exact: true }).waitFor();
    await page.getByRole('radio', { name: 'Matte' }).click();
    await page.getByRole('slider', { name: 'Corner radius' }).press('Home');
    const box = page.locator('[data-stage] [data-widget="load"] > div');
    const radius = () => box.evaluate((element) => getComputedStyle(element).borderRadius);
    expect(await radius()).to.equal('0px');
    await untilKept(page);
    expect((await widget('dawn-count', 'load'))?.finish).to.include({ kind: 'matte', radius: 0 });
    await page.getByRole('button', { name: 'follow the desk again' }).click();
    expect(await radius()).to.equal('16px');
    await untilKept(page);
    expect((await widget('dawn-count', 'load'))?.finish).to.equal(null);
  });

  it('changes all that follow when the desk’s finish changes, in one step of a slider', async () => {
    const page = await open('/desk/dawn-count');
    await page.getByRole('button', { name: 'Look', exact: true }).click();
    await page.getByRole('button', { name: /^Finish/ }).click();
    const slider = page.getByRole('slider', { name: 'Corner radius' });
    await slider.press('End');
    for (const id of ['load', 'machine']) {
      const radius = await page
        .locator(`[data-stage] [data-widget="${id}"] > div`)
        .evaluate((element) => getComputedStyle(element).borderRadius);
      expect(radius, id).to.equal('80px');
    }
    await page.getByRole('button', { name: 'Undo: Finish' }).click();
    expect(await page.getByRole('button', { name: 'Nothing to undo' }).isVisible()).to.equal(true);
  });

  it('marks a one-off colour and takes a role back', async () => {
    const page = await open('/desk/sound-room');
    await handle(page, 'bulletin').click();
    await page.getByRole('button', { name: 'Marks: one-off colour' }).click();
    await page.getByRole('textbox', { name: 'Marks: one-off colour, as text' }).fill('oklch(60% 0.2 30)');
    await page.keyboard.press('Enter');
    await page.getByRole('textbox', { name: 'Marks: one-off colour, as text' }).fill('reddish');
    await page.keyboard.press('Enter');
    await page.getByText(/That is no colour/).waitFor();
    // What is pasted with a name before it and a semicolon behind is understood.
    await page
      .getByRole('textbox', { name: 'Marks: one-off colour, as text' })
      .fill('--accent: rgb(239 226 192);');
    await page.keyboard.press('Enter');
    await page.getByText(/That is no colour/).waitFor({ state: 'detached' });
    await page.keyboard.press('Escape');
    await untilKept(page);
    expect((await widget('sound-room', 'bulletin'))?.options['colour']).to.equal('#efe2c0');
    await page.getByRole('button', { name: 'Marks: Second' }).click();
    await untilKept(page);
    expect((await widget('sound-room', 'bulletin'))?.options['colour']).to.equal('second');
  });

  it('shows a widget on some workspaces only, and dresses others like one, which can be undone', async () => {
    const page = await open('/desk/dawn-count');
    await handle(page, 'clock').click();
    const shown = page.getByRole('group', { name: 'Shown on' });
    const { desk } = await stored(server, 'dawn-count');
    const [first, second] = desk.workspaces;
    if (!first || !second) throw new Error('too few workspaces');
    await shown.getByRole('button', { name: second.name, exact: true }).click();
    // It goes from the workspace in front, and what hangs from it stays.
    await handle(page, 'clock').waitFor({ state: 'detached' });
    await handle(page, 'weather').waitFor();
    await untilKept(page);
    expect((await widget('dawn-count', 'clock'))?.workspaces).to.deep.equal([second.id]);
    await page.keyboard.press('Control+z');
    await handle(page, 'clock').waitFor();

    await handle(page, 'machine').click();
    await page
      .getByRole('button', { name: 'Accent', exact: true })
      .or(page.getByRole('button', { name: /^Marks: Second/ }))
      .first()
      .click();
    await page.getByRole('button', { name: /of its kind like this/ }).click();
    await untilKept(page);
    const [one, other] = [await widget('dawn-count', 'machine'), await widget('dawn-count', 'load')];
    expect(other?.face).to.equal(one?.face);
    expect(other?.options['colour']).to.equal(one?.options['colour']);
    // What they show stays their own.
    expect(other?.options['network']).to.equal(true);
    await page.keyboard.press('Control+z');
    await page.locator('[data-stage] [data-widget="load"] svg path').first().waitFor();
  });

  it('edits an item: its options, its place, its copy', async () => {
    const page = await open('/desk/sound-room');
    await chooseEdge(page, 'panel');
    await handle(page, 'panel-3').click();
    await page.getByRole('heading', { name: 'Workspaces', level: 2 }).waitFor();
    await page.getByRole('group', { name: 'Faces' }).getByRole('button', { name: 'Bars' }).click();
    await page.getByRole('button', { name: 'Earlier' }).click();
    await page.keyboard.press('Control+d');
    await untilKept(page);
    const items = (await stored(server, 'sound-room')).desk.edges[0]?.items.map(({ type }) => type);
    expect(items).to.deep.equal([
      'app-list',
      'open-windows',
      'workspaces',
      'workspaces',
      'divider',
      'spring',
      'tray',
      'clock',
    ]);
    await page.getByRole('button', { name: 'Remove' }).click();
    await page.getByRole('heading', { name: 'Panel', level: 2 }).waitFor();
  });

  it('says when the items of an edge do not fit', async () => {
    const page = await open('/desk/dawn-count');
    await chooseEdge(page, 'dock');
    await page.getByRole('textbox', { name: 'Icon size, exact' }).fill('150');
    await page.keyboard.press('Enter');
    await page.getByRole('textbox', { name: 'Thickness, exact' }).fill('160');
    await page.keyboard.press('Enter');
    await page.getByRole('textbox', { name: 'Spacing, exact' }).fill('60');
    await page.keyboard.press('Enter');
    await page.getByRole('radio', { name: 'left', exact: true }).click();
    await page.getByText(/^No room for .* behind the \+\d/).waitFor();
    await page.getByRole('textbox', { name: 'Thickness, exact' }).fill('9000');
    await page.keyboard.press('Enter');
    await untilKept(page);
    expect(
      (await stored(server, 'dawn-count')).desk.edges.find(({ id }) => id === 'dock')?.thickness,
    ).to.equal(160);
    for (let step = 0; step < 4; step++) await page.keyboard.press('Control+z');
  });

  it('changes the screens: another size, one more, one less', async () => {
    const page = await open('/desk/night-watch');
    await page.getByRole('button', { name: 'Screens: sizes, and more of them' }).click();
    await page.getByRole('textbox', { name: 'Watch: width' }).fill('3440');
    await page.keyboard.press('Enter');
    await page.getByRole('textbox', { name: 'Watch: height' }).fill('12');
    await page.keyboard.press('Enter');
    await page.getByText(/Not taken: write a whole number from 240 to 16384/).waitFor();
    await page.getByRole('button', { name: 'Remove Log' }).click();
    await page.getByRole('button', { name: 'Add a screen' }).click();
    await page.keyboard.press('Escape');
    await page.getByTitle('Watch, 3440 × 1440').click();
    await untilKept(page);
    const { desk } = await stored(server, 'night-watch');
    expect(desk.screens.map(({ width, height }) => [width, height])).to.deep.equal([
      [3440, 1440],
      [1920, 1080],
    ]);
    expect(desk.widgets.map(({ id }) => id)).to.deep.equal([
      'clock',
      'machine',
      'moon',
      'heat',
      'watch-line',
    ]);
  });

  it('names, adds and removes workspaces, and the panel shows them', async () => {
    const page = await open('/desk/sound-room');
    await page.getByRole('button', { name: /menu of the desk/ }).click();
    await page.getByRole('menuitem', { name: 'Workspaces' }).click();
    await page.getByRole('button', { name: 'Add a workspace' }).click();
    await page.getByRole('textbox', { name: 'Name of workspace 4' }).fill('Signals');
    await page.keyboard.press('Enter');
    await page.getByRole('textbox', { name: 'Name of workspace 1' }).fill(' ');
    await page.keyboard.press('Enter');
    await page.getByText(/is no name: write at least one letter/).waitFor();
    await page.getByRole('button', { name: 'Remove Cut' }).click();
    await page.keyboard.press('Escape');
    await untilKept(page);
    expect((await stored(server, 'sound-room')).desk.workspaces.map(({ name }) => name)).to.deep.equal([
      'Listen',
      'File',
      'Signals',
    ]);
    await page.getByRole('button', { name: 'Try', exact: true }).click();
    await page.getByRole('button', { name: 'Workspace Signals' }).first().click();
  });

  it('moves the desk to another place, and the sun with it', async () => {
    const page = await open('/desk/dawn-count');
    await page.getByRole('button', { name: /^Place:/ }).click();
    const sky = () =>
      page.locator('[data-sky]').evaluate((element) => (element as HTMLElement).style.background);
    const before = await sky();
    await page.getByRole('textbox', { name: 'Latitude' }).fill('-35');
    await page.keyboard.press('Enter');
    await page.getByRole('combobox', { name: 'Time zone' }).fill('Mars/Base');
    await page.keyboard.press('Enter');
    await page.getByText(/“Mars\/Base” is not a time zone, such as Europe\/London/).waitFor();
    await page.getByRole('combobox', { name: 'Time zone' }).fill('Australia/Sydney');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    expect(await sky()).not.to.equal(before);
    await untilKept(page);
    expect((await stored(server, 'dawn-count')).desk.place).to.include({
      latitude: -35,
      zone: 'Australia/Sydney',
    });
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    expect(await sky()).to.equal(before);
  });

  it('changes what stands above what, and what lets clicks through, from the menu', async () => {
    const page = await open('/desk/dawn-count');
    await handle(page, 'clock').click({ button: 'right' });
    await page.getByRole('menuitem', { name: /Bring to the front/ }).click();
    await handle(page, 'clock').click({ button: 'right' });
    await page.getByRole('menuitem', { name: /Let clicks through/ }).click();
    await untilKept(page);
    const { widgets } = (await stored(server, 'dawn-count')).desk;
    expect(widgets.at(-1)?.id).to.equal('clock');
    expect(widgets.at(-1)?.clicksThrough).to.equal(true);
    await page.getByRole('button', { name: 'Try' }).click();
    const through = await page
      .locator('[data-stage] [data-widget="clock"]')
      .evaluate((element) => getComputedStyle(element).pointerEvents);
    expect(through).to.equal('none');
  });

  it('stays usable with two hundred widgets and very long names', async () => {
    const base = bareDesk();
    const widgets = Array.from({ length: 200 }, (_, index) => ({
      ...createWidget({
        id: `w${index}`,
        type: index % 2 ? 'machine' : 'clock',
        face: index % 2 ? 'bars' : 'line',
        place: {
          hangs: { from: 'screen', screen: 'main', point: 'top-left' },
          x: (index % 20) * 94,
          y: Math.floor(index / 20) * 104,
        },
        deskFinish: base.look.finish,
      }),
      scale: 0.25,
    }));
    const name =
      'The long watch of the northern hide through the whole of the winter, with all of its instruments and a name to match';
    const id = await addDesk(server, { ...base, name, widgets });
    const page = await open(`/desk/${id}`);
    await handle(page, 'w150').click();
    await page.keyboard.press('Shift+ArrowRight');
    await untilKept(page);
    expect((await widget(id, 'w150'))?.place.x).to.equal(10 * 94 + 10);
    const isCut = await page.evaluate(() => document.documentElement.scrollWidth > innerWidth);
    expect(isCut).to.equal(false);
    await page.keyboard.press('Control+a');
    await page.getByRole('heading', { name: '200 widgets' }).waitFor();
    await page.keyboard.press('Delete');
    await page.getByText('Removed 200 parts.').waitFor();
    await page.keyboard.press('Control+z');
    await handle(page, 'w150').waitFor();
  });

  it('keeps everything within reach in a small window', async () => {
    const page = await open('/desk/night-watch');
    await page.setViewportSize({ width: 1024, height: 700 });
    for (const name of ['Arrange', 'Try', 'Play the day']) {
      const box = await page.getByRole('button', { name, exact: true }).boundingBox();
      expect((box?.x ?? 9999) + (box?.width ?? 0), name).to.be.at.most(1024);
      expect((box?.y ?? 9999) + (box?.height ?? 0), name).to.be.at.most(700);
    }
    const live = await page.getByRole('link', { name: 'Go live' }).boundingBox();
    expect((live?.x ?? 9999) + (live?.width ?? 0)).to.be.at.most(1024);
    await drag(page, handle(page, 'clock'), { x: 40, y: 30 });
    await page.keyboard.press('Control+z');
  });
});
