import { join } from 'node:path';
import Database from 'better-sqlite3';
import { expect } from 'chai';
import { demoDesks } from '../../demo/desks.ts';
import { clockAt, dawnCount, emptyDesk, fromCorner } from '../support/desks.ts';
import { addDesk, handle, stored, untilKept, withApp } from '../support/app.ts';

withApp('what would break a page', ({ server, open }) => {
  it('is not a row that can’t be read: the shelf says so, gives it out, and hides no other', async () => {
    const id = await addDesk(server, { ...dawnCount(), name: 'Torn page' });
    await server.kill();
    const client = new Database(join(server.folder, 'velvet-ledge.db'));
    client.prepare('update revisions set desk = ? where desk_id = ?').run('{"format": 2, "name": 5}', id);
    client.close();
    await server.start();
    const page = await open('/');
    const card = page.locator(`[data-desk="${id}"]`);
    await card.getByText('This one can’t be read').waitFor();
    await page.locator('[data-desk="dawn-count"] [data-widget="clock"]').waitFor();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      card.getByRole('link', { name: 'Save what is there' }).click(),
    ]);
    expect(download.suggestedFilename()).to.equal('Torn-page.json');
    await card.getByRole('button', { name: 'Menu of Torn page' }).click();
    await page.getByRole('menuitem', { name: 'Delete' }).click();
    await card.waitFor({ state: 'detached' });
    await page.goto(`${server.address}/desk/${id}`);
    await page.getByRole('heading', { name: 'The desk can’t be opened' }).waitFor();
  });

  it('is not a large desk: it says what it is, is drawn on demand, and stands on the shelf', async () => {
    const widgets = Array.from({ length: 4000 }, (_, index) => ({
      ...clockAt(`w${index}`, fromCorner((index * 13) % 900, (index * 7) % 500)),
      scale: 0.2,
    }));
    const id = await addDesk(server, { ...emptyDesk(), name: 'Many clocks', widgets });
    const page = await open('/');
    await page.locator(`[data-desk="${id}"]`).getByText('4,000 widgets').waitFor();
    await page.getByRole('link', { name: 'Open Many clocks' }).click();
    await page.getByRole('heading', { name: 'A large desk' }).waitFor();
    await page.getByRole('link', { name: 'To the shelf' }).click();
    await page.goto(`${server.address}/live/${id}`);
    await page.getByText('It has 4,000 widgets').waitFor();
    const few = await addDesk(server, { ...emptyDesk(), name: 'Enough', widgets: widgets.slice(0, 520) });
    await page.goto(`${server.address}/desk/${few}`);
    await page.getByRole('button', { name: 'Open it all the same' }).click();
    await handle(page, 'w5').waitFor();
  });

  it('is not a server that goes just as a desk is opened: the desk comes as soon as it is back', async () => {
    for (const [path, shown] of [
      ['/desk/dawn-count', '[data-stage]'],
      ['/live/dawn-count', '[data-screen]'],
    ] as const) {
      let asked = 0;
      const page = await open(path, undefined, (early) =>
        early.route('**/api/desks/dawn-count', (route) => (++asked < 3 ? route.abort() : route.continue())),
      );
      await page.getByRole('heading', { name: 'The desk can’t be opened' }).waitFor();
      await page.getByText('The server does not answer.').waitFor();
      await page.locator(shown).first().waitFor();
      expect(await page.getByRole('heading', { name: 'The desk can’t be opened' }).count()).to.equal(0);
      expect(asked).to.equal(3);
    }
  });

  it('is not an icon’s name, in the column or in a menu', async () => {
    const desk = demoDesks().find(({ id }) => id === 'sound-room') ?? dawnCount();
    const odd = ['__proto__', 'constructor', 'constructor-x', 'toString'];
    desk.applications = desk.applications.map((application, index) => ({
      ...application,
      Icon: odd[index] ?? application.Icon,
      Categories: ['__proto__'],
    }));
    const id = await addDesk(server, { ...desk, name: 'Odd names' });
    const page = await open(`/desk/${id}`);
    await page.getByRole('navigation').getByRole('button', { name: 'Look', exact: true }).click();
    await page.getByRole('button', { name: /^Icons/ }).click();
    await page.getByRole('heading', { name: 'Icons' }).waitFor();
    await page
      .getByText(desk.applications[1]?.Name ?? '')
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'Try' }).click();
    await page.getByRole('button', { name: 'Open the app list' }).click();
    await page.getByRole('dialog', { name: 'App list' }).waitFor();
    expect(await page.getByText('Something broke').count()).to.equal(0);
    expect(await page.locator('[data-quiet]').count()).to.equal(0);
  });

  it('is not a drawing that fails: something quiet stands in its place, and work goes on', async () => {
    const page = await open('/desk/sound-room');
    await handle(page, 'clock').waitFor();
    // A set whose every icon fails.
    await page.route(/assets\/(reed|slate|shell)-[^/]*\.js/, (route) =>
      route.fulfill({
        contentType: 'text/javascript',
        body: 'export default function Broken() { throw new Error("no such icon"); }',
      }),
    );
    await page.reload();
    await handle(page, 'clock').waitFor();
    await page.locator('[data-stage] [data-item] [data-quiet]').first().waitFor();
    await page.getByRole('navigation').getByRole('button', { name: 'Look', exact: true }).click();
    await page.getByRole('button', { name: /^Icons/ }).click();
    await page.locator('aside [data-quiet]').first().waitFor();
    await handle(page, 'clock').click();
    await page.keyboard.press('ArrowRight');
    await untilKept(page);
    const { desk } = await stored(server, 'sound-room');
    expect(desk.widgets.find(({ id }) => id === 'clock')?.place).to.deep.include({ x: 229 });
  });

  it('has a heading and landmarks on every page', async () => {
    const page = await open('/desk/dawn-count');
    await handle(page, 'clock').waitFor();
    expect(await page.locator('h1').allInnerTexts()).to.deep.equal(['Dawn count']);
    await page.goto(`${server.address}/live/dawn-count`);
    await page.getByRole('main', { name: 'Dawn count' }).waitFor();
    await page.getByRole('navigation', { name: 'Out of live' }).waitFor();
  });
});
