import { mkdtempSync, readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import request from 'supertest';
import { dawnCount } from '../../tests/support/desks.ts';
import { tagged, tone } from '../../tests/support/sounds.ts';
import type { Desk } from '../../core/desk/desk.ts';
import { plainSound, type Track } from '../../core/sources/sound/schema.ts';
import { createApp, type App } from '../app.ts';
import { removeFolder } from '../../tests/support/folders.ts';

describe('sounds', () => {
  let folder: string;
  let app: App;
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'velvet-sounds-'));
    app = createApp({ dataFolder: folder });
  });
  afterEach(() => {
    app.close();
    removeFolder(folder);
  });
  const send = (bytes: Uint8Array, name = 'tone.wav') =>
    request(app.express)
      .post(`/api/sounds?name=${encodeURIComponent(name)}`)
      .set('Content-Type', 'application/octet-stream')
      .send(Buffer.from(bytes));
  const withTrack = (track: Omit<Track, 'id'>): Desk => {
    const desk = dawnCount();
    return {
      ...desk,
      sources: { ...desk.sources, sound: { ...plainSound, tracks: [{ id: 'one', ...track }] } },
    };
  };

  it('are taken in with what they say of themselves, and given back in parts', async () => {
    const plain = await send(tone(2), 'Surf, far.wav');
    expect(plain.status).to.equal(201);
    expect(plain.body).to.deep.include({ title: 'Surf, far', by: '', seconds: 2, cover: null });
    const taken = await send(await tagged(), 'x.mp3');
    expect(taken.body).to.deep.include({ title: 'Bells, again', by: 'The sound room', album: 'Winter' });
    expect((taken.body as Track).seconds).to.be.closeTo(120 * (1152 / 44_100), 0.1);
    const { cover, from } = taken.body as Track;
    expect((await request(app.express).get(`/api/pictures/${cover?.slice(4)}?width=240`)).status).to.equal(
      200,
    );
    const address = `/api/sounds/${from.by === 'file' ? from.file.slice(4) : ''}`;
    const part = await request(app.express).get(address).set('Range', 'bytes=0-99').buffer();
    expect(part.status).to.equal(206);
    expect(part.headers['content-type']).to.equal('audio/mpeg');
    expect(part.headers['content-length']).to.equal('100');
    expect((await request(app.express).head(address)).status).to.equal(200);
  });

  it('are refused with a sentence when they are damaged, cut short, or none; nothing is left of them', async () => {
    const cases: [Uint8Array, RegExp][] = [
      [Buffer.from('<svg/>'), /not an MP3, Ogg/],
      [Buffer.from('RIFF\0\0\0\0WAVE'), /damaged|no sound|not a sound/],
      [tone(1).slice(0, 20), /damaged|no sound|not a sound/],
      [Buffer.concat([Buffer.from('OggS'), Buffer.alloc(3000, 7)]), /damaged|no sound|not a sound/],
      [Buffer.concat([Buffer.from('fLaC'), Buffer.alloc(3000, 255)]), /damaged|no sound|not a sound/],
      [
        Buffer.concat([Buffer.from('ID3\x03\0\0\x7f\x7f\x7f\x7f', 'latin1'), Buffer.alloc(50)]),
        /damaged|no sound|not a sound/,
      ],
      [Buffer.alloc(0), /not an MP3, Ogg/],
    ];
    for (const [bytes, sentence] of cases) {
      const refused = await send(bytes);
      expect(refused.status, String(sentence)).to.equal(415);
      expect(refused.body.detail).to.match(sentence);
    }
    expect(readdirSync(join(folder, 'sounds'))).to.deep.equal([]);
    for (const way of ['..%2Fvelvet-ledge.db', 'a'.repeat(64), 'pieces/../surf', 'pieces/other'])
      expect((await request(app.express).get(`/api/sounds/${way}`)).status).to.equal(404);
  });

  it('come from the project itself, made when they are first asked for, and once', async () => {
    const [one, other] = await Promise.all([
      request(app.express).get('/api/sounds/pieces/geese').buffer().parse(bytesOf),
      request(app.express).get('/api/sounds/pieces/geese').buffer().parse(bytesOf),
    ]);
    expect(one.headers['content-type']).to.match(/^audio\/(x-)?wav/);
    expect((one.body as Buffer).length).to.equal(44 + 40 * 32_000 * 2);
    expect((other.body as Buffer).equals(one.body as Buffer)).to.equal(true);
    expect(readdirSync(join(folder, 'pieces'))).to.have.length(1);
  });

  it('go with the desk in its bundle; a desk that names one that is not there is refused', async () => {
    const track = (await send(await tagged(), 'x.mp3')).body as Omit<Track, 'id'>;
    app.desks.create(withTrack(track), { keepId: true });
    const bundle = await request(app.express).get('/api/desks/dawn-count/bundle').buffer().parse(bytesOf);
    const elsewhere = mkdtempSync(join(tmpdir(), 'velvet-sounds-'));
    const there = createApp({ dataFolder: elsewhere });
    const missing = await request(there.express)
      .post('/api/desks')
      .send(withTrack({ ...track, cover: null }));
    expect(missing.status).to.equal(422);
    expect(missing.body.detail).to.match(/sources\.sound: names a sound/);
    const taken = await request(there.express)
      .post('/api/bundles')
      .set('Content-Type', 'application/zip')
      .send(bundle.body as Buffer);
    expect(taken.status).to.equal(201);
    const id = track.from.by === 'file' ? track.from.file.slice(4) : '';
    expect((await request(there.express).get(`/api/sounds/${id}`)).status).to.equal(200);
    expect(
      (await request(there.express).get(`/api/pictures/${track.cover?.slice(4)}?width=240`)).status,
    ).to.equal(200);
    there.close();
    removeFolder(elsewhere);
  });
});

function bytesOf(response: request.Response, done: (error: Error | null, body: unknown) => void): void {
  const chunks: Buffer[] = [];
  const stream = response as unknown as NodeJS.ReadableStream;
  stream.on('data', (chunk: Buffer) => chunks.push(chunk));
  stream.on('end', () => done(null, Buffer.concat(chunks)));
}
