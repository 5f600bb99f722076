import { expect } from 'chai';
import fc from 'fast-check';
import sharp from 'sharp';
import { moon } from './moon.ts';
import { factsOf, motifNames } from './names.ts';
import { drawMotif, plainMotif, type MotifSpec } from './motifs.ts';

describe('drawn motifs', () => {
  for (const motif of motifNames) {
    it(`${motif} is the same for the same seed, another for another, and fills the picture`, async () => {
      const svg = drawMotif(plainMotif(motif, 7), 640, 360);
      expect(drawMotif(plainMotif(motif, 7), 640, 360)).to.equal(svg);
      expect(drawMotif(plainMotif(motif, 8), 640, 360)).not.to.equal(svg);
      expect(svg).not.to.match(/NaN|undefined|Infinity/);
      const { data, info } = await sharp(Buffer.from(svg))
        .ensureAlpha()
        .raw()
        .toBuffer({ resolveWithObject: true });
      expect([info.width, info.height]).to.deep.equal([640, 360]);
      let clear = 0;
      for (let at = 3; at < data.length; at += 4) if ((data[at] ?? 0) < 255) clear++;
      expect(clear, 'pixels that show through').to.equal(0);
      // A picture worth having has many tones.
      expect((await sharp(Buffer.from(svg)).stats()).entropy).to.be.above(3);
    });
  }
});

describe('drawn motifs, whatever they are told', () => {
  const spec = fc.constantFrom(...motifNames).chain((motif) =>
    fc.record({
      motif: fc.constant(motif),
      seed: fc.nat(2 ** 31 - 1),
      controls: fc.record(
        Object.fromEntries(
          // Beyond what the column offers, too: a document may hold anything between 0 and 100.
          factsOf(motif).controls.map(({ id }) => [id, fc.constantFrom(0, 0.5, 37.3, 99.9, 100)]),
        ),
      ),
      colours: fc.constantFrom(null, ['#102030'], ['#000000', '#ffffff'], ['#1d2b3a', '#8a5b87', '#f2d7a0']),
      sky: fc.option(
        fc.record({
          sun: fc.integer({ min: -90, max: 90 }),
          isRising: fc.boolean(),
          moon: fc.integer({ min: -90, max: 90 }),
          phase: fc.constantFrom(0, 0.04, 0.24, 0.48, 0.52, 0.76, 1),
        }),
      ),
    }),
  );

  it('are whole numbers and colours all through, small enough to draw, and read as SVG', async function () {
    this.timeout(240_000);
    await fc.assert(
      fc.asyncProperty(spec, async (told) => {
        const svg = drawMotif(told as MotifSpec, 96, 54);
        expect(svg).not.to.match(/NaN|undefined|Infinity|null|="-?\d*e/);
        expect(svg.length).to.be.below(2_000_000);
        for (const [, colour] of svg.matchAll(/(?:fill|stroke|stop-color)="([^"]*)"/g))
          expect(colour).to.match(/^(#[0-9a-f]{6}|none|url\(#[\w-]+\))$/);
        // What is referred to is there.
        const defined = new Set([...svg.matchAll(/ id="([^"]+)"/g)].map(([, id]) => id));
        for (const [, id] of svg.matchAll(/url\(#([^)]+)\)/g)) expect(defined).to.include(id);
        const { channels } = await sharp(Buffer.from(svg)).ensureAlpha().stats();
        expect(channels[3]?.min).to.equal(255);
      }),
      { numRuns: 40 },
    );
  });

  it('are as wide as the screen they are for: nothing is stretched, the middle stays in the middle', async () => {
    for (const motif of motifNames) {
      const pixels = (width: number, height: number) =>
        sharp(Buffer.from(drawMotif(plainMotif(motif, 3), width, height))).removeAlpha();
      const wide = pixels(480, 270);
      const upright = await pixels(152, 270).raw().toBuffer();
      const cut = await wide.extract({ left: 164, top: 0, width: 152, height: 270 }).raw().toBuffer();
      let sum = 0;
      for (let at = 0; at < cut.length; at++) sum += Math.abs((cut[at] ?? 0) - (upright[at] ?? 0));
      expect(sum / cut.length, motif).to.be.below(3);
    }
  });
});

describe('the moon', () => {
  /** Px of the disc that are lit, of those left and right of its middle. */
  async function litPixels(phase: number): Promise<{ left: number; right: number }> {
    const svg =
      `<svg xmlns="http://www.w3.org/2000/svg" width="200" height="200"><rect width="200" height="200"/>` +
      `${moon({ x: 100, y: 100, r: 80, phase })}</svg>`;
    const { data } = await sharp(Buffer.from(svg)).greyscale().raw().toBuffer({ resolveWithObject: true });
    const lit = { left: 0, right: 0 };
    data.forEach((value, at) => {
      if (value > 128) lit[at % 200 < 100 ? 'left' : 'right']++;
    });
    return lit;
  }
  const disc = Math.PI * 80 ** 2;

  it('shows as much of its disc lit as its phase has, on the side that it is lit from', async () => {
    for (const phase of [0.1, 0.25, 0.4, 0.5, 0.6, 0.75, 0.9]) {
      const { left, right } = await litPixels(phase);
      const share = (1 - Math.cos(phase * 2 * Math.PI)) / 2;
      expect((left + right) / disc, `phase ${phase}`).to.be.closeTo(share, 0.02);
      if (phase < 0.5) expect(right, `phase ${phase}`).to.be.greaterThan(left);
      if (phase > 0.5) expect(left, `phase ${phase}`).to.be.greaterThan(right);
    }
  });

  it('is not there when it is new', async () => {
    for (const phase of [0, 0.01, 1]) expect(await litPixels(phase)).to.deep.equal({ left: 0, right: 0 });
  });
});
