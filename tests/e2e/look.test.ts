import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { writeFileSync } from 'node:fs';
import { expect } from 'chai';
import { unzipSync } from 'fflate';
import type { Page } from 'playwright-core';
import { contrast } from '../../core/values/colour.ts';
import { resolveRoles } from '../../core/colour/roles.ts';
import { createBackdrop, createWidget } from '../../core/desk/defaults.ts';
import { learnDesk } from '../../core/scene/learn.ts';
import { solve } from '../../core/scene/solve.ts';
import { addDesk, drawn, handle, stored, untilKept, withApp } from '../support/app.ts';
import { clockAt, emptyDesk, fromCorner } from '../support/desks.ts';

const MOMENT = new Date('2026-11-24T09:30:00Z');

withApp('palette and look', ({ server, open }) => {
  async function openAt(path: string, chapter: string, page?: RegExp): Promise<Page> {
    const opened = await open(path, MOMENT);
    await opened.getByRole('button', { name: chapter, exact: true }).click();
    if (page) await opened.getByRole('button', { name: page }).click();
    return opened;
  }
  const look = async (id: string) => (await stored(server, id)).desk.look;
  const cssOf = (page: Page, selector: string, property: string) =>
    page
      .locator(selector)
      .first()
      .evaluate((element, name) => getComputedStyle(element).getPropertyValue(name), property);

  it('tunes by small steps that outlive a new palette: a role as a step, nudged, another held', async () => {
    const page = await openAt('/desk/dawn-count', 'Palette');
    await page.getByRole('button', { name: 'Surface: what it is made of' }).click();
    await page.getByRole('combobox', { name: 'What surface is made of' }).click();
    await page.getByRole('option', { name: 'From ground' }).click();
    const nudge = page.getByRole('group', { name: 'Nudge surface' });
    await nudge.getByRole('button', { name: 'lighter' }).click();
    await nudge.getByRole('button', { name: 'lighter' }).click();
    await page.getByRole('button', { name: 'Surface: what it is made of' }).click();
    await page.getByRole('button', { name: 'Accent: what it is made of' }).click();
    await page.getByRole('button', { name: 'Hold it while the rest is drawn' }).click();
    await untilKept(page);
    const before = (await look('dawn-count')).roles.dark;
    const lightness = (roles: ReturnType<typeof resolveRoles>) => contrast(roles.surface, roles.ground);
    const step = before.surface;
    if (typeof step === 'string') throw new Error('not a step');
    await page.getByRole('button', { name: 'Ready palettes' }).click();
    await page.locator('[data-look="way-opposite"]').click();
    await page.getByText(/1 of 8 roles were held/).waitFor();
    await untilKept(page);
    const after = (await look('dawn-count')).roles.dark;
    expect(after.surface).to.deep.equal(step);
    expect(after.accent).to.equal(before.accent);
    expect(after.ground).not.to.equal(before.ground);
    expect(lightness(resolveRoles(after))).to.be.closeTo(lightness(resolveRoles(before)), 0.3);
    for (const words of ['a step from raised', 'a step from surface'])
      expect(await page.getByRole('option', { name: words }).count()).to.equal(0);
    for (let count = 0; count < 5; count++) await page.keyboard.press('Control+z');
    await untilKept(page, { isNew: false });
  });

  it('changes a role in both halves at once, in one step, or in one alone', async () => {
    const page = await openAt('/desk/night-watch', 'Palette');
    const before = (await look('night-watch')).roles;
    const together = page.getByRole('switch', { name: /^Change both halves/ });
    expect(await together.isChecked()).to.equal(true);
    const accent = async (hex: string) => {
      await page.locator('[data-role="accent"]').getByRole('button').nth(1).click();
      const field = page.getByRole('textbox', { name: /as text$/ });
      await field.fill(hex);
      await field.press('Enter');
      await page.keyboard.press('Escape');
      await untilKept(page);
    };
    await accent('#3fa7c4');
    const both = (await look('night-watch')).roles;
    expect(both.dark.accent).to.equal('#3fa7c4');
    expect(both.light.accent).not.to.deep.equal(before.light.accent);
    await page.keyboard.press('Control+z');
    await untilKept(page);
    expect((await look('night-watch')).roles).to.deep.equal(before);
    await together.click();
    await untilKept(page);
    await accent('#c43fa7');
    const one = (await look('night-watch')).roles;
    expect(one.dark.accent).to.equal('#c43fa7');
    expect(one.light).to.deep.equal(before.light);
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await untilKept(page);
  });

  it('starts a palette from a colour picked on the stage, by the pointer or by arrows and Enter', async () => {
    const page = await openAt('/desk/dawn-count', 'Palette');
    await page.getByRole('button', { name: 'pick from the stage' }).click();
    const dropper = page.locator('[data-dropper]');
    const picked = page.locator('[data-picked^="#"]');
    await picked.waitFor();
    const place = async () =>
      (await dropper.locator('.text-dust').last().textContent())?.split(', ').map(Number) ?? [];
    expect(await place()).to.deep.equal([960, 540]);
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Shift+ArrowDown');
    expect(await place()).to.deep.equal([961, 550]);
    const colour = await picked.getAttribute('data-picked');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Start from the backdrop' }).waitFor();
    expect(await page.getByText(colour ?? '?', { exact: true }).count()).to.be.above(0);
    // Escape leaves without taking anything; the pointer takes what it is over.
    await page.getByRole('button', { name: 'pick from the stage' }).click();
    await picked.waitFor();
    await page.keyboard.press('Escape');
    await dropper.waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'pick from the stage' }).click();
    await picked.waitFor();
    await dropper.click({ position: { x: 40, y: 40 } });
    await dropper.waitFor({ state: 'detached' });
    expect(await page.getByRole('button', { name: 'Start from the backdrop' }).isVisible()).to.equal(true);
  });

  it('picks the very colour that a text, a mark and a surface are drawn in, and takes an opacity with a tint', async () => {
    const desk = emptyDesk();
    const cream = '#efe2c0';
    const id = await addDesk(server, {
      ...desk,
      name: 'Picked',
      backdrops: [
        createBackdrop('flat', {
          kind: 'gradient',
          shape: 'linear',
          angle: 0,
          centre: { x: 0.5, y: 0.5 },
          points: [
            { at: 0, colour: '#204060' },
            { at: 1, colour: '#204060' },
          ],
        }),
      ],
      widgets: [
        {
          ...clockAt('clock', fromCorner(120, 120), { colour: cream, date: '' }),
          finish: { ...desk.look.finish, kind: 'sheer', tint: '#804020', opacity: 50, blur: 0, edgeLine: 0 },
        },
        createWidget({
          id: 'box',
          type: 'shape',
          face: 'box',
          place: fromCorner(700, 300),
          deskFinish: desk.look.finish,
          options: { colour: '#33bb77', filled: true, width: 200, height: 160, radius: 0 },
        }),
      ],
    });
    const page = await openAt(`/desk/${id}`, 'Palette');
    const pick = async (x: number, y: number, wanted = '') => {
      await page.getByRole('button', { name: 'pick from the stage' }).click();
      await page.locator('[data-picked^="#"]').waitFor();
      const { left, top, width } = await page
        .locator('[data-dropper]')
        .evaluate((layer) => layer.getBoundingClientRect().toJSON() as DOMRect);
      const scale = width / (desk.screens[0]?.width ?? 1);
      await page.mouse.move(left + x * scale, top + y * scale);
      await drawn(page);
      // A slow machine looks a little later at what lies there.
      const picked = page.locator(`[data-picked${wanted && `="${wanted}"`}]`);
      const colour = await picked.getAttribute('data-picked');
      await page.keyboard.press('Escape');
      await page.locator('[data-dropper]').waitFor({ state: 'detached' });
      return colour;
    };
    const { desk: added } = await stored(server, id);
    await learnDesk(added);
    const scene = solve(added, { moment: MOMENT.getTime() });
    const clock = scene.screens[0]?.widgets.find((widget) => widget.id === 'clock');
    const run = clock?.layout.runs[0];
    if (!clock || !run) throw new Error('no text');
    const { x, y } = clock.rect;
    const inside = clock.padding;
    expect(
      await pick(
        x + inside + run.ink.x + run.ink.width / 2,
        y + inside + run.ink.y + run.ink.height / 2,
        cream,
      ),
    ).to.equal(cream);
    expect(await pick(800, 380, '#33bb77')).to.equal('#33bb77');
    expect(await pick(30, 30, '#204060')).to.equal('#204060');
    // Half of the tint over what lies behind, as it is on the screen.
    const mixed = await pick(x + 6, y + clock.rect.height / 2);
    expect(contrast(String(mixed), '#504040')).to.be.below(1.05);
    // A tint that is written with an opacity takes it along.
    await handle(page, 'clock').click();
    await page.getByRole('radio', { name: 'Matte' }).click();
    await page.getByRole('button', { name: 'Tint: one-off colour' }).click();
    await page.getByRole('textbox', { name: 'Tint: one-off colour, as text' }).fill('#11223380');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await untilKept(page);
    const { widgets } = (await stored(server, id)).desk;
    expect(widgets[0]?.finish).to.deep.include({ kind: 'sheer', tint: '#112233', opacity: 50 });
  });

  it('gives the colours out in four formats and takes them in again, or says that a file holds none', async () => {
    const page = await openAt('/desk/sound-room', 'Palette', /^Out and in/);
    const before = await look('sound-room');
    const save = async (name: string) => {
      const [file] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('button', { name: new RegExp(`^${name}`) }).click(),
      ]);
      return {
        name: file.suggestedFilename(),
        path: await file.path(),
        text: await readFile(await file.path(), 'utf8'),
      };
    };
    const tokens = await save('Design tokens');
    expect(tokens.name).to.equal('sound-room.tokens.json');
    expect(JSON.parse(tokens.text).light.accent.$value.hex).to.equal(resolveRoles(before.roles.light).accent);
    expect((await save('CSS properties')).text).to.contain(
      `--accent: ${resolveRoles(before.roles.light).accent};`,
    );
    expect((await save('GPL palette')).text).to.contain('dark ground');
    const resources = await save('X resources');
    expect(resources.text.match(/\*\.color\d+: #/g)).to.have.length(16);

    const own = join(server.folder, 'mine.css');
    writeFileSync(own, ':root { --accent: #336699; --alert: #992211 }');
    await page.getByLabel('Colour file').setInputFiles(own);
    await page.getByText(/4 roles have the colours of mine\.css/).waitFor();
    await untilKept(page);
    expect((await look('sound-room')).roles.light.accent).to.equal('#336699');
    const terminal = join(server.folder, 'mine.Xresources');
    writeFileSync(terminal, resources.text.replace(/color1: #\w+/, 'color1: #aa1122'));
    await page.getByLabel('Colour file').setInputFiles(terminal);
    await page.getByText(/terminal of the light half has the colours/).waitFor();
    await untilKept(page);
    expect((await look('sound-room')).terminal.light?.colours[1]).to.equal('#aa1122');
    const none = join(server.folder, 'none.txt');
    writeFileSync(none, 'no colours at all');
    await page.getByLabel('Colour file').setInputFiles(none);
    await page.getByText(/none\.txt holds no colours that can be read/).waitFor();
    await page.getByRole('button', { name: 'Back to Palette' }).click();
    await page.getByRole('button', { name: /^Terminal/ }).click();
    await page.getByRole('button', { name: 'follow the palette again' }).click();
    await untilKept(page);
    expect((await look('sound-room')).terminal.light).to.equal(null);
  });

  it('shows the stage as other eyes see it, until the usual ones are chosen again', async () => {
    const page = await openAt('/desk/dawn-count', 'Palette', /^Other eyes/);
    const filter = () =>
      page
        .locator('[data-stage] > div')
        .first()
        .evaluate((element) => getComputedStyle(element).filter);
    expect(await filter()).to.equal('none');
    await page.getByRole('button', { name: /^Deuteranopia/ }).click();
    expect(await filter()).to.contain('#eyes-deutan');
    await page.getByRole('button', { name: /^Low contrast vision/ }).click();
    expect(await filter()).to.contain('contrast');
    await page.getByRole('button', { name: /^Usual eyes/ }).click();
    expect(await filter()).to.equal('none');
  });

  it('sets type by use: family, size and weight move with all that is set in it; one’s own font is checked first', async () => {
    const page = await openAt('/desk/bare-desk', 'Widgets');
    await page
      .getByRole('button', { name: 'Add Clock, Serif' })
      .or(page.getByRole('button', { name: /Serif/ }))
      .first()
      .click();
    await page.getByRole('button', { name: 'Look', exact: true }).click();
    await page.getByRole('button', { name: /^Type/ }).click();
    const time = '[data-stage] [data-widget] .run';
    const width = () =>
      page
        .locator('[data-stage] [data-widget]')
        .first()
        .evaluate((element) => (element as HTMLElement).offsetWidth);
    const family = () => cssOf(page, time, 'font-family');
    expect(await family()).to.contain('Newsreader');
    const narrow = await width();
    await page.getByRole('combobox', { name: 'Display: font' }).click();
    await page.getByRole('option', { name: 'Unbounded' }).click();
    await page.waitForFunction(
      (old) => (document.querySelector('[data-stage] [data-widget]') as HTMLElement).offsetWidth > old,
      narrow,
    );
    expect(await family()).to.contain('Unbounded');
    await page.getByRole('textbox', { name: 'Display: size, exact' }).fill('50');
    await page.keyboard.press('Enter');
    expect(parseFloat(await cssOf(page, time, 'font-size'))).to.equal(84);
    await page.getByRole('textbox', { name: 'Display: weight, exact' }).fill('300');
    await page.keyboard.press('Enter');
    expect(await cssOf(page, time, 'font-weight')).to.equal('500');

    const font = createRequire(import.meta.url).resolve(
      '@fontsource-variable/petrona/files/petrona-latin-wght-normal.woff2',
    );
    await page.getByLabel('Font file').setInputFiles(font);
    await page.getByText(/Petrona.* can be chosen for each use/).waitFor();
    await page.getByRole('combobox', { name: 'Display: font' }).click();
    await page.getByRole('option', { name: /yours/ }).click();
    expect(await family()).to.contain('Own ');
    await page.waitForFunction(() =>
      [...document.fonts].some((face) => face.family.includes('Own ') && face.status === 'loaded'),
    );
    const bad = join(server.folder, 'bad.woff2');
    writeFileSync(bad, (await readFile(font)).subarray(0, 700));
    await page.getByLabel('Font file').setInputFiles(bad);
    await page.getByText(/bad\.woff2: This file is damaged, or not a font; nothing was changed/).waitFor();
    await untilKept(page);
    await page.reload();
    await page.locator(time).first().waitFor();
    expect(await family()).to.contain('Own ');
  });

  it('draws icons from any set, on tiles, and an SVG of one’s own without what it should not carry', async () => {
    const page = await openAt('/desk/dawn-count', 'Look', /^Icons/);
    const icon = page
      .locator(
        '[data-stage] [data-edge="dock"] [data-item] svg, [data-stage] [data-edge="dock"] [data-item] img',
      )
      .first();
    const before = await icon.evaluate((element) => element.outerHTML);
    await page.getByRole('button', { name: 'Shell', exact: true }).click();
    await page.getByRole('radio', { name: 'Filled' }).click();
    await page.waitForFunction(
      (old) => document.querySelector('[data-stage] [data-edge="dock"] [data-item] svg')?.outerHTML !== old,
      before,
    );
    await page.getByRole('combobox', { name: 'Shape' }).click();
    await page.getByRole('option', { name: 'hexagon' }).click();
    await page.getByRole('switch', { name: 'Tile: one for each' }).click();
    const tiles = page.locator('[data-stage] [data-edge="dock"] [data-tile="hexagon"]');
    expect(await tiles.count()).to.equal(7);
    const colours = await tiles.evaluateAll((all) =>
      all.map((tile) => getComputedStyle(tile).backgroundColor),
    );
    expect(new Set(colours).size).to.equal(7);
    const svg = join(server.folder, 'mark.svg');
    writeFileSync(
      svg,
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9" onload="document.title=1"><script>document.title=2</script><rect width="9" height="9" fill="#c03020"/></svg>',
    );
    // It is said for some seconds only.
    const said = page.getByText('Files has an icon of yours').waitFor();
    await page.getByLabel('Icon file for Files').setInputFiles(svg);
    await said;
    const own = page.locator('[data-stage] [data-edge="dock"] img').first();
    await own.waitFor();
    expect(await own.getAttribute('src')).to.match(/^\/api\/pictures\/[0-9a-f]{64}/);
    expect(await page.title()).to.contain('Dawn count');
    await untilKept(page);
    await page.getByRole('button', { name: 'Files: an icon from the set again' }).click();
    await own.waitFor({ state: 'detached' });
    await untilKept(page);
    const files = (await stored(server, 'dawn-count')).desk.applications.find(({ id }) => id === 'files');
    expect(files?.Icon).to.equal('system-file-manager');
    expect((await look('dawn-count')).icons).to.deep.include({
      set: 'shell',
      style: 'filled',
      tile: 'hexagon',
      tileColour: 'application',
    });
  });

  it('draws the pointer while the desk is tried, and gives it out as SVG', async () => {
    const page = await openAt('/desk/night-watch', 'Look', /^Pointer/);
    await page.getByRole('button', { name: /^Quill/ }).click();
    await page.getByRole('textbox', { name: 'Pointer: size, exact' }).fill('48');
    await page.keyboard.press('Enter');
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save as SVG' }).click(),
    ]);
    const names = Object.keys(unzipSync(new Uint8Array(await readFile(await file.path()))));
    expect(names).to.have.length(6);
    expect(names.every((name) => /^\w+-\d+-\d+\.svg$/.test(name))).to.equal(true);
    const cursor = () => cssOf(page, '[data-stage] [data-screen]', 'cursor');
    expect(await cursor()).to.equal('auto');
    await page.getByRole('button', { name: 'Try' }).click();
    expect(decodeURIComponent(await cursor())).to.match(/svg.*width="48"/);
  });

  it('keeps finishes as presets for any part, and brings every stray part back with one press', async () => {
    const page = await openAt('/desk/dawn-count', 'Look', /^Finish/);
    await page.getByRole('textbox', { name: 'Corner radius, exact' }).fill('33');
    await page.keyboard.press('Enter');
    await page.getByRole('textbox', { name: 'Name of the preset' }).fill('River stone');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: /^Clear pane/ }).click();
    await handle(page, 'machine').click();
    await page.getByRole('combobox', { name: 'Finish from a preset' }).click();
    await page.getByRole('option', { name: 'River stone' }).click();
    const radius = () => cssOf(page, '[data-stage] [data-widget="machine"] > div', 'border-radius');
    expect(await radius()).to.equal('33px');
    await page.getByRole('button', { name: 'Look', exact: true }).click();
    await page.getByText(/1 part has a finish or a colour of its own/).waitFor();
    await page.getByRole('button', { name: 'Make all follow' }).click();
    expect(await radius()).to.equal('16px');
    await page.getByText('Every part follows the desk’s finish and palette.').waitFor();
    await page.keyboard.press('Control+z');
    expect(await radius()).to.equal('33px');
    for (let step = 0; step < 5; step++) await page.keyboard.press('Control+z');
    await untilKept(page, { isNew: false });
  });

  it('is light and dark by choice, by the sun, or by hours', async () => {
    const page = await openAt('/desk/bare-desk', 'Look');
    const ground = () => cssOf(page, '[data-stage] [data-screen]', 'background-color');
    const light = await ground();
    await page.getByRole('radio', { name: 'By the sun' }).click();
    // Half past nine in the morning is light; eight hours on it is dark.
    await page.getByText('light now').waitFor();
    for (let step = 0; step < 48; step++)
      await page.getByRole('slider', { name: 'Time of day' }).press('PageUp');
    await page.getByText('dark now').waitFor();
    expect(await ground()).not.to.equal(light);
    await page.getByRole('radio', { name: 'By hours' }).click();
    await page.getByRole('textbox', { name: 'Dark from' }).fill('23:59');
    await page.keyboard.press('Enter');
    await page.getByText('light now').waitFor();
    await page.getByRole('textbox', { name: 'Dark from' }).fill('late');
    await page.keyboard.press('Enter');
    await page.getByText(/“late” is not a time of day/).waitFor();
    await untilKept(page);
    expect((await look('bare-desk')).half).to.deep.equal({ by: 'hours', light: '07:00', dark: '23:59' });
  });
});
