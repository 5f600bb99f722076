import { createPanel } from '../../core/desk/defaults.ts';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { clockAt, emptyDesk, fromCorner } from '../support/desks.ts';
import {
  addDesk,
  centreOf,
  drag,
  handle,
  stored,
  take,
  untilKept,
  withApp,
  Withheld,
} from '../support/app.ts';

/** What is begun ends, by whatever way, and is kept; what is taken back is that, and nothing else. */
withApp('nothing left in the air', ({ server, open }) => {
  const twoClocks = () =>
    addDesk(server, {
      ...emptyDesk(),
      name: 'Two clocks',
      widgets: [clockAt('one', fromCorner(200, 200)), clockAt('two', fromCorner(900, 200))],
    });
  const widget = async (id: string, part: string) =>
    (await stored(server, id)).desk.widgets.find((one) => one.id === part);
  const saving = (page: Page) => page.locator('[data-saving]').getAttribute('data-saving');

  it('keeps what a quick tap on a slider sets', async () => {
    const id = await twoClocks();
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').click();
    const slider = page.getByRole('slider', { name: 'Scale', exact: true });
    const track = page.locator('[data-orientation]', { has: slider }).first();
    await track.scrollIntoViewIfNeeded();
    const box = await track.boundingBox();
    if (!box) throw new Error('no track');
    await page.mouse.move(box.x + box.width * 0.8, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.up();
    await untilKept(page);
    expect((await widget(id, 'one'))?.scale).to.be.above(1.5);
  });

  it('ends a drag whose part goes from under it, and says what is kept only then', async () => {
    const id = await twoClocks();
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').click();
    await take(page, handle(page, 'one'), { x: 60, y: 60 });
    expect(await saving(page)).to.equal('changed');
    await page.keyboard.press('t');
    await handle(page, 'one').waitFor({ state: 'detached' });
    await page.mouse.up();
    await untilKept(page);
    const { desk } = await stored(server, id);
    expect(desk.widgets[0]?.place.x).to.be.above(250);
    // While the desk is tried nothing can be removed by mistake, and Escape leads back.
    await page.keyboard.press('Control+a');
    await page.keyboard.press('Delete');
    await page.keyboard.press('Escape');
    await handle(page, 'two').waitFor();
    expect(await page.locator('[data-stage] [data-widget]').count()).to.equal(2);
  });

  it('lets go of a part that was removed while it was dragged', async () => {
    const id = await twoClocks();
    const page = await open(`/desk/${id}`);
    await take(page, handle(page, 'one'), { x: 50, y: 40 });
    await page.keyboard.press('Delete');
    await page.mouse.move(700, 500, { steps: 4 });
    await page.mouse.up();
    await untilKept(page);
    expect(await widget(id, 'one')).to.equal(undefined);
    await handle(page, 'two').click();
    await page.keyboard.press('Escape');
    await page.getByRole('heading', { name: 'Widgets', exact: true }).waitFor();
  });

  it('undoes on the way without going on from what is undone', async () => {
    const id = await twoClocks();
    const page = await open(`/desk/${id}`);
    await take(page, handle(page, 'one'), { x: 50, y: 40 });
    await page.keyboard.press('Control+z');
    await page.mouse.move(800, 600, { steps: 5 });
    await page.mouse.up();
    await untilKept(page, { isNew: false });
    expect((await widget(id, 'one'))?.place).to.include({ x: 200, y: 200 });
    expect(await page.getByRole('button', { name: /^Redo: / }).isEnabled()).to.equal(true);
  });

  it('keeps a colour whose picker goes, and one that the pointer leaves over a palette', async () => {
    const id = await addDesk(server, { ...emptyDesk(), name: 'Colours' });
    const page = await open(`/desk/${id}`);
    const accent = async () => (await stored(server, id)).desk.look.roles.light.accent;
    const first = await accent();
    await page.getByRole('button', { name: 'Palette', exact: true }).click();
    await page.getByRole('button', { name: 'Ready palettes' }).click();
    await page.locator('[data-look="way-muted"]').waitFor();
    await page.getByRole('button', { name: 'Accent', exact: true }).click();
    const saturation = page.locator('.react-colorful__saturation');
    await drag(page, saturation, { x: 30, y: -20 });
    await untilKept(page);
    const second = await accent();
    expect(second).not.to.equal(first);
    // Over a card on the way: the desk wears that for a moment, and the colour stays.
    await take(page, saturation, { x: -40, y: 30 });
    const card = await centreOf(page.locator('[data-look="way-muted"]'));
    await page.mouse.up();
    await page.mouse.move(card.x, card.y, { steps: 4 });
    await page.mouse.move(640, 400, { steps: 4 });
    await untilKept(page);
    expect(await accent()).not.to.equal(second);
    await page.getByRole('button', { name: /^Undo: / }).waitFor();
  });

  it('keeps a colour that was being dragged when the page was loaded anew', async () => {
    const id = await addDesk(server, { ...emptyDesk(), name: 'Colours, anew' });
    const page = await open(`/desk/${id}`);
    const accent = async () => (await stored(server, id)).desk.look.roles.light.accent;
    const first = await accent();
    await page.getByRole('button', { name: 'Palette', exact: true }).click();
    await page.getByRole('button', { name: 'Accent', exact: true }).click();
    await take(page, page.locator('.react-colorful__saturation'), { x: 30, y: -20 });
    const shown = await page.getByRole('textbox', { name: 'Accent' }).inputValue();
    await page.reload();
    await page.mouse.up();
    await untilKept(page);
    expect(await accent()).to.equal(shown);
    await page.getByRole('button', { name: /^Undo: / }).click();
    await untilKept(page);
    expect(await accent()).to.equal(first);
  });

  it('takes a picture that arrives while a part is dragged, and the drag as well', async () => {
    const id = await twoClocks();
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').waitFor();
    let arrive = () => {};
    const arrived = new Promise<void>((resolve) => (arrive = resolve));
    await page.route('**/api/pictures*', async (route) => {
      await arrived;
      await route.continue();
    });
    const sent = page.waitForRequest((request) => request.url().includes('/api/pictures'));
    await page.evaluate(async () => {
      const canvas = new OffscreenCanvas(320, 200);
      const pen = canvas.getContext('2d');
      if (pen) pen.fillStyle = '#406080';
      pen?.fillRect(0, 0, 320, 200);
      const data = new DataTransfer();
      data.items.add(new File([await canvas.convertToBlob()], 'bay.png', { type: 'image/png' }));
      document
        .querySelector('[data-stage]')
        ?.dispatchEvent(new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true }));
    });
    await sent;
    await take(page, handle(page, 'one'), { x: 60, y: 60 });
    arrive();
    await page.getByRole('button', { name: /^Undo: .*backdrop/i }).waitFor();
    await page.mouse.up();
    await untilKept(page);
    const { desk } = await stored(server, id);
    expect(JSON.stringify(desk.backdrops)).to.contain('picture');
    expect(desk.widgets[0]?.place.x).to.be.above(250);
  });

  it('drops a card that went from the column while it was dragged', async () => {
    const id = await addDesk(server, { ...emptyDesk(), name: 'Cards' });
    const page = await open(`/desk/${id}`);
    await take(page, page.locator('[data-card]').first(), { x: 500, y: 200 });
    await page.keyboard.press('1');
    await page.getByRole('heading', { name: 'Backdrop', exact: true }).waitFor();
    await page.mouse.up();
    await page.locator('[data-stage] [data-widget]').first().waitFor();
    await untilKept(page);
    expect((await stored(server, id)).desk.widgets).to.have.length(1);
  });

  it('counts every press of an arrow in a figure', async () => {
    const id = await twoClocks();
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').click();
    const figure = page.getByRole('textbox', { name: 'Offset across' });
    await figure.focus();
    await page.evaluate(() => {
      const field = document.activeElement;
      for (let press = 0; press < 20; press++)
        field?.dispatchEvent(
          new KeyboardEvent('keydown', { key: 'ArrowUp', code: 'ArrowUp', bubbles: true }),
        );
      field?.dispatchEvent(new KeyboardEvent('keyup', { key: 'ArrowUp', code: 'ArrowUp', bubbles: true }));
    });
    await untilKept(page);
    expect((await widget(id, 'one'))?.place.x).to.equal(220);
  });

  it('takes back what a sentence says, whatever came since', async () => {
    const id = await twoClocks();
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').click();
    await page.keyboard.press('Delete');
    const said = page.getByText('Removed the clock', { exact: false });
    await said.waitFor();
    await handle(page, 'two').click();
    await page.keyboard.press('l');
    await page.getByRole('switch', { name: 'Locked' }).and(page.locator('[data-state="checked"]')).waitFor();
    await page.locator('[data-sonner-toast]', { has: said }).getByRole('button', { name: 'Undo' }).click();
    await handle(page, 'one').waitFor();
    await untilKept(page);
    const { desk } = await stored(server, id);
    expect(desk.widgets.map((one) => [one.id, one.locked])).to.deep.equal([
      ['one', false],
      ['two', true],
    ]);
  });

  it('undoes what was done before a look at live, and before a reload', async () => {
    const id = await twoClocks();
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').click();
    for (let press = 0; press < 3; press++) await page.keyboard.press('ArrowRight');
    await handle(page, 'two').click();
    await page.keyboard.press('l');
    await untilKept(page);
    await page.getByRole('link', { name: 'Go live' }).click();
    await page.getByRole('link', { name: 'Back to the studio' }).click();
    await page.getByRole('button', { name: 'Undo: Lock' }).click();
    await page.reload();
    await page.getByRole('button', { name: 'Redo: Lock' }).waitFor();
    for (let step = 0; step < 3; step++) await page.keyboard.press('Control+z');
    await page.getByRole('button', { name: 'Nothing to undo' }).waitFor();
    await untilKept(page, { isNew: false });
    const { desk } = await stored(server, id);
    expect(desk.widgets.map((one) => [one.place.x, one.locked])).to.deep.equal([
      [200, false],
      [900, false],
    ]);
  });

  it('goes to any step, with a picture of the desk as it was', async () => {
    const id = await twoClocks();
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').click();
    await page.keyboard.press('Delete');
    await handle(page, 'two').click();
    await page.keyboard.press('l');
    await untilKept(page);
    await page.getByRole('button', { name: /menu of the desk/ }).click();
    await page.getByRole('menuitem', { name: 'History' }).click();
    const first = page.getByRole('button', { name: 'As it was opened', exact: true });
    await first.hover();
    const picture = page.locator('[data-history-picture="step 0"]');
    await picture.locator('[data-widget="one"]').waitFor();
    await first.click();
    await page.keyboard.press('Escape');
    await handle(page, 'one').waitFor();
    await page.getByRole('button', { name: 'Redo: Remove the clock (line)' }).waitFor();
    await untilKept(page, { isNew: false });
    expect((await stored(server, id)).desk.widgets.map((one) => one.locked)).to.deep.equal([false, false]);
  });

  it('starts a bare desk from a composition, takes it back, and puts the offer away', async () => {
    const id = await addDesk(server, { ...emptyDesk(), name: 'To start' });
    const page = await open(`/desk/${id}`);
    const offer = page.getByRole('region', { name: 'To start from' });
    await offer.getByRole('button', { name: 'Readings and dock' }).click();
    await offer.waitFor({ state: 'detached' });
    await untilKept(page);
    expect((await stored(server, id)).desk.widgets).to.have.length(3);
    await page.locator('[data-sonner-toast]').getByRole('button', { name: 'Undo' }).click();
    await offer.waitFor();
    await offer.getByRole('button', { name: 'Put these away' }).click();
    await page.reload();
    await page.getByRole('heading', { name: 'Widgets', exact: true, level: 2 }).waitFor();
    expect(await offer.count()).to.equal(0);
    // The way on, chapter by chapter.
    await page.getByRole('button', { name: 'Backdrop', exact: true }).click();
    await page.getByRole('button', { name: /^On to palette/ }).click();
    await page.getByRole('heading', { name: 'Palette', exact: true, level: 2 }).waitFor();
  });

  it('looks at the other half without setting it', async () => {
    const page = await open('/desk/dawn-count');
    const before = (await stored(server, 'dawn-count')).desk.look.half;
    const half = page.getByRole('button', { name: /(light|dark) half$/ });
    const shown = await half.innerText();
    await half.click();
    await page.locator('[aria-pressed="true"]', { hasText: 'half' }).waitFor();
    expect(await half.innerText()).not.to.equal(shown);
    await page.getByRole('button', { name: 'Nothing to undo' }).waitFor();
    await half.click();
    expect(await half.innerText()).to.equal(shown);
    expect((await stored(server, 'dawn-count')).desk.look.half).to.deep.equal(before);
  });

  it('says at the edit that there can be no more, and stays a desk that can be saved', async () => {
    const base = emptyDesk();
    const id = await addDesk(server, {
      ...base,
      name: 'Full of edges',
      edges: Array.from({ length: 40 }, (_, index) => ({
        ...createPanel(`e${index}`, base.screens[0]?.id ?? '', 'top', []),
        thickness: 16,
        iconSize: 12,
        length: { by: 'side' as const },
        keepsWindowsOff: false,
      })),
    });
    const page = await open(`/desk/${id}`);
    await page.getByRole('button', { name: 'Edges', exact: true }).click();
    await page.getByRole('button', { name: 'Panel', exact: true }).click();
    await page.getByText(/^Not taken: /).waitFor();
    await page.getByRole('button', { name: 'Nothing to undo' }).waitFor();
    expect(await saving(page)).to.equal('kept');
  });

  it('reads the pixels for the dropper once the server is back', async () => {
    const page = await open('/desk/dawn-count');
    await page.getByRole('button', { name: 'Palette', exact: true }).click();
    await page.getByRole('group', { name: 'Colours of the backdrop' }).getByRole('button').first().waitFor();
    // What the browser has seen already shall not answer for the server.
    await page.route('**/api/backdrops*', (route) => route.abort());
    await server.kill();
    await page.getByRole('button', { name: 'pick from the stage' }).click();
    await page.getByText('Reading the pixels…').waitFor();
    await page.unroute('**/api/backdrops*');
    await server.start();
    await page.getByText('Reading the pixels…').waitFor({ state: 'detached' });
    await page.locator('[data-dropper]').press('Enter');
    await page.getByRole('button', { name: 'Start from the backdrop' }).waitFor();
  });

  it('waits for a view that is opened while the server is away', async () => {
    const id = await twoClocks();
    const view = new Withheld('**/assets/studio-*.js');
    const page = await open('/', undefined, view.prepare);
    const card = page.locator(`a[href="/desk/${id}"]`).first();
    await card.click();
    await page.waitForURL(`**/desk/${id}`);
    // The page before stays until there is more to see.
    await card.waitFor();
    await view.letThrough();
    await handle(page, 'one').waitFor();
    expect(view.asked).to.be.above(0);
  });
});
