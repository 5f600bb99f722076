import { expect } from 'chai';
import fc from 'fast-check';
import sharp from 'sharp';
import { decode, flatPixels } from '../../tests/support/pixels.ts';
import { toLch } from '../values/colour.ts';
import type { Pixels } from '../colour/extract.ts';
import { createRandom } from '../sources/noise.ts';
import { adjustPixels, blurPixels } from './adjust.ts';
import type { DrawnAdjust, DrawnGradient } from './drawn.ts';
import { fitPicture, stretchOf, turnedSize } from './fit.ts';
import { VISIBLE_BLOCKS, blockiness } from './fitness.ts';
import { paintGradient } from './gradient.ts';

const plain: DrawnAdjust = {
  blur: 0,
  brightness: 0,
  contrast: 0,
  saturation: 0,
  temperature: 0,
  negative: 0,
  twoTone: { dark: '#000000', light: '#ffffff', strength: 0 },
  tint: { colour: '#000000', strength: 0 },
  darken: { toward: 'rim', strength: 0 },
  grain: 0,
};
const size = { width: 40, height: 24 };
const whole = { width: 400, height: 240 };
const part = { x: 0, y: 0, ...whole };

function noisy(width = size.width, height = size.height): Pixels {
  const random = createRandom(3);
  const data = Uint8ClampedArray.from({ length: width * height * 4 }, (_, at) =>
    at % 4 === 3 ? 255 : Math.floor(random() * 256),
  );
  return { width, height, data };
}

function adjusted(change: Partial<DrawnAdjust>, from = noisy()): Pixels {
  const pixels = { ...from, data: new Uint8ClampedArray(from.data) };
  adjustPixels(pixels, { ...plain, ...change }, whole, part);
  return pixels;
}

const at = ({ data, width }: Pixels, x: number, y: number) => [
  ...data.slice((y * width + x) * 4, (y * width + x) * 4 + 3),
];
const mean = ({ data }: Pixels) =>
  Array.from(data).reduce((sum, value, index) => (index % 4 === 3 ? sum : sum + value), 0) /
  ((data.length / 4) * 3);

describe('adjusting a backdrop', () => {
  it('leaves the pixels as they are when nothing is set', () => {
    expect(adjusted({}).data).to.deep.equal(noisy().data);
  });

  it('turns into its negative and back, half of it is grey, and what else is done comes after', () => {
    const before = noisy();
    const opposite = before.data.map((value, index) => (index % 4 === 3 ? value : 255 - value));
    expect(adjusted({ negative: 100 }).data).to.deep.equal(opposite);
    expect(adjusted({ negative: 100 }, adjusted({ negative: 100 })).data).to.deep.equal(before.data);
    for (const value of adjusted({ negative: 50 }).data)
      expect(value === 255 || value === 127 || value === 128).to.equal(true);
    const white = flatPixels(8, 8, [255, 255, 255]);
    expect(at(adjusted({ negative: 100, brightness: 40 }, white), 2, 2)).to.deep.equal([102, 102, 102]);
  });

  it('goes dark, light, grey, warm and cool, in the direction that its name says', () => {
    const grey = flatPixels(8, 8, [120, 120, 120]);
    expect(mean(adjusted({ brightness: -100 }))).to.equal(0);
    expect(mean(adjusted({ brightness: 100 }))).to.equal(255);
    expect(mean(adjusted({ brightness: -40 }))).to.be.below(mean(noisy()));
    for (let pixel = 0; pixel < 20; pixel++) {
      const [r, g, b] = at(adjusted({ saturation: -100 }), pixel, 3);
      expect(Math.max(r ?? 0, g ?? 0, b ?? 0) - Math.min(r ?? 0, g ?? 0, b ?? 0)).to.be.at.most(1);
    }
    expect(at(adjusted({ contrast: -100 }, grey), 0, 0)).to.deep.equal([128, 128, 128]);
    const [red = 0, , blue = 0] = at(adjusted({ temperature: 60 }, grey), 0, 0);
    expect(red).to.be.above(blue);
    const [coldRed = 0, , coldBlue = 0] = at(adjusted({ temperature: -60 }, grey), 0, 0);
    expect(coldRed).to.be.below(coldBlue);
  });

  it('tints as far as it is told, up to the colour itself', () => {
    expect(at(adjusted({ tint: { colour: '#204060', strength: 100 } }), 5, 5)).to.deep.equal([
      0x20, 0x40, 0x60,
    ]);
    const half = adjusted({ tint: { colour: '#000000', strength: 50 } }, flatPixels(4, 4, [200, 100, 50]));
    expect(at(half, 0, 0)).to.deep.equal([100, 50, 25]);
  });

  it('sets two tones: black becomes the dark one, white the light one', () => {
    const twoTone = { dark: '#102030', light: '#f0e0d0', strength: 100 };
    expect(at(adjusted({ twoTone }, flatPixels(2, 2, [0, 0, 0])), 0, 0)).to.deep.equal([0x10, 0x20, 0x30]);
    expect(at(adjusted({ twoTone }, flatPixels(2, 2, [255, 255, 255])), 0, 0)).to.deep.equal([
      0xf0, 0xe0, 0xd0,
    ]);
  });

  it('darkens toward the side that it is told, and leaves the other', () => {
    const white = flatPixels(size.width, size.height, [255, 255, 255]);
    const sides = { top: [20, 0], bottom: [20, 23], left: [0, 12], right: [39, 12], rim: [0, 0] } as const;
    for (const [toward, [x, y]] of Object.entries(sides)) {
      const dark = adjusted({ darken: { toward: toward as keyof typeof sides, strength: 100 } }, white);
      const [there = 0] = at(dark, x, y);
      const [across = 0] =
        toward === 'rim' ? at(dark, 20, 12) : at(dark, size.width - 1 - x, size.height - 1 - y);
      expect(there, toward).to.be.below(40);
      expect(across, toward).to.be.above(245);
    }
  });

  it('grains each px of the screen alike, however many pixels it is drawn with', () => {
    const area = { x: 0, y: 0, width: 20, height: 10 };
    const [one, two] = [1, 2].map((density) => {
      const pixels = flatPixels(20 * density, 10 * density, [128, 128, 128]);
      adjustPixels(pixels, { ...plain, grain: 80 }, area, area);
      return pixels;
    });
    if (!one || !two) throw new Error('nothing was drawn');
    expect(new Set(one.data).size).to.be.above(20);
    for (let y = 0; y < 10; y++)
      for (let x = 0; x < 20; x++) expect(at(two, 2 * x, 2 * y)).to.deep.equal(at(one, x, y));
  });
});

describe('blurring', () => {
  it('spreads a point as wide as it is told, and loses nothing of it', () => {
    for (const sigma of [2, 5, 7, 11, 16, 20]) {
      const pixels = flatPixels(121, 121, [0, 0, 0]);
      pixels.data.set([255, 255, 255], (60 * 121 + 60) * 4);
      // One point fades under the steps of eight bits: a row of them does not.
      for (let y = 0; y < 121; y++) pixels.data.set([255, 255, 255], (y * 121 + 60) * 4);
      blurPixels(pixels, sigma);
      let sum = 0;
      let spread = 0;
      for (let x = 0; x < 121; x++) {
        const [value = 0] = at(pixels, x, 60);
        sum += value;
        spread += value * (x - 60) ** 2;
      }
      expect(Math.sqrt(spread / sum), `sigma ${sigma}`).to.be.closeTo(sigma, sigma * 0.12 + 0.4);
    }
  });

  it('leaves one colour as it is, up to the very side', () => {
    const pixels = flatPixels(30, 20, [200, 90, 40]);
    blurPixels(pixels, 6);
    expect(pixels.data).to.deep.equal(flatPixels(30, 20, [200, 90, 40]).data);
  });

  it('makes a bell curve of a hard edge, also where a wide one is done on a smaller picture', () => {
    // The share of a bell curve below x (Abramowitz and Stegun 26.2.17).
    const below = (x: number): number => {
      if (x < 0) return 1 - below(-x);
      const t = 1 / (1 + 0.2316419 * x);
      const sum = [0.31938153, -0.356563782, 1.781477937, -1.821255978, 1.330274429]
        .map((factor, index) => factor * t ** (index + 1))
        .reduce((total, one) => total + one, 0);
      return 1 - (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) * sum;
    };
    // Lengths that cells of two, four and eight don't divide.
    for (const sigma of [3.3, 4, 6, 9, 12, 20, 33, 45]) {
      const [long, wide] = [Math.round(12 * sigma) + 7, 11];
      const edge = Math.floor(long / 2);
      for (const isAcross of [true, false]) {
        const [width, height] = isAcross ? [long, wide] : [wide, long];
        const pixels = flatPixels(width, height, [30, 60, 90]);
        for (let y = 0; y < height; y++)
          for (let x = 0; x < width; x++)
            if ((isAcross ? x : y) >= edge) pixels.data.set([240, 200, 160], (y * width + x) * 4);
        blurPixels(pixels, sigma);
        for (let along = 0; along < long; along++) {
          const [value = 0] = isAcross ? at(pixels, along, 5) : at(pixels, 5, along);
          const expected = 30 + 210 * below((along + 0.5 - edge) / sigma);
          expect(Math.abs(value - expected), `${sigma}, ${along} of ${long}`).to.be.at.most(7);
        }
      }
    }
  });

  it('agrees with the blur of another library', async () => {
    const from = noisy(80, 60);
    const theirs = await decode(
      await sharp(from.data, { raw: { width: 80, height: 60, channels: 4 } })
        .removeAlpha()
        .blur(3)
        .png()
        .toBuffer(),
    );
    blurPixels(from, 3);
    let off = 0;
    for (let index = 0; index < from.data.length; index++)
      off += Math.abs((from.data[index] ?? 0) - (theirs.data[index] ?? 0));
    expect(off / from.data.length).to.be.below(2.5);
  });
});

describe('gradients', () => {
  const gradient = (change: Partial<DrawnGradient> = {}): DrawnGradient => ({
    kind: 'gradient',
    shape: 'linear',
    angle: 90,
    centre: { x: 0.5, y: 0.5 },
    points: [
      { at: 0, colour: '#1040ff' },
      { at: 1, colour: '#ffd000' },
    ],
    ...change,
  });
  const paint = (drawn: DrawnGradient, width = 300, height = 40) =>
    paintGradient(drawn, { whole: { width, height }, part: { x: 0, y: 0, width, height }, width, height });
  const hexOf = (rgb: number[]) => `#${rgb.map((value) => value.toString(16).padStart(2, '0')).join('')}`;

  it('runs from its first colour to its last, and stays colourful between two opposite ones', () => {
    const pixels = paint(gradient());
    expect(at(pixels, 0, 20)[2]).to.be.above(245);
    expect(at(pixels, 299, 20)[0]).to.be.above(250);
    // Mixed in sRGB the middle of blue and yellow is grey (its chroma would be under 0.02).
    expect(toLch(hexOf(at(pixels, 150, 20))).c).to.be.above(0.04);
  });

  it('turns with its angle, and a radial one is the same in every direction', () => {
    const upward = paint(gradient({ angle: 0 }), 60, 60);
    expect(at(upward, 30, 58)[2]).to.be.above(at(upward, 30, 1)[2] ?? 255);
    const round = paint(gradient({ shape: 'radial' }), 61, 61);
    const [left = 0] = at(round, 5, 30);
    for (const [x, y] of [
      [55, 30],
      [30, 5],
      [30, 55],
    ] as const)
      expect(at(round, x, y)[0]).to.be.closeTo(left, 3);
  });

  it('is dithered: a blend over few steps has no bands', () => {
    const pixels = paint(
      gradient({
        points: [
          { at: 0, colour: '#202020' },
          { at: 1, colour: '#282828' },
        ],
      }),
      800,
      20,
    );
    let runs = 0;
    for (let x = 1; x < 800; x++) if (at(pixels, x, 10)[0] !== at(pixels, x - 1, 10)[0]) runs++;
    expect(runs, 'changes along a row; bands would have eight').to.be.above(150);
  });

  it('shows on each screen its own part of the whole', () => {
    const all = paintGradient(gradient(), {
      whole: { width: 200, height: 40 },
      part: { x: 0, y: 0, width: 200, height: 40 },
      width: 200,
      height: 40,
    });
    const right = paintGradient(gradient(), {
      whole: { width: 200, height: 40 },
      part: { x: 100, y: 0, width: 100, height: 40 },
      width: 100,
      height: 40,
    });
    for (const x of [0, 50, 99]) expect(at(right, x, 9)[0]).to.be.closeTo(at(all, 100 + x, 9)[0] ?? 0, 2);
  });
});

describe('how a picture lies', () => {
  const screen = { width: 1600, height: 900 };
  const middle = { x: 0.5, y: 0.5 };

  it('covers, is contained, is stretched, or stands pixel for pixel', () => {
    const picture = { width: 800, height: 800 };
    expect(fitPicture('cover', picture, screen, middle)).to.deep.equal([
      { x: 0, y: -350, width: 1600, height: 1600 },
    ]);
    expect(fitPicture('contain', picture, screen, middle)).to.deep.equal([
      { x: 350, y: 0, width: 900, height: 900 },
    ]);
    expect(fitPicture('stretch', picture, screen, middle)).to.deep.equal([
      { x: 0, y: 0, width: 1600, height: 900 },
    ]);
    expect(fitPicture('centre', picture, screen, middle)).to.deep.equal([
      { x: 400, y: 50, width: 800, height: 800 },
    ]);
    expect(fitPicture('centre', picture, { width: 3200, height: 1800 }, middle, 2)[0]?.width).to.equal(1600);
  });

  it('keeps its focal point in view wherever it is', () => {
    fc.assert(
      fc.property(
        fc.record({ width: fc.integer({ min: 20, max: 6000 }), height: fc.integer({ min: 20, max: 6000 }) }),
        fc.record({
          x: fc.double({ min: 0, max: 1, noNaN: true }),
          y: fc.double({ min: 0, max: 1, noNaN: true }),
        }),
        (picture, focal) => {
          const [rect] = fitPicture('cover', picture, screen, focal);
          if (!rect) throw new Error('no rectangle');
          const x = rect.x + focal.x * rect.width;
          const y = rect.y + focal.y * rect.height;
          expect(x).to.be.within(-1e-6, screen.width + 1e-6);
          expect(y).to.be.within(-1e-6, screen.height + 1e-6);
          expect(rect.x).to.be.at.most(1e-6);
          expect(rect.x + rect.width).to.be.at.least(screen.width - 1e-6);
        },
      ),
    );
  });

  it('tiles without a gap, and does not drown in tiles of one pixel', () => {
    const tiles = fitPicture('tile', { width: 90, height: 70 }, screen, { x: 0.3, y: 0.8 });
    const covered = tiles.reduce((sum, tile) => {
      const across = Math.min(1600, tile.x + tile.width) - Math.max(0, tile.x);
      const down = Math.min(900, tile.y + tile.height) - Math.max(0, tile.y);
      return sum + Math.max(0, across) * Math.max(0, down);
    }, 0);
    expect(covered).to.be.closeTo(1600 * 900, 1);
    expect(fitPicture('tile', { width: 1, height: 1 }, screen, middle).length).to.be.below(5000);
  });

  it('says how far its pixels are stretched', () => {
    expect(stretchOf('cover', { width: 400, height: 300 }, screen)).to.equal(4);
    expect(stretchOf('contain', { width: 400, height: 300 }, screen)).to.equal(3);
    expect(stretchOf('tile', { width: 4, height: 3 }, screen)).to.equal(1);
    expect(turnedSize({ width: 3, height: 5 }, 90)).to.deep.equal({ width: 5, height: 3 });
  });
});

describe('blocks of compression', () => {
  async function packed(quality: number): Promise<number> {
    const { data } = paintGradient(
      {
        kind: 'gradient',
        shape: 'radial',
        angle: 0,
        centre: { x: 0.3, y: 0.4 },
        points: [
          { at: 0, colour: '#f0d0a0' },
          { at: 1, colour: '#203050' },
        ],
      },
      {
        whole: { width: 512, height: 384 },
        part: { x: 0, y: 0, width: 512, height: 384 },
        width: 512,
        height: 384,
      },
    );
    const jpeg = await sharp(data, { raw: { width: 512, height: 384, channels: 4 } })
      .removeAlpha()
      .jpeg({ quality })
      .toBuffer();
    return blockiness(await decode(jpeg));
  }

  it('are seen in a strongly packed picture and not in a well packed one', async () => {
    expect(await packed(8)).to.be.above(VISIBLE_BLOCKS);
    expect(await packed(92)).to.be.below(VISIBLE_BLOCKS);
  });

  it('are not seen where there are none: noise, one colour, hard edges', () => {
    expect(blockiness(noisy(200, 160))).to.be.closeTo(1, 0.2);
    expect(blockiness(flatPixels(64, 64, [90, 90, 90]))).to.equal(1);
  });
});
