import { expect } from 'chai';
import { centreOf, stored, untilKept, withApp } from '../support/app.ts';

/** What somebody may need at most from nothing to a finished desk, presses and drags. */
const MOST_ACTIONS = 14;

withApp('the first minutes', ({ server, open }) => {
  it('lead from nothing to a finished desk in few actions, each of them in view when it is wanted', async () => {
    const page = await open('/');
    let actions = 0;
    const press = async (name: string | RegExp) => {
      await page.getByRole('button', { name }).first().click();
      actions++;
    };
    await press('New desk');
    await page.getByRole('heading', { name: 'Backdrop', level: 2 }).waitFor();
    await press('First light');
    await press(/^On to palette/);
    await press('Calm');
    await press(/^On to look/);
    await press(/^On to edges/);
    await press('Strip and dock');
    await page.locator('[data-stage] [data-widget]').first().waitFor();
    await page.keyboard.press('Escape');
    actions++;
    await press('Widgets');
    const card = await centreOf(page.locator('[data-card="machine-rings"]'));
    const stage = await centreOf(page.locator('[data-stage]'));
    await page.mouse.move(card.x, card.y);
    await page.mouse.down();
    await page.mouse.move(stage.x + 180, stage.y + 40, { steps: 8 });
    await page.mouse.up();
    actions++;
    await page.getByRole('heading', { name: 'Machine', level: 2 }).waitFor();
    await untilKept(page);
    const id = /desk\/([^/?]+)/.exec(page.url())?.[1] ?? '';
    const { desk } = await stored(server, id);
    expect(desk.edges.map(({ kind }) => kind).sort()).to.deep.equal(['dock', 'panel']);
    expect(desk.edges.every(({ items }) => items.length > 0)).to.equal(true);
    expect(desk.widgets.map(({ type }) => type).sort()).to.deep.equal(['clock', 'machine']);
    await page.getByRole('link', { name: 'Go live' }).click();
    actions++;
    await page.waitForURL(/\/live\//);
    await page.locator('[data-screen] [data-widget]').first().waitFor();
    expect(actions).to.be.at.most(MOST_ACTIONS);
  });
});
