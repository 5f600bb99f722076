import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import sharp from 'sharp';
import request from 'supertest';
import { createBackdrop, createPicture } from '../../core/desk/defaults.ts';
import { kitKinds, MOST_KITS, type Kit } from '../../core/desk/kits/kit.ts';
import { kitOf } from '../../core/desk/kits/mannequin.ts';
import { demoDesks } from '../../demo/desks.ts';
import { dawnCount } from '../../tests/support/desks.ts';
import { removeFolder } from '../../tests/support/folders.ts';
import { createApp, type App } from '../app.ts';
import { KEPT } from '../files/clearing.ts';

const facts = {
  id: 'dawn',
  name: 'Dawn',
  version: 1,
  by: 'The hide',
  notes: 'For early mornings',
  kinds: kitKinds.map(({ key }) => key),
};
const dawn = (): Kit => kitOf(dawnCount(), facts);
const binary = (response: request.Response, done: (error: Error | null, body: Buffer) => void) => {
  const chunks: Buffer[] = [];
  response.on('data', (chunk: Buffer) => chunks.push(chunk));
  response.on('end', () => done(null, Buffer.concat(chunks)));
};

describe('kits on the server', () => {
  let folder: string;
  let app: App;
  let later = 0;
  const start = () => createApp({ dataFolder: folder, now: () => Date.now() + later });
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'velvet-kits-'));
    later = 0;
    app = start();
  });
  afterEach(() => {
    app.close();
    removeFolder(folder);
  });
  const ask = () => request(app.express);
  const add = async (kit: object) => (await ask().post('/api/kits').send(kit)).body as Kit;
  const bundleOf = async (id: string) =>
    (await ask().get(`/api/kits/${id}/bundle`).buffer().parse(binary)).body as Buffer;
  /** A desk over a picture of one's own, which the server has. */
  async function pictured() {
    const bytes = await sharp({ create: { width: 64, height: 40, channels: 3, background: '#446' } })
      .png()
      .toBuffer();
    const { body: picture } = await ask().post('/api/pictures').set('Content-Type', 'image/png').send(bytes);
    const desk = {
      ...dawnCount(),
      backdrops: [createBackdrop('backdrop', createPicture(picture.id, 'hide'))],
    };
    return { desk, picture };
  }
  const takeIn = (bytes: Buffer) =>
    ask().post('/api/kit-bundles').set('Content-Type', 'application/zip').send(bytes);

  it('are kept, listed, given and outlive the server; none overwrites another', async () => {
    expect(await add(dawn())).to.deep.equal(dawn());
    const second = await add(dawn());
    expect(second.name).to.equal('Dawn 2');
    expect(second.id).not.to.equal('dawn');
    app.close();
    app = start();
    const list = (await ask().get('/api/kits')).body as Kit[];
    expect(list.map(({ name, by }) => [name, by])).to.deep.equal([
      ['Dawn', 'The hide'],
      ['Dawn 2', 'The hide'],
    ]);
    expect((await ask().get('/api/kits/dawn')).body).to.deep.equal(dawn());
  });

  it('change by versions, and never over what somebody else changed meanwhile', async () => {
    await add(dawn());
    const changed = await ask()
      .put('/api/kits/dawn')
      .send({ ...dawn(), notes: 'For all mornings' });
    expect(changed.body).to.deep.include({ version: 2, notes: 'For all mornings' });
    const stale = await ask().put('/api/kits/dawn').send(dawn());
    expect(stale.status).to.equal(412);
    expect((await ask().get('/api/kits/dawn')).body).to.deep.include({ notes: 'For all mornings' });
  });

  it('go out as a file and come in the same, with the pictures that they use', async () => {
    const { desk, picture } = await pictured();
    await add(kitOf(desk, facts));
    const file = await bundleOf('dawn');
    // On a server that has neither the kit nor the picture.
    app.close();
    removeFolder(folder);
    folder = mkdtempSync(join(tmpdir(), 'velvet-kits-'));
    app = start();
    const back = await takeIn(file);
    expect(back.status, back.text).to.equal(201);
    expect(back.body).to.deep.equal(kitOf(desk, facts));
    expect((await ask().get(`/api/pictures/${picture.id}`)).status).to.equal(200);
  });

  it('are made of any desk’s file; a kit’s file is no desk', async () => {
    const { body: stored } = await ask().post('/api/desks').send(demoDesks()[1]);
    const file = (await ask().get(`/api/desks/${stored.desk.id}/bundle`).buffer().parse(binary))
      .body as Buffer;
    const kit = await takeIn(file);
    expect(kit.status, kit.text).to.equal(201);
    expect(kit.body.name).to.equal(stored.desk.name);
    expect(kit.body.desk.place.name).to.equal('Nowhere');
    const asDesk = await ask()
      .post('/api/bundles')
      .set('Content-Type', 'application/zip')
      .send(await bundleOf(kit.body.id));
    expect(asDesk.status).to.equal(422);
    expect(asDesk.body.detail).to.match(/is a kit/);
  });

  it('are refused with what is wrong, and where', async () => {
    const cases: [object, RegExp][] = [
      [{ ...dawn(), kinds: [] }, /^kinds/],
      [{ ...dawn(), kinds: ['palette', 'toString'] }, /^kinds\[1\]/],
      [{ ...dawn(), name: '' }, /^name/],
      [{ ...dawn(), version: 0 }, /^version/],
      [{ ...dawn(), desk: undefined }, /^desk/],
      [{ ...dawn(), desk: { ...dawn().desk, widgets: [{}] } }, /^desk\.widgets\[0\]/],
      [
        {
          ...dawn(),
          desk: { ...dawn().desk, backdrops: [createBackdrop('b', createPicture('0'.repeat(64), 'x'))] },
        },
        /does not have/,
      ],
    ];
    for (const [kit, reason] of cases) {
      const { status, body } = await ask().post('/api/kits').send(kit);
      expect(status, String(reason)).to.equal(422);
      expect(body.detail).to.match(reason);
    }
    expect((await ask().get('/api/kits')).body).to.deep.equal([]);
  });

  it('leave the shelf and come back; their pictures stay for as long as they may', async () => {
    const { desk, picture } = await pictured();
    await add(kitOf(desk, facts));
    expect((await ask().delete('/api/kits/dawn')).status).to.equal(204);
    expect((await ask().get('/api/kits/dawn')).status).to.equal(404);
    app.close();
    later = 2 * KEPT;
    app = start();
    expect((await app.clear()).files).to.equal(0);
    expect((await ask().post('/api/kits/dawn/restore')).status).to.equal(201);
    expect((await ask().get(`/api/pictures/${picture.id}`)).status).to.equal(200);
  });

  it('have room for many, and say so when it is full', async function () {
    this.timeout(60_000);
    const kit = { ...dawn(), desk: demoDesks().at(-1) };
    for (let count = 0; count < MOST_KITS; count++) await add({ ...kit, id: `kit-${count}` });
    const more = await ask().post('/api/kits').send(kit);
    expect(more.status).to.equal(422);
    expect(more.body.detail).to.match(/There is room for 400 kits/);
  });
});
