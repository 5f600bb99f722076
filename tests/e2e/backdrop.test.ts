import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { expect } from 'chai';
import type { Page } from 'playwright-core';
import sharp from 'sharp';
import { unzipSync } from 'fflate';
import { deltaE } from '../../core/values/colour.ts';
import { centreOf, drag, drawn, stored, untilKept, withApp } from '../support/app.ts';

const MOMENT = new Date('2026-11-24T09:30:00Z');

/** RGBA of the stage's backdrop: as the server made it, or as it is painted while a setting is turned. */
function pixelsOf(page: Page, what: 'img[data-backdrop]' | 'canvas[data-live-backdrop]'): Promise<number[]> {
  return page
    .locator(`[data-stage] ${what}`)
    .last()
    .evaluate((element) => {
      const canvas = new OffscreenCanvas(160, 90);
      const context = canvas.getContext('2d');
      context?.drawImage(element as HTMLImageElement, 0, 0, 160, 90);
      return [...(context?.getImageData(0, 0, 160, 90).data ?? [])];
    });
}

const hexAt = (pixels: number[], at: number) =>
  `#${pixels
    .slice(at, at + 3)
    .map((value) => value.toString(16).padStart(2, '0'))
    .join('')}`;

function meanDelta(a: number[], b: number[]): number {
  let sum = 0;
  for (let at = 0; at < a.length; at += 4) sum += deltaE(hexAt(a, at), hexAt(b, at));
  return sum / (a.length / 4);
}

withApp('the backdrop', ({ server, open }) => {
  async function openBackdrop(path: string): Promise<Page> {
    const page = await open(path, MOMENT);
    await page.getByRole('button', { name: 'Backdrop' }).click();
    await page.getByRole('radiogroup', { name: 'Kind of backdrop' }).waitFor();
    return page;
  }
  const source = async (id: string) => (await stored(server, id)).desk.backdrops[0]?.source;
  const baked = (page: Page) =>
    page.locator('[data-stage] canvas[data-live-backdrop]').waitFor({ state: 'detached' });

  it('is tried from the pictures taken in so far by pointing, given back, and taken in one step', async () => {
    const flat = (background: string) =>
      sharp({ create: { width: 960, height: 540, channels: 3, background } })
        .png()
        .toBuffer();
    for (const [name, colour] of [
      ['Mudflat', '#7a5a3a'],
      ['Saltings', '#3a7a5a'],
    ] as const)
      await fetch(`${server.address}/api/pictures?name=${name}`, {
        method: 'POST',
        body: new Uint8Array(await flat(colour)),
      });
    const page = await openBackdrop('/desk/two-hides');
    const before = (await stored(server, 'two-hides')).desk;
    const taken = page.getByRole('group', { name: 'Pictures taken in so far' });
    const isSeen = (name: string, isWanted: boolean) =>
      page.waitForFunction(
        ([wanted, is]) =>
          [...document.querySelectorAll<HTMLImageElement>('[data-stage] img[data-backdrop]')].some(
            ({ src }) => decodeURIComponent(src).includes(String(wanted)),
          ) === is,
        [name, isWanted] as const,
      );
    const list = (await (await fetch(`${server.address}/api/pictures`)).json()) as {
      id: string;
      name: string;
    }[];
    const mudflat = list.find(({ name }) => name === 'Mudflat')?.id ?? '';
    const tried = taken.getByRole('button', { name: 'Mudflat', pressed: false });
    await tried.hover();
    const place = await tried.boundingBox();
    await isSeen(mudflat, true);
    // The form is that of what lies there all the same: nothing moves from under the pointer.
    expect(await tried.boundingBox()).to.deep.equal(place);
    await page.mouse.move(800, 60);
    await isSeen(mudflat, false);
    await page.getByRole('button', { name: 'Nothing to undo' }).waitFor();
    await taken.getByRole('button', { name: 'Mudflat' }).click();
    await page.getByRole('button', { name: 'Undo: Backdrop: Mudflat' }).waitFor();
    await untilKept(page);
    const after = (await stored(server, 'two-hides')).desk;
    expect(JSON.stringify(after.backdrops)).to.contain(mudflat);
    await page.reload();
    await taken.getByRole('button', { name: 'Mudflat', pressed: true }).waitFor();
    await page.keyboard.press('Control+z');
    await untilKept(page);
    expect((await stored(server, 'two-hides')).desk.backdrops).to.deep.equal(before.backdrops);
  });

  it('is painted at once while a setting is turned, and baked the same; before and after at a press', async () => {
    const page = await openBackdrop('/desk/bare-desk');
    await page.getByRole('radio', { name: 'Motif' }).click();
    await page.getByRole('button', { name: 'First light' }).click();
    await page.getByRole('button', { name: /^Adjust/ }).click();
    for (const [name, value] of [
      ['Blur, exact', '14'],
      ['Darkening: strength, exact', '60'],
      ['Tint: strength, exact', '30'],
    ] as const) {
      await page.getByRole('textbox', { name }).fill(value);
      await page.keyboard.press('Enter');
    }
    await baked(page);
    const before = await pixelsOf(page, 'img[data-backdrop]');
    const thumb = page.getByRole('slider', { name: 'Brightness' });
    const { x, y } = await centreOf(thumb);
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x - 18, y, { steps: 4 });
    await page.locator('[data-stage] canvas[data-painted]').waitFor();
    await page.waitForFunction(() => {
      const value = Number(
        document.querySelector('[aria-label="Brightness"]')?.getAttribute('aria-valuenow'),
      );
      return value < -20;
    });
    // The newest state is painted, not only an earlier one.
    let live = await pixelsOf(page, 'canvas[data-live-backdrop]');
    for (let last: number[] = []; JSON.stringify(last) !== JSON.stringify(live);) {
      last = live;
      await drawn(page);
      live = await pixelsOf(page, 'canvas[data-live-backdrop]');
    }
    await page.mouse.up();
    await baked(page);
    const after = await pixelsOf(page, 'img[data-backdrop]');
    expect(meanDelta(live, after), 'stage and bake').to.be.below(2);
    expect(meanDelta(before, after), 'and it did change').to.be.above(4);
    // Held, the button shows it without its adjustments.
    const plain = page.locator('[data-stage] img[data-backdrop]');
    const address = await plain.getAttribute('src');
    await page.getByRole('button', { name: 'Hold: before' }).focus();
    await page.keyboard.down(' ');
    await page.waitForFunction(
      (own) => document.querySelector('[data-stage] img[data-backdrop]')?.getAttribute('src') !== own,
      address,
    );
    expect(decodeURIComponent((await plain.getAttribute('src')) ?? '')).to.contain('"adjust":null');
    await page.keyboard.up(' ');
    await page.waitForFunction(
      (own) => document.querySelector('[data-stage] img[data-backdrop]')?.getAttribute('src') === own,
      address,
    );
    await page.getByRole('button', { name: 'As it was' }).click();
    await untilKept(page);
    expect((await stored(server, 'bare-desk')).desk.backdrops[0]?.adjust.blur).to.equal(0);
    await page.keyboard.press('Control+z');
    await untilKept(page, { isNew: false });
    expect((await stored(server, 'bare-desk')).desk.backdrops[0]?.adjust.blur).to.equal(14);
  });

  it('is seen as a drawing until its pixels are there, and then without a step', async () => {
    const page = await open('/', MOMENT);
    let letGo = () => {};
    const isHeld = new Promise<void>((resolve) => (letGo = resolve));
    await page.route('**/api/backdrops?*', async (route) => {
      await isHeld;
      await route.continue();
    });
    const sketch = page.waitForResponse((response) => response.url().includes('/api/backdrops/sketch?'));
    await page.goto(`${server.address}/live/dawn-count`);
    await sketch;
    await page.locator('[data-widget]').first().waitFor();
    const seen = async () => {
      const shot = sharp(await page.screenshot({ animations: 'disabled' }));
      return [...(await shot.resize(160, 90, { fit: 'fill' }).ensureAlpha().raw().toBuffer())];
    };
    // Drawn, it has many colours; without it there would be one.
    await page.waitForFunction(() => {
      const image = document.querySelector<HTMLImageElement>('img[data-backdrop]');
      return image !== null && !image.complete;
    });
    let drawing = await seen();
    const many = () => new Set(drawing.filter((_, at) => at % 4 === 0)).size > 24;
    while (!many()) drawing = await seen();
    letGo();
    await page.waitForFunction(() => {
      const image = document.querySelector<HTMLImageElement>('img[data-backdrop]');
      return image?.complete && image.naturalWidth > 0 && !image.style.background;
    });
    expect(meanDelta(drawing, await seen())).to.be.below(1.5);
  });

  it('is asked for once its drawing is here: no drawing waits behind pictures that are being made', async () => {
    const drawn = new Set<string>();
    const early: string[] = [];
    const late: string[] = [];
    const page = await open('/', MOMENT, (page) => {
      page.on('requestfinished', (request) => {
        if (request.url().includes('/backdrops/sketch?')) drawn.add(drawnIn(request.url()));
      });
      page.on('request', (request) => {
        if (request.url().includes('/api/backdrops?'))
          (drawn.has(drawnIn(request.url())) ? late : early).push(request.url());
      });
      return Promise.resolve();
    });
    await page.waitForFunction(() => {
      const images = [...document.querySelectorAll<HTMLImageElement>('[data-desk] img[data-backdrop]')];
      return images.length > 4 && images.every(({ naturalWidth }) => naturalWidth > 0);
    });
    const shown = await page
      .locator('[data-desk] img[data-backdrop]')
      .evaluateAll((images) => images.map((image) => (image as HTMLImageElement).src));
    const isShown = (address: string) => shown.includes(address);
    expect(late.filter(isShown).length).to.be.above(4);
    // Covers of what is played are asked for as they are.
    expect(early.filter(isShown)).to.deep.equal([]);
  });

  it('comes before the small pictures that stand beside it', async () => {
    let letGo = () => {};
    const isHeld = new Promise<void>((resolve) => (letGo = resolve));
    const asked: number[] = [];
    const page = await open('/desk/dawn-count', MOMENT, (page) =>
      page.route('**/api/backdrops?*', async (route) => {
        asked.push(Number(new URL(route.request().url()).searchParams.get('width')));
        await isHeld;
        await route.continue();
      }),
    );
    await page.getByRole('button', { name: 'Backdrop' }).click();
    const entry = page.getByRole('button', { name: 'First light now' });
    await entry.waitFor();
    // The stage asks for its own.
    expect(asked.length).to.be.above(0);
    expect(asked.filter((width) => width < 480)).to.deep.equal([]);
    letGo();
    await entry.locator('img').waitFor();
    expect(asked).to.include(240);
  });

  it('is a gradient of roles and own colours, and follows the palette', async () => {
    const page = await openBackdrop('/desk/bare-desk');
    await page.getByRole('radio', { name: 'Gradient' }).click();
    await page.getByRole('button', { name: 'Colour', exact: true }).click();
    await page
      .getByRole('listitem', { name: 'Colour 1' })
      .getByRole('button', { name: 'Colour 1: colour: Accent' })
      .click();
    await page.getByRole('textbox', { name: 'Angle, exact' }).fill('45');
    await page.keyboard.press('Enter');
    await untilKept(page);
    const gradient = await source('bare-desk');
    if (gradient?.kind !== 'gradient') throw new Error('no gradient');
    expect(gradient.points).to.have.length(4);
    expect(gradient.points[0]?.colour).to.equal('accent');
    expect(gradient.angle).to.equal(45);
    await page.getByRole('button', { name: 'Palette', exact: true }).click();
    await page.getByRole('button', { name: 'Accent', exact: true }).click();
    await page.getByRole('textbox', { name: 'Accent, as text' }).fill('#c02060');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await page.waitForFunction(() =>
      decodeURIComponent(
        document.querySelector('[data-stage] img[data-backdrop]')?.getAttribute('src') ?? '',
      ).includes('#c02060'),
    );
  });

  it('rotates: entries are ordered, added and taken away; the ledge shows when, and scrubbing shows what', async () => {
    const page = await openBackdrop('/desk/dawn-count');
    const marks = page.locator('[data-mark="rotation"]');
    expect(await marks.count()).to.equal(4);
    const lies = () => page.locator('[data-stage] img[data-backdrop]').last().getAttribute('src');
    expect(decodeURIComponent((await lies()) ?? '')).to.contain('"motif":"headland"');
    // An hour on, past ten, the charts lie there.
    const thumb = page.getByRole('slider', { name: 'Time of day' });
    for (let step = 0; step < 4; step++) await thumb.press('PageUp');
    await page.waitForFunction(() =>
      decodeURIComponent(
        document.querySelector('[data-stage] img[data-backdrop]:last-of-type')?.getAttribute('src') ?? '',
      ).includes('"motif":"contours"'),
    );
    await page.getByText('back to now').click();

    const grips = page.getByRole('button', {
      name: /^Move (First light|Chart of the bay|The bay all day|Night over the bay)$/,
    });
    await grips.first().focus();
    await page.keyboard.press('ArrowDown');
    await untilKept(page);
    const order = async () => {
      const rotation = await source('dawn-count');
      return rotation?.kind === 'rotation'
        ? rotation.entries.map(({ source: one }) => (one.kind === 'motif' ? one.motif : one.kind))
        : [];
    };
    expect(await order()).to.deep.equal(['contours', 'headland', 'bay', 'night']);
    await page.getByRole('button', { name: 'Motif', exact: true }).click();
    await page.getByRole('button', { name: 'Remove The bay all day' }).click();
    await page.getByRole('radio', { name: 'With the sun' }).click();
    await untilKept(page);
    expect(await order()).to.deep.equal(['contours', 'headland', 'night', 'marsh']);
    expect(await marks.count()).to.equal(2);
    // An entry is edited on a page of its own, and is undone like anything else.
    await page.getByRole('button', { name: 'First light', exact: true }).click();
    await page.getByRole('heading', { name: 'One of the rotation' }).waitFor();
    await page.getByRole('textbox', { name: 'Birds, exact' }).fill('90');
    await page.keyboard.press('Enter');
    await untilKept(page);
    const edited = await source('dawn-count');
    expect(JSON.stringify(edited)).to.contain('"birds":90');
    await page.getByRole('button', { name: 'Rotation', exact: true }).click();
    await page.getByRole('radio', { name: 'At times' }).click();
    await page.getByRole('textbox', { name: 'At', exact: true }).fill('06:00 26:00');
    await page.keyboard.press('Enter');
    await page.getByText(/“26:00” is not a time of day/).waitFor();
    await page.reload();
    expect(JSON.stringify(await source('dawn-count'))).to.contain('"birds":90');
  });

  it('lies elsewhere than everywhere: one for the dark half alone', async () => {
    const page = await openBackdrop('/desk/bare-desk');
    await page.getByRole('button', { name: 'another for…' }).click();
    await page.getByRole('menuitem', { name: 'In the dark half' }).click();
    await page.getByRole('radio', { name: 'Motif' }).click();
    await page.getByRole('button', { name: 'Night over the bay' }).click();
    const untilNight = (isNight: boolean) =>
      page.waitForFunction((wanted) => {
        const src = document.querySelector('[data-stage] img[data-backdrop]')?.getAttribute('src') ?? '';
        return decodeURIComponent(src).includes('"night"') === wanted;
      }, isNight);
    // What is edited is looked at, and the desk itself stays in the half that it was in.
    await untilNight(true);
    await page.keyboard.press('Shift+D');
    await untilNight(false);
    await page.keyboard.press('Shift+D');
    await untilNight(true);
    await page.getByRole('button', { name: 'Remove the backdrop: In the dark half' }).click();
    await untilKept(page);
    const { desk } = await stored(server, 'bare-desk');
    expect(desk.backdrops).to.have.length(1);
    expect(desk.look.half).to.deep.equal({ by: 'choice', half: 'light' });
  });

  it('is a picture dragged on the stage to what stays in view, told when it is too small', async () => {
    const page = await openBackdrop('/desk/sound-room');
    const path = join(server.folder, 'hide.png');
    await sharp({ create: { width: 1000, height: 250, channels: 3, background: '#35607a' } })
      .png()
      .toFile(path);
    await page.getByLabel('Picture file').setInputFiles(path);
    await page.getByText(/each is stretched 4\.3 times/).waitFor();
    await drag(page, page.locator('[data-focal-stage]'), { x: 200, y: 0 });
    await untilKept(page);
    const dragged = await source('sound-room');
    if (dragged?.kind !== 'picture') throw new Error('no picture');
    // The picture is 4.8 screens wide: dragged to the right, what is kept moves to the left.
    expect(dragged.focal.x).to.be.within(0.3, 0.49);
    expect(dragged.focal.y).to.equal(0.5);
    await page.getByRole('slider', { name: 'Focal point' }).press('Shift+ArrowRight');
    await untilKept(page);
    const nudged = await source('sound-room');
    expect(nudged?.kind === 'picture' && nudged.focal.x).to.be.closeTo(dragged.focal.x + 0.1, 0.002);
    await page.getByRole('button', { name: 'Turn right' }).click();
    await page.getByRole('switch', { name: 'Mirror' }).click();
    await page.getByRole('button', { name: 'Pixel for pixel' }).click();
    await untilKept(page);
    expect(await source('sound-room')).to.deep.include({ turn: 90, mirror: true, fit: 'centre' });
    await page.getByText('It has enough pixels').waitFor();
  });

  it('leaves as files in its screen’s pixels, several in one archive; long work can be cancelled', async () => {
    const page = await openBackdrop('/desk/night-watch');
    await page.setViewportSize({ width: 1024, height: 560 });
    await page.getByRole('button', { name: /^Bake and export/ }).click();
    // The link stood far down; its page is read from the top.
    const title = await page.getByRole('heading', { name: 'Bake and export' }).boundingBox();
    expect(title?.y).to.be.greaterThan(48);
    await page.getByRole('radio', { name: 'JPEG' }).click();
    const [single] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Bake', exact: true }).click(),
    ]);
    expect(single.suggestedFilename()).to.equal('night-watch-watch-dark.jpg');
    const one = await sharp(await readFile(await single.path())).metadata();
    expect([one.format, one.width, one.height]).to.deep.equal(['jpeg', 2560, 1440]);
    await page.getByText('One picture was baked').waitFor();

    await page.getByRole('switch', { name: 'All screens' }).click();
    await page.getByRole('switch', { name: 'Both halves' }).click();
    await page.getByText('4 pictures', { exact: true }).waitFor();
    const [several] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Bake', exact: true }).click(),
    ]);
    const files = unzipSync(new Uint8Array(await readFile(await several.path())));
    expect(Object.keys(files).toSorted()).to.deep.equal(
      ['log-dark', 'log-light', 'watch-dark', 'watch-light'].map((name) => `night-watch-${name}.jpg`),
    );
    const log = await sharp(files['night-watch-log-dark.jpg']).metadata();
    expect([log.width, log.height]).to.deep.equal([1080, 1350]);

    await page.getByRole('radio', { name: 'AVIF' }).click();
    await page.getByRole('button', { name: 'Bake', exact: true }).click();
    await page.getByRole('button', { name: 'Cancel' }).click();
    await page.getByRole('button', { name: 'Bake', exact: true }).waitFor();
    expect(await page.getByText(/baked and downloaded/).count()).to.equal(0);
  });
});

function drawnIn(address: string): string {
  return new URL(address).searchParams.get('drawn') ?? '';
}
