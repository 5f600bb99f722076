import { expect } from 'chai';
import fc from 'fast-check';
import { createRandom } from '../sources/noise.ts';
import {
  contrast,
  deltaE,
  fromLab,
  hexOf,
  isColourString,
  mix,
  toHex,
  toLab,
  toLch,
} from '../values/colour.ts';
import { extractPalette, type Pixels } from './extract.ts';
import { paletteOf, surfaceOf } from './look.ts';
import type { Roles } from './roles.ts';
import { readableOn } from './readable.ts';
import { APCA_BODY, apcaContrast } from './apca.ts';
import { schemeNames, type SchemeName } from './schema.ts';
import { drawRoles, surfaceRoles } from './scheme.ts';
import { seenBy } from './eyes.ts';
import { skyColour } from './sky.ts';
import { roles } from '../values/roles.ts';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);

describe('colour strings', () => {
  it('takes hex and OKLCH, and nothing else', () => {
    for (const good of ['#fff', '#A1b2C3', 'oklch(70% 0.1 200)', 'oklch(0.7 0.1 200)'])
      expect(isColourString(good), good).to.equal(true);
    for (const bad of ['red', '#12', '#1234567', 'oklch(x)', 'rgb(1,2,3)', ''])
      expect(isColourString(bad), bad).to.equal(false);
  });

  it('comes back from OKLCH as it went in', () => {
    fc.assert(
      fc.property(hex, (colour) => {
        expect(toHex(toLch(colour))).to.equal(colour);
      }),
      { numRuns: 1000 },
    );
  });

  it('mixes from one end to the other', () => {
    expect(mix('#102030', '#f0e0d0', 0)).to.equal('#102030');
    expect(mix('#102030', '#f0e0d0', 1)).to.equal('#f0e0d0');
  });
});

describe('readableOn', () => {
  it('reaches 4.5:1 for any text on any surface, and keeps what reaches it already', () => {
    fc.assert(
      fc.property(hex, hex, (text, surface) => {
        const answer = readableOn(text, surface);
        expect(contrast(answer, surface)).to.be.at.least(4.5);
        if (contrast(text, surface) >= 4.5) expect(answer).to.equal(text);
      }),
      { numRuns: 1000 },
    );
  });

  it('moves no further than it must', () => {
    const answer = readableOn('#777777', '#ffffff');
    expect(contrast(answer, '#ffffff')).to.be.within(4.5, 4.7);
  });
});

describe('apcaContrast', () => {
  it('agrees with published values', () => {
    // From the reference implementation's own test pairs.
    expect(apcaContrast('#888888', '#ffffff')).to.be.closeTo(63.06, 0.1);
    expect(apcaContrast('#ffffff', '#888888')).to.be.closeTo(-68.54, 0.1);
    expect(apcaContrast('#000000', '#aaaaaa')).to.be.closeTo(58.15, 0.1);
    expect(apcaContrast('#aaaaaa', '#000000')).to.be.closeTo(-56.24, 0.1);
  });

  it('is nothing between a colour and itself', () => {
    expect(apcaContrast('#336699', '#336699')).to.equal(0);
  });
});

describe('palette', () => {
  const dark = Object.fromEntries(roles.map((role) => [role, '#222222'])) as Roles;

  it('is the same object for the same roles', () => {
    expect(paletteOf(dark)).to.equal(paletteOf(dark));
  });

  it('keeps a one-off colour and follows a role', () => {
    const palette = paletteOf({ ...dark, accent: '#e0b070' });
    expect(palette.colour('accent')).to.equal('#e0b070');
    expect(palette.colour('#123456')).to.equal('#123456');
  });

  it('makes text readable on a surface even when the roles would not be', () => {
    const finish = {
      kind: 'matte',
      tint: 'surface',
      opacity: 100,
      blur: 0,
      radius: 0,
      edgeLine: 0,
      shadow: 0,
    } as const;
    const surface = surfaceOf(finish, paletteOf(dark));
    expect(contrast(surface.ink, '#222222')).to.be.at.least(4.5);
    expect(surface.fill).to.equal('#222222ff');
  });
});

describe('drawRoles', () => {
  const swatches = fc.array(
    fc.record({ colour: hex, share: fc.double({ min: 0.001, max: 1, noNaN: true }) }),
    { maxLength: 8 },
  );

  it('gives text roles that reach WCAG 4.5:1 and APCA Lc 60 on every surface, from any swatches, by any scheme', () => {
    fc.assert(
      fc.property(swatches, fc.constantFrom(...schemeNames), (list, scheme) => {
        const drawn = drawRoles(list, scheme);
        for (const half of ['light', 'dark'] as const) {
          for (const text of ['ink', 'softInk'] as const) {
            for (const surface of surfaceRoles) {
              const name = `${scheme} ${half} ${text} ${surface}`;
              expect(contrast(drawn[half][text], drawn[half][surface]), name).to.be.at.least(4.5);
              expect(Math.abs(apcaContrast(drawn[half][text], drawn[half][surface])), name).to.be.at.least(
                APCA_BODY,
              );
            }
          }
        }
      }),
      { numRuns: 3000 },
    );
  }).timeout(60_000);

  const dusk = [
    { colour: '#232a3c', share: 0.7 },
    { colour: '#c9824a', share: 0.2 },
    { colour: '#5f8f86', share: 0.1 },
  ];
  const chromaOf = (colour: string) => toLch(colour).c;
  const hueGap = (a: string, b: string) => Math.abs(((toLch(a).h - toLch(b).h + 540) % 360) - 180);

  it('tells its schemes apart: vivid has more chroma than calm, muted less', () => {
    const accent = (scheme: SchemeName) => chromaOf(drawRoles(dusk, scheme).dark.accent);
    expect(accent('vivid')).to.be.greaterThan(accent('calm'));
    expect(accent('muted')).to.be.below(accent('calm'));
  });

  it('keeps to one hue, takes two, or sets one across from the other', () => {
    const gap = (scheme: SchemeName) => {
      const { accent, second } = drawRoles(dusk, scheme).dark;
      return hueGap(accent, second);
    };
    expect(gap('single')).to.be.below(6);
    expect(gap('two')).to.be.greaterThan(35);
    expect(gap('opposite')).to.be.greaterThan(165);
  });

  it('keeps accent, second and alert apart, to the usual eyes and to three others, whatever the swatches', () => {
    const vivid = fc
      .tuple(fc.integer({ min: 0, max: 359 }), fc.double({ min: 0.3, max: 0.9, noNaN: true }))
      .map(([h, l]) => [{ colour: toHex({ l, c: 0.16, h }), share: 1 }]);
    const marks = ['accent', 'second', 'alert'] as const;
    fc.assert(
      fc.property(fc.oneof(swatches, vivid), fc.constantFrom(...schemeNames), (list, scheme) => {
        const drawn = drawRoles(list, scheme);
        for (const half of ['light', 'dark'] as const) {
          for (const [a, b] of [
            [0, 1],
            [0, 2],
            [1, 2],
          ] as const) {
            const pair = [drawn[half][marks[a]], drawn[half][marks[b]]] as const;
            const name = `${scheme} ${half} ${marks[a]} ${marks[b]} ${pair.join()}`;
            expect(deltaE(...pair), name).to.be.at.least(12);
            for (const eyes of ['protan', 'deutan', 'tritan'] as const)
              expect(deltaE(seenBy(eyes, pair[0]), seenBy(eyes, pair[1])), `${name} ${eyes}`).to.be.at.least(
                6,
              );
          }
        }
      }),
      { numRuns: 400 },
    );
  }).timeout(60_000);

  it('gives greys and one chosen accent to what is grey, however its greys lean', () => {
    const greys = fc.array(
      fc.record({
        colour: fc
          .tuple(fc.integer({ min: 0, max: 250 }), fc.integer({ min: 0, max: 4 }))
          .map(([v, lean]) => `#${[v, v, v + lean].map((c) => c.toString(16).padStart(2, '0')).join('')}`),
        share: fc.double({ min: 0.01, max: 1, noNaN: true }),
      }),
      { maxLength: 8 },
    );
    fc.assert(
      fc.property(greys, fc.constantFrom(...schemeNames), (list, scheme) => {
        for (const roles of Object.values(drawRoles(list, scheme))) {
          for (const role of ['ground', 'surface', 'raised', 'ink', 'softInk', 'second'] as const)
            expect(chromaOf(roles[role]), `${role} ${roles[role]}`).to.be.below(0.004);
          expect(chromaOf(roles.accent)).to.be.above(scheme === 'muted' ? 0.03 : 0.06);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('takes the accent from the most colourful swatch', () => {
    const { dark } = drawRoles([
      { colour: '#1c2430', share: 0.9 },
      { colour: '#d9822b', share: 0.02 },
      { colour: '#5a6472', share: 0.08 },
    ]);
    expect(Math.abs(toLch(dark.accent).h - toLch('#d9822b').h)).to.be.below(8);
  });
});

/** A picture of areas of known colours, with noise of so many steps. */
function picture(areas: [colour: string, share: number][], noise: number, seed = 1): Pixels {
  const [width, height] = [320, 180];
  const data = new Uint8Array(width * height * 4);
  const random = createRandom(seed);
  let area = 0;
  let until = (areas[0]?.[1] ?? 1) * width * height;
  for (let pixel = 0; pixel < width * height; pixel++) {
    while (pixel >= until && area < areas.length - 1) until += (areas[++area]?.[1] ?? 0) * width * height;
    const value = parseInt((areas[area]?.[0] ?? '#000000').slice(1), 16);
    for (let channel = 0; channel < 3; channel++) {
      const plain = (value >> (16 - channel * 8)) & 255;
      data[pixel * 4 + channel] = Math.max(
        0,
        Math.min(255, plain + Math.round((random() - 0.5) * 2 * noise)),
      );
    }
    data[pixel * 4 + 3] = 255;
  }
  return { width, height, data };
}

describe('extractPalette', () => {
  const known: [string, number][] = [
    ['#20303a', 0.6],
    ['#6a8f8a', 0.25],
    ['#e9dcc0', 0.14],
    ['#d4622a', 0.01],
  ];
  for (const noise of [0, 12]) {
    it(`finds known colours, a small accent among them, with their shares (noise ${noise})`, () => {
      const found = extractPalette(picture(known, noise), 6);
      for (const [colour, share] of known) {
        const nearest = found.toSorted((a, b) => deltaE(a.colour, colour) - deltaE(b.colour, colour))[0];
        expect(deltaE(nearest?.colour ?? '#000000', colour), colour).to.be.below(1.5);
        expect(nearest?.share, colour).to.be.closeTo(share, 0.03);
      }
    });
  }

  it('stands its swatches along a gradient nearly as well as they can stand', () => {
    const stops = ['#10363c', '#2f7f79', '#e8dcb8'].map((colour) => toLab(colour));
    const [width, height] = [400, 240];
    // Four runs: down, across, aslant, around a middle.
    const ways = [
      (_x: number, y: number) => y,
      (x: number) => x,
      (x: number, y: number) => (x + y) / 2,
      (x: number, y: number) => Math.min(1, Math.hypot(x - 0.5, y - 0.5) / 0.7),
    ];
    for (const way of ways) {
      const data = new Uint8Array(width * height * 4);
      for (let pixel = 0; pixel < width * height; pixel++) {
        const at = way((pixel % width) / width, Math.floor(pixel / width) / height) * 2;
        const from = Math.min(1, Math.floor(at));
        const lab = [0, 1, 2].map(
          (d) => (stops[from]?.[d] ?? 0) * (1 - at + from) + (stops[from + 1]?.[d] ?? 0) * (at - from),
        ) as [number, number, number];
        const value = parseInt(fromLab(lab).slice(1), 16);
        data.set([value >> 16, (value >> 8) & 255, value & 255, 255], pixel * 4);
      }
      const found = extractPalette({ width, height, data }, 8);
      let sum = 0;
      let count = 0;
      for (let pixel = 0; pixel < width * height; pixel += 131) {
        const hex = `#${[0, 1, 2].map((c) => (data[pixel * 4 + c] ?? 0).toString(16).padStart(2, '0')).join('')}`;
        sum += Math.min(...found.map(({ colour }) => deltaE(colour, hex)));
        count++;
      }
      // Eight swatches evenly along the way are off by a thirty-second of its length.
      const long = [0, 1].reduce(
        (length, index) =>
          length +
          100 * Math.hypot(...[0, 1, 2].map((d) => (stops[index]?.[d] ?? 0) - (stops[index + 1]?.[d] ?? 0))),
        0,
      );
      expect(sum / count).to.be.below((1.3 * long) / 32);
    }
  });

  it('says one colour of a flat picture, and none of a clear one', () => {
    expect(extractPalette(picture([['#336699', 1]], 0))).to.deep.equal([{ colour: '#336699', share: 1 }]);
    expect(extractPalette({ width: 2, height: 2, data: new Uint8Array(16) })).to.deep.equal([]);
  });

  it('gives shares that add up to one', () => {
    const total = extractPalette(picture(known, 20), 12).reduce((sum, { share }) => sum + share, 0);
    expect(total).to.be.closeTo(1, 0.02);
  });
});

describe('skyColour', () => {
  it('goes from night to day without a jump', () => {
    let before = skyColour(-40);
    for (let altitude = -40; altitude <= 70; altitude += 0.25) {
      const colour = skyColour(altitude);
      expect(deltaE(colour, before), `at ${altitude}°`).to.be.below(4);
      before = colour;
    }
    expect(toLch(skyColour(50)).l).to.be.above(toLch(skyColour(-30)).l + 0.5);
    expect(hexOf(skyColour(90))).to.equal(skyColour(90));
  });
});
