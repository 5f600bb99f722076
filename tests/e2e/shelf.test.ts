import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect } from 'chai';
import { FORMAT } from '../../core/desk/desk.ts';
import type { Page } from 'playwright-core';
import { strToU8, zipSync } from 'fflate';
import { digestOf } from '../support/digest.ts';
import { dawnCount } from '../support/desks.ts';
import { addDesk, drawn, handle, listed, stored, withApp } from '../support/app.ts';

const names = (page: Page) => page.locator('[data-desk] h2').allInnerTexts();

withApp('the shelf', ({ server, open }) => {
  it('shows the desks as live miniatures and opens one', async () => {
    const page = await open('/');
    await page.locator('[data-desk]').nth(6).waitFor();
    expect(await names(page)).to.deep.equal([
      'Dawn count',
      'Sound room',
      'Night watch',
      'Ringing day',
      'Tide table',
      'Two hides',
      'Bare desk',
    ]);
    await page.locator('[data-desk="night-watch"] [data-screen]').nth(1).waitFor();
    // Calendars that stand in a desk are read here, too.
    await page
      .locator('[data-desk="ringing-day"] [data-widget="to-do"]', { hasText: 'Check the scales' })
      .waitFor();
    await page.getByRole('link', { name: 'Open Sound room' }).click();
    await page.locator('[data-stage] [data-widget="clock"]').waitFor();
    expect(new URL(page.url()).pathname).to.equal('/desk/sound-room');
  });

  it('makes, renames, duplicates and deletes desks; deleting can be undone', async () => {
    const page = await open('/');
    await page.getByRole('button', { name: 'New desk' }).click();
    await page.locator('[data-stage]').waitFor();
    await page.getByRole('link', { name: 'Shelf' }).click();
    await page.getByRole('button', { name: 'Menu of New desk' }).click();
    await page.getByRole('menuitem', { name: 'Rename' }).click();
    await page.getByRole('textbox', { name: 'Name' }).fill('Ringing hut');
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Ringing hut' }).waitFor();
    await page.getByRole('button', { name: 'Menu of Ringing hut' }).click();
    await page.getByRole('menuitem', { name: 'Duplicate' }).click();
    await page.getByRole('heading', { name: 'Ringing hut 2' }).waitFor();
    await page.getByRole('button', { name: 'Menu of Ringing hut 2' }).click();
    await page.getByRole('menuitem', { name: 'Delete' }).click();
    await page.getByRole('heading', { name: 'Ringing hut 2' }).waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('heading', { name: 'Ringing hut 2' }).waitFor();
  });

  it('shows what was changed a moment before, without a reload', async () => {
    const page = await open('/desk/sound-room');
    await page.locator('[data-handle="bulletin"]').click();
    await page.keyboard.press('Delete');
    await page.getByRole('link', { name: 'Shelf' }).click();
    await page.locator('[data-desk="sound-room"] [data-widget="clock"]').waitFor();
    await page.locator('[data-desk="sound-room"] [data-widget="bulletin"]').waitFor({ state: 'detached' });
  });

  it('does not go back to an answer that was asked for earlier and comes later', async () => {
    const page = await open('/desk/dawn-count');
    await handle(page, 'clock').waitFor();
    let letGo = () => {};
    let isGiven = () => {};
    const late = new Promise<void>((resolve) => (letGo = resolve));
    const given = new Promise<void>((resolve) => (isGiven = resolve));
    let asked = 0;
    await page.route('**/api/desks', async (route) => {
      const response = await route.fetch();
      if (++asked > 1) return route.fulfill({ response });
      await late;
      await route.fulfill({ response });
      isGiven();
    });
    await page.getByRole('link', { name: 'Shelf' }).click();
    await page.locator('[data-desk="dawn-count"]').waitFor();
    await addDesk(server, { ...dawnCount(), name: 'Late tide' });
    await page.getByRole('heading', { name: 'Late tide' }).waitFor();
    letGo();
    await given;
    await drawn(page);
    expect(await page.getByRole('heading', { name: 'Late tide' }).count()).to.equal(1);
    await page.unroute('**/api/desks');
  });

  it('offers a search once there are many', async () => {
    const page = await open('/');
    await page.locator('[data-desk]').first().waitFor();
    for (const name of ['Gull room', 'Tern room', 'Wader room'])
      await addDesk(server, { ...dawnCount(), name });
    await page.getByRole('heading', { name: 'Wader room' }).waitFor();
    await page.getByRole('textbox', { name: 'Search desks' }).fill('tern');
    await page.getByRole('heading', { name: 'Gull room' }).waitFor({ state: 'detached' });
    expect((await names(page))[0]).to.equal('Tern room');
  });

  it('takes in again what it gave out', async () => {
    const page = await open('/desk/dawn-count');
    await page.getByRole('button', { name: /menu of the desk/ }).click();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('menuitem', { name: /Save as a file/ }).click(),
    ]);
    expect(download.suggestedFilename()).to.equal('Dawn-count.ledge');
    const path = join(server.folder, 'out.ledge');
    await download.saveAs(path);
    await page.getByRole('link', { name: 'Shelf' }).click();
    await page.getByLabel('Desk file').setInputFiles(path);
    await page.getByText('Dawn count 2 is on the shelf.').waitFor();
    const copy = (await listed(server)).find(({ name }) => name === 'Dawn count 2');
    const { desk } = await stored(server, copy?.id ?? '');
    expect(desk.widgets).to.deep.equal(dawnCount().widgets);
  });

  it('refuses bad files with the file, the field and the reason, and changes nothing', async () => {
    const page = await open('/');
    await page.locator('[data-desk]').first().waitFor();
    const before = await names(page);
    const bundle = (desk: object, change: object = {}, more: Record<string, Uint8Array> = {}) => {
      const files: Record<string, Uint8Array> = { 'desk.json': strToU8(JSON.stringify(desk)), ...more };
      const list = Object.entries(files).map(([name, bytes]) => ({
        name,
        size: bytes.length,
        sha256: digestOf(bytes),
      }));
      return zipSync({
        'manifest.json': strToU8(JSON.stringify({ format: 1, files: list, ...change })),
        ...files,
      });
    };
    const widgets = dawnCount().widgets.map((widget, index) =>
      index === 3 ? { ...widget, scale: 'big' } : widget,
    );
    const cases: [string, Uint8Array, string][] = [
      ['letter.ledge', strToU8('dear all'), 'is not a ZIP archive'],
      [
        'digest.ledge',
        bundle(dawnCount(), { files: [{ name: 'desk.json', size: 1, sha256: 'a'.repeat(64) }] }),
        'desk.json: does not match its digest',
      ],
      [
        'bomb.ledge',
        bundle(dawnCount(), {}, { zeros: new Uint8Array(8 * 1024 * 1024) }),
        'zeros: is packed too tightly',
      ],
      [
        'crowd.ledge',
        zipSync(Object.fromEntries(Array.from({ length: 1000 }, (_, index) => [`f${index}`, strToU8('x')]))),
        'has more than 917 entries',
      ],
      [
        'escape.ledge',
        bundle(dawnCount(), {}, { '../../outside': strToU8('x') }),
        '../../outside: lies outside the archive',
      ],
      [
        'future.ledge',
        bundle({ ...dawnCount(), format: FORMAT + 1 }),
        `desk.json: format: is ${FORMAT + 1}, newer`,
      ],
      ['type.ledge', bundle({ ...dawnCount(), widgets }), 'desk.json: widgets[3].scale: '],
    ];
    for (const [name, bytes, reason] of cases) {
      const path = join(server.folder, name);
      writeFileSync(path, bytes);
      await page.getByLabel('Desk file').setInputFiles(path);
      const toast = page.getByText(`${name} was not taken in: `);
      await toast.waitFor();
      expect(await toast.innerText(), name).to.contain(reason);
    }
    expect(await names(page)).to.deep.equal(before);
    expect(readFileSync(join(server.folder, 'velvet-ledge.db')).length).to.be.greaterThan(0);
  });
});
