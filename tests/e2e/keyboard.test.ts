import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { clockAt, emptyDesk, fromCorner } from '../support/desks.ts';
import { addDesk, handle, stored, untilKept, withApp, chooseEdge } from '../support/app.ts';

withApp('by the keyboard alone', ({ server, open }) => {
  const focused = (page: Page) =>
    page.evaluate(() => {
      const at = document.activeElement;
      return at?.getAttribute('aria-label') ?? at?.textContent ?? '';
    });

  it('a panel with six items fills its side in under thirty presses', async () => {
    const id = await addDesk(server, { ...emptyDesk(), name: 'By keys' });
    const page = await open(`/desk/${id}`);
    await page.getByText('A bare desk.', { exact: false }).waitFor();
    const presses = ['4', 'Tab', 'Enter', 'Control+k', ...'add divider', 'Enter', 'f'];
    expect(presses.length).to.be.below(30);
    for (const key of presses) {
      // A person sees what a press came to before the next; a search takes what is typed at once.
      if (key === 'Tab') await page.getByRole('button', { name: 'Panel', exact: true }).waitFor();
      if (key === 'Control+k') await page.getByRole('heading', { name: 'Panel', exact: true }).waitFor();
      if (key === 'f') await page.getByRole('heading', { name: 'Divider', exact: true }).waitFor();
      if (key === 'Enter')
        await page.getByRole('option').first().or(page.locator(':focus')).first().waitFor();
      await page.keyboard.press(key);
    }
    await untilKept(page);
    const [edge] = (await stored(server, id)).desk.edges;
    expect(edge?.items).to.have.length(6);
    expect(edge?.items.at(-1)?.type).to.equal('divider');
    expect(edge?.length).to.deep.equal({ by: 'side' });
  });

  it('the search takes every key from the first, and none of them is a shortcut', async () => {
    const id = await addDesk(server, { ...emptyDesk(), name: 'Typed ahead' });
    const page = await open(`/desk/${id}`);
    await page.getByText('A bare desk.', { exact: false }).waitFor();
    // All at once, before anything of the search is drawn.
    await page.evaluate(
      (keys) => {
        for (const key of keys)
          document.body.dispatchEvent(
            new KeyboardEvent('keydown', { key, ctrlKey: key === 'k', bubbles: true, cancelable: true }),
          );
      },
      ['k', ...'add clock, hands'.replaceAll('k', 'K')],
    );
    const field = page.getByPlaceholder('What do you want to do', { exact: false });
    await field.waitFor();
    expect((await field.inputValue()).toLowerCase()).to.equal('add clock, hands');
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Clock', exact: true }).waitFor();
    await untilKept(page);
    expect((await stored(server, id)).desk.widgets.map(({ face }) => face)).to.deep.equal(['hands']);
  });

  it('the focus goes on to what one would use next', async () => {
    const id = await addDesk(server, {
      ...emptyDesk(),
      name: 'Focus',
      widgets: [clockAt('one', fromCorner(200, 200)), clockAt('two', fromCorner(500, 300))],
    });
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').focus();
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Clock', exact: true, level: 2 }).waitFor();
    await page.keyboard.press('Delete');
    await page.locator('aside h2:focus', { hasText: 'Widgets' }).waitFor();
    await page.keyboard.press('Tab');
    expect(await focused(page)).to.equal('Find a widget');
    await page.keyboard.press('Tab');
    expect(await focused(page)).to.match(/^Add clock/);
    // Regions one after another, and back to where one was in each.
    await page.keyboard.press('F6');
    await page.locator('[data-stage-area] :focus').waitFor();
    await page.keyboard.press('F6');
    await page.locator('[data-ledge] :focus').waitFor();
    await page.keyboard.press('Shift+F6');
    await page.keyboard.press('Shift+F6');
    expect(await focused(page)).to.match(/^Add clock/);
  });

  it('arrows choose in a group, and move a row by its grip', async () => {
    const page = await open('/desk/dawn-count');
    await chooseEdge(page, 'panel');
    const names = () =>
      page.locator('aside li').evaluateAll((rows) => rows.map((row) => row.getAttribute('aria-label')));
    await page.locator('aside li').first().waitFor();
    const before = await names();
    await page.getByRole('button', { name: `Move ${before[0]}`, exact: true }).focus();
    await page.keyboard.press('ArrowDown');
    await page.waitForFunction(
      (second) => document.querySelector('aside li')?.getAttribute('aria-label') === second,
      before[1],
    );
    await page.locator(`[aria-label="Move ${before[0]}"]:focus`).waitFor();
    await page.keyboard.press('ArrowDown');
    await page.waitForFunction(
      (first) => document.querySelectorAll('aside li')[2]?.getAttribute('aria-label') === first,
      before[0],
    );
    await page.getByRole('radio', { name: 'centre' }).focus();
    await page.keyboard.press('ArrowLeft');
    await page.getByRole('radio', { name: 'start', checked: true }).waitFor();
    for (let step = 0; step < 3; step++) await page.keyboard.press('Control+z');
    await untilKept(page, { isNew: false });
  });

  it('a double press opens the first field, and the wheel turns the figure that has the focus alone', async () => {
    const id = await addDesk(server, {
      ...emptyDesk(),
      name: 'Turned',
      widgets: [clockAt('one', fromCorner(200, 200))],
    });
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').dblclick();
    await page.locator('aside section :focus').waitFor();
    const figure = page.getByRole('textbox', { name: 'Offset across' });
    await figure.hover();
    // The page may hear a wheel later than the next command.
    await page.evaluate(() => addEventListener('wheel', () => (document.title = 'heard'), { once: true }));
    await page.mouse.wheel(0, -100);
    await page.waitForFunction(() => document.title === 'heard');
    expect(await figure.inputValue()).to.equal('200');
    await figure.focus();
    await figure.hover();
    await page.mouse.wheel(0, -100);
    await untilKept(page);
    const [turned] = (await stored(server, id)).desk.widgets;
    expect(turned?.place.x).to.equal(201);
  });

  it('several that differ are shown as different, and only what is set becomes the same', async () => {
    const base = emptyDesk();
    const id = await addDesk(server, {
      ...base,
      name: 'Several',
      widgets: [
        { ...clockAt('one', fromCorner(100, 100)), finish: { ...base.look.finish, radius: 4, shadow: 10 } },
        { ...clockAt('two', fromCorner(500, 300)), scale: 2, locked: true },
      ],
    });
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').waitFor();
    await page.keyboard.press('Control+a');
    const scale = page.getByRole('textbox', { name: 'Scale, exact' });
    await scale.waitFor();
    expect(await scale.inputValue()).to.equal('');
    await page.getByRole('switch', { name: 'Locked: they differ' }).waitFor();
    const radius = page.getByRole('textbox', { name: 'Corner radius, exact' });
    expect(await radius.inputValue()).to.equal('');
    await radius.fill('18');
    await page.keyboard.press('Enter');
    await untilKept(page);
    const [one, two] = (await stored(server, id)).desk.widgets;
    expect([one?.finish?.radius, two?.finish?.radius]).to.deep.equal([18, 18]);
    expect(one?.finish?.shadow).to.equal(10);
    expect(two?.finish?.shadow).to.equal(base.look.finish.shadow);
    expect([one?.scale, two?.scale]).to.deep.equal([1, 2]);
  });
});
