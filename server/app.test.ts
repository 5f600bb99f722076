import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import Database from 'better-sqlite3';
import sharp from 'sharp';
import request from 'supertest';
import { zipSync } from 'fflate';
import { dawnCount } from '../tests/support/desks.ts';
import { unpackTones } from '../core/backdrop/tones.ts';
import { sampleOf } from '../core/backdrop/drawn.ts';
import { createBackdrop, createPicture, createMotif } from '../core/desk/defaults.ts';
import { demoDesks } from '../demo/desks.ts';
import { createApp, type App } from './app.ts';
import { StartProblem, openStore } from './db/open.ts';
import { removeFolder } from '../tests/support/folders.ts';

let folder: string;
let app: App;

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'velvet-'));
  app = createApp({ dataFolder: folder });
});
afterEach(() => {
  app.close();
  removeFolder(folder);
});

const ask = () => request(app.express);
const binary = (response: request.Response, done: (error: Error | null, body: Buffer) => void) => {
  const chunks: Buffer[] = [];
  response.on('data', (chunk: Buffer) => chunks.push(chunk));
  response.on('end', () => done(null, Buffer.concat(chunks)));
};
const put = (desk: object, basedOn: number | null, id = 'dawn-count') => {
  const call = ask().put(`/api/desks/${id}`).send(desk);
  return basedOn === null ? call : call.set('If-Match', `"${basedOn}"`);
};

function addDawnCount() {
  return app.desks.create(dawnCount(), { keepId: true });
}

describe('desks on the server', () => {
  it('are kept, revision by revision, and outlive the server', async () => {
    const { desk } = addDawnCount();
    const saved = await put({ ...desk, name: 'Dusk count' }, 1);
    expect(saved.status).to.equal(200);
    expect(saved.headers['etag']).to.equal('"2"');
    app.close();
    app = createApp({ dataFolder: folder });
    const read = await ask().get('/api/desks/dawn-count');
    expect(read.body).to.deep.include({ revision: 2 });
    expect(read.body.desk.name).to.equal('Dusk count');
    // A browser keeps none of it: revision 2 of another data folder is another desk.
    expect(read.headers['cache-control']).to.equal('no-store');
    const first = await ask().get('/api/desks/dawn-count/revisions/1');
    expect(first.body.desk.name).to.equal('Dawn count');
    expect(
      (await ask().get('/api/desks/dawn-count/revisions')).body.map(
        ({ number }: { number: number }) => number,
      ),
    ).to.deep.equal([2, 1]);
  });

  it('refuse a save that others overtook, and give back the newer state', async () => {
    const { desk } = addDawnCount();
    await put({ ...desk, name: 'Mine' }, 1);
    const stale = await put({ ...desk, name: 'Yours' }, 1);
    expect(stale.status).to.equal(412);
    expect(stale.headers['content-type']).to.contain('application/problem+json');
    expect(stale.body.current.desk.name).to.equal('Mine');
    expect((await ask().get('/api/desks/dawn-count')).body.desk.name).to.equal('Mine');
  });

  it('refuse a save without a base, of another desk, or of what is no desk, and change nothing', async () => {
    const { desk } = addDawnCount();
    expect((await put(desk, null)).status).to.equal(428);
    expect((await put({ ...desk, id: 'other' }, 1)).status).to.equal(422);
    const wrong = await put({ ...desk, widgets: [{ ...desk.widgets[0], scale: 'big' }] }, 1);
    expect(wrong.status).to.equal(422);
    expect(wrong.body.detail).to.match(/^widgets\[0\]\.scale: /);
    const missing = await put(
      {
        ...desk,
        backdrops: [createBackdrop('backdrop', createPicture('a'.repeat(64), 'x'))],
      },
      1,
    );
    expect(missing.body.detail).to.match(/^desk: names a picture that the server does not have: aaaaaaaa…/);
    expect(
      (
        await ask()
          .put('/api/desks/dawn-count')
          .set('If-Match', '"1"')
          .set('Content-Type', 'application/json')
          .send('{')
      ).status,
    ).to.equal(400);
    expect((await ask().get('/api/desks/dawn-count')).body.revision).to.equal(1);
  });

  it('are saved by what changed of them, which fits the revision that it is based on', async () => {
    const { desk } = addDawnCount();
    const patch = (changes: unknown, basedOn = 1) =>
      ask()
        .patch('/api/desks/dawn-count')
        .set('Content-Type', 'application/json-patch+json')
        .set('If-Match', `"${basedOn}"`)
        .send(JSON.stringify(changes));
    const x = { op: 'replace', path: '/widgets/0/place/x', value: 40 };
    const saved = await patch([x, { op: 'remove', path: '/widgets/1' }]);
    expect(saved.body).to.include({ revision: 2, isAsGiven: true });
    const [first, , ...others] = desk.widgets;
    expect((await ask().get('/api/desks/dawn-count')).body.desk.widgets).to.deep.equal([
      { ...first, place: { ...first?.place, x: 40 } },
      ...others,
    ]);
    // Of the whole what a desk is made of is checked, as of one that is sent whole.
    const wrong = await patch([{ ...x, value: 'far' }], 2);
    expect([wrong.status, wrong.body.detail]).to.deep.equal([
      422,
      'widgets[0].place.x: Invalid input: expected number, received string',
    ]);
    const stale = await patch([x]);
    expect(stale.status).to.equal(412);
    expect(stale.body.current.revision).to.equal(2);
    const refused = [
      { op: 'replace' },
      [{ op: 'copy', from: '/widgets', path: '/widgets/0/options/all' }],
      [{ op: 'replace', path: '/widgets/4000/scale', value: 1 }],
      [{ op: 'add', path: '/__proto__/polluted', value: 1 }],
      [{ op: 'add', path: '/widgets/0/constructor/prototype/polluted', value: 1 }],
      [{ op: 'replace', path: '/id', value: 'other' }],
      [{ op: 'add', path: '/widgets/1000000000', value: {} }],
    ];
    for (const changes of refused)
      expect((await patch(changes, 2)).status, JSON.stringify(changes)).to.equal(422);
    // Deeper than anything could walk, and more steps than a list of a desk has entries.
    const bare = (text: string) =>
      ask()
        .patch('/api/desks/dawn-count')
        .set('Content-Type', 'application/json-patch+json')
        .set('If-Match', '"2"')
        .send(text);
    const deep = `[{"op":"add","path":"/name","value":${'['.repeat(200_000)}${']'.repeat(200_000)}}]`;
    expect((await bare(deep)).status).to.equal(422);
    expect((await patch(Array(6000).fill(x), 2)).status).to.equal(422);
    expect(Object.hasOwn(Object.prototype, 'polluted')).to.equal(false);
    expect((await ask().get('/api/desks/dawn-count')).body.revision).to.equal(2);
  });

  it('can be duplicated under a free name, taken off the shelf, and put back', async () => {
    addDawnCount();
    const copy = await ask().post('/api/desks').send(dawnCount());
    expect(copy.body.desk.name).to.equal('Dawn count 2');
    expect(copy.body.desk.id).not.to.equal('dawn-count');
    expect((await ask().delete('/api/desks/dawn-count')).status).to.equal(204);
    expect((await ask().get('/api/desks/dawn-count')).status).to.equal(404);
    expect((await ask().get('/api/desks')).body).to.have.length(1);
    await ask().post('/api/desks/dawn-count/restore').expect(200);
    expect((await ask().get('/api/desks')).body).to.have.length(2);
  });

  it('lose no save of many at once', async () => {
    for (const desk of demoDesks()) app.desks.create(desk, { keepId: true });
    await Promise.all(
      demoDesks().map(async (desk) => {
        for (let revision = 1; revision <= 12; revision++) {
          const saved = await put({ ...desk, name: `${desk.name} ${revision}` }, revision, desk.id);
          expect(saved.body.revision).to.equal(revision + 1);
        }
      }),
    );
    for (const { name, revision } of app.desks.list())
      expect([name.split(' ').at(-1), revision]).to.deep.equal(['12', 13]);
  });
});

describe('pictures on the server', () => {
  const png = () =>
    sharp({ create: { width: 60, height: 30, channels: 3, background: '#d07040' } })
      .png()
      .toBuffer();
  const add = (bytes: Buffer) =>
    ask().post('/api/pictures?name=hide.png').set('Content-Type', 'application/octet-stream').send(bytes);

  it('are taken in once, under their digest, and come out as WebP at a width', async () => {
    const first = await add(await png());
    expect(first.status).to.equal(201);
    expect(first.body).to.include({ width: 60, height: 30, type: 'image/png', name: 'hide.png' });
    expect((await add(await png())).body.id).to.equal(first.body.id);
    const shown = await ask()
      .get(`/api/pictures/${first.body.id}?width=480`)
      .buffer()
      .parse(binary as never);
    expect(shown.headers['content-type']).to.equal('image/webp');
    expect((await sharp(shown.body).metadata()).width).to.equal(60);
  });

  it('are listed where they are large enough to lie behind a desk, the newest first', async () => {
    const large = (background: string) =>
      sharp({ create: { width: 480, height: 270, channels: 3, background } })
        .png()
        .toBuffer();
    const [one, two] = [await add(await large('#102030')), await add(await large('#405060'))];
    await add(await png());
    const { body } = await ask().get('/api/pictures');
    const listed = (body as { id: string; width: number }[]).filter(({ id }) =>
      [one.body.id, two.body.id].includes(id),
    );
    expect(listed.map(({ id }) => id)).to.have.members([one.body.id, two.body.id]);
    expect((body as { width: number }[]).every(({ width }) => width >= 480)).to.equal(true);
  });

  for (const format of ['jpeg', 'webp', 'avif'] as const) {
    it(`may be ${format}`, async () => {
      const bytes = await sharp(await png())
        .toFormat(format)
        .toBuffer();
      expect((await add(bytes)).status).to.equal(201);
    });
  }

  it('are refused when they are none, of another kind, damaged, or have too many pixels', async () => {
    expect((await add(Buffer.from('not a picture'))).status).to.equal(415);
    expect(
      (await add(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'))).status,
    ).to.equal(415);
    const noise = await sharp(
      Buffer.from(Array.from({ length: 3 * 200 * 200 }, (_, i) => (i * 7919) % 256)),
      { raw: { width: 200, height: 200, channels: 3 } },
    )
      .png()
      .toBuffer();
    expect((await add(noise.subarray(0, noise.length / 2))).status).to.equal(422);
    const huge = await sharp({ create: { width: 16000, height: 8000, channels: 3, background: '#000' } })
      .png()
      .toBuffer();
    const refused = await add(huge);
    expect(refused.status).to.equal(413);
    expect(refused.body.detail).to.match(/128 megapixels/);
  }).timeout(60_000);

  it('are drawn as backdrops, from what the address says and nothing else', async () => {
    const drawn = (change: object = {}) =>
      encodeURIComponent(JSON.stringify({ ...sampleOf(createMotif('tide', 3)), ...change }));
    const scene = await ask()
      .get(`/api/backdrops?width=400&drawn=${drawn()}`)
      .buffer()
      .parse(binary as never);
    expect((await sharp(scene.body).metadata()).width).to.equal(480);
    expect(scene.headers['cache-control']).to.contain('immutable');
    const hostile: [string, number, RegExp][] = [
      ['x', 400, /does not say what to draw/],
      [drawn({ source: { kind: 'motif', motif: '../night' } }), 400, /source\.motif/],
      [drawn({ ground: 'url(#x)' }), 400, /ground/],
      [drawn({ whole: { width: 1e9, height: 1 } }), 400, /whole\.width/],
      [drawn({ source: { ...createPicture('../../etc/passwd', 'x') } }), 400, /source\.picture/],
      [drawn({ source: { ...createPicture('0'.repeat(64), 'x') } }), 404, /does not have this picture/],
    ];
    for (const [text, status, sentence] of hostile) {
      const refused = await ask().get(`/api/backdrops?drawn=${text}`);
      expect(refused.status, text).to.equal(status);
      expect(refused.body.detail, text).to.match(sentence);
    }
  });

  it('tell how dark and light they are, and where, as the very picture that is shown has it', async () => {
    const drawn = encodeURIComponent(JSON.stringify(sampleOf(createMotif('strata', 3))));
    const get = (path: string) =>
      ask()
        .get(`/api/backdrops${path}drawn=${drawn}`)
        .buffer()
        .parse(binary as never);
    const told = await get('/tones?');
    expect(told.headers['cache-control']).to.contain('immutable');
    const tones = unpackTones(new Uint8Array(told.body as Buffer));
    expect([tones?.columns, tones?.rows]).to.deep.equal([96, 54]);
    expect(tones?.palettes).to.equal(undefined);
    const drawnToo = unpackTones(new Uint8Array((await get('/tones?palettes=1&')).body as Buffer));
    expect(drawnToo?.cells).to.deep.equal(tones?.cells);
    expect(Object.keys(drawnToo?.palettes ?? {})).to.include.members(['calm', 'vivid']);
    // Another way: the shown picture made as small as the map.
    const mean = await sharp((await get('?width=480&')).body as Buffer)
      .resize(96, 54, { kernel: 'nearest' })
      .greyscale()
      .raw()
      .toBuffer();
    const apart = [...mean].map((grey, at) => {
      const [dark = 0, , light = 0] = tones?.cells.subarray(at * 3, at * 3 + 3) ?? [];
      return Math.max(0, dark - grey, grey - light);
    });
    expect(apart.filter((by) => by > 12).length).to.be.below(apart.length / 50);
    expect(Math.max(...mean) - Math.min(...mean)).to.be.above(60);
    const nobody = encodeURIComponent(
      JSON.stringify({
        ...sampleOf(createMotif('strata', 3)),
        source: { ...createPicture('0'.repeat(64), 'x'), kind: 'picture' },
      }),
    );
    expect((await ask().get(`/api/backdrops/tones?drawn=${nobody}`)).status).to.equal(404);
    expect((await ask().get('/api/backdrops/tones?drawn=x')).status).to.equal(400);
  });

  it('leave in exactly the pixels and the format asked for, within limits', async () => {
    const drawn = encodeURIComponent(JSON.stringify(sampleOf(createMotif('tide', 3))));
    const out = await ask()
      .get(`/api/backdrops/export?drawn=${drawn}&width=300&height=170&format=jpeg`)
      .buffer()
      .parse(binary as never);
    expect(out.headers['content-type']).to.equal('image/jpeg');
    const found = await sharp(out.body).metadata();
    expect([found.width, found.height]).to.deep.equal([300, 170]);
    for (const [query, status] of [
      ['width=300&height=170&format=bmp', 400],
      ['width=0&height=170&format=png', 400],
      ['width=3.5&height=170&format=png', 400],
      ['width=16384&height=16384&format=png', 413],
    ] as const)
      expect((await ask().get(`/api/backdrops/export?drawn=${drawn}&${query}`)).status, query).to.equal(
        status,
      );
  });
});

describe('bundles on the server', () => {
  it('go out and come in with their picture, as a desk of its own', async () => {
    const bytes = await sharp({ create: { width: 40, height: 20, channels: 3, background: '#204060' } })
      .png()
      .toBuffer();
    const picture = (await ask().post('/api/pictures').set('Content-Type', 'image/png').send(bytes)).body
      .id as string;
    app.desks.create(
      { ...dawnCount(), backdrops: [createBackdrop('backdrop', createPicture(picture, 'sea.png'))] },
      { keepId: true },
    );
    const out = await ask()
      .get('/api/desks/dawn-count/bundle')
      .buffer()
      .parse(binary as never);
    expect(out.headers['content-disposition']).to.contain('Dawn-count.ledge');

    const other = mkdtempSync(join(tmpdir(), 'velvet-'));
    const elsewhere = createApp({ dataFolder: other });
    const taken = await request(elsewhere.express)
      .post('/api/bundles')
      .set('Content-Type', 'application/zip')
      .send(out.body);
    expect(taken.status).to.equal(201);
    expect(taken.body.desk.backdrops[0].source.picture).to.equal(picture);
    await request(elsewhere.express).get(`/api/pictures/${picture}`).expect(200);
    elsewhere.close();
    removeFolder(other);
  });

  it('are refused with a sentence, and nothing is kept', async () => {
    const refused = await ask()
      .post('/api/bundles')
      .set('Content-Type', 'application/zip')
      .send(Buffer.from(zipSync({ 'desk.json': new Uint8Array() })));
    expect(refused.status).to.equal(422);
    expect(refused.body.detail).to.equal('manifest.json: is missing');
    expect((await ask().get('/api/desks')).body).to.deep.equal([]);
  });
});

describe('the door', () => {
  it('is shut to other hosts and to changes from other pages', async () => {
    expect((await ask().get('/api/desks').set('Host', 'evil.example')).status).to.equal(403);
    expect(
      (await ask().post('/api/desks').set('Origin', 'http://evil.example').send(dawnCount())).status,
    ).to.equal(403);
    expect((await ask().get('/api/desks')).headers['content-security-policy']).to.contain(
      "default-src 'self'",
    );
  });

  it('answers an unknown address with a problem', async () => {
    const nothing = await ask().get('/api/nothing');
    expect(nothing.status).to.equal(404);
    expect(nothing.body.title).to.equal('Nothing here');
  });
});

describe('opening the database', () => {
  it('refuses a folder that can not be written, and a database from a newer version', () => {
    expect(() => openStore(join(folder, 'velvet-ledge.db', 'inside'))).to.throw(
      StartProblem,
      /can't be written/,
    );
    const client = new Database(join(folder, 'velvet-ledge.db'));
    client
      .prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)')
      .run('from the future', Date.UTC(2090, 0, 1));
    client.close();
    expect(() => openStore(folder)).to.throw(StartProblem, /newer version/);
  });
});

describe('events', () => {
  it('tell other pages of a save, and give readings to those who ask', async () => {
    app.close();
    app = createApp({
      dataFolder: folder,
      feeders: [
        {
          source: 'machine',
          origin: 'this-machine',
          everyMs: 2000,
          kept: 5,
          look: async () => ({ processor: 42, memory: null, disk: null, network: null }),
        },
      ],
    });
    const { desk } = addDawnCount();
    const server = app.express.listen(0, '127.0.0.1');
    await new Promise((resolve) => server.once('listening', resolve));
    const { port } = server.address() as { port: number };
    const stop = new AbortController();
    const stream = await fetch(`http://127.0.0.1:${port}/api/events?page=one`, { signal: stop.signal });
    const reader = stream.body?.pipeThrough(new TextDecoderStream()).getReader();
    let text = '';
    async function until(pattern: RegExp) {
      while (!pattern.test(text)) text += (await reader?.read())?.value ?? '';
    }
    await until(/event: hello\ndata: {"build":null,"room":\d+}/);
    const want = (names: unknown) =>
      fetch(`http://127.0.0.1:${port}/api/events/one/feeds`, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(names),
      });
    const long = Array.from(
      { length: 80 },
      (_, index) => `text/10/https://${'x'.repeat(280)}.example/${index}`,
    );
    expect((await want(['machine/this-machine', 'machine/nowhere', ...long])).status).to.equal(204);
    expect((await want({ one: 'machine/this-machine' })).status).to.equal(422);
    await until(/"origin":"nowhere","samples":\[\],"problem":{"sentence":"there is no such source"/);
    await until(/example\/79","samples":\[\],"problem":{"sentence":"a page reads from 64 sources at once/);
    await until(
      /event: samples\ndata: {"source":"machine","origin":"this-machine","samples":\[{.*"processor":42/,
    );
    await fetch(`http://127.0.0.1:${port}/api/desks/dawn-count`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-Match': '"1"', 'X-Client': 'page-one' },
      body: JSON.stringify({ ...desk, name: 'Heard' }),
    });
    await until(/event: saved\ndata: {"id":"dawn-count","revision":2,"by":"page-one"}/);
    stop.abort();
    await new Promise((resolve) => server.close(resolve));
  });
});
