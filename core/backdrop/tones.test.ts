import { expect } from 'chai';
import fc from 'fast-check';
import { schemeNames } from '../colour/schema.ts';
import { tonesOf, withPalettes } from './read-tones.ts';
import { isDark, packTones, toneBehind, unpackTones, type Tones } from './tones.ts';

/** A picture of greys, by where they are. */
function picture(width: number, height: number, at: (x: number, y: number) => number) {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) data.set([at(x, y), at(x, y), at(x, y), 255], (y * width + x) * 4);
  return { width, height, data };
}

const cell = ({ columns, cells }: Tones, column: number, row: number) => [
  ...cells.slice((row * columns + column) * 3, (row * columns + column) * 3 + 3),
];
const screen = { width: 1920, height: 1080 };
const everywhere = { x: 0, y: 0, ...screen };

describe('a map of tones', () => {
  it('has about 96 × 54 cells of a usual screen, as many along another as fit its shape, and never more than it has pixels', () => {
    const shape = (width: number, height: number) => {
      const { columns, rows, cells } = tonesOf(picture(width, height, () => 90));
      expect(cells.length).to.equal(columns * rows * 3);
      return [columns, rows];
    };
    expect(shape(480, 270)).to.deep.equal([96, 54]);
    expect(shape(270, 480)).to.deep.equal([54, 96]);
    expect(shape(480, 1)).to.deep.equal([255, 1]);
    expect(shape(1, 1)).to.deep.equal([1, 1]);
    expect(shape(3, 900)).to.deep.equal([3, 255]);
  });

  it('tells the darkest and the lightest fifth of each cell from the rest, by light and not by value', () => {
    // Columns of five pixels: one black, three grey, one white.
    const tones = tonesOf(picture(480, 270, (x) => [0, 120, 120, 120, 255][x % 5] ?? 0));
    expect(cell(tones, 7, 9)).to.deep.equal([0, 120, 255]);
    // Half black, half white has half of the light: a grey of 188.
    const half = tonesOf(picture(480, 270, (_x, y) => (y % 2 ? 255 : 0)));
    expect(cell(half, 0, 0)[1]).to.be.within(140, 210);
  });

  it('says how it is behind a rectangle: all but one in twenty of it', () => {
    const tones = tonesOf(picture(480, 270, (x) => (x < 240 ? 16 : 240)));
    expect(toneBehind(tones, screen, { x: 100, y: 100, width: 300, height: 200 }, [])).to.deep.equal({
      dark: 16,
      light: 16,
    });
    expect(toneBehind(tones, screen, everywhere, [])).to.deep.equal({ dark: 16, light: 240 });
    // A sliver of the light half is not seen; a tenth of it is.
    expect(toneBehind(tones, screen, { x: 0, y: 0, width: 980, height: 90 }, []).light).to.equal(16);
    expect(toneBehind(tones, screen, { x: 0, y: 0, width: 1080, height: 90 }, []).light).to.equal(240);
  });

  it('changes by little where a rectangle moves by little, and holds off the screen', () => {
    const tones = tonesOf(picture(480, 270, (x, y) => (x * 7 + y * 3) % 256));
    fc.assert(
      fc.property(
        fc.double({ min: -500, max: 2500, noNaN: true }),
        fc.double({ min: -500, max: 1500, noNaN: true }),
        fc.double({ min: 0.01, max: 3000, noNaN: true }),
        (x, y, width) => {
          const rect = { x, y, width, height: 60 };
          const { dark, light } = toneBehind(tones, screen, rect, []);
          expect(dark).to.be.within(0, light);
          expect(light).to.be.at.most(255);
          expect(toneBehind(tones, screen, { ...rect }, [])).to.deep.equal({ dark, light });
        },
      ),
    );
  });

  it('sees what covers it: so much of a colour, and a mean where that blurs', () => {
    const tones = tonesOf(picture(480, 270, (x) => [0, 120, 120, 120, 255][x % 5] ?? 0));
    const cover = { rect: everywhere, grey: 40, opacity: 1, blurs: false };
    const rect = { x: 400, y: 400, width: 200, height: 100 };
    expect(toneBehind(tones, screen, rect, [])).to.deep.equal({ dark: 0, light: 255 });
    expect(toneBehind(tones, screen, rect, [cover])).to.deep.equal({ dark: 40, light: 40 });
    expect(toneBehind(tones, screen, rect, [{ ...cover, opacity: 0, blurs: true }])).to.deep.equal({
      dark: 120,
      light: 120,
    });
    expect(toneBehind(tones, screen, rect, [{ ...cover, opacity: 0.5 }])).to.deep.equal({
      dark: 16,
      light: 152,
    });
    // The upper one counts last, and one that lies elsewhere not at all.
    const upper = { ...cover, grey: 200 };
    expect(toneBehind(tones, screen, rect, [cover, upper]).dark).to.equal(200);
    const away = { ...cover, rect: { x: 0, y: 0, width: 300, height: 300 } };
    expect(toneBehind(tones, screen, rect, [away])).to.deep.equal({ dark: 0, light: 255 });
  });

  it('tells a dark picture from a light one by its light, taken all together', () => {
    const of = (at: (x: number, y: number) => number) => isDark(tonesOf(picture(480, 270, at)));
    expect(of(() => 90)).to.equal(true);
    expect(of(() => 150)).to.equal(false);
    // A night with a lamp is dark, a day with a dark shore is light.
    expect(of((x) => (x < 40 ? 255 : 20))).to.equal(true);
    expect(of((_x, y) => (y > 200 ? 10 : 220))).to.equal(false);
  });

  it('leaves as bytes and comes back, and bytes that are none are refused', () => {
    const tones = withPalettes(picture(100, 40, (x, y) => (x + y) % 256));
    expect(unpackTones(packTones(tones))).to.deep.equal(tones);
    expect(Object.keys(tones.palettes ?? {})).to.deep.equal([...schemeNames]);
    const { palettes: _, ...bare } = tones;
    expect(unpackTones(packTones(bare))).to.deep.equal(bare);
    expect(unpackTones(packTones(tones).slice(0, -1))).to.equal(null);
    for (const bytes of [[], [1], [0, 0], [2, 2, 1, 1, 1], [255, 255]])
      expect(unpackTones(Uint8Array.from(bytes))).to.equal(null);
  });
});
