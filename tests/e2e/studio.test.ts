import { join } from 'node:path';
import { expect } from 'chai';
import sharp from 'sharp';
import { resolveRoles } from '../../core/colour/roles.ts';
import { contrast } from '../../core/values/colour.ts';
import { handle, stored, untilKept, withApp } from '../support/app.ts';

withApp('the studio', ({ server, open }) => {
  it('scrubs the day: clocks follow, forward and back, and now comes back', async () => {
    const page = await open('/desk/dawn-count');
    const thumb = page.getByRole('slider', { name: 'Time of day' });
    const clock = page.locator('[data-stage] [data-widget="clock"]');
    await thumb.press('Home');
    await page.waitForFunction(() =>
      document.querySelector('[data-stage] [data-widget="clock"]')?.textContent?.startsWith('00:00'),
    );
    await thumb.press('PageUp');
    const later = await clock.innerText();
    expect(later.startsWith('00:00')).to.equal(false);
    await thumb.press('Home');
    await page.waitForFunction(() =>
      document.querySelector('[data-stage] [data-widget="clock"]')?.textContent?.startsWith('00:00'),
    );
    await page.getByRole('button', { name: 'Day after' }).click();
    await page.getByRole('button', { name: 'back to now' }).click();
    await page.getByRole('button', { name: 'now', exact: true }).waitFor();
  });

  it('marks on the day when the desk turns light and dark, and shows it there', async () => {
    const page = await open('/desk/night-watch', new Date('2026-11-24T09:30:00Z'));
    const marks = page.locator('[data-mark="half"]');
    expect(await marks.count()).to.equal(0);
    await page.getByRole('button', { name: 'Look', exact: true }).click();
    await page.getByRole('radio', { name: 'By hours' }).click();
    await marks.nth(1).waitFor();
    expect(await marks.count()).to.equal(2);
    await untilKept(page);
    const { half } = (await stored(server, 'night-watch')).desk.look;
    if (half.by !== 'hours') throw new Error('It goes by something else');
    expect(await marks.first().getAttribute('title')).to.equal(`The desk turns light at ${half.light}`);
    expect(await marks.last().getAttribute('title')).to.equal(`The desk turns dark at ${half.dark}`);
    // The moment itself belongs to the new half, the minute before to the old one.
    const at = Number(await marks.first().getAttribute('data-at'));
    const thumb = page.getByRole('slider', { name: 'Time of day' });
    await thumb.press('Home');
    for (let minutes = (at - Date.UTC(2026, 10, 24)) / 60_000; minutes >= 1; minutes -= minutes > 10 ? 10 : 1)
      await thumb.press(minutes > 10 ? 'Shift+ArrowRight' : 'ArrowRight');
    await page.getByRole('button', { name: 'light half' }).waitFor();
    await thumb.press('ArrowLeft');
    await page.getByRole('button', { name: 'dark half' }).waitFor();
  });

  it('plays the day', async () => {
    const page = await open('/desk/dawn-count');
    await page.getByRole('slider', { name: 'Time of day' }).press('Home');
    await page.getByRole('button', { name: 'Play the day' }).click();
    await page.waitForFunction(
      () =>
        Number(document.querySelector('[data-stage] [data-widget="clock"]')?.textContent?.slice(0, 2)) >= 1,
    );
    await page.getByRole('button', { name: 'Stop the day' }).click();
  });

  it('draws the palette from the backdrop, with text that can be read, and every part follows', async () => {
    const page = await open('/desk/dawn-count');
    await page.getByRole('button', { name: 'Backdrop' }).click();
    await page.getByRole('radio', { name: 'Motif' }).click();
    await page.getByRole('button', { name: 'Reed marsh' }).click();
    await page.getByRole('button', { name: 'Palette' }).click();
    // Pointed at, a palette is only shown; gone from, the desk has its own again.
    const line = page.locator('[data-stage] [data-edge="dock"] > [data-line]');
    const lineColour = () => line.evaluate((element) => getComputedStyle(element).backgroundColor);
    const own = await lineColour();
    await page.getByRole('button', { name: 'Ready palettes' }).click();
    await page.locator('[data-look="way-opposite"]').hover();
    await page.waitForFunction(
      (old) =>
        getComputedStyle(
          document.querySelector('[data-stage] [data-edge="dock"] > [data-line]') ?? document.body,
        ).backgroundColor !== old,
      own,
    );
    await page.getByRole('heading', { name: 'Palette', level: 2 }).hover();
    expect(await lineColour()).to.equal(own);
    expect(await page.getByRole('button', { name: 'Undo: Backdrop' }).isVisible()).to.equal(true);
    await page.locator('[data-look="way-calm"]').click();
    await page.getByRole('heading', { name: 'Palette', level: 2 }).hover();
    await untilKept(page);
    const { look, backdrops } = (await stored(server, 'dawn-count')).desk;
    expect(backdrops[0]?.source).to.include({ kind: 'motif', motif: 'marsh' });
    const roles = { light: resolveRoles(look.roles.light), dark: resolveRoles(look.roles.dark) };
    for (const half of ['light', 'dark'] as const) {
      for (const surface of ['ground', 'surface', 'raised'] as const)
        expect(contrast(roles[half].softInk, roles[half][surface])).to.be.at.least(4.5);
    }
    const colour = await lineColour();
    const { accent } = roles.dark;
    expect(colour).to.equal(
      `rgb(${[1, 3, 5].map((at) => parseInt(accent.slice(at, at + 2), 16)).join(', ')})`,
    );
    for (let step = 0; step < 3; step++) await page.keyboard.press('Control+z');
    await untilKept(page, { isNew: false });
  });

  it('keeps ink readable when somebody chooses a colour that is not', async () => {
    const page = await open('/desk/dawn-count');
    await page.getByRole('button', { name: 'Palette' }).click();
    await page.getByRole('button', { name: 'Ink', exact: true }).click();
    await page.getByRole('textbox', { name: 'Ink, as text' }).fill('#403040');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await untilKept(page);
    expect((await stored(server, 'dawn-count')).desk.look.roles.dark.ink).to.equal('#403040');
    const ink = await page
      .locator('[data-stage] [data-edge="panel"]')
      .evaluate((element) => getComputedStyle(element).color);
    const [r = 0, g = 0, b = 0] = ink.match(/\d+/g)?.map(Number) ?? [];
    const hex = `#${[r, g, b].map((value) => value.toString(16).padStart(2, '0')).join('')}`;
    const { surface } = resolveRoles((await stored(server, 'dawn-count')).desk.look.roles.dark);
    expect(contrast(hex, surface)).to.be.at.least(4.5);
    await page.keyboard.press('Control+z');
    await untilKept(page, { isNew: false });
  });

  it('takes a picture of one’s own, with its focal point, and refuses what is none', async () => {
    const page = await open('/desk/bare-desk');
    await page.getByRole('button', { name: 'Backdrop' }).click();
    const good = join(server.folder, 'hide.png');
    await sharp({ create: { width: 2400, height: 900, channels: 3, background: '#35607a' } })
      .png()
      .toFile(good);
    await page.getByLabel('Picture file').setInputFiles(good);
    await page.getByText(/hide\.png is here/).waitFor();
    await page.getByRole('slider', { name: 'Focus across' }).press('Home');
    await untilKept(page);
    expect((await stored(server, 'bare-desk')).desk.backdrops[0]?.source).to.deep.include({
      kind: 'picture',
      focal: { x: 0, y: 0.5 },
    });
    const bad = join(server.folder, 'notes.png');
    await sharp({ create: { width: 8, height: 8, channels: 3, background: '#000' } })
      .tiff()
      .toFile(bad);
    await page.getByLabel('Picture file').setInputFiles(bad);
    await page
      .getByText(/notes\.png: This is not a PNG, JPEG, WebP, AVIF or GIF picture; nothing was changed/)
      .waitFor();
    expect((await stored(server, 'bare-desk')).desk.backdrops[0]?.source).to.deep.include({
      name: 'hide.png',
    });
  });

  it('takes a picture dropped on the stage', async () => {
    const page = await open('/desk/bare-desk');
    await page.locator('[data-stage]').waitFor();
    const bytes = await sharp({ create: { width: 2000, height: 1200, channels: 3, background: '#7a4535' } })
      .jpeg()
      .toBuffer();
    await page.locator('[data-stage]').evaluate(
      (stage, data) => {
        const transfer = new DataTransfer();
        transfer.items.add(new File([Uint8Array.from(data)], 'shore.jpg', { type: 'image/jpeg' }));
        stage.dispatchEvent(
          new DragEvent('drop', { bubbles: true, cancelable: true, dataTransfer: transfer }),
        );
      },
      [...bytes],
    );
    await page.getByText(/shore\.jpg is here/).waitFor();
  });

  it('refuses wrong figures and patterns with a sentence and keeps what was there', async () => {
    const page = await open('/desk/dawn-count');
    await handle(page, 'clock').click();
    await page.getByRole('textbox', { name: 'Date' }).fill('nonsense');
    await page.keyboard.press('Enter');
    await page.getByText(/“nonsense” is not a date pattern, such as EEE d MMM/).waitFor();
    await page.getByRole('textbox', { name: 'Offset across' }).fill('far');
    await page.keyboard.press('Enter');
    await page.getByText(/Not taken: write a number from -20000 to 20000/).waitFor();
    expect(await page.getByRole('button', { name: 'Nothing to undo' }).isVisible()).to.equal(true);
    await page.getByRole('textbox', { name: 'Date' }).fill("EEE 'at' HH");
    await page.keyboard.press('Enter');
    await untilKept(page);
    await page.keyboard.press('Control+z');
  });

  it('keeps what was typed and says why where an option can’t be taken; the work goes on and is saved', async () => {
    const page = await open('/desk/dawn-count');
    await handle(page, 'load').click();
    const span = page.getByRole('textbox', { name: 'Graph over' });
    await span.fill('20.5');
    await page.keyboard.press('Enter');
    await page.getByText('Not taken: write a whole number from 1 to 1440.').waitFor();
    expect(await span.inputValue()).to.equal('20.5');
    expect(await page.getByRole('button', { name: 'Nothing to undo' }).isVisible()).to.equal(true);
    await page.keyboard.press('Escape');
    expect(await span.inputValue()).to.equal('30');
    await span.fill('45');
    await page.keyboard.press('Enter');
    await untilKept(page);
    expect((await stored(server, 'dawn-count')).desk.widgets[2]?.options['span']).to.equal(45);
    await page.keyboard.press('Control+z');
    await untilKept(page, { isNew: false });
  });

  it('keeps work that can’t be opened aside, and offers it as a file', async () => {
    const page = await open('/desk/night-watch');
    await page.locator('[data-stage]').waitFor();
    await page.evaluate(() =>
      localStorage.setItem(
        'velvet-ledge:unsaved:night-watch',
        '{"desk": {"format": 3, "name": 5}, "basedOn": 1}',
      ),
    );
    await page.reload();
    await page.getByRole('dialog', { name: 'Work that can’t be opened' }).waitFor();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save it as a file' }).click(),
    ]);
    expect(download.suggestedFilename()).to.equal('night-watch-unsaved.json');
    await page.getByRole('button', { name: 'Let go of it' }).click();
    await page.reload();
    await page.locator('[data-stage]').waitFor();
    expect(await page.getByRole('dialog').count()).to.equal(0);
  });

  it('works by the keyboard alone: add, select, nudge, hang, lock, remove', async () => {
    const page = await open('/desk/sound-room');
    await page.locator('[data-stage]').waitFor();
    await page.keyboard.press('Control+k');
    await page.getByPlaceholder('What do you want to do', { exact: false }).waitFor();
    await page.keyboard.type('add clock, line');
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Clock', level: 2 }).waitFor();
    const added = page.locator('[data-handle][aria-pressed="true"]');
    const before = await added.boundingBox();
    for (let press = 0; press < 5; press++) await page.keyboard.press('Shift+ArrowDown');
    await page.keyboard.press('ArrowLeft');
    const after = await added.boundingBox();
    expect(after?.y).to.be.greaterThan(before?.y ?? 0);
    expect(after?.x).to.be.below(before?.x ?? 0);
    await page.getByRole('radio', { name: 'centre', exact: true }).first().focus();
    await page.keyboard.press('Delete');
    expect(await page.locator('[data-stage] [data-widget]').count()).to.equal(6);
    await handle(page, 'bulletin').focus();
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Headlines', level: 2 }).waitFor();
    await page.keyboard.press('Escape');
    await page.getByRole('heading', { name: 'Widgets', level: 2 }).waitFor();
    await page.keyboard.press('?');
    await page.getByRole('dialog', { name: 'Shortcuts' }).waitFor();
    await page.keyboard.press('Escape');
    await page.keyboard.press('4');
    await page.getByRole('heading', { name: 'Edges', level: 2 }).waitFor();
  });

  it("shows this machine's own readings, from the server", async () => {
    const page = await open('/desk/dawn-count');
    await handle(page, 'machine').click();
    await page.getByRole('radio', { name: 'This machine' }).click();
    await page.waitForFunction(() =>
      /\d+/.test(document.querySelector('[data-stage] [data-widget="machine"]')?.textContent ?? ''),
    );
    await page.keyboard.press('Control+z');
    await untilKept(page, { isNew: false });
  });

  it('goes live, as the screen is, as large as the window has room for, and comes back', async () => {
    const page = await open('/desk/dawn-count');
    await page.getByRole('link', { name: 'Go live' }).click();
    const back = page.getByRole('link', { name: 'Back to the studio' });
    await back.waitFor();
    const dock = await page.locator('[data-edge="dock"]').boundingBox();
    // 1920 × 1080 in 1280 × 800: two thirds, with 40 px above and below.
    expect((dock?.y ?? 0) + (dock?.height ?? 0)).to.be.closeTo(40 + (1080 - 28) * (2 / 3), 1);
    // Once it has faded, the way back takes no press that is meant for the desk.
    await page.locator('nav[aria-label="Out of live"][data-shown="false"]').waitFor();
    const under = await page.evaluate(() => document.elementFromPoint(1200, 770)?.closest('nav') ?? null);
    expect(under).to.equal(null);
    await page.mouse.move(600, 300);
    await page.mouse.move(640, 320);
    await back.click();
    await page.locator('[data-stage]').waitFor();
  });

  it('shows any screen of a desk, each in a window of its own, which agree', async () => {
    const page = await open('/desk/night-watch');
    await page.getByTitle('Log, 1080 × 1350').click();
    await page.getByRole('link', { name: 'Go live' }).click();
    await page.locator('[data-screen="side"]').waitFor();
    const other = await page.context().newPage();
    await other.goto(`${server.address}/live/night-watch`);
    await other.getByRole('button', { name: 'Workspace Signals' }).click();
    await page.mouse.move(600, 300);
    await page.getByRole('link', { name: 'Watch', exact: true }).click();
    await page.locator('[data-edge="panel"]').waitFor();
    await page.locator('button[aria-current="true"][aria-label="Workspace Signals"]').waitFor();
    await other.close();
  });

  it('follows the system in velvet and linen, and can be set', async () => {
    const page = await open('/desk/dawn-count');
    const theme = () => page.evaluate(() => document.documentElement.dataset['theme']);
    expect(await theme()).to.equal('velvet');
    await page.emulateMedia({ colorScheme: 'light' });
    await page.waitForFunction(() => document.documentElement.dataset['theme'] === 'linen');
    await page.getByRole('button', { name: 'Look of the interface' }).click();
    await page.getByRole('menuitemradio', { name: 'Velvet' }).click();
    expect(await theme()).to.equal('velvet');
    await page.reload();
    expect(await theme()).to.equal('velvet');
  });
});
