import { mkdtempSync, readdirSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import sharp from 'sharp';
import { decode } from '../../tests/support/pixels.ts';
import { adjustPixels } from '../../core/backdrop/adjust.ts';
import { sampleOf, type Drawn, type DrawnAdjust } from '../../core/backdrop/drawn.ts';
import { deltaE } from '../../core/values/colour.ts';
import type { Pixels } from '../../core/colour/extract.ts';
import { createPicture, createMotif } from '../../core/desk/defaults.ts';
import type { Picture } from '../../core/backdrop/schema.ts';
import { fileOf } from '../../tests/support/files.ts';
import { openStore } from '../db/open.ts';
import { createIncoming } from '../files/incoming.ts';
import { createOwnFiles } from '../files/own-files.ts';
import { Cancelled, createHelpers, type Helpers } from '../helpers/pool.ts';
import { WIDTHS, createRenderer, shownSize, widthFor, type Renderer } from './render.ts';
import { createPictureStore, type PictureStore } from './store.ts';
import { removeFolder } from '../../tests/support/folders.ts';

const adjust: DrawnAdjust = {
  blur: 6,
  brightness: -20,
  contrast: 14,
  saturation: -30,
  temperature: 25,
  negative: 0,
  twoTone: { dark: '#201030', light: '#f0e8d0', strength: 25 },
  tint: { colour: '#2d2139', strength: 18 },
  darken: { toward: 'rim', strength: 50 },
  grain: 12,
};

/** Colours of four quarters, from the top left in reading order, as a picture of a size. */
async function quarters(width: number, height: number): Promise<Buffer> {
  const colours = ['#c03020', '#20a040', '#2040c0', '#e0c040'];
  const tiles = colours.map((background, index) => ({
    input: { create: { width: width / 2, height: height / 2, channels: 3 as const, background } },
    left: (index % 2) * (width / 2),
    top: Math.floor(index / 2) * (height / 2),
  }));
  return sharp({ create: { width, height, channels: 3, background: '#000' } })
    .composite(tiles)
    .png()
    .toBuffer();
}

const hexAt = ({ data, width }: Pixels, x: number, y: number) =>
  `#${[0, 1, 2].map((channel) => (data[(y * width + x) * 4 + channel] ?? 0).toString(16).padStart(2, '0')).join('')}`;

function meanDelta(a: Pixels, b: Pixels): number {
  expect([a.width, a.height]).to.deep.equal([b.width, b.height]);
  let sum = 0;
  let count = 0;
  for (let y = 2; y < a.height; y += 5) {
    for (let x = 2; x < a.width; x += 5) {
      sum += deltaE(hexAt(a, x, y), hexAt(b, x, y));
      count++;
    }
  }
  return sum / count;
}

const flat = {
  shape: 'linear' as const,
  angle: 90,
  centre: { x: 0.5, y: 0.5 },
  points: [
    { at: 0, colour: '#203040' },
    { at: 1, colour: '#a0b0c0' },
  ],
};

describe('making backdrops', function () {
  let folder: string;
  let helpers: Helpers;
  let pictures: PictureStore;
  let renderer: Renderer;
  let end: () => void;

  before(() => (helpers = createHelpers()));
  after(() => helpers.close());
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'velvet-render-'));
    const store = openStore(folder);
    end = () => store.$client.close();
    const incoming = createIncoming(join(folder, 'incoming'));
    pictures = createPictureStore(store, createOwnFiles(join(folder, 'pictures'), incoming), {
      helpers,
      incoming,
    });
    renderer = createRenderer(join(folder, 'cache'), pictures, helpers);
  });
  afterEach(() => {
    end();
    removeFolder(folder);
  });

  const motif = (seed: number, change: Partial<Drawn> = {}): Drawn => ({
    ...sampleOf(createMotif('tide', seed)),
    ...change,
  });
  async function laid(
    bytes: Buffer,
    change: Partial<Picture>,
    [width, height] = [400, 200],
  ): Promise<Pixels> {
    const { id } = await pictures.add(fileOf(bytes), 'test.png');
    const whole = { width, height };
    const drawn: Drawn = {
      ...sampleOf(createPicture(id, 'test', change)),
      whole,
      part: { x: 0, y: 0, ...whole },
      ground: '#101010',
    };
    return decode(await renderer.export(drawn, { width, height, format: 'png' }));
  }

  it('rounds a width up to one that is made, and never beyond the largest', () => {
    expect([1, 240, 480, 481, 1900, 2000, 9999].map(widthFor)).to.deep.equal([
      240, 240, 480, 960, 1920, 2560, 3840,
    ]);
    expect(WIDTHS).to.deep.equal(WIDTHS.toSorted((a, b) => a - b));
  });

  it('is made smaller where a part is tall, or the surface that it is cut from is vast', () => {
    const of = (part: [number, number], whole: [number, number], wish: number) =>
      shownSize(
        {
          ...motif(1),
          whole: { width: whole[0], height: whole[1] },
          part: { x: 0, y: 0, width: part[0], height: part[1] },
        },
        wish,
      );
    expect(of([1920, 1080], [1920, 1080], 3840)).to.deep.equal({ width: 3840, height: 2160 });
    expect(of([1080, 1350], [2560, 1440], 240)).to.deep.equal({ width: 240, height: 300 });
    const tall = of([320, 16384], [320, 16384], 3840);
    expect(tall.width * tall.height).to.be.at.most(9_100_000);
    expect(tall.height / tall.width).to.be.closeTo(16384 / 320, 0.5);
    const sliver = of([1, 1], [20_000, 20_000], 3840);
    expect(sliver).to.deep.equal({ width: 1, height: 1 });
  });

  it('draws a part of a surface however long that is', async () => {
    for (const whole of [
      { width: 131_072, height: 1 },
      { width: 131_072, height: 131_072 },
      { width: 1, height: 131_072 },
    ]) {
      const drawn: Drawn = {
        ...sampleOf(createMotif('fog', 1)),
        whole,
        part: { x: 0, y: 0, width: 1, height: 1 },
      };
      const shown = await decode(await renderer.backdrop(drawn, 3840));
      expect(shown.width, JSON.stringify(whole)).to.be.greaterThan(0);
    }
    const long: Drawn = {
      ...sampleOf(createMotif('fog', 1)),
      whole: { width: 131_072, height: 1 },
      part: { x: 0, y: 0, width: 1, height: 1 },
    };
    const refused = await renderer.export(long, { width: 40, height: 40, format: 'png' }).catch(String);
    expect(refused).to.include('too small for the surface');
  });

  it('makes each once, shares one under way, and takes it from the cache afterwards', async () => {
    const cached = () => readdirSync(join(folder, 'cache'));
    const [first, second] = await Promise.all([
      renderer.backdrop(motif(4), 240),
      renderer.backdrop(motif(4), 240),
    ]);
    expect(first).to.equal(second);
    expect(cached()).to.have.length(1);
    const again = await createRenderer(join(folder, 'cache'), pictures, helpers).backdrop(motif(4), 240);
    expect(again.equals(first)).to.equal(true);
    await renderer.backdrop(motif(5), 240);
    await renderer.backdrop(motif(4, { adjust }), 240);
    expect(cached()).to.have.length(3);
    expect(cached().filter((name) => name.endsWith('.part'))).to.deep.equal([]);
  });

  it('keeps within its bytes while it runs: what was not asked for in the longest time goes first', async () => {
    const cache = join(folder, 'forgetful');
    const generous = createRenderer(cache, pictures, helpers);
    for (const seed of [4, 5, 6]) await generous.backdrop(motif(seed), 240);
    const size = (name: string) => statSync(join(cache, name)).size;
    const all = readdirSync(cache);
    expect(generous.cacheBytes()).to.equal(all.reduce((sum, name) => sum + size(name), 0));
    const most = Math.ceil(generous.cacheBytes() * 1.1);
    const forgetful = createRenderer(cache, pictures, helpers, most);
    // Asked for again: it is not the oldest any more.
    await forgetful.backdrop(motif(4), 240);
    const before = new Set(readdirSync(cache));
    await forgetful.backdrop(motif(7), 240);
    await forgetful.backdrop(motif(8), 240);
    const left = readdirSync(cache);
    expect(forgetful.cacheBytes()).to.equal(left.reduce((sum, name) => sum + size(name), 0));
    expect(forgetful.cacheBytes()).to.be.at.most(most);
    expect(left.filter((name) => !before.has(name)).length, 'the new ones').to.equal(2);
    // Still there: nothing is made anew.
    await forgetful.backdrop(motif(4), 240);
    expect(readdirSync(cache)).to.have.members(left);
  });

  it('starts within its bytes, with what was used last, and sweeps away what a kill left half made', async () => {
    const cache = join(folder, 'cache');
    for (let index = 0; index < 10; index++) {
      writeFileSync(join(cache, `${index}.webp`), Buffer.alloc(1000));
      utimesSync(join(cache, `${index}.webp`), 1000 + index, 1000 + index);
    }
    writeFileSync(join(cache, 'half.part'), Buffer.alloc(5000));
    utimesSync(join(cache, 'half.part'), 1000, 1000);
    expect(createRenderer(cache, pictures, helpers, 3500).cacheBytes()).to.equal(3000);
    expect(readdirSync(cache)).to.have.members(['7.webp', '8.webp', '9.webp']);
  });

  it('ends what nobody waits for any more, and goes on with what somebody still does', async () => {
    const [first, second, third] = [new AbortController(), new AbortController(), new AbortController()];
    const vast = sampleOf(createMotif('headland', 77));
    const failed = (work: Promise<unknown>) =>
      work.then(
        () => null,
        (error: unknown) => error,
      );
    const gone = [first, second].map(({ signal }) => failed(renderer.backdrop(vast, 3840, signal)));
    first.abort();
    second.abort();
    for (const work of gone) expect(await work).to.be.instanceOf(Cancelled);
    const kept = renderer.backdrop(motif(9), 480);
    const left = renderer.backdrop(motif(9), 480, third.signal);
    third.abort();
    expect((await sharp(await kept).metadata()).width).to.equal(480);
    await left;
  });

  it('bakes what the stage paints: the same adjustments at another density, within two steps of colour', async () => {
    const drawn = sampleOf(createMotif('headland', 7));
    const whole = { width: 1920, height: 1080 };
    const source = await decode(await renderer.export(drawn, { width: 960, height: 540, format: 'png' }));
    adjustPixels(source, adjust, whole, drawn.part);
    const baked = await renderer.export({ ...drawn, adjust }, { width: 1920, height: 1080, format: 'png' });
    const smaller = await decode(await sharp(baked).resize(960, 540).png().toBuffer());
    const delta = meanDelta(source, smaller);
    expect(delta).to.be.below(2);
    expect(
      meanDelta(
        source,
        await decode(await renderer.export(drawn, { width: 960, height: 540, format: 'png' })),
      ),
    ).to.be.above(5);
  });

  it('is sharp: a motif at full size has edges that one pixel of it can hold', async () => {
    const large = await decode(
      await renderer.export(sampleOf(createMotif('strata', 3)), { width: 3840, height: 2160, format: 'png' }),
    );
    let steepest = 0;
    for (let y = 600; y < 1800; y++) {
      const [a, b] = [0, 1].map((by) => large.data[((y + by) * 3840 + 1900) * 4] ?? 0);
      steepest = Math.max(steepest, Math.abs((a ?? 0) - (b ?? 0)));
    }
    expect(steepest).to.be.above(8);
  });

  it('lays a picture as it is told: covering, contained, stretched, tiled, turned, mirrored', async () => {
    const bytes = await quarters(100, 100);
    const near = (pixels: Pixels, x: number, y: number, hex: string, why: string) =>
      expect(deltaE(hexAt(pixels, x, y), hex), why).to.be.below(2);
    const contained = await laid(bytes, { fit: 'contain' });
    near(contained, 20, 100, '#101010', 'ground beside it');
    near(contained, 110, 20, '#c03020', 'its first quarter');
    near(await laid(bytes, { fit: 'stretch' }), 380, 20, '#20a040', 'stretched to the side');
    near(
      await laid(bytes, { fit: 'cover', focal: { x: 0.5, y: 0 } }),
      20,
      190,
      '#c03020',
      'its upper half alone',
    );
    near(
      await laid(bytes, { fit: 'cover', focal: { x: 0.5, y: 1 } }),
      20,
      10,
      '#2040c0',
      'its lower half alone',
    );
    const tiled = await laid(bytes, { fit: 'tile', focal: { x: 0, y: 0 } });
    for (const x of [25, 125, 325]) near(tiled, x, 25, '#c03020', `a tile at ${x}`);
    near(await laid(bytes, { fit: 'contain', turn: 90 }), 110, 20, '#2040c0', 'turned to the right');
    near(await laid(bytes, { fit: 'contain', mirror: true }), 110, 20, '#20a040', 'mirrored');
    near(await laid(bytes, { fit: 'centre' }), 20, 20, '#101010', 'smaller than the screen');
  });

  it('scales only what is seen of a picture, and lays it where the whole would lie', async () => {
    const bytes = await quarters(640, 480);
    const surface = { width: 300, height: 100 };
    for (const change of [
      { focal: { x: 0.5, y: 0.5 } },
      { focal: { x: 0.2, y: 0.9 }, turn: 90 as const },
      { focal: { x: 1, y: 0 }, mirror: true },
      { focal: { x: 0.3, y: 0.4 }, turn: 270 as const, mirror: true },
      { focal: { x: 0.5, y: 0.5 }, turn: 180 as const },
    ]) {
      const { turn = 0, mirror = false, focal } = { mirror: undefined, turn: undefined, ...change };
      // The whole, scaled in one piece and cut afterwards.
      const mirrored = mirror ? await sharp(bytes).flop().png().toBuffer() : bytes;
      const whole = sharp(await sharp(mirrored).rotate(turn).png().toBuffer());
      const { width = 1, height = 1 } = await whole.metadata();
      const factor = Math.max(surface.width / width, surface.height / height);
      const [w, h] = [Math.round(width * factor), Math.round(height * factor)];
      const cut = {
        left: Math.round((w - surface.width) * focal.x),
        top: Math.round((h - surface.height) * focal.y),
        ...surface,
      };
      const scaled = await whole.resize(w, h, { fit: 'fill' }).png().toBuffer();
      const expected = await decode(await sharp(scaled).extract(cut).png().toBuffer());
      const pixels = await laid(bytes, { fit: 'cover', ...change }, [surface.width, surface.height]);
      expect(meanDelta(pixels, expected), JSON.stringify(change)).to.be.below(1.2);
    }
  });

  it('takes no more memory for a slim picture that covers a screen, nor for a vast one laid pixel on pixel', async () => {
    const slim = await sharp({ create: { width: 10, height: 4000, channels: 3, background: '#406080' } })
      .png()
      .toBuffer();
    expect(hexAt(await laid(slim, { fit: 'cover' }, [1920, 1080]), 900, 500)).to.equal('#406080');
    const large = await sharp({ create: { width: 6000, height: 4000, channels: 3, background: '#806040' } })
      .png()
      .toBuffer();
    for (const fit of ['tile', 'centre'] as const)
      expect(hexAt(await laid(large, { fit }, [640, 360]), 300, 200), fit).to.equal('#806040');
  });

  it('blurs a sliver of a screen as quickly as a screen', async () => {
    const sliver = motif(3, { part: { x: 0, y: 0, width: 1, height: 1 }, adjust: { ...adjust, blur: 80 } });
    const whole = motif(3, { adjust: { ...adjust, blur: 80 } });
    const timeOf = async (backdrop: typeof whole) => {
      const start = performance.now();
      await renderer.backdrop({ ...backdrop, source: { kind: 'gradient', ...flat } }, 960);
      return performance.now() - start;
    };
    const first = Math.min(await timeOf(sliver), await timeOf(sliver));
    // Before, each row took as many steps as the blur is wide: hundreds of times as long.
    expect(first).to.be.below(20 * (await timeOf(whole)));
  });

  it('turns a picture as its EXIF data says before anything else', async () => {
    const turned = await sharp(await quarters(80, 40))
      .jpeg({ quality: 100 })
      .withMetadata({ orientation: 6 })
      .toBuffer();
    const pixels = await laid(turned, { fit: 'contain' });
    // Turned to the right it is upright, and narrow: what was at its lower left comes to the upper left.
    expect(deltaE(hexAt(pixels, 160, 20), '#2040c0')).to.be.below(4);
    expect(hexAt(pixels, 100, 20)).to.equal('#101010');
  });

  it('brings 16 bits and a wide gamut in as the colours that they are', async () => {
    const deep = await sharp(await quarters(40, 40))
      .toColourspace('rgb16')
      .png()
      .toBuffer();
    expect((await sharp(deep).metadata()).depth).to.equal('ushort');
    expect(deltaE(hexAt(await laid(deep, { fit: 'stretch' }), 20, 20), '#c03020')).to.be.below(1);
    const wide = await sharp({ create: { width: 20, height: 20, channels: 3, background: '#c03020' } })
      .withIccProfile('p3')
      .png()
      .toBuffer();
    expect((await sharp(wide).metadata()).hasProfile).to.equal(true);
    expect(deltaE(hexAt(await laid(wide, { fit: 'stretch' }), 20, 20), '#c03020')).to.be.below(1.5);
  });

  it('shows the first frame of an animated picture, and says so', async () => {
    const frames = Buffer.concat([Buffer.alloc(20 * 20 * 3, 0x20), Buffer.alloc(20 * 20 * 3, 0xe0)]);
    const animated = await sharp(frames, { raw: { width: 20, height: 40, channels: 3, pageHeight: 20 } })
      .webp({ lossless: true, loop: 0 })
      .toBuffer();
    const { id } = await pictures.add(fileOf(animated), 'moving.webp');
    expect(await pictures.facts(id)).to.deep.include({ width: 20, height: 20, isAnimated: true });
    expect(hexAt(await laid(animated, { fit: 'stretch' }), 50, 50)).to.equal('#202020');
  });

  it('says how large, how deep and how strongly packed a picture is', async () => {
    const soft = await decode(await renderer.export(motif(3), { width: 640, height: 360, format: 'png' }));
    const packed = await sharp(soft.data, { raw: { width: 640, height: 360, channels: 4 } })
      .jpeg({ quality: 6 })
      .toBuffer();
    const facts = await pictures.facts((await pictures.add(fileOf(packed), 'packed.jpg')).id);
    expect(facts).to.deep.include({ width: 640, height: 360, depth: 8, isAnimated: false });
    expect(facts.blocks).to.be.above(2);
    const whole = await renderer.export(motif(3), { width: 640, height: 360, format: 'png' });
    const clean = await pictures.facts((await pictures.add(fileOf(whole), 'clean.png')).id);
    expect(clean.blocks).to.be.below(1.2);
  });

  it('leaves as PNG, WebP, AVIF and JPEG in exactly the pixels asked for', async () => {
    for (const format of ['png', 'webp', 'avif', 'jpeg'] as const) {
      const bytes = await renderer.export(motif(2, { adjust }), { width: 321, height: 181, format });
      const found = await sharp(bytes).metadata();
      expect([found.width, found.height], format).to.deep.equal([321, 181]);
      expect(found.format === 'heif' ? 'avif' : found.format).to.equal(format);
      expect(found.exif, format).to.equal(undefined);
    }
  });

  it('stops when it is cancelled, and works on afterwards', async () => {
    const stop = new AbortController();
    const work = renderer.export(
      sampleOf(createMotif('night', 1)),
      { width: 3840, height: 2160, format: 'avif' },
      stop.signal,
    );
    setTimeout(() => stop.abort(), 100);
    const failure = await work.then(
      () => null,
      (error: unknown) => error,
    );
    expect(failure).to.be.instanceOf(Cancelled);
    const next = await renderer.export(motif(1), { width: 64, height: 36, format: 'png' });
    expect((await sharp(next).metadata()).width).to.equal(64);
  });

  it('handles a picture of a hundred megapixels, and refuses a larger one with a sentence', async function () {
    this.timeout(60_000);
    const plane = (width: number, height: number) =>
      sharp({ create: { width, height, channels: 3, background: '#406080' }, limitInputPixels: false })
        .jpeg({ quality: 30 })
        .toBuffer();
    const large = await plane(12_000, 8_300);
    const before = process.memoryUsage().rss;
    const pixels = await laid(large, { fit: 'cover' }, [640, 360]);
    expect(deltaE(hexAt(pixels, 320, 180), '#406080')).to.be.below(3);
    expect((process.memoryUsage().rss - before) / 2 ** 20, 'MiB taken').to.be.below(900);
    const refused = await pictures.add(fileOf(await plane(16_000, 9_000)), 'vast.jpg').then(
      () => null,
      (error: Error) => error.message,
    );
    expect(refused).to.match(/144 megapixels; up to 100 of this kind are taken/);
  });
});
