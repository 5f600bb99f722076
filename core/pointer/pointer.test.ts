import { expect } from 'chai';
import sharp from 'sharp';
import { pointerSets } from './schema.ts';
import { drawPointer, pointerShapes } from './pointer.ts';

describe('pointers', () => {
  for (const set of pointerSets) {
    it(`${set}: every shape is a picture of its size, coloured as asked, with its tip inside`, async () => {
      for (const shape of pointerShapes) {
        const { svg, hotSpot } = drawPointer(shape, { set, size: 48, colour: '#ff0000', line: '#0000ff' });
        const { data, info } = await sharp(Buffer.from(svg))
          .ensureAlpha()
          .raw()
          .toBuffer({ resolveWithObject: true });
        expect([info.width, info.height], shape).to.deep.equal([48, 48]);
        let red = 0;
        let blue = 0;
        for (let at = 0; at < data.length; at += 4) {
          if ((data[at + 3] ?? 0) < 200) continue;
          if ((data[at] ?? 0) > 200) red++;
          if ((data[at + 2] ?? 0) > 200) blue++;
        }
        expect(red, `${shape} filled`).to.be.above(30);
        expect(blue, `${shape} lined`).to.be.above(10);
        for (const along of hotSpot) expect(along, shape).to.be.within(0, 47);
      }
    });
  }

  it('are no two alike', () => {
    const arrows = pointerSets.map(
      (set) => drawPointer('arrow', { set, size: 32, colour: '#fff', line: '#000' }).svg,
    );
    expect(new Set(arrows).size).to.equal(pointerSets.length);
  });
});
