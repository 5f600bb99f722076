import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import sharp from 'sharp';
import request from 'supertest';
import { iconNames } from '../../core/icons/names.ts';
import type { IconSetIndex } from '../../core/icons/sets/index-file.ts';
import type { Desk } from '../../core/desk/desk.ts';
import type { ListedIconSet, TakingIcons } from '../../core/wire/wire.ts';
import { dawnCount } from '../../tests/support/desks.ts';
import { removeFolder } from '../../tests/support/folders.ts';
import { pngOf, svgOf, tarOf, twoColoured, zipOf } from '../../tests/support/icon-files.ts';
import { createApp, type App } from '../app.ts';
import { KEPT } from '../files/clearing.ts';

const binary = (response: request.Response, done: (error: Error | null, body: Buffer) => void) => {
  const chunks: Buffer[] = [];
  response.on('data', (chunk: Buffer) => chunks.push(chunk));
  response.on('end', () => done(null, Buffer.concat(chunks)));
};

describe('icon sets on the server', () => {
  let folder: string;
  let app: App;
  let later = 0;
  const start = (at = folder) => createApp({ dataFolder: at, now: () => Date.now() + later });
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'velvet-icons-'));
    later = 0;
    app = start();
  });
  afterEach(() => {
    app.close();
    removeFolder(folder);
  });

  async function told(bytes: Buffer, name = 'Kittiwake.zip', on = app): Promise<TakingIcons[]> {
    const answer = await request(on.express)
      .post(`/api/icon-sets?name=${encodeURIComponent(name)}`)
      .set('Content-Type', 'application/octet-stream')
      .buffer()
      .parse(binary)
      .send(bytes);
    return (answer.body as Buffer)
      .toString('utf8')
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as TakingIcons);
  }
  async function take(bytes: Buffer, name?: string, on?: App): Promise<ListedIconSet[]> {
    const last = (await told(bytes, name, on)).at(-1);
    if (!last || !('sets' in last)) throw new Error(JSON.stringify(last));
    return last.sets;
  }
  const refused = async (bytes: Buffer) => {
    const last = (await told(bytes)).at(-1);
    return last && 'problem' in last ? last.problem : JSON.stringify(last);
  };
  const list = async (on = app) => (await request(on.express).get('/api/icon-sets')).body as ListedIconSet[];
  const indexOf = async (id: string, on = app) =>
    (await request(on.express).get(`/api/icon-sets/${id}`)).body as IconSetIndex;
  const pictureOf = async (id: string, name: string, on = app) => {
    const icon = (await indexOf(id, on)).icons.find((one) => one.name === name);
    if (!icon) throw new Error(`No ${name}`);
    const answer = await request(on.express)
      .get(`/api/icon-sets/${id}/${icon.picture}`)
      .buffer()
      .parse(binary);
    return answer.body as Buffer;
  };

  it('are taken in from a ZIP, drawn to pixels, told as they come, and the same once', async () => {
    const names = iconNames.slice(0, 41);
    const files = Object.fromEntries(names.map((name) => [`Outline/${name}.svg`, svgOf('#204060')]));
    const zip = zipOf({ ...files, 'Outline/read me.txt': 'Hello', 'Outline/broken.svg': '<svg' });
    const lines = await told(zip);
    expect(lines[0]).to.deep.equal({ drawn: 0, of: 42 });
    expect(lines.at(-2)).to.deep.equal({ drawn: 42, of: 42 });
    const last = lines.at(-1);
    if (!last || !('sets' in last)) throw new Error(JSON.stringify(last));
    const [set] = last.sets;
    expect(set).to.include({ name: 'Kittiwake', pictures: 41, oneColour: 41 });
    expect(last.undrawn).to.equal(1);
    expect(set?.found).to.be.at.least(41);
    expect(set?.styles).to.deep.equal(['Line']);
    const png = await pictureOf(set?.id ?? '', 'folder');
    const { width, height } = await sharp(png).metadata();
    expect([width, height]).to.deep.equal([256, 256]);
    const { data } = await sharp(png).raw().toBuffer({ resolveWithObject: true });
    const at = (x: number, y: number) => [...data.subarray((y * 256 + x) * 4, (y * 256 + x) * 4 + 4)];
    expect(at(50, 50)).to.deep.equal([0x20, 0x40, 0x60, 255]);
    expect(at(128, 128)[3]).to.equal(0);
    const again = await take(zip);
    expect(again[0]?.id).to.equal(set?.id);
    expect(await list()).to.have.length(1);
    // A file that took its name stays apart.
    const other = await take(zipOf({ 'folder.svg': twoColoured('#f00', '#00f') }));
    expect(other[0]).to.include({ name: 'Kittiwake 2', oneColour: 0 });
  });

  it('come as a tar.gz with an index, links followed within it and none out of it', async () => {
    const theme =
      '[Icon Theme]\nName=Driftwood\nDirectories=a,b\n[a]\nSize=48\nType=Fixed\n[b]\nSize=96\nType=Fixed\n';
    const path = tarOf(folder, {
      'driftwood/index.theme': theme,
      'driftwood/a/folder.png': await pngOf('#ff0000', 48),
      'driftwood/a/user-home.png': '-> folder.png',
      'driftwood/b': '-> a',
      'driftwood/a/secret.png': '-> ../../../../../../../../etc/hostname',
      'driftwood/a/absolute.png': '-> /etc/hostname',
    });
    const [set] = await take(readFileSync(path), 'x.tar.gz');
    expect(set).to.include({ name: 'Driftwood', pictures: 1 });
    const { icons } = await indexOf(set?.id ?? '');
    expect(icons.map(({ name, least }) => `${name} ${least}`)).to.have.members([
      'folder 48',
      'user-home 48',
      'folder 96',
      'user-home 96',
    ]);
    const { width } = await sharp(await pictureOf(set?.id ?? '', 'folder')).metadata();
    expect(width, 'keeps its pixels').to.equal(48);
  });

  it('that are none are refused with why, and leave nothing behind', async () => {
    const many = Object.fromEntries(
      Array.from({ length: 5001 }, (_, index) => [`${index}.svg`, svgOf('#000')]),
    );
    expect(await refused(Buffer.from('Hello'))).to.match(/neither a ZIP nor a tar/);
    expect(await refused(zipOf({ 'a.txt': 'Hello' }))).to.match(/no SVG or PNG/);
    expect(await refused(zipOf(many))).to.match(/more than 5000 pictures/);
    expect(await refused(zipOf({ 'a.svg': svgOf('#000') }).subarray(0, 90))).to.match(/damaged/);
    expect(await refused(zipOf({ 'a.svg': '<!DOCTYPE x [<!ENTITY a "b">]><svg/>' }))).to.match(
      /no icon that can be drawn/,
    );
    // Packs well: a hundred mebibytes of nothing.
    const bomb = Object.fromEntries(
      Array.from({ length: 60 }, (_, index) => [`${index}.svg`, `<svg>${' '.repeat(2_000_000)}</svg>`]),
    );
    expect(await refused(zipOf(bomb))).to.match(/more than 64 MiB unpacked/);
    expect(await list()).to.deep.equal([]);
    expect(readdirSync(join(folder, 'icon-sets'))).to.deep.equal([]);
    expect(readdirSync(join(folder, 'incoming'))).to.deep.equal([]);
  });

  it('draw nothing from outside an icon', async () => {
    const outside = `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="24" height="24"><image width="24" height="24" xlink:href="file://${folder}/red.png"/><script>alert(1)</script></svg>`;
    await sharp(await pngOf('#ff0000', 24)).toFile(join(folder, 'red.png'));
    const [set] = await take(zipOf({ 'folder.svg': outside, 'user-home.svg': svgOf('#000') }));
    const { data } = await sharp(await pictureOf(set?.id ?? '', 'folder'))
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect(data.every((byte) => byte === 0)).to.equal(true);
  });

  it('go off the list and come back; those that are listed or worn are kept, others are cleared away', async () => {
    const [kept] = await take(zipOf({ 'folder.svg': svgOf('#111') }), 'kept.zip');
    const [worn] = await take(zipOf({ 'folder.svg': svgOf('#222') }), 'worn.zip');
    const [gone] = await take(zipOf({ 'folder.svg': svgOf('#333') }), 'gone.zip');
    if (!kept || !worn || !gone) throw new Error('Not all taken');
    await request(app.express).post('/api/desks').send(wearing(worn));
    for (const { id } of [worn, gone])
      expect((await request(app.express).delete(`/api/icon-sets/${id}`)).status).to.equal(204);
    expect((await list()).map(({ name }) => name)).to.deep.equal(['Kept']);
    await request(app.express).post(`/api/icon-sets/${gone.id}/restore`);
    expect((await list()).map(({ name }) => name)).to.deep.equal(['Kept', 'Gone']);
    await request(app.express).delete(`/api/icon-sets/${gone.id}`);
    app.close();
    later = KEPT + 86_400_000;
    app = start();
    await app.clear();
    expect(readdirSync(join(folder, 'icon-sets')).sort()).to.deep.equal([kept.id, worn.id].sort());
  });

  it('travel in a desk’s file with what it uses, or whole, and are the same where they come from', async () => {
    const [set] = await take(
      zipOf({
        'folder.svg': svgOf('#111'),
        'nothing-that-anybody-asks-for.svg': svgOf('#222'),
        'user-home.svg': svgOf('#333'),
      }),
    );
    if (!set) throw new Error('Not taken');
    const { body } = await request(app.express).post('/api/desks').send(wearing(set));
    const { desk } = body as { desk: Desk };
    const bundle = async (query = '') =>
      (await request(app.express).get(`/api/desks/${desk.id}/bundle${query}`).buffer().parse(binary))
        .body as Buffer;
    const [small, whole] = [await bundle(), await bundle('?icons=whole')];
    expect(small.length).to.be.below(whole.length);
    // Here the whole set is worn again.
    const back = await request(app.express)
      .post('/api/bundles')
      .set('Content-Type', 'application/zip')
      .send(small);
    expect((back.body as { desk: Desk }).desk.look.icons).to.deep.equal(desk.look.icons);
    const away = mkdtempSync(join(tmpdir(), 'velvet-icons-'));
    const other = start(away);
    try {
      for (const [bytes, pictures] of [
        [small, 2],
        [whole, 3],
      ] as const) {
        const came = await request(other.express)
          .post('/api/bundles')
          .set('Content-Type', 'application/zip')
          .send(bytes);
        const { own } = (came.body as { desk: Desk }).desk.look.icons;
        const index = await indexOf(own?.set.slice('own:'.length) ?? '', other);
        expect(index.pictures).to.have.length(pictures);
        const there = await pictureOf(own?.set.slice('own:'.length) ?? '', 'folder', other);
        expect(there.equals(await pictureOf(set.id, 'folder'))).to.equal(true);
      }
      expect((await list(other)).map(({ name }) => name)).to.deep.equal(['Kittiwake', 'Kittiwake 2']);
    } finally {
      other.close();
      removeFolder(away);
    }
  });

  it('that a desk names and the server lacks are refused by name', async () => {
    const answer = await request(app.express)
      .post('/api/desks')
      .send(wearing({ id: 'a'.repeat(64), name: 'Gone' }));
    expect(answer.status).to.equal(422);
    expect((answer.body as { detail: string }).detail).to.match(/icon set that the server does not have/);
  });
});

function wearing({ id, name }: Pick<ListedIconSet, 'id' | 'name'>): Desk {
  const desk = dawnCount();
  const own = { set: `own:${id}` as const, name, style: '' };
  return { ...desk, id: 'worn', look: { ...desk.look, icons: { ...desk.look.icons, own } } };
}
