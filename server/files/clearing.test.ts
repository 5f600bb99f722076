import { mkdtempSync, readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import sharp from 'sharp';
import request from 'supertest';
import { createBackdrop, createPicture } from '../../core/desk/defaults.ts';
import type { Desk } from '../../core/desk/desk.ts';
import { dawnCount } from '../../tests/support/desks.ts';
import { removeFolder } from '../../tests/support/folders.ts';
import { createApp, type App } from '../app.ts';
import { openStore } from '../db/open.ts';
import { revisions } from '../db/schema.ts';
import { KEPT } from './clearing.ts';

const DAY = 86_400_000;

describe('what nobody can come back to', () => {
  let folder: string;
  let app: App;
  let later: number;

  const start = () => createApp({ dataFolder: folder, now: () => Date.now() + later });
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'velvet-clear-'));
    later = 0;
    app = start();
  });
  afterEach(() => {
    app.close();
    removeFolder(folder);
  });

  /** As if the server had stood still for so many days. */
  function after(days: number): void {
    app.close();
    later += days * DAY;
    app = start();
  }

  const ask = () => request(app.express);
  const kept = () => readdirSync(join(folder, 'pictures')).sort();

  async function addPicture(shade: number): Promise<string> {
    const bytes = await sharp({
      create: { width: 8, height: 8, channels: 3, background: { r: shade, g: 0, b: 0 } },
    })
      .png()
      .toBuffer();
    const answer = await ask()
      .post('/api/pictures?name=hide.png')
      .set('Content-Type', 'application/octet-stream')
      .send(bytes);
    expect(answer.status).to.equal(201);
    return (answer.body as { id: string }).id;
  }

  const deskWith = (picture: string): Desk => ({
    ...dawnCount(),
    backdrops: [createBackdrop('backdrop', createPicture(picture, 'hide.png'))],
  });
  const put = (desk: Desk, revision: number) =>
    ask().put(`/api/desks/${desk.id}`).set('If-Match', `"${revision}"`).send(desk);

  it('is a desk a month off the shelf, then its files; until then it can be put back', async () => {
    const picture = await addPicture(1);
    const { desk } = app.desks.create(deskWith(picture));
    await ask().delete(`/api/desks/${desk.id}`);
    after(KEPT / DAY - 1);
    expect(await app.clear()).to.deep.equal({ desks: 0, files: 0 });
    expect((await ask().post(`/api/desks/${desk.id}/restore`)).status).to.equal(200);
    await ask().delete(`/api/desks/${desk.id}`);
    after(KEPT / DAY + 1);
    expect(await app.clear()).to.deep.equal({ desks: 1, files: 1 });
    expect(kept()).to.deep.equal([]);
    expect((await ask().post(`/api/desks/${desk.id}/restore`)).status).to.equal(404);
    expect((await ask().get(`/api/pictures/${picture}?width=64`)).status).to.equal(404);
    // A shelf that was emptied is not a new one, on which the desks of the demo would be put.
    expect(app.desks.isEmpty()).to.equal(false);
    expect(await app.clear()).to.deep.equal({ desks: 0, files: 0 });
  });

  it('is never what a revision names, be it an old one, or one that can’t be read', async () => {
    const [now, before, broken, nowhere] = [
      await addPicture(1),
      await addPicture(2),
      await addPicture(3),
      await addPicture(4),
    ];
    const { desk } = app.desks.create(deskWith(before));
    expect((await put({ ...deskWith(now), id: desk.id }, 1)).status).to.equal(200);
    const store = openStore(folder);
    store
      .insert(revisions)
      .values({ deskId: desk.id, number: 7, savedAt: 0, desk: `{"format":1,"picture":"own:${broken}"` })
      .run();
    store.$client.close();
    after(KEPT / DAY + 1);
    expect(await app.clear()).to.deep.equal({ desks: 0, files: 1 });
    expect(kept()).to.deep.equal([now, before, broken].sort());
    expect(kept()).not.to.include(nowhere);
  });

  it('is not what was brought or asked for within a month: a page may name it in steps that it can undo', async () => {
    const [shown, forgotten] = [await addPicture(1), await addPicture(2)];
    after(KEPT / DAY + 1);
    const brought = await addPicture(3);
    expect((await ask().get(`/api/pictures/${shown}?width=64`)).status).to.equal(200);
    expect(await app.clear()).to.deep.equal({ desks: 0, files: 1 });
    expect(kept()).to.deep.equal([shown, brought].sort());
    // What is gone can be brought again.
    expect(await addPicture(2)).to.equal(forgotten);
    expect(kept()).to.include(forgotten);
  });
});
