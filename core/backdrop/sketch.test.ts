import { expect } from 'chai';
import sharp from 'sharp';
import { bakedPixels, decode } from '../../tests/support/pixels.ts';
import type { Pixels } from '../colour/extract.ts';
import type { Drawn, DrawnAdjust, DrawnSource } from './drawn.ts';
import { plainMotif } from './motifs.ts';
import { motifNames } from './names.ts';
import { plainAdjust } from './schema.ts';
import { sketchOf } from './sketch.ts';

const neutral: DrawnAdjust = {
  ...plainAdjust,
  twoTone: { dark: '#102030', light: '#f0e0d0', strength: 0 },
  tint: { colour: '#804020', strength: 0 },
};
const whole = { width: 320, height: 180 };

function drawn(source: DrawnSource, adjust: Partial<DrawnAdjust> | null, part?: Drawn['part']): Drawn {
  const made = adjust && { ...neutral, ...adjust };
  return { source, adjust: made, whole, part: part ?? { x: 0, y: 0, ...whole }, ground: '#203040' };
}

/** How far two pictures are apart: the mean over all channels, in bytes. */
function apart(one: Pixels, other: Pixels): number {
  expect([one.width, one.height]).to.deep.equal([other.width, other.height]);
  let sum = 0;
  for (let at = 0; at < one.data.length; at++) sum += Math.abs((one.data[at] ?? 0) - (other.data[at] ?? 0));
  return sum / (one.data.length * 0.75);
}

const gradient = (shape: 'linear' | 'radial', angle: number): DrawnSource => ({
  kind: 'gradient',
  shape,
  angle,
  centre: { x: 0.3, y: 0.6 },
  points: [
    { at: 0.1, colour: '#d04020' },
    { at: 0.6, colour: '#2060c0' },
    { at: 1, colour: '#f0f0e0' },
  ],
});

describe('a sketch of a backdrop', () => {
  const cases: [string, Drawn][] = [
    ...motifNames.map((motif): [string, Drawn] => [
      motif,
      drawn({ kind: 'motif', ...plainMotif(motif, 5) }, { contrast: 20, temperature: -30 }),
    ]),
    ['a level gradient', drawn(gradient('linear', 90), null)],
    ['a slanting gradient', drawn(gradient('linear', 217), { saturation: -60 })],
    ['a round gradient', drawn(gradient('radial', 0), { twoTone: { ...neutral.twoTone, strength: 70 } })],
    ['a part of a surface', drawn(gradient('linear', 30), null, { x: 80, y: 45, width: 160, height: 90 })],
    ...(['top', 'right', 'bottom', 'left', 'rim'] as const).map((toward): [string, Drawn] => [
      `darkened from ${toward}`,
      drawn(gradient('linear', 0), { darken: { toward, strength: 80 } }),
    ]),
  ];
  for (const [name, one] of cases) {
    it(`is what its pixels will be, but for a breath of grain: ${name}`, async () => {
      const { width, height } = one.part;
      const sketch = await decode(
        await sharp(Buffer.from(sketchOf(one) ?? ''))
          .png()
          .toBuffer(),
      );
      expect(apart(sketch, await bakedPixels(one, { width, height }))).to.be.below(4);
    });
  }

  it('is blurred about as much', async () => {
    const sharpOne = drawn(gradient('linear', 90), { brightness: 5 });
    const soft = drawn({ kind: 'motif', ...plainMotif('headland', 5) }, { blur: 9 });
    const inner = (pixels: Buffer) =>
      sharp(pixels).extract({ left: 30, top: 30, width: 260, height: 120 }).png().toBuffer().then(decode);
    const baked = await bakedPixels(soft, whole);
    const raw = { raw: { width: 320, height: 180, channels: 4 as const } };
    const cut = await inner(await sharp(baked.data, raw).png().toBuffer());
    expect(apart(await inner(Buffer.from(sketchOf(soft) ?? '')), cut)).to.be.below(6);
    expect(sketchOf(sharpOne)).not.to.contain('feGaussianBlur');
  });

  it('is not there for a picture of one’s own', () => {
    const picture = {
      kind: 'picture',
      picture: 'a'.repeat(64),
      fit: 'cover',
      focal: { x: 0.5, y: 0.5 },
    } as const;
    expect(sketchOf(drawn({ ...picture, turn: 0, mirror: false }, null))).to.equal(null);
  });
});
