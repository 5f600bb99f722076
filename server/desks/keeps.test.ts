import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import request from 'supertest';
import { MOST_KEEPS } from '../../core/desk/keep.ts';
import type { Desk } from '../../core/desk/desk.ts';
import type { RevisionNote } from '../../core/wire/wire.ts';
import { dawnCount } from '../../tests/support/desks.ts';
import { removeFolder } from '../../tests/support/folders.ts';
import { createApp, type App } from '../app.ts';

const DAY = 24 * 3_600_000;

describe('keeps', () => {
  let folder: string;
  let app: App;
  let later = 0;
  let desk: Desk;
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'velvet-keeps-'));
    later = 0;
    app = createApp({ dataFolder: folder, now: () => Date.now() + later });
  });
  afterEach(() => {
    app.close();
    removeFolder(folder);
  });
  const ask = () => request(app.express);
  const revisions = async () => (await ask().get(`/api/desks/${desk.id}/revisions`)).body as RevisionNote[];
  const keep = (number: number, body: object = { name: 'Before the storm' }) =>
    ask().put(`/api/desks/${desk.id}/revisions/${number}/keep`).send(body);
  async function save(name: string): Promise<void> {
    const [newest] = await revisions();
    const { status } = await ask()
      .put(`/api/desks/${desk.id}`)
      .set('If-Match', `"${newest?.number ?? 1}"`)
      .send({ ...desk, name });
    expect(status).to.equal(200);
  }
  const start = async () => {
    const { status, body } = await ask().post('/api/desks').send(dawnCount());
    expect(status).to.equal(201);
    desk = (body as { desk: Desk }).desk;
  };

  it('stay for good, while what stands beside them goes with time', async () => {
    await start();
    await save('One');
    expect((await keep(2, { name: 'Before the storm', note: 'The one with the fog' })).status).to.equal(204);
    await save('Two');
    // A year later, a hundred and fifty saves in one hour.
    later = 365 * DAY;
    for (let index = 0; index < 150; index++) {
      later += 20_000;
      await save(`Later ${index}`);
    }
    const left = await revisions();
    // Of one day long ago the last stays.
    expect(left.filter(({ number }) => number < 4).map(({ number }) => number)).to.deep.equal([3, 2]);
    expect(left.find(({ number }) => number === 2)).to.deep.include({
      keptAs: 'Before the storm',
      note: 'The one with the fog',
    });
    const { body } = await ask().get(`/api/desks/${desk.id}/revisions/2`);
    expect((body as { desk: Desk }).desk.name).to.equal('One');
    // Let go of, it goes with the others.
    expect((await ask().delete(`/api/desks/${desk.id}/revisions/2/keep`)).status).to.equal(204);
    await save('Last');
    expect((await revisions()).some(({ number }) => number === 2)).to.equal(false);
  });

  it('are refused where there is no such state, without a name, and beyond so many', async () => {
    await start();
    expect((await keep(9)).status).to.equal(404);
    expect((await ask().put('/api/desks/none/revisions/1/keep').send({ name: 'x' })).status).to.equal(404);
    expect((await keep(1, { name: '' })).status).to.equal(422);
    expect((await keep(1, { name: 'x', note: 'n'.repeat(2001) })).status).to.equal(422);
    for (let number = 1; number <= MOST_KEEPS; number++) {
      expect((await keep(number, { name: `Keep ${number}` })).status).to.equal(204);
      await save(`Desk ${number}`);
    }
    const { status, body } = await keep(MOST_KEEPS + 1);
    expect(status).to.equal(422);
    expect(JSON.stringify(body)).to.include(`room for ${MOST_KEEPS} keeps`);
    // One that is kept already is only called otherwise.
    expect((await keep(1, { name: 'The first' })).status).to.equal(204);
    expect((await revisions()).find(({ number }) => number === 1)?.keptAs).to.equal('The first');
  });
});
