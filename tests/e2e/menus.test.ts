import { strToU8, unzipSync, zipSync } from 'fflate';
import { expect } from 'chai';
import { readFile } from 'node:fs/promises';
import type { Page } from 'playwright-core';
import { createApplication, createItem, createPanel } from '../../core/desk/defaults.ts';
import type { Desk } from '../../core/desk/desk.ts';
import { emptyDesk } from '../support/desks.ts';
import { addDesk, stored, untilKept, withApp } from '../support/app.ts';
import { keysFor } from '../../core/menus/keys.ts';

withApp('menus', ({ server, open }) => {
  const chosen = (page: Page) => page.locator('[data-menu] [aria-current="true"]').first();
  const isChosen = (page: Page, name: string) =>
    page
      .locator('[data-menu] [aria-current="true"]')
      .and(page.getByLabel(name, { exact: true }))
      .waitFor();
  const tryIt = async (page: Page) => {
    await page.getByRole('button', { name: 'Try', exact: true }).click();
    await page.getByText('The pointer uses the desk.').waitFor();
  };
  const toMenus = async (page: Page, link?: string | RegExp) => {
    await page.getByRole('button', { name: 'Menus', exact: true }).click();
    await page.getByRole('heading', { name: 'Menus', exact: true, level: 2 }).waitFor();
    if (link) await page.getByRole('complementary').getByRole('button', { name: link }).click();
  };
  const withButton = (): Desk => ({
    ...emptyDesk(),
    name: 'With a button',
    edges: [
      createPanel('panel', 'main', 'top', [
        createItem('list', 'app-list'),
        createItem('wave', 'application', { application: 'wavebox' }),
      ]),
    ],
  });

  it('the app list is used by the keyboard alone, and gives the focus back', async () => {
    const id = await addDesk(server, withButton());
    const page = await open(`/desk/${id}`);
    await tryIt(page);
    const button = page.getByRole('button', { name: 'Open the app list' });
    await button.focus();
    await page.keyboard.press('Enter');
    const field = page.getByRole('combobox', { name: 'Search applications' });
    await field.waitFor();
    expect(await field.evaluate((element) => element === document.activeElement)).to.equal(true);
    await isChosen(page, 'Tallybook');
    await page.keyboard.press('ArrowDown');
    await isChosen(page, 'Chart Table');
    await page.keyboard.press('End');
    await isChosen(page, 'Almanac');
    const described = await field.getAttribute('aria-activedescendant');
    expect(await chosen(page).getAttribute('id')).to.equal(described);
    await page.keyboard.type('wav');
    await page.getByRole('option').nth(1).waitFor({ state: 'detached' });
    await isChosen(page, 'Wavebox');
    await page.keyboard.press('Enter');
    await page.locator('[data-menu]').waitFor({ state: 'detached' });
    expect(await button.evaluate((element) => element === document.activeElement)).to.equal(true);
    // It runs: the item of it is marked, and stops by a press.
    await page.getByRole('button', { name: 'Open the app list' }).click();
    await page.keyboard.press('Escape');
    await page.locator('[data-menu]').waitFor({ state: 'detached' });
    await page.keyboard.press('Escape');
    await page.getByText('The pointer uses the desk.').waitFor({ state: 'detached' });
  });

  it('the wall opens by its keys in live, is walked by arrows, and its folders lead back', async () => {
    const base = emptyDesk();
    const id = await addDesk(server, {
      ...base,
      name: 'Wall',
      menus: {
        ...base.menus,
        appWall: {
          ...base.menus.appWall,
          folders: [{ id: 'kit', name: 'Kit', applications: ['terminal'] }],
        },
      },
    });
    const page = await open(`/live/${id}`);
    await page.locator('[data-bare]').waitFor();
    await page.keyboard.press('Control+Alt+w');
    await page.getByRole('dialog', { name: 'App wall' }).waitFor();
    await isChosen(page, 'Tallybook');
    await page.keyboard.press('ArrowRight');
    await isChosen(page, 'Field Camera');
    await page.keyboard.press('ArrowDown');
    await isChosen(page, 'Wavebox');
    await page.keyboard.press('End');
    await isChosen(page, 'Kit');
    await page.keyboard.press('Enter');
    await page.getByRole('option', { name: 'Terminal' }).waitFor();
    await page.keyboard.press('Escape');
    await page.getByRole('option', { name: 'Tallybook' }).waitFor();
    await page.keyboard.press('Escape');
    await page.locator('[data-menu]').waitFor({ state: 'detached' });
  });

  it('quick find works out sums, does what it finds, and takes every key from the first', async () => {
    const id = await addDesk(server, { ...emptyDesk(), name: 'Finds' });
    const page = await open(`/live/${id}`);
    await page.locator('[data-bare]').waitFor();
    await page.evaluate(
      (keys) => {
        for (const key of keys)
          document.body.dispatchEvent(
            new KeyboardEvent('keydown', {
              key: key === '_' ? ' ' : key,
              ctrlKey: key === '_',
              bubbles: true,
              cancelable: true,
            }),
          );
      },
      ['_', ...'12 ft in m'],
    );
    await page.getByRole('option', { name: '3.6576 m' }).waitFor();
    await page.getByRole('combobox').fill('other half');
    await isChosen(page, 'Look at the other half');
    const ground = () =>
      page.locator('[data-screen]').evaluate((element) => getComputedStyle(element).backgroundColor);
    const before = await ground();
    await page.keyboard.press('Enter');
    await page.locator('[data-menu]').waitFor({ state: 'detached' });
    expect(await ground()).not.to.equal(before);
    await page.keyboard.press('Control+Space');
    await page.keyboard.type('sunrise');
    await page.getByRole('option', { name: /^Sunrise: \d\d:\d\d$/ }).waitFor();
    await page.keyboard.press('Control+Space');
    await page.locator('[data-menu]').waitFor({ state: 'detached' });
  });

  it('the desk menu opens where the bare desk is pressed, goes by first letters, and arranges', async () => {
    const id = await addDesk(server, { ...emptyDesk(), name: 'Bare' });
    const page = await open(`/live/${id}`);
    await page.locator('[data-bare]').click({ button: 'right', position: { x: 300, y: 200 } });
    const menu = page.getByRole('menu', { name: 'Desk menu' });
    await menu.waitFor();
    const at = await page.locator('[data-menu="deskMenu"]').evaluate((element) => ({
      x: (element as HTMLElement).offsetLeft,
      y: (element as HTMLElement).offsetTop,
    }));
    // The screen of 1000 px fills a window of 1280.
    expect(at.x).to.be.closeTo(300 / 1.28, 2);
    expect(at.y).to.be.closeTo(200 / 1.28, 2);
    await page.keyboard.type('arr');
    await isChosen(page, 'Arrange this desk');
    await page.keyboard.press('ArrowUp');
    await isChosen(page, 'Look at the other half');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await page.waitForURL(`**/desk/${id}`);
  });

  it('a menu is open on the stage while it is designed; what is set is kept, undone, and said when it can’t be', async () => {
    const id = await addDesk(server, withButton());
    const page = await open(`/desk/${id}`);
    await toMenus(page, /^App list/);
    await page.locator('[data-stage] [data-menu="appList"]').waitFor();
    const width = () =>
      page
        .locator('[data-stage] [data-menu="appList"]')
        .evaluate((element) => (element as HTMLElement).offsetWidth);
    expect(await width()).to.equal(380);
    await page.getByRole('textbox', { name: 'Width, exact' }).fill('500');
    await page.keyboard.press('Enter');
    await untilKept(page);
    expect(await width()).to.equal(500);
    await page.getByRole('textbox', { name: 'Shortcut' }).fill('Ctrl+Alt+W');
    await page.keyboard.press('Enter');
    await page.getByText(/Ctrl\+Alt\+W is “.+” already/).waitFor();
    await page.getByRole('textbox', { name: 'Shortcut' }).fill('Ctrl+K');
    await page.keyboard.press('Enter');
    await page.getByText('Not taken: Ctrl+K is', { exact: false }).waitFor();
    await page.getByRole('textbox', { name: 'Shortcut' }).press('Control+Alt+j');
    await untilKept(page);
    const { menus, keys } = (await stored(server, id)).desk;
    expect(menus.appList.width).to.equal(500);
    expect(keysFor(keys, 'app-list')).to.equal('Ctrl+Alt+J');
    await page.keyboard.press('Escape');
    await page.reload();
    await page.locator('[data-stage] [data-menu="appList"]').waitFor();
    expect(await width()).to.equal(500);
    for (let step = 0; step < 2; step++) await page.getByRole('button', { name: /^Undo: / }).click();
    await untilKept(page, { isNew: false });
    expect(await width()).to.equal(380);
    const chapters = page.getByRole('navigation', { name: 'Chapters' });
    await chapters.getByRole('button', { name: 'Menus' }).click();
    await page.locator('[data-stage] [data-menu]').waitFor({ state: 'detached' });
  });

  it('lines of the desk menu are added, moved by arrows on their grips, and taken off', async () => {
    const id = await addDesk(server, { ...emptyDesk(), name: 'Lines' });
    const page = await open(`/desk/${id}`);
    await toMenus(page, /^Desk menu/);
    await page.getByRole('combobox', { name: 'Add an application' }).click();
    await page.getByRole('option', { name: 'Terminal' }).click();
    await page.getByRole('button', { name: 'Move Terminal', exact: true }).press('ArrowUp');
    await page.getByRole('button', { name: 'Remove Look at the other half' }).click();
    await untilKept(page);
    await page.waitForFunction(() => document.querySelectorAll('[data-row]').length === 5);
    const entries = (await stored(server, id)).desk.menus.deskMenu.entries;
    expect(entries.map((entry) => (entry.by === 'act' ? entry.act : entry.by))).to.deep.equal([
      'app-wall',
      'quick-find',
      'line',
      'start',
      'arrange',
    ]);
  });

  it('applications are added, named, given a link that is asked for, and removed with what started them', async () => {
    const id = await addDesk(server, withButton());
    const page = await open(`/desk/${id}`);
    await toMenus(page, /^Applications/);
    await page.getByRole('button', { name: 'Add an application' }).click();
    await page.getByRole('heading', { name: 'New application', exact: true }).waitFor();
    await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Tide Clock');
    await page.keyboard.press('Enter');
    await page.getByRole('textbox', { name: 'Opens', exact: true }).fill('javascript:alert(1)');
    await page.keyboard.press('Enter');
    await page.getByText('is no web address', { exact: false }).waitFor();
    await page.getByRole('textbox', { name: 'Opens', exact: true }).fill('https://tides.example/');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'weather-showers', exact: true }).click();
    await untilKept(page);
    const added = (await stored(server, id)).desk.applications.at(-1);
    expect(added).to.include({ Name: 'Tide Clock', URL: 'https://tides.example/', Icon: 'weather-showers' });
    await page.getByRole('region', { name: 'Used by' }).getByText('nothing on this desk').waitFor();
    await page.getByRole('button', { name: 'Applications', exact: true }).click();
    // What uses one is told with it, and leads there.
    await page.getByRole('button', { name: 'Wavebox', exact: true }).click();
    await page
      .getByRole('region', { name: 'Used by' })
      .getByRole('button', { name: 'Panel at the top' })
      .click();
    await page.getByRole('heading', { name: 'Wavebox', exact: true }).waitFor();
    await page.locator('[data-item="wave"][data-chosen], [data-handle="wave"]').first().waitFor();
    await toMenus(page, /^Applications/);
    await page.getByRole('button', { name: 'Remove Wavebox' }).click();
    await page.getByText('Removed Wavebox, and what started it.').waitFor();
    await untilKept(page);
    expect((await stored(server, id)).desk.edges[0]?.items.map(({ id: item }) => item)).to.deep.equal([
      'list',
    ]);
    await page.locator('[data-sonner-toast]').getByRole('button', { name: 'Undo' }).first().click();
    await untilKept(page);
    expect((await stored(server, id)).desk.edges[0]?.items).to.have.length(2);
    // The link is asked for before it opens.
    await tryIt(page);
    await page.getByRole('button', { name: 'Open the app list' }).click();
    await page.keyboard.type('tide cl');
    await isChosen(page, 'Tide Clock');
    await page.keyboard.press('Enter');
    await page.getByText('Tide Clock opens https://tides.example/').waitFor();
    await page.getByRole('button', { name: 'Open it' }).waitFor();
  });

  it('applications come from .desktop files and ZIPs, what is wrong is listed with its line, and they go out again', async () => {
    const id = await addDesk(server, { ...emptyDesk(), name: 'Files', applications: [] });
    const page = await open(`/desk/${id}`);
    await toMenus(page, /^Applications/);
    const entry = (...lines: string[]) => ['[Desktop Entry]', 'Type=Application', ...lines].join('\n');
    const buffer = (text: string, encoding: BufferEncoding = 'utf8') => Buffer.from(text, encoding);
    await page.getByLabel('Desktop entry files').setInputFiles([
      {
        name: 'gull.desktop',
        mimeType: '',
        buffer: buffer(entry('Name=Måsräknare', 'Icon=folder'), 'latin1'),
      },
      { name: 'hidden.desktop', mimeType: '', buffer: buffer(entry('Name=Hidden', 'NoDisplay=true')) },
      { name: 'broken.desktop', mimeType: '', buffer: buffer('[Desktop Entry]\nType=Application\nwhat\n') },
      {
        name: 'more.zip',
        mimeType: '',
        buffer: Buffer.from(
          zipSync({ 'ring-ledger.desktop': strToU8(entry('Name=Ring Ledger', 'Name[en]=Ringing Ledger')) }),
        ),
      },
    ]);
    const left = page.getByRole('list', { name: 'What was left' });
    await left.getByText('Line 3 has a line that is no key=value.').waitFor();
    await left.getByText('it is not for menus', { exact: false }).waitFor();
    await left.getByText('It is not UTF-8', { exact: false }).waitFor();
    await untilKept(page);
    const { applications } = (await stored(server, id)).desk;
    expect(applications.map(({ Name }) => Name)).to.deep.equal(['Måsräknare', 'Ringing Ledger']);
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Give out all' }).click(),
    ]);
    const files = unzipSync(await readFile(await download.path()));
    expect(Object.keys(files)).to.deep.equal(['gull.desktop', 'ring-ledger.desktop']);
  });

  it('a menu of 400 applications goes to its last by one key, and shows it', async () => {
    const id = await addDesk(server, {
      ...withButton(),
      name: 'Many',
      applications: Array.from({ length: 400 }, (_, index) =>
        createApplication(`a-${index}`, `Ledger ${index}`),
      ),
    });
    const page = await open(`/live/${id}`);
    await page.getByRole('button', { name: 'Open the app list' }).click();
    await page.getByRole('dialog', { name: 'App list' }).waitFor();
    await page.keyboard.press('End');
    await isChosen(page, 'Ledger 399');
    const [row, view] = await Promise.all([
      chosen(page).boundingBox(),
      page.getByRole('listbox').boundingBox(),
    ]);
    expect((row?.y ?? 0) + (row?.height ?? 0)).to.be.at.most((view?.y ?? 0) + (view?.height ?? 0) + 0.5);
    await page.keyboard.type('ledger 27');
    await isChosen(page, 'Ledger 27');
  });
});
