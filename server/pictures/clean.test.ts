import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import sharp from 'sharp';
import { fileOf, newPath } from '../../tests/support/files.ts';
import { cleanPicture } from './clean.ts';
import { drawIcon as drawIconFile } from './take.ts';

const plain = () => sharp({ create: { width: 24, height: 16, channels: 3, background: '#5a7f6c' } });
const talkative = {
  exif: {
    IFD0: { Artist: 'A warden', Copyright: 'Marrow Point' },
    IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '54/1 36/1 0/1' },
  },
};

async function cleaned(bytes: Buffer): Promise<Buffer> {
  return cleanPicture(bytes, await sharp(bytes).metadata());
}

describe('what a picture says besides the picture', () => {
  for (const format of ['jpeg', 'png', 'webp', 'avif'] as const) {
    it(`is taken out of ${format}, and the picture stays`, async () => {
      const told = await plain().withExif(talkative.exif).toFormat(format).toBuffer();
      expect(told.includes('A warden')).to.equal(true);
      const bytes = await cleaned(told);
      expect(bytes.includes('A warden')).to.equal(false);
      const found = await sharp(bytes).metadata();
      expect([found.width, found.height]).to.deep.equal([24, 16]);
      expect(await cleanPicture(bytes, found), 'clean already').to.equal(bytes);
    });
  }

  it('is taken out of a JPEG without touching a pixel, and its turn and profile stay', async () => {
    const told = await plain()
      .withExif(talkative.exif)
      .withMetadata({ orientation: 8, icc: 'p3' })
      .jpeg()
      .toBuffer();
    const bytes = await cleaned(told);
    const [before, after] = await Promise.all([told, bytes].map((one) => sharp(one).raw().toBuffer()));
    expect(after?.equals(before ?? Buffer.alloc(0))).to.equal(true);
    const found = await sharp(bytes).metadata();
    expect(found.orientation).to.equal(8);
    expect(found.hasProfile).to.equal(true);
  });
});

describe('icons of one’s own', () => {
  const svg = (inside: string, head = '') =>
    Buffer.from(
      `${head}<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 20 20">${inside}</svg>`,
    );
  const shape = '<circle cx="10" cy="10" r="8" fill="#c03020"/>';
  async function draw(bytes: Buffer): Promise<Buffer | string> {
    const out = newPath();
    const taken = await drawIconFile({ path: fileOf(bytes), out });
    return taken.ok ? readFileSync(out) : taken.reason;
  }
  async function drawIcon(bytes: Buffer): Promise<Buffer> {
    const drawn = await draw(bytes);
    return typeof drawn === 'string' ? expect.fail(drawn) : drawn;
  }
  async function refusal(bytes: Buffer): Promise<string> {
    const drawn = await draw(bytes);
    return typeof drawn === 'string' ? drawn : 'taken';
  }

  it('are drawn to pixels: nothing of a script, a link or a style goes on', async () => {
    const hostile = svg(
      `<script>fetch("http://evil.example")</script><style>@import url(http://evil.example/x.css);</style>` +
        `<image xlink:href="file:///etc/hostname" width="20" height="20"/><a xlink:href="javascript:alert(1)">${shape}</a>` +
        `<foreignObject><body onload="alert(1)"/></foreignObject>`,
    );
    const bytes = await drawIcon(hostile);
    const found = await sharp(bytes).metadata();
    expect([found.format, found.width, found.height]).to.deep.equal(['png', 256, 256]);
    for (const word of ['script', 'evil', 'alert']) expect(bytes.includes(word), word).to.equal(false);
    const { data } = await sharp(bytes).raw().toBuffer({ resolveWithObject: true });
    expect([...data.subarray((128 * 256 + 128) * 4, (128 * 256 + 128) * 4 + 4)]).to.deep.equal([
      0xc0, 0x30, 0x20, 255,
    ]);
  });

  it('keep their shape and stay clear around it', async () => {
    const { data } = await sharp(await drawIcon(svg(shape)))
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect(data[3]).to.equal(0);
    const wide = await sharp({ create: { width: 400, height: 100, channels: 3, background: '#fff' } })
      .png()
      .toBuffer();
    const { data: inside } = await sharp(await drawIcon(wide))
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect(inside[3]).to.equal(0);
  });

  it('are refused with a sentence when they multiply, are too large, damaged or something else', async () => {
    const bomb = svg('<text>&b;</text>', '<!DOCTYPE svg [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;&a;">]>');
    expect(await refusal(bomb)).to.match(/declares entities/);
    expect(
      await refusal(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="90000" height="90000"/>')),
    ).to.match(/can’t be drawn/);
    expect(await refusal(svg('<g><circle'))).to.match(/can’t be drawn/);
    expect(await refusal(Buffer.from('GIF89a…'))).to.match(/neither an SVG nor a PNG/);
    expect(await refusal((await plain().png().toBuffer()).subarray(0, 60))).to.match(/damaged/);
    expect(await refusal(Buffer.alloc(0))).to.match(/neither/);
  });
});
