import { readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import type { Kit } from '../../core/desk/kits/kit.ts';
import type { Page } from 'playwright-core';
import { ourKits } from '../../core/kits/ours.ts';
import { addDesk, handle, stored, untilKept, withApp } from '../support/app.ts';
import { clockAt, emptyDesk, fromCorner } from '../support/desks.ts';

const look = (page: Page, id: string) => page.locator(`[data-look="${id}"]`);

withApp('kits', ({ server, open }) => {
  async function amongKits(id = 'dawn-count'): Promise<Page> {
    const page = await open(`/desk/${id}`);
    await page.locator('[data-stage]').waitFor();
    await page.getByRole('button', { name: 'Look', exact: true }).click();
    await page.getByRole('button', { name: /^Kits/ }).click();
    await look(page, 'ours-tin-roof').waitFor();
    return page;
  }
  /** Until the clock is set in a family. */
  const untilSetIn = (page: Page, family: string) =>
    page.waitForFunction(
      (wanted) =>
        [...document.querySelectorAll('[data-stage] [data-widget="clock"] *')].some((one) =>
          getComputedStyle(one).fontFamily.includes(wanted),
        ),
      family,
    );
  const placeOf = async (page: Page, id: string) => {
    const box = await handle(page, id).boundingBox();
    return box && { x: Math.round(box.x), y: Math.round(box.y) };
  };
  const isWorn = (page: Page, id: string) =>
    page.locator(`[data-look="${id}"][aria-selected="true"]`).waitFor();

  it('are worn by the stage while pointed at, and leave the very desk; pressed they stay, in one step', async () => {
    const page = await amongKits();
    const before = (await stored(server, 'dawn-count')).desk;
    const place = await placeOf(page, 'clock');
    await untilSetIn(page, 'Fraunces');
    await look(page, 'ours-tin-roof').hover();
    await untilSetIn(page, 'Spline Sans Mono');
    expect(await placeOf(page, 'clock')).to.deep.equal(place);
    await page.getByText('A kit of ours. Square, matte').waitFor();
    await page.mouse.move(700, 300);
    await untilSetIn(page, 'Fraunces');
    await page.getByRole('button', { name: 'Nothing to undo' }).waitFor();
    await look(page, 'ours-tin-roof').click();
    await page.getByRole('button', { name: 'Undo: Wear Tin roof' }).waitFor();
    await untilKept(page);
    const { desk } = await stored(server, 'dawn-count');
    const kit = ourKits().find(({ id }) => id === 'ours-tin-roof');
    expect(desk.wears).to.deep.include({ kit: 'ours-tin-roof', name: 'Tin roof', version: 1 });
    expect(desk.look.fonts).to.deep.equal(kit?.desk.look.fonts);
    expect(desk.widgets.map(({ place: stands }) => stands)).to.deep.equal(
      before.widgets.map(({ place: stands }) => stands),
    );
    await page.reload();
    await page.getByText('Wears Tin roof').waitFor();
    await page.mouse.move(700, 300);
    await page.keyboard.press('Escape');
  });

  it('go on and come off by the keyboard alone', async () => {
    const page = await amongKits('sound-room');
    const before = (await stored(server, 'sound-room')).desk;
    await look(page, 'as-it-is').focus();
    await page.keyboard.press('ArrowRight');
    await isWorn(page, 'ours-reed-bed');
    await page.keyboard.press('ArrowRight');
    await isWorn(page, 'ours-chalk-line');
    await page.keyboard.press('Escape');
    await page.locator('[data-look][aria-selected="true"]').waitFor({ state: 'detached' });
    await page.keyboard.press('End');
    await isWorn(page, 'ours-iron-stair');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Undo: Wear Iron stair' }).waitFor();
    await page.keyboard.press('Control+z');
    await page.getByRole('button', { name: 'Nothing to undo' }).waitFor();
    await untilKept(page, { isNew: false });
    expect((await stored(server, 'sound-room')).desk).to.deep.equal(before);
  });

  it('give only their frames where nothing else is ticked, and say before what they would change', async () => {
    const page = await amongKits('ringing-day');
    const before = (await stored(server, 'ringing-day')).desk;
    await page.getByRole('button', { name: 'none', exact: true }).click();
    await page.getByRole('checkbox', { name: 'Wear: frames and moves' }).check({ force: true });
    await look(page, 'ours-iron-stair').hover();
    await page.getByRole('heading', { name: 'It would change' }).waitFor();
    await page.getByText('Nothing moves.', { exact: true }).waitFor();
    await look(page, 'ours-iron-stair').click();
    await untilKept(page);
    const { desk } = await stored(server, 'ringing-day');
    expect(desk.windows.title.height).to.equal(40);
    expect({ ...desk, windows: before.windows, wears: null }).to.deep.equal(before);
  });

  it('are made of this desk’s dress, carried out and in again, and are there for every desk', async () => {
    const page = await amongKits('night-watch');
    await page.getByRole('textbox', { name: 'Name of the kit' }).fill('Watch coat');
    await page.getByRole('textbox', { name: 'Made by' }).fill('The night hide');
    await page.getByRole('button', { name: 'Keep as a kit' }).click();
    const mine = page.locator('[data-look]', { hasText: 'Watch coat' });
    await mine.waitFor();
    const other = await amongKits('tide-table');
    const there = other.locator('[data-look]', { hasText: 'Watch coat' });
    await there.click();
    await other.getByRole('button', { name: 'Undo: Wear Watch coat' }).waitFor();
    await other.getByText('By The night hide.').waitFor();
    const download = other.waitForEvent('download');
    await other.getByRole('link', { name: 'Save Watch coat as a file' }).click();
    const file = join(tmpdir(), `watch-${process.pid}.ledgekit`);
    await writeFile(file, await readFile(await (await download).path()));
    await other.getByRole('button', { name: 'Take Watch coat off the shelf' }).click();
    await there.waitFor({ state: 'detached' });
    await other.getByLabel('Kit file').setInputFiles(file);
    await there.waitFor();
    await other
      .getByLabel('Kit file')
      .setInputFiles({ name: 'no.ledgekit', mimeType: 'application/zip', buffer: Buffer.from('no kit') });
    await other.getByText(/is not a ZIP archive/).waitFor();
    // The first page hears of it.
    await mine.waitFor();
    await other.close();
  });

  it('tell what is otherwise in a newer version before it is taken up; their details can be said otherwise', async () => {
    const page = await amongKits('night-watch');
    await page.getByRole('textbox', { name: 'Name of the kit' }).fill('Two nights');
    await page.getByRole('button', { name: 'Keep as a kit' }).click();
    const mine = page.locator('[data-look]', { hasText: 'Two nights' });
    await mine.click();
    await page.getByRole('button', { name: 'Undo: Wear Two nights' }).waitFor();
    // Only what is said of it changes: there is nothing to take up.
    await page.getByRole('button', { name: /^Details/ }).click();
    await page.getByRole('textbox', { name: 'Its maker' }).fill('The west hide');
    await page.keyboard.press('Enter');
    await page.getByText('By The west hide.').waitFor();
    expect(await page.getByRole('button', { name: 'Take it up' }).count()).to.equal(0);
    const kits = (await (await fetch(`${server.address}/api/kits`)).json()) as { id: string; name: string }[];
    const { id = '' } = kits.find(({ name }) => name === 'Two nights') ?? {};
    const kit = (await (await fetch(`${server.address}/api/kits/${id}`)).json()) as Kit;
    expect(kit.by).to.equal('The west hide');
    const finish = { ...kit.desk.look.finish, radius: kit.desk.look.finish.radius + 5 };
    const newer = { ...kit, desk: { ...kit.desk, look: { ...kit.desk.look, finish } } };
    await fetch(`${server.address}/api/kits/${id}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(newer),
    });
    const before = finish.radius - 5;
    await page.getByText(`Corner radius ${before} px → ${finish.radius} px`).first().waitFor();
    await page.getByRole('button', { name: 'Take it up' }).click();
    await page.getByRole('button', { name: 'Undo: Take up the newer Two nights' }).waitFor();
    await page.getByRole('button', { name: 'Take it up' }).waitFor({ state: 'detached' });
    await untilKept(page);
    expect((await stored(server, 'night-watch')).desk.look.finish.radius).to.equal(finish.radius);
  });

  it('lists what would not follow, and brings it in', async () => {
    const page = await amongKits(
      await addDesk(server, {
        ...emptyDesk(),
        name: 'Strays',
        widgets: [
          clockAt('own', fromCorner(100, 100), { colour: '#ff8800' }),
          clockAt('plain', fromCorner(100, 400)),
        ],
      }),
    );
    const stray = page.getByRole('button', { name: /^Bring in the / }).first();
    const count = await page.getByRole('button', { name: /^Bring in the / }).count();
    if (count === 0) throw new Error('No stray part on this desk');
    await stray.click();
    await page.waitForFunction(
      (most) => [...document.querySelectorAll('[aria-label^="Bring in the "]')].length < most,
      count,
    );
    await page.getByRole('button', { name: /^Undo: Bring in/ }).waitFor();
    // They are marked on the stage too, where a press does the same.
    await page.keyboard.press('Control+z');
    const mark = page.locator('[data-stray="own"] button');
    await mark.click();
    await page.locator('[data-stray="own"]').waitFor({ state: 'detached' });
    await page.getByRole('button', { name: /^Undo: Bring in/ }).waitFor();
  });
});
