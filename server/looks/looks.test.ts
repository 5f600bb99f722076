import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import request from 'supertest';
import { MOST_LOOKS, type ReadyLook } from '../../core/desk/ready/ready.ts';
import { ourLooks } from '../../core/ready/ours.ts';
import { removeFolder } from '../../tests/support/folders.ts';
import { createApp, type App } from '../app.ts';

const [surface] = ourLooks();
const pointer = ourLooks().find(({ topic }) => topic === 'pointer');
if (!surface || !pointer) throw new Error('no looks');

describe('looks on the server', () => {
  let folder: string;
  let app: App;
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'velvet-looks-'));
    app = createApp({ dataFolder: folder });
  });
  afterEach(() => {
    app.close();
    removeFolder(folder);
  });
  const ask = () => request(app.express);
  const list = async () => (await ask().get('/api/looks')).body as ReadyLook[];
  const add = ({ topic, name, value }: ReadyLook) => ask().post('/api/looks').send({ topic, name, value });

  it('are kept for all desks, over a restart; none overwrites another', async () => {
    const made = await add({ ...surface, name: 'Mine' });
    expect(made.status).to.equal(201);
    expect((await add({ ...surface, name: 'Mine' })).body).to.deep.include({ name: 'Mine 2' });
    // One of something else may be called the same.
    expect((await add({ ...pointer, name: 'Mine' })).body).to.deep.include({ name: 'Mine' });
    app.close();
    app = createApp({ dataFolder: folder });
    expect((await list()).map(({ topic, name, value }) => ({ topic, name, value }))).to.deep.equal([
      { topic: 'surface', name: 'Mine', value: surface.value },
      { topic: 'surface', name: 'Mine 2', value: surface.value },
      { topic: 'pointer', name: 'Mine', value: pointer.value },
    ]);
  });

  it('are called otherwise and let go of', async () => {
    const { id } = (await add({ ...surface, name: 'Mine' })).body as ReadyLook;
    expect((await ask().put(`/api/looks/${id}/name`).send({ name: 'Reef' })).status).to.equal(204);
    expect((await list())[0]?.name).to.equal('Reef');
    expect((await ask().put(`/api/looks/${id}/name`).send({ name: '' })).status).to.equal(422);
    expect((await ask().put('/api/looks/none/name').send({ name: 'Reef' })).status).to.equal(404);
    expect((await ask().delete(`/api/looks/${id}`)).status).to.equal(204);
    expect((await ask().delete(`/api/looks/${id}`)).status).to.equal(404);
    expect(await list()).to.deep.equal([]);
  });

  it('are refused with what is wrong, and nothing is kept', async () => {
    for (const [wrong, said] of [
      [{ ...surface, topic: 'hat' }, /topic/],
      [{ ...surface, value: { ...Object(surface.value), opacity: 400 } }, /value\.opacity/],
      [{ ...surface, value: { ...Object(surface.value), tint: 'url(x)' } }, /value\.tint/],
      [{ ...surface, name: '' }, /name/],
      [{ ...surface, value: null }, /value/],
      [[], /JSON object/],
    ] as const) {
      const { status, body } = await ask().post('/api/looks').send(wrong);
      expect(status).to.be.within(400, 422);
      expect(JSON.stringify(body)).to.match(said);
    }
    expect(
      (
        await ask()
          .post('/api/looks')
          .send({ ...surface, name: 'x'.repeat(70_000) })
      ).status,
    ).to.equal(413);
    expect(await list()).to.deep.equal([]);
  });

  it('have room for so many', async () => {
    for (let index = 0; index < MOST_LOOKS; index++) await add({ ...surface, name: `Look ${index}` });
    const { status, body } = await add(surface);
    expect(status).to.equal(422);
    expect(JSON.stringify(body)).to.include(`room for ${MOST_LOOKS} looks`);
  });
});
