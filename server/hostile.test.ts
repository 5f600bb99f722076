import { mkdtempSync, readdirSync, truncateSync, writeFileSync } from 'node:fs';
import { request as httpRequest } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { expect } from 'chai';
import Database from 'better-sqlite3';
import fc from 'fast-check';
import sharp from 'sharp';
import request from 'supertest';
import { DESK_LIMITS } from '../core/desk/limits.ts';
import { sampleOf } from '../core/backdrop/drawn.ts';
import { createBackdrop, createPicture, createMotif } from '../core/desk/defaults.ts';
import { readDesk } from '../core/desk/read.ts';
import { MOST_NAME } from '../core/values/name.ts';
import type { Desk } from '../core/desk/desk.ts';
import { clockAt, dawnCount, emptyDesk, fromCorner } from '../tests/support/desks.ts';
import { createApp, type App } from './app.ts';
import { nameBeside } from '../core/values/name.ts';
import { removeFolder } from '../tests/support/folders.ts';

/** What was sent to the server to break it, class by class. */

let folder: string;
let app: App;
let reported: unknown[];

const open = () => createApp({ dataFolder: folder, report: (error) => reported.push(error) });
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'velvet-hostile-'));
  reported = [];
  app = open();
});
afterEach(() => {
  app.close();
  removeFolder(folder);
  expect(reported).to.deep.equal([]);
});

const ask = () => request(app.express);
const post = (path: string, body: Buffer | object) =>
  Buffer.isBuffer(body)
    ? ask().post(path).set('Content-Type', 'application/octet-stream').send(body)
    : ask().post(path).send(body);
const binary = (response: request.Response, done: (error: Error | null, body: Buffer) => void) => {
  const chunks: Buffer[] = [];
  response.on('data', (chunk: Buffer) => chunks.push(chunk));
  response.on('end', () => done(null, Buffer.concat(chunks)));
};

/** Writes straight into the database what no save would. */
function tamper(id: string, text: string): void {
  const client = new Database(join(folder, 'velvet-ledge.db'));
  client.prepare('update revisions set desk = ? where desk_id = ?').run(text, id);
  client.close();
}

/** 4,000 clocks, each hanging from the one before. */
function chain(count = 4000): Desk {
  return {
    ...emptyDesk(),
    name: 'A long chain',
    widgets: Array.from({ length: count }, (_, index) =>
      clockAt(
        `w${index}`,
        index === 0
          ? fromCorner(0, 0)
          : { hangs: { from: 'part', part: `w${index - 1}`, side: 'right', align: 'start' }, x: 4, y: 0 },
      ),
    ),
  };
}

describe('one bad row', () => {
  it('is never written: names that the server makes up keep to a name’s length', async () => {
    const long = { ...dawnCount(), name: 'n'.repeat(119) };
    for (let copy = 0; copy < 12; copy++) expect((await post('/api/desks', long)).status).to.equal(201);
    const list = (await ask().get('/api/desks').expect(200)).body as { id: string; name: string }[];
    expect(new Set(list.map(({ name }) => name)).size).to.equal(12);
    for (const { id, name } of list) {
      expect(name.length).to.be.at.most(MOST_NAME);
      await ask().get(`/api/desks/${id}`).expect(200);
    }
    const copied = await ask().post(`/api/desks/${list[3]?.id}/copy`);
    expect(readDesk(copied.body.desk).ok).to.equal(true);
  });

  it('has a name of its own beside any others, whatever the wish', () => {
    const name = fc.oneof(
      fc.string({ minLength: 1, maxLength: MOST_NAME }),
      fc.string({ minLength: 100, maxLength: MOST_NAME, unit: 'binary' }),
      fc.constantFrom('n'.repeat(120), 'x 999', '𝄞'.repeat(60), '__proto__', 'a 2'),
    );
    fc.assert(
      fc.property(name, fc.nat(30), (wanted, many) => {
        fc.pre(wanted.trim() === wanted && wanted.length <= MOST_NAME);
        const taken = new Set<string>();
        for (let copy = 0; copy <= many; copy++) {
          const made = nameBeside(wanted, taken);
          expect(taken.has(made)).to.equal(false);
          expect(made.length).to.be.within(1, MOST_NAME);
          expect(made.trim()).to.equal(made);
          taken.add(made);
        }
      }),
    );
  });

  it('hides no other, says what it is, and can be taken out, taken off and put back', async () => {
    const good = app.desks.create(dawnCount(), { keepId: true }).desk;
    const bad = app.desks.create({ ...dawnCount(), name: 'Bad one' }).desk;
    app.close();
    for (const text of [
      JSON.stringify({ ...bad, name: 'n'.repeat(121) }),
      '{"half": ',
      'null',
      '[]',
      JSON.stringify({ ...bad, format: 99 }),
    ]) {
      app = open();
      tamper(bad.id, text);
      app.close();
      app = open();
      const list = (await ask().get('/api/desks').expect(200)).body as { name: string }[];
      // The newest stands first.
      expect(list.map(({ name }) => name)).to.deep.equal(['Bad one', good.name]);
      await ask().get(`/api/desks/${good.id}`).expect(200);
      const refused = await ask().get(`/api/desks/${bad.id}`);
      expect(refused.status).to.equal(422);
      expect(refused.body.detail).to.match(/can’t be read \(.+\)\. What is there can be saved as a file/);
      const raw = await ask()
        .get(`/api/desks/${bad.id}/raw`)
        .buffer()
        .parse(binary as never);
      expect(raw.body.toString()).to.equal(text);
      expect((await ask().get(`/api/desks/${bad.id}/bundle`)).status).to.equal(422);
      expect((await ask().post(`/api/desks/${bad.id}/copy`)).status).to.equal(422);
      await ask().get(`/api/desks/${bad.id}/revisions`).expect(200);
      await ask().delete(`/api/desks/${bad.id}`).expect(204);
      expect((await ask().get('/api/desks')).body).to.have.length(1);
      await ask().post(`/api/desks/${bad.id}/restore`).expect(200);
      app.close();
    }
    app = open();
  });

  it('may lack its summary: an older database is brought up to date at the start', async () => {
    const { desk } = app.desks.create(dawnCount());
    const client = new Database(join(folder, 'velvet-ledge.db'));
    client.prepare('update desks set summary = null').run();
    client.close();
    app.close();
    app = open();
    const [line] = (await ask().get('/api/desks')).body as { summary: { widgets: number } }[];
    expect(line?.summary.widgets).to.equal(desk.widgets.length);
  });
});

describe('time that grows', () => {
  it('does not: thousands of widgets in a chain are checked, listed and given back', async () => {
    const long = chain();
    const saved = await post('/api/desks', long);
    expect(saved.status).to.equal(201);
    const list = await ask().get('/api/desks').expect(200);
    expect(list.text.length).to.be.below(1000);
    expect(list.body[0].summary.widgets).to.equal(4000);
    const back = await ask().get(`/api/desks/${saved.body.desk.id}`).expect(200);
    const places = (desk: Desk) => desk.widgets.map(({ place }) => JSON.stringify(place)).join();
    expect(places(back.body.desk) === places(long)).to.equal(true);
    // Four times the work for four times the widgets, not sixteen: a quarter of them is the
    // measure, each the quickest of some tries, as the machine has other things to do too.
    const quickest = (desk: Desk) =>
      Math.min(
        ...Array.from({ length: 4 }, () => {
          const start = performance.now();
          expect(readDesk(desk).ok).to.equal(true);
          return performance.now() - start;
        }),
      );
    const quarter = quickest(chain(1000));
    expect(quickest(long)).to.be.below(12 * quarter + 50);
  }).timeout(60_000);

  it('stops at what is out of bounds, before all of it has been looked at', async () => {
    const wrong = { ...dawnCount(), widgets: Array.from({ length: 400_000 }, () => 1) };
    const refused = await post('/api/desks', wrong);
    expect(refused.status).to.equal(422);
    expect(refused.body.detail).to.equal('widgets: has more than 5000 entries');
    const all = await post('/api/desks', {
      ...dawnCount(),
      widgets: Array.from({ length: 4000 }, () => ({})),
    });
    expect(all.status).to.equal(422);
    expect(all.body.problems.length).to.be.at.most(100);
  }).timeout(60_000);
});

describe('numbers without end', () => {
  it('are refused wherever they stand', async () => {
    const text = (change: (json: string) => string) =>
      ask()
        .post('/api/desks')
        .set('Content-Type', 'application/json')
        .send(change(JSON.stringify(dawnCount())));
    expect((await text((json) => json.replace('"scale":1', '"scale":1e999'))).body.detail).to.match(
      /scale: is not a finite number/,
    );
    for (const colour of ['oklch(0.5 1e999 0)', 'oklch(0.5 0.1 1e999)', 'oklch(0.5 9 0)']) {
      const desk = dawnCount();
      desk.look.roles.dark.ink = colour;
      const refused = await post('/api/desks', desk);
      expect(refused.status, colour).to.equal(422);
      expect(refused.body.detail).to.match(/look\.roles\.dark\.ink: .*(colour|Invalid)/);
    }
    expect((await text((json) => json.replace('"seed":', '"glow":-1e999,"seed":'))).status).to.equal(422);
  });
});

describe('work without bounds', function () {
  this.timeout(60_000);

  it('is never begun for packed bodies, whatever they hold', async () => {
    const zeros = gzipSync(Buffer.alloc(50 * 2 ** 20));
    for (const path of ['/api/desks', '/api/bundles', '/api/pictures', '/api/icons', '/api/fonts']) {
      const refused = await ask()
        .post(path)
        .set('Content-Type', 'application/json')
        .set('Content-Encoding', 'gzip')
        .send(zeros);
      expect(refused.status, path).to.equal(415);
      expect(refused.body.detail, path).to.match(/not packed/);
    }
  });

  it('ends: pictures of few bytes and many pixels, frames or filters', async () => {
    const frames = await sharp(Buffer.alloc(64 * 64 * 200 * 3, 0x40), {
      raw: { width: 64, height: 64 * 200, channels: 3, pageHeight: 64 },
    })
      .webp({ loop: 0 })
      .withExif({ IFD0: { Copyright: 'Marrow Point' } })
      .toBuffer();
    // Of many frames the first is kept.
    const moving = await post('/api/pictures', frames);
    expect(moving.status).to.equal(201);
    expect(moving.body).to.include({ width: 64, height: 64 });

    const vast = await sharp({
      create: { width: 9000, height: 9000, channels: 3, background: '#333' },
      limitInputPixels: false,
    })
      .webp({ lossless: true, effort: 0 })
      .toBuffer();
    expect(vast.length).to.be.below(200_000);
    const refused = await post('/api/pictures', vast);
    expect(refused.status).to.equal(413);
    expect(refused.body.detail).to.match(/81 megapixels; up to 40 of this kind/);

    const filters = Array.from(
      { length: 600 },
      (_, index) => `<feTurbulence baseFrequency="0.0${index + 1}" numOctaves="60" result="t${index}"/>`,
    ).join('');
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="6000" height="6000"><filter id="f" x="0" y="0" width="1" height="1">${filters}</filter><rect width="6000" height="6000" filter="url(#f)"/></svg>`;
    const drawn = await post('/api/icons', Buffer.from(svg));
    expect(drawn.status).to.be.oneOf([413, 415]);
    // The server has answered others meanwhile, and goes on.
    await ask().get('/api/desks').expect(200);
  });

  it('ends with the one who asked for it', async () => {
    const server = app.express.listen(0, '127.0.0.1');
    await new Promise((resolve) => server.once('listening', resolve));
    const { port } = server.address() as { port: number };
    const drawn = encodeURIComponent(JSON.stringify(sampleOf(createMotif('headland', 91))));
    const gone = new AbortController();
    const asked = fetch(`http://127.0.0.1:${port}/api/backdrops?width=3840&drawn=${drawn}`, {
      signal: gone.signal,
    }).catch((error: Error) => error.name);
    gone.abort();
    expect(await asked).to.equal('AbortError');
    // Nothing is made of it: what is asked for next is alone in the cache.
    const next = encodeURIComponent(JSON.stringify(sampleOf(createMotif('tide', 3))));
    expect((await fetch(`http://127.0.0.1:${port}/api/backdrops?width=240&drawn=${next}`)).status).to.equal(
      200,
    );
    expect(readdirSync(join(folder, 'cache'))).to.have.length(1);
    await new Promise((resolve) => server.close(resolve));
  });
});

describe('what is taken in', function () {
  this.timeout(120_000);

  it('can be shown: JPEGs with one wrong bit are refused, or come out as pictures', async () => {
    const noise = Buffer.from(
      Array.from({ length: 96 * 64 * 3 }, (_, i) => (i * 7919 + (i >> 5) * 31) % 256),
    );
    const good = await sharp(noise, { raw: { width: 96, height: 64, channels: 3 } })
      .jpeg({ quality: 80 })
      .toBuffer();
    let accepted = 0;
    for (let index = 0; index < 60; index++) {
      const bytes = Buffer.from(good);
      const at = Math.floor((bytes.length * (index + 0.5)) / 60);
      bytes[at] = (bytes[at] ?? 0) ^ (1 << (index % 8));
      const taken = await post('/api/pictures', bytes);
      expect(taken.status, `bit ${index}`).to.be.oneOf([201, 415, 422, 413]);
      if (taken.status !== 201) continue;
      accepted++;
      const shown = await ask().get(`/api/pictures/${taken.body.id}?width=240`);
      expect(shown.status, `bit ${index}`).to.equal(200);
      const facts = await ask().get(`/api/pictures/${taken.body.id}/facts`);
      expect(facts.status, `facts of bit ${index}`).to.equal(200);
      const drawn = encodeURIComponent(JSON.stringify(sampleOf(createPicture(taken.body.id, 'x'))));
      expect((await ask().get(`/api/backdrops?width=240&drawn=${drawn}`)).status).to.equal(200);
    }
    expect(accepted).to.be.greaterThan(0);
  });

  it('can be shown however slim it is, and leaves in as many pixels as its format has room for', async () => {
    const slim = await sharp({ create: { width: 40, height: 32_808, channels: 3, background: '#d07040' } })
      .png()
      .toBuffer();
    const taken = await post('/api/pictures', slim);
    expect(taken.status).to.equal(201);
    const shown = await ask().get(`/api/pictures/${taken.body.id}?width=480`).buffer().parse(binary);
    expect(shown.status).to.equal(200);
    const { width, height } = await sharp(shown.body as Buffer).metadata();
    expect(height / width).to.be.closeTo(32_808 / 40, 5);

    const gradient = sampleOf({
      kind: 'gradient',
      shape: 'linear',
      angle: 0,
      centre: { x: 0.5, y: 0.5 },
      points: [
        { at: 0, colour: '#102030' },
        { at: 1, colour: '#d0e0f0' },
      ],
    });
    const strip = { width: 100, height: 131_072 };
    const drawn = encodeURIComponent(
      JSON.stringify({ ...gradient, whole: strip, part: { x: 0, y: 0, ...strip } }),
    );
    expect((await ask().get(`/api/backdrops?width=240&drawn=${drawn}`)).status).to.equal(200);
    const wide = encodeURIComponent(JSON.stringify(gradient));
    const leaves = (format: string, side: number) =>
      ask().get(`/api/backdrops/export?drawn=${wide}&width=${side}&height=20&format=${format}`);
    expect((await leaves('webp', 16_383)).status).to.equal(200);
    const refused = await leaves('webp', 16_384);
    expect(refused.status).to.equal(413);
    expect(refused.body.detail).to.contain('WebP has room for 16383 pixels');
    for (const format of ['png', 'jpeg', 'avif'])
      expect((await leaves(format, 16_384)).status, format).to.equal(200);
    expect(reported).to.deep.equal([]);
  });

  it('may come twenty times at once', async () => {
    const picture = await sharp({ create: { width: 60, height: 30, channels: 3, background: '#d07040' } })
      .png()
      .toBuffer();
    const answers = await Promise.all(Array.from({ length: 20 }, () => post('/api/pictures', picture)));
    expect(new Set(answers.map(({ status }) => status))).to.deep.equal(new Set([201]));
    expect(new Set(answers.map(({ body }) => body.id)).size).to.equal(1);
    expect(readdirSync(join(folder, 'pictures'))).to.have.length(1);
    expect(readdirSync(join(folder, 'incoming'))).to.deep.equal([]);
  });

  it('leaves no parts behind a kill', () => {
    app.close();
    writeFileSync(join(folder, 'incoming', 'half'), 'half');
    app = open();
    expect(readdirSync(join(folder, 'incoming'))).to.deep.equal([]);
  });
});

describe('limits', function () {
  this.timeout(120_000);

  it('agree: a desk’s own export always comes back in, with many pictures and deep fields of its own', async () => {
    const ids: string[] = [];
    for (let index = 0; index < 62; index++) {
      const bytes = await sharp({
        create: { width: 8 + index, height: 8, channels: 3, background: '#506070' },
      })
        .png()
        .toBuffer();
      ids.push((await post('/api/pictures', bytes)).body.id as string);
    }
    let deep: unknown = 'calm';
    for (let level = 0; level < 20; level++) deep = { level: deep };
    const desk = {
      ...dawnCount(),
      mood: deep,
      backdrops: [
        createBackdrop('backdrop', {
          kind: 'rotation',
          entries: ids.map((id, index) => ({ id: `e${index}`, source: createPicture(id, 'x') })),
          change: { by: 'sun' },
          shuffled: false,
          fade: 0,
        }),
      ],
    };
    const saved = await post('/api/desks', desk);
    expect(saved.status).to.equal(201);
    const out = await ask()
      .get(`/api/desks/${saved.body.desk.id}/bundle`)
      .buffer()
      .parse(binary as never);
    const back = await post('/api/bundles', out.body as Buffer);
    expect(back.status, JSON.stringify(back.body)).to.equal(201);
    expect(back.body.desk.mood).to.deep.equal(deep);
    expect(back.body.desk.backdrops).to.deep.equal(saved.body.desk.backdrops);
    for (let level = 0; level < 20; level++) deep = { level: deep };
    expect((await post('/api/desks', { ...desk, mood: deep })).body.detail).to.match(/deeper than 32 levels/);
  });

  it('say so where a desk or its pictures are more than a file could carry', async () => {
    const notes = Array.from({ length: 450 }, () => 'x'.repeat(19_000));
    const large = await post('/api/desks', { ...dawnCount(), notes });
    expect(large.status).to.equal(413);
    const { desk } = app.desks.create(dawnCount(), { keepId: true });
    const id = (
      await post(
        '/api/pictures',
        await sharp({ create: { width: 9, height: 9, channels: 3, background: '#000' } })
          .png()
          .toBuffer(),
      )
    ).body.id as string;
    truncateSync(join(folder, 'pictures', id), DESK_LIMITS.files + 1);
    const heavy = await ask()
      .put('/api/desks/dawn-count')
      .set('If-Match', '"1"')
      .send({ ...desk, backdrops: [createBackdrop('backdrop', createPicture(id, 'x'))] });
    expect(heavy.status).to.equal(422);
    expect(heavy.body.detail).to.match(/181 MiB together; up to 180 fit in a file/);
  });
});

describe('other sites’ pages', () => {
  it('can neither read, nor change, nor give the server work', async () => {
    const drawn = encodeURIComponent(JSON.stringify(sampleOf(createMotif('tide', 3))));
    for (const site of ['cross-site', 'same-site']) {
      for (const path of [
        `/api/backdrops?width=240&drawn=${drawn}`,
        '/api/desks',
        '/api/events',
        '/mark.svg',
      ])
        expect((await ask().get(path).set('Sec-Fetch-Site', site)).status, path).to.equal(403);
      // A link to the desk's file is no page to go to either.
      expect(
        (await ask().get('/api/desks').set('Sec-Fetch-Site', site).set('Sec-Fetch-Mode', 'navigate')).status,
      ).to.equal(403);
      expect(
        (await ask().get('/desk/x').set('Sec-Fetch-Site', site).set('Sec-Fetch-Mode', 'navigate')).status,
      ).not.to.equal(403);
    }
    expect((await ask().get('/api/desks').set('Origin', 'http://evil.example')).status).to.equal(403);
    expect(readdirSync(join(folder, 'cache'))).to.deep.equal([]);
    for (const site of ['same-origin', 'none'])
      expect((await ask().get('/api/desks').set('Sec-Fetch-Site', site)).status).to.equal(200);
  });
});

describe('what the asker got wrong', () => {
  it('is said to be so', async () => {
    app.close();
    const web = mkdtempSync(join(tmpdir(), 'velvet-web-'));
    writeFileSync(join(web, 'index.html'), '<!doctype html><title>x</title>');
    app = createApp({ dataFolder: folder, webFolder: web, report: (error) => reported.push(error) });
    const { desk } = app.desks.create(dawnCount(), { keepId: true });
    const cases: [number, request.Test][] = [
      [400, ask().get('/api/desks/%E0%A4%A')],
      [404, ask().get('/assets/nothing.js')],
      [416, ask().get('/').set('Range', 'bytes=999999-')],
      [412, ask().get('/').set('If-Match', '"nothing"')],
      [415, ask().post('/api/desks').set('Content-Type', 'application/json; charset=utf-16').send('{}')],
      [415, ask().post('/api/desks').set('Content-Type', 'text/plain').send('{}')],
      [
        415,
        ask()
          .post('/api/desks')
          .set('Content-Type', 'application/json')
          .set('Content-Encoding', 'br')
          .send('{}'),
      ],
      [400, ask().post('/api/desks').set('Content-Type', 'application/json').send('{')],
      [422, ask().post('/api/desks').set('Content-Type', 'application/json').send('null')],
      [
        400,
        ask().put('/api/desks/x').set('If-Match', '"1"').set('Content-Type', 'application/json').send(''),
      ],
      [428, ask().put('/api/desks/dawn-count').set('If-Match', 'W/"1"').send(desk)],
      [404, ask().get('/api/desks/dawn-count/revisions/1e400')],
      [404, ask().get('/api/desks/dawn-count/revisions/-1')],
      [404, ask().get('/api/desks/__proto__')],
      [404, ask().get('/api/pictures/constructor')],
      [400, ask().get('/api/backdrops?drawn[__proto__][x]=1')],
      [400, ask().get('/api/backdrops/export?width[]=3&drawn={}')],
    ];
    for (const [status, asked] of cases) {
      const answer = await asked;
      expect(answer.status, `${answer.request.method} ${answer.request.url}`).to.equal(status);
      expect(answer.headers['content-type'], answer.request.url).to.match(/^application\/problem\+json/);
    }
    const notUtf8 = await ask()
      .post('/api/desks')
      .set('Content-Type', 'application/json')
      .serialize((body) => body as never)
      .send(Buffer.from([0x22, 0xff, 0xfe, 0x22]) as never);
    expect(notUtf8.status).to.be.oneOf([400, 422]);
    removeFolder(web);
  });

  it('ends where only the head of a stream is asked for', async () => {
    const server = app.express.listen(0, '127.0.0.1');
    await new Promise((resolve) => server.once('listening', resolve));
    const { port } = server.address() as { port: number };
    const status = await new Promise((resolve, reject) => {
      const head = httpRequest({ port, path: '/api/events?page=one', method: 'HEAD' }, (answer) => {
        answer.resume();
        answer.on('end', () => resolve(answer.statusCode));
      });
      head.on('error', reject);
      head.end();
    });
    expect(status).to.equal(200);
    await new Promise((resolve) => server.close(resolve));
  });
});
