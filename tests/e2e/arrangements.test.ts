import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { addDesk, drag, handle, stored, untilKept, withApp } from '../support/app.ts';
import { clockAt, emptyDesk, fromCorner } from '../support/desks.ts';

const empty = emptyDesk();
const twoClocks = (name: string) => ({
  ...empty,
  name,
  look: { ...empty.look, half: { by: 'choice' as const, half: 'dark' as const } },
  widgets: [clockAt('one', fromCorner(100, 100)), clockAt('two', fromCorner(100, 500))],
});

withApp('arrangements', ({ server, open }) => {
  async function opened(name: string): Promise<{ page: Page; id: string }> {
    const id = await addDesk(server, twoClocks(name));
    const page = await open(`/desk/${id}`);
    await page.getByRole('button', { name: /^Arrangements/ }).click();
    return { page, id };
  }
  async function keep(page: Page, name: string): Promise<void> {
    await page.getByRole('textbox', { name: 'Name of the new arrangement' }).fill(name);
    await page.keyboard.press('Enter');
    await isOn(page, name);
  }
  const isOn = (page: Page, name: string) =>
    page.getByRole('button', { name: `Arrangement: ${name}`, exact: true }).waitFor();
  const xOf = async (page: Page, id: string) => Math.round((await handle(page, id).boundingBox())?.x ?? NaN);

  it('take what is moved while they are on, and come back by a press, a key, undo and a reload', async () => {
    const { page, id } = await opened('Two ways');
    await keep(page, 'By day');
    const day = await xOf(page, 'one');
    await keep(page, 'By night');
    await drag(page, handle(page, 'one'), { x: 200, y: 0 });
    const night = await xOf(page, 'one');
    expect(night).to.be.greaterThan(day + 100);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Arrangement: By night', exact: true }).click();
    await page.locator('[role^="menuitem"]', { hasText: 'By day' }).click();
    await isOn(page, 'By day');
    expect(await xOf(page, 'one')).to.equal(day);
    await page.keyboard.press('Alt+2');
    await isOn(page, 'By night');
    expect(await xOf(page, 'one')).to.equal(night);
    await page.keyboard.press('Control+z');
    await isOn(page, 'By day');
    await untilKept(page);
    expect((await stored(server, id)).desk.arrangements.list.map(({ name }) => name)).to.deep.equal([
      'By day',
      'By night',
    ]);
    await page.reload();
    await isOn(page, 'By day');
    expect(await xOf(page, 'one')).to.equal(day);
  });

  it('come one after another by a key of the desk while it is used, and are kept', async () => {
    const { page, id } = await opened('By a key');
    await keep(page, 'Left');
    await keep(page, 'Right');
    await drag(page, handle(page, 'one'), { x: 240, y: 0 });
    await untilKept(page);
    const { desk } = await stored(server, id);
    const keys = [{ act: 'next-arrangement' as const, shortcut: 'Ctrl+Alt+A' }];
    const other = await addDesk(server, { ...desk, name: 'By a key, too', keys });
    const live = await open(`/live/${other}`);
    const clock = live.locator('[data-widget="one"]').first();
    await clock.waitFor();
    const right = (await clock.boundingBox())?.x ?? NaN;
    await live.keyboard.press('Control+Alt+a');
    await live.getByText('Left is on.').waitFor();
    const left = (await clock.boundingBox())?.x ?? NaN;
    expect(left).to.be.below(right - 100);
    await live.waitForFunction(
      async ([address, which]) => {
        const answer = (await (await fetch(`${address}/api/desks/${which}`)).json()) as {
          desk: { arrangements: { standing: string; list: { id: string; name: string }[] } };
        };
        const { standing, list } = answer.desk.arrangements;
        return list.find((one) => one.id === standing)?.name === 'Left';
      },
      [server.address, other],
    );
    await live.keyboard.press('Control+Alt+a');
    await live.getByText('Right is on.').waitFor();
    expect((await clock.boundingBox())?.x).to.equal(right);
  });

  it('are on by themselves in a half and on a workspace, in live too; what is moved then goes to them', async () => {
    const { page, id } = await opened('By itself');
    await keep(page, 'Usual');
    const usual = await xOf(page, 'one');
    await keep(page, 'At night');
    await drag(page, handle(page, 'one'), { x: 240, y: 0 });
    const night = await xOf(page, 'one');
    const chapters = page.getByRole('navigation', { name: 'Chapters' });
    await chapters.getByRole('button', { name: 'Widgets', exact: true }).click();
    await page.getByRole('button', { name: /^Arrangements/ }).click();
    await page.getByRole('combobox', { name: 'At night is on' }).click();
    await page.getByRole('option', { name: 'In a half' }).click();
    await page.keyboard.press('Alt+1');
    // The desk is dark: what holds by itself is on, and it is said.
    await page.getByText('Usual is chosen; At night is on while it holds.').waitFor();
    await isOn(page, 'At night');
    await page.getByRole('button', { name: 'Palette', exact: true }).click();
    await page.getByRole('radio', { name: 'Light half' }).click();
    await isOn(page, 'Usual');
    expect(await xOf(page, 'one')).to.equal(usual);
    // The document stands in neither of them by that: nothing was done.
    await drag(page, handle(page, 'two'), { x: 90, y: 0 });
    const moved = await xOf(page, 'two');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Palette', exact: true }).click();
    await page.getByRole('radio', { name: 'Dark half' }).click();
    await isOn(page, 'At night');
    expect(await xOf(page, 'one')).to.equal(night);
    expect(await xOf(page, 'two')).to.be.lessThan(moved);
    await untilKept(page);
    const live = await open(`/live/${id}`);
    const clock = live.locator('[data-widget="one"]').first();
    await clock.waitFor();
    const { desk } = await stored(server, id);
    const stand = desk.arrangements.list
      .find(({ name }) => name === 'At night')
      ?.widgets?.find((one) => one.id === 'one');
    expect(stand?.place.x).to.be.greaterThan(300);
    await live.close();
  });
});

withApp('keeps', ({ server, open }) => {
  it('are made in two presses, gone back to in one and left again in one, and lose nothing that is not saved yet', async () => {
    const id = await addDesk(server, twoClocks('Kept'));
    const page = await open(`/desk/${id}`);
    await handle(page, 'one').waitFor();
    await drag(page, handle(page, 'one'), { x: 120, y: 0 });
    const kept = (await handle(page, 'one').boundingBox())?.x;
    // At once: what is not saved yet is saved first.
    await page.getByRole('button', { name: 'Keep this state' }).click();
    await page.getByRole('textbox', { name: 'Name of the keep' }).fill('Before the storm');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await page.getByRole('button', { name: 'Go back to Before the storm' }).waitFor();
    // The same once more would lose its name.
    await page.getByRole('textbox', { name: 'Name of the keep' }).fill('After it');
    await page.keyboard.press('Enter');
    await page.getByText('This very state is kept already: Before the storm.').waitFor();
    await page.keyboard.press('Escape');
    await drag(page, handle(page, 'one'), { x: 150, y: 60 });
    const since = (await handle(page, 'one').boundingBox())?.x;
    await page.keyboard.press('Control+b');
    await page.getByRole('button', { name: 'Go back to Before the storm' }).click();
    await page.getByRole('button', { name: 'Undo: Back to Before the storm' }).waitFor();
    expect((await handle(page, 'one').boundingBox())?.x).to.be.closeTo(kept ?? 0, 0.6);
    await page.keyboard.press('Control+z');
    expect((await handle(page, 'one').boundingBox())?.x).to.be.closeTo(since ?? 0, 0.6);
    await page.reload();
    await handle(page, 'one').waitFor();
    await page.keyboard.press('Control+b');
    await page.getByRole('button', { name: 'Let go of Before the storm' }).click();
    await page.getByText('Nothing is kept yet.').waitFor();
  });
});
