import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import sharp from 'sharp';
import { deltaE } from '../../core/colour/convert.ts';
import { WIDTHS, createRenderer, widthFor } from './render.ts';

describe('making pictures', () => {
  let folder: string;
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'velvet-render-'));
  });
  afterEach(() => rmSync(folder, { recursive: true }));

  it('rounds a width up to one that is made, and never beyond the largest', () => {
    expect([1, 480, 481, 1900, 2000, 9999].map(widthFor)).to.deep.equal([480, 480, 960, 1920, 2560, 3840]);
    expect(WIDTHS).to.deep.equal(WIDTHS.toSorted((a, b) => a - b));
  });

  it('makes each once, shares one under way, and takes it from the cache afterwards', async () => {
    const renderer = createRenderer(folder);
    const [first, second] = await Promise.all([
      renderer.scene('tide', 4, 480),
      renderer.scene('tide', 4, 480),
    ]);
    expect(first).to.equal(second);
    expect(readdirSync(folder)).to.have.length(1);
    const again = await createRenderer(folder).scene('tide', 4, 480);
    expect(again.equals(first)).to.equal(true);
    await renderer.scene('tide', 5, 480);
    expect(readdirSync(folder)).to.have.length(2);
  });

  it('draws the same picture anywhere: the grain comes from the seed', async () => {
    const other = mkdtempSync(join(tmpdir(), 'velvet-render-'));
    const [here, there] = await Promise.all([
      createRenderer(folder).scene('lamp', 9, 480),
      createRenderer(other).scene('lamp', 9, 480),
    ]);
    rmSync(other, { recursive: true });
    expect(here.equals(there)).to.equal(true);
  });

  it('leaves nothing behind when a picture can not be made, and tries again when asked again', async () => {
    const renderer = createRenderer(folder);
    const path = join(folder, 'later.png');
    const failure = await renderer.picture('later', path, 480).then(
      () => null,
      (error: Error) => error,
    );
    expect(failure).to.be.instanceOf(Error);
    await sharp({ create: { width: 20, height: 10, channels: 3, background: '#336699' } })
      .png()
      .toFile(path);
    expect((await renderer.picture('later', path, 480)).length).to.be.greaterThan(0);
    expect(readdirSync(folder).filter((name) => name.endsWith('.part'))).to.deep.equal([]);
  });

  it('turns a picture as its EXIF data says, and keeps its colours', async () => {
    const path = join(folder, 'turned.jpg');
    const bytes = await sharp({ create: { width: 40, height: 20, channels: 3, background: '#b0603a' } })
      .jpeg({ quality: 100 })
      .withMetadata({ orientation: 6 })
      .toBuffer();
    writeFileSync(path, bytes);
    const { data, info } = await sharp(await createRenderer(folder).picture('turned', path, 480))
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect([info.width, info.height]).to.deep.equal([20, 40]);
    const hex = `#${[...data.subarray(0, 3)].map((value) => value.toString(16).padStart(2, '0')).join('')}`;
    expect(deltaE(hex, '#b0603a')).to.be.below(2);
  });
});
