import { mkdtempSync, readFileSync, readdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import request from 'supertest';
import { dawnCount } from '../../tests/support/desks.ts';
import { plainUse, type OwnFont } from '../../core/text/schema.ts';
import type { Desk } from '../../core/desk/desk.ts';
import { fontsOf } from '../../core/scene/look.ts';
import { inkOf, textWidth } from '../../core/text/measure.ts';
import { createApp, type App } from '../app.ts';
import { plainFont } from '../../tests/support/fonts.ts';
import { removeFolder } from '../../tests/support/folders.ts';

const fontFile = (family: string) =>
  readFileSync(
    createRequire(import.meta.url).resolve(
      `@fontsource-variable/${family}/files/${family}-latin-wght-normal.woff2`,
    ),
  );

describe('fonts of one’s own', () => {
  let folder: string;
  let app: App;
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'velvet-fonts-'));
    app = createApp({ dataFolder: folder });
  });
  afterEach(() => {
    app.close();
    removeFolder(folder);
  });
  const send = (bytes: Buffer, name = 'font.woff2') =>
    request(app.express).post(`/api/fonts?name=${name}`).set('Content-Type', 'font/woff2').send(bytes);
  function withFont(font: OwnFont): Desk {
    const desk = dawnCount();
    const fonts = { ...desk.look.fonts, display: plainUse(font.id) };
    return { ...desk, look: { ...desk.look, fonts, ownFonts: [font] } };
  }

  it('are read, measured as the browser measures them, kept and given back', async () => {
    const bytes = fontFile('outfit');
    const taken = await send(bytes);
    expect(taken.status).to.equal(201);
    const font = taken.body as OwnFont;
    expect(font.name).to.match(/Outfit/);
    const own = fontsOf(withFont(font).look).display;
    for (const weight of [400, 700]) {
      const measured = textWidth('High water at 09:46', { font: own, size: 100, weight });
      const shipped = textWidth('High water at 09:46', {
        font: plainFont('outfit'),
        size: 100,
        weight,
      });
      expect(measured / shipped, `${weight}`).to.be.closeTo(1, 0.03);
    }
    // What the eye sees of it begins and ends where it does in the shipped family.
    const style = { size: 100, weight: 400 };
    const shippedInk = inkOf('Ägypt am Meer', { font: plainFont('outfit'), ...style });
    const ownInk = inkOf('Ägypt am Meer', { font: own, ...style });
    for (const side of ['left', 'right', 'top', 'bottom'] as const)
      expect(ownInk[side], side).to.be.closeTo(shippedInk[side], 0.5);
    const back = await request(app.express)
      .get(`/api/fonts/${font.id.slice(4)}`)
      .buffer();
    expect(back.headers['content-type']).to.equal('font/woff2');
    expect(Number(back.headers['content-length'])).to.equal(bytes.length);
  });

  it('are refused with a sentence when they are damaged, of another kind, or no font', async () => {
    const good = fontFile('outfit');
    const damaged = Buffer.from(good);
    damaged.fill(0x5a, 100, 4000);
    const cases: [Buffer, RegExp][] = [
      [damaged, /damaged|not a font|sensible/],
      [good.subarray(0, 900), /damaged|not a font/],
      [Buffer.from('<svg/>'), /not a WOFF2, WOFF, TTF or OTF/],
      [Buffer.concat([Buffer.from('OTTO'), Buffer.alloc(400)]), /damaged|has no/],
      [Buffer.from('wOF2'), /damaged/],
    ];
    for (const [bytes, sentence] of cases) {
      const refused = await send(bytes);
      expect(refused.status).to.equal(415);
      expect(refused.body.detail).to.match(sentence);
    }
    expect(readdirSync(join(folder, 'fonts'))).to.deep.equal([]);
    expect((await request(app.express).get('/api/fonts/../velvet-ledge.db')).status).to.equal(404);
  });

  it('go with the desk in its bundle; a desk that names one that is not there is refused', async () => {
    const font = (await send(fontFile('outfit'))).body as OwnFont;
    app.desks.create(withFont(font), { keepId: true });
    const bundle = await request(app.express)
      .get('/api/desks/dawn-count/bundle')
      .buffer()
      .parse((response, done) => {
        const chunks: Buffer[] = [];
        response.on('data', (chunk: Buffer) => chunks.push(chunk));
        response.on('end', () => done(null, Buffer.concat(chunks)));
      });
    const other = mkdtempSync(join(tmpdir(), 'velvet-fonts-'));
    const elsewhere = createApp({ dataFolder: other });
    const missing = await request(elsewhere.express).post('/api/desks').send(withFont(font));
    expect(missing.status).to.equal(422);
    expect(missing.body.detail).to.match(/look\.ownFonts: names a font/);
    const taken = await request(elsewhere.express)
      .post('/api/bundles')
      .set('Content-Type', 'application/zip')
      .send(bundle.body as Buffer);
    expect(taken.status).to.equal(201);
    expect((await request(elsewhere.express).get(`/api/fonts/${font.id.slice(4)}`)).status).to.equal(200);
    elsewhere.close();
    removeFolder(other);
  });
});
