import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { expect } from 'chai';
import sharp from 'sharp';
import { RunningServer } from '../../tests/support/app.ts';
import { openStore, StartProblem } from '../db/open.ts';
import { diskTrouble } from './trouble.ts';
import { removeFolder } from '../../tests/support/folders.ts';

describe('the disk’s troubles', function () {
  this.timeout(120_000);

  it('are known by their codes, also beneath what they caused', () => {
    const error = (code: string) => Object.assign(new Error(code), { code });
    expect(diskTrouble(error('ENOSPC'))?.kind).to.equal('full');
    expect(diskTrouble(new Error('A query failed', { cause: error('SQLITE_FULL') }))?.kind).to.equal('full');
    expect(diskTrouble(error('SQLITE_READONLY_DBMOVED'))?.kind).to.equal('read-only');
    expect(diskTrouble(error('SQLITE_CONSTRAINT'))).to.equal(null);
    expect(diskTrouble(null)).to.equal(null);
  });

  describe('at the start', () => {
    let folder: string;
    const path = () => join(folder, 'velvet-ledge.db');
    beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'velvet-trouble-'))));
    afterEach(() => removeFolder(folder));

    it('another program’s database is left as it is', () => {
      const other = new Database(path());
      other.exec('create table notes (text)');
      other.close();
      const before = readFileSync(path());
      expect(() => openStore(folder)).to.throw(
        StartProblem,
        /database of another program; it was left as it is/,
      );
      expect(readFileSync(path()).equals(before)).to.equal(true);
    });

    it('what is no database, and one that is damaged, get a sentence', () => {
      writeFileSync(path(), 'Rows of something else entirely');
      expect(() => openStore(folder)).to.throw(StartProblem, /is damaged, or no database at all/);
      expect(readFileSync(path(), 'utf8')).to.equal('Rows of something else entirely');
      rmSync(path());
      const { $client } = openStore(folder);
      // All of it in the one file.
      $client.pragma('wal_checkpoint(TRUNCATE)');
      $client.close();
      const bytes = readFileSync(path());
      for (const from of [100, 4096]) {
        writeFileSync(
          path(),
          Buffer.concat([bytes.subarray(0, from), Buffer.alloc(bytes.length - from, 0xa5)]),
        );
        expect(() => openStore(folder), `damaged from ${from} on`).to.throw(
          StartProblem,
          /damaged|can't be written/,
        );
      }
    });

    it('an empty file is made a database of', () => {
      writeFileSync(path(), '');
      openStore(folder).$client.close();
      expect(readFileSync(path(), 'latin1').startsWith('SQLite format 3')).to.equal(true);
    });
  });

  it('get a sentence each while the server runs, which goes on once there is room', async function () {
    // The system lets a process write files of so many bytes only: what is more fails as on a full disk.
    if (spawnSync('prlimit', ['--version']).status !== 0) this.skip();
    const server = new RunningServer();
    await server.start();
    const limit = (bytes: string) =>
      execFileSync('prlimit', ['--pid', String(server.pid), `--fsize=${bytes}:`]);
    try {
      const at = (path: string, init?: RequestInit) => fetch(`${server.address}/api${path}`, init);
      const { desk, revision } = (await (await at('/desks/dawn-count')).json()) as {
        desk: { name: string };
        revision: number;
      };
      const save = () =>
        at('/desks/dawn-count', {
          method: 'PUT',
          headers: { 'Content-Type': 'application/json', 'If-Match': `"${revision}"` },
          body: JSON.stringify({ ...desk, name: 'Full' }),
        });
      const noise = Buffer.from(Array.from({ length: 300 * 300 * 3 }, (_, index) => (index * 7919) % 251));
      const picture = await sharp(noise, { raw: { width: 300, height: 300, channels: 3 } })
        .png()
        .toBuffer();
      const add = () => at('/pictures?name=noise', { method: 'POST', body: new Uint8Array(picture) });
      limit('1024');
      for (const ask of [save, add]) {
        const answer = await ask();
        const said = (await answer.json()) as { detail: string };
        expect(answer.status).to.be.oneOf([503, 507]);
        expect(said.detail).to.match(/^The disk of the server .*nothing was changed\./);
      }
      // A picture that arrived whole, and can't be written by the helper that looks into it.
      limit(String(picture.length));
      expect((await at('/desks')).status).to.equal(200);
      limit('unlimited');
      expect((await save()).status).to.equal(200);
      expect((await add()).status).to.equal(201);
    } finally {
      await server.end();
    }
  });
});
