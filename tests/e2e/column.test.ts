import { expect } from 'chai';
import { clockAt, emptyDesk, fromCorner } from '../support/desks.ts';
import { createDock, createItem, createPanel } from '../../core/desk/defaults.ts';
import { addDesk, drag, handle, stored, untilKept, withApp } from '../support/app.ts';

withApp('the column', ({ server, open }) => {
  const desk = (name: string) => ({
    ...emptyDesk(),
    name,
    widgets: [clockAt('one', fromCorner(200, 200)), clockAt('two', fromCorner(600, 350))],
  });

  it('leads back to where one came from, wherever what was opened belongs', async () => {
    const id = await addDesk(server, desk('Back'));
    const page = await open(`/desk/${id}`);
    await page.getByRole('button', { name: 'Look', exact: true }).click();
    await page.getByRole('button', { name: /^Type/ }).click();
    await handle(page, 'one').click();
    await page.getByRole('button', { name: 'Back to Type' }).waitFor();
    await handle(page, 'two').click();
    await page.getByRole('button', { name: 'Back to Type' }).click();
    await page.getByRole('heading', { name: 'Type', level: 2 }).waitFor();
    await page.getByRole('button', { name: 'Back to Look' }).click();
    await page.getByRole('heading', { name: 'Look', level: 2 }).waitFor();
  });

  it('says what is wrong once a press is over, so that it is what was pressed that is taken', async () => {
    const id = await addDesk(server, desk('Pressed next'));
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').click();
    const zone = page.getByRole('combobox', { name: 'Time zone' });
    await zone.fill('Marrow/Point');
    const accent = page.getByRole('button', { name: 'Colour: Accent' });
    const box = await accent.boundingBox();
    if (!box) throw new Error('no swatch');
    await page.mouse.move(box.x + 12, box.y + 12);
    await page.mouse.down();
    expect(await accent.boundingBox()).to.deep.equal(box);
    await page.mouse.up();
    await page.getByText(/^Not taken/).waitFor();
    expect((await accent.boundingBox())?.y).to.be.above(box.y);
    await page.locator('[aria-label="Colour: Accent"][aria-pressed="true"]').waitFor();
    expect(await zone.inputValue()).to.equal('Marrow/Point');
    await untilKept(page);
    expect((await stored(server, id)).desk.widgets[0]?.options).to.deep.include({
      zone: '',
      colour: 'accent',
    });
  });

  it('undoes the desk’s steps also from a field, once what was typed there is taken', async () => {
    const id = await addDesk(server, desk('From a field'));
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').click();
    const size = page.getByRole('textbox', { name: 'Scale, exact' });
    const before = await size.inputValue();
    const reads = (value: string) =>
      page.waitForFunction(
        (wanted) =>
          document.querySelector<HTMLInputElement>('input[aria-label="Scale, exact"]')?.value === wanted,
        value,
      );
    await size.fill('1.5');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Undo: Scale' }).waitFor();
    await size.pressSequentially('77');
    // What is being typed is the field's own to take back.
    await page.keyboard.press('Control+z');
    expect(await page.getByRole('button', { name: 'Undo: Scale' }).isEnabled()).to.equal(true);
    await page.keyboard.press('Escape');
    expect(await size.inputValue()).to.equal('1.5');
    await page.keyboard.press('Control+z');
    await page.getByRole('button', { name: 'Nothing to undo' }).waitFor();
    await reads(before);
    await page.keyboard.press('Control+Shift+z');
    await page.getByRole('button', { name: 'Undo: Scale' }).waitFor();
    await reads('1.5');
  });

  it('stays with a picture that was asked for and not chosen, says how one gets here, and changes nothing', async () => {
    const id = await addDesk(server, desk('No picture yet'));
    const page = await open(`/desk/${id}`);
    const before = (await stored(server, id)).desk.backdrops;
    await page.getByRole('button', { name: 'Backdrop', exact: true }).click();
    const asked = page.waitForEvent('filechooser');
    await page.getByRole('radio', { name: 'Picture' }).click();
    await asked;
    await page.getByRole('region', { name: 'No picture yet' }).waitFor();
    await page.getByRole('radio', { name: 'Picture', checked: true }).waitFor();
    await page.getByText('What lies there stays until one is here.').waitFor();
    await page.getByRole('radio', { name: 'Motif' }).click();
    await page.getByRole('region', { name: 'No picture yet' }).waitFor({ state: 'detached' });
    expect((await stored(server, id)).desk.backdrops).to.deep.equal(before);
    await page.getByRole('radio', { name: 'Picture' }).click();
    await page.getByLabel('Picture file').setInputFiles({
      name: 'hide.png',
      mimeType: 'image/png',
      buffer: Buffer.from(
        'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
        'base64',
      ),
    });
    await page.getByRole('region', { name: 'How it lies' }).waitFor();
    await untilKept(page);
    expect((await stored(server, id)).desk.backdrops[0]?.source.kind).to.equal('picture');
  });

  it('takes turns of the wheel that follow one another as one step, and folds the faces away', async () => {
    const id = await addDesk(server, desk('One step'));
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').click();
    await page.getByRole('button', { name: 'Face Line' }).waitFor();
    expect(await page.getByRole('group', { name: 'Faces' }).count()).to.equal(0);
    const across = page.getByRole('textbox', { name: 'Offset across' });
    await across.click();
    await across.hover();
    for (let notch = 0; notch < 4; notch++) await page.mouse.wheel(0, -100);
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[aria-label="Offset across"]')?.value === '204',
    );
    await untilKept(page);
    await page.getByRole('button', { name: /^Undo/ }).click();
    await untilKept(page);
    expect((await stored(server, id)).desk.widgets[0]?.place.x).to.equal(200);
  });

  it('keeps the colour that palettes are drawn from for the desk', async () => {
    const id = await addDesk(server, desk('Drawn from'));
    const page = await open(`/desk/${id}`);
    await page.getByRole('button', { name: 'Palette', exact: true }).click();
    await page.getByRole('button', { name: 'my own' }).click();
    await page.getByRole('button', { name: 'Start from the backdrop' }).waitFor();
    await page.reload();
    await page.getByRole('button', { name: 'Start from the backdrop' }).click();
    await page.getByRole('button', { name: 'my own' }).waitFor();
    await page.reload();
    await page.getByRole('button', { name: 'my own' }).waitFor();
  });

  it('folds what few set under More, says when some of it is set, and opens it for what is looked for', async () => {
    const from = desk('Folded');
    const id = await addDesk(server, {
      ...from,
      edges: [createPanel('panel', from.screens[0]?.id ?? '', 'top', [createItem('time', 'clock')])],
    });
    const page = await open(`/desk/${id}`);
    await handle(page, 'time').click();
    const more = page.getByRole('region', { name: 'Margins' }).getByRole('button', { name: /^More/ });
    await more.waitFor();
    expect(await page.getByRole('slider', { name: 'Priority' }).count()).to.equal(0);
    expect(await more.getAttribute('aria-label')).to.equal('More');
    await more.press('Enter');
    await page.getByRole('slider', { name: 'Priority' }).press('End');
    await page.locator('[aria-label="More: some of it is set"]').waitFor();
    await untilKept(page);
    await page.reload();
    await handle(page, 'time').click();
    await page.getByRole('button', { name: 'More: some of it is set' }).waitFor();
    await page.keyboard.press('Control+k');
    await page.getByPlaceholder('What do you want to do', { exact: false }).fill('priority');
    await page.keyboard.press('Enter');
    await page.waitForFunction(
      () => document.activeElement?.closest<HTMLElement>('[data-field]')?.dataset['field'] === 'Priority',
    );
    // What it does is told where its name is pointed at.
    await page.locator('[data-field="Priority"] label').hover();
    await page.getByRole('tooltip').getByText('items of a low priority go first', { exact: false }).waitFor();
  });

  it('has the buttons of titles as chips: dragged, moved by arrows, taken away and brought back', async () => {
    const id = await addDesk(server, desk('Chips'));
    const page = await open(`/desk/${id}`);
    await page.getByRole('button', { name: 'Windows', exact: true }).click();
    await page
      .getByRole('complementary')
      .getByRole('button', { name: /^Buttons/ })
      .click();
    const chips = page.getByRole('group', { name: 'Buttons', exact: true });
    const kept = async () => {
      await untilKept(page);
      return (await stored(server, id)).desk.windows.buttons.list.map(({ does }) => does);
    };
    await chips.getByRole('button', { name: 'Minimise', exact: true }).press('ArrowRight');
    expect(await kept()).to.deep.equal(['fill', 'minimise', 'close']);
    // It keeps the focus.
    await page.keyboard.press('ArrowRight');
    expect(await kept()).to.deep.equal(['fill', 'close', 'minimise']);
    await page.keyboard.press('Delete');
    expect(await kept()).to.deep.equal(['fill', 'close']);
    await chips.getByRole('button', { name: 'Add Minimise' }).click();
    await drag(page, chips.getByRole('button', { name: 'Minimise', exact: true }), { x: -200, y: 0 });
    expect(await kept()).to.deep.equal(['minimise', 'fill', 'close']);
    await page.keyboard.press('Control+z');
    expect(await kept()).to.deep.equal(['fill', 'close', 'minimise']);
  });

  it('gives parts that are chosen together what they share, mixed values as mixed, by pointer and by keys', async () => {
    const from = desk('Together');
    const [one, two] = from.widgets;
    if (!one || !two) throw new Error('no clocks');
    const id = await addDesk(server, {
      ...from,
      widgets: [one, { ...two, options: { ...two.options, colour: 'accent' } }],
      edges: [
        createDock('dock', from.screens[0]?.id ?? '', 'bottom', from.look.finish, [
          createItem('time', 'clock'),
          createItem('date', 'date'),
        ]),
      ],
    });
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').click();
    await handle(page, 'two').click({ modifiers: ['Shift'] });
    await page.getByRole('heading', { name: '2 widgets', level: 2 }).waitFor();
    await handle(page, 'dock').click({ modifiers: ['Shift'], position: { x: 3, y: 3 } });
    await page.getByRole('heading', { name: '3 parts', level: 2 }).waitFor();
    const colour = page.getByRole('group', { name: 'Colour', exact: true });
    expect(await colour.locator('[aria-pressed="true"]').count()).to.equal(0);
    await colour.getByRole('button', { name: 'Colour: Second' }).click();
    await page.getByRole('switch', { name: 'Seconds' }).click();
    await page.getByRole('textbox', { name: 'Corner radius, exact' }).fill('3');
    await page.keyboard.press('Enter');
    await untilKept(page);
    const { widgets, edges } = (await stored(server, id)).desk;
    for (const { options, finish } of widgets) {
      expect(options).to.deep.include({ colour: 'second', seconds: true });
      expect(finish?.radius).to.equal(3);
    }
    expect(edges[0]?.finish?.radius).to.equal(3);
    expect(edges[0]?.items[0]?.options['seconds']).to.equal(true);
    // Each is one step.
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await page.getByRole('button', { name: 'Undo: Colour' }).click();
    await untilKept(page);
    expect((await stored(server, id)).desk.widgets.map(({ options }) => options['colour'])).to.deep.equal(
      from.widgets.map(({ id: each, options }) => (each === 'two' ? 'accent' : options['colour'])),
    );
    // By keys: Enter chooses, Shift and Enter adds.
    await page.keyboard.press('Escape');
    await handle(page, 'dock').press('Enter');
    await page.getByRole('heading', { name: 'Dock', level: 2 }).waitFor();
    await handle(page, 'one').press('Shift+Enter');
    await page.getByRole('heading', { name: '2 parts', level: 2 }).waitFor();
    await handle(page, 'one').press('Shift+Enter');
    await page.getByRole('heading', { name: 'Dock', level: 2 }).waitFor();
  });
});

withApp('what lies behind', ({ server, open }) => {
  it('stays until the next one is here: no half and no window ever shows nothing', async () => {
    const base = emptyDesk();
    const [first] = base.backdrops;
    if (!first) throw new Error('no backdrop');
    const lies = (half: 'light' | 'dark') => ({ ...first, id: half, for: { ...first.for, half } });
    const id = await addDesk(server, {
      ...base,
      name: 'Two halves',
      widgets: [clockAt('one', fromCorner(200, 200))],
      look: { ...base.look, half: { by: 'choice', half: 'dark' } },
      backdrops: [first, lies('light')].map((one, index) =>
        one.source.kind === 'motif' ? { ...one, source: { ...one.source, seed: 40 + index } } : one,
      ),
    });
    const page = await open(`/desk/${id}`);
    const picture = page.locator('[data-stage] img[data-backdrop]');
    await page.waitForFunction(
      () =>
        (document.querySelector<HTMLImageElement>('[data-stage] img[data-backdrop]')?.naturalWidth ?? 0) >
        480,
    );
    const dark = await picture.getAttribute('src');
    // What is asked for from now on takes its time.
    const late: (() => void)[] = [];
    await page.route('**/api/backdrops*', async (route) => {
      await new Promise<void>((resolve) => late.push(resolve));
      await route.continue();
    });
    const asked = page.waitForRequest('**/api/backdrops*');
    await page.getByRole('button', { name: /dark half/ }).click();
    await asked;
    expect(await picture.getAttribute('src')).to.equal(dark);
    expect(
      await picture.evaluate((image: HTMLImageElement) => image.complete && image.naturalWidth > 0),
    ).to.equal(true);
    late.forEach((go) => go());
    await page.unroute('**/api/backdrops*');
    await page.waitForFunction(
      (before) => document.querySelector('[data-stage] img[data-backdrop]')?.getAttribute('src') !== before,
      dark,
    );
    // Live is another size: until that is made, what was seen last lies there.
    const seen = await page.waitForFunction(() => {
      const image = document.querySelector<HTMLImageElement>('[data-stage] img[data-backdrop]');
      return image?.complete && image.naturalWidth > 480 ? image.getAttribute('src') : null;
    });
    const last = String(await seen.jsonValue());
    await page.route('**/api/backdrops*', (route) => new Promise(() => void route));
    await page.goto(`${server.address}/live/${id}`);
    const lying = page.locator('img[data-backdrop]');
    await lying.waitFor({ state: 'attached' });
    expect(await lying.evaluate((image) => image.style.background)).to.contain(last);
  });
});
