import { expect } from 'chai';
import sharp from 'sharp';
import { sceneNames } from './names.ts';
import { drawScene, plainScene } from './scenes.ts';

describe('drawn scenes', () => {
  for (const scene of sceneNames) {
    it(`${scene} is the same for the same seed, another for another, and fills the picture`, async () => {
      const svg = drawScene(plainScene(scene, 7), 640, 360);
      expect(drawScene(plainScene(scene, 7), 640, 360)).to.equal(svg);
      expect(drawScene(plainScene(scene, 8), 640, 360)).not.to.equal(svg);
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
