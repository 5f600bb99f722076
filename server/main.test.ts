import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { once } from 'node:events';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect } from 'chai';
import { removeFolder } from '../tests/support/folders.ts';

const root = fileURLToPath(new URL('..', import.meta.url));

/** Starts the server as a person would, for a start that fails. */
async function startAndFail(...args: string[]): Promise<{ code: number | null; said: string }> {
  const child = spawn(process.execPath, ['server/start.mjs', ...args], { cwd: root });
  let said = '';
  child.stderr.on('data', (chunk) => (said += String(chunk)));
  const [code] = (await once(child, 'exit')) as [number | null];
  return { code, said: said.trim() };
}

describe('starting the server', () => {
  let folder: string;
  before(() => {
    folder = mkdtempSync(join(tmpdir(), 'velvet-start-'));
  });
  after(() => removeFolder(folder));

  it('ends with one sentence when the port is taken', async () => {
    const other = createServer().listen(0, '127.0.0.1');
    await once(other, 'listening');
    const { port } = other.address() as { port: number };
    const { code, said } = await startAndFail('--port', String(port), '--data', folder);
    other.close();
    expect(code).to.equal(1);
    expect(said).to.equal(`Port ${port} is taken. Choose another with --port.`);
  });

  it('ends with one sentence when the port is none', async () => {
    const { code, said } = await startAndFail('--port', 'lots', '--data', folder);
    expect(code).to.equal(1);
    expect(said).to.equal('"lots" is not a port: choose a number from 0 to 65535.');
  });

  it('answers under an address of IPv6, written in brackets', async function () {
    const probe = createServer();
    const hasIPv6 = await new Promise((resolve) =>
      probe.once('error', () => resolve(false)).listen(0, '::1', () => resolve(true)),
    );
    probe.close();
    if (!hasIPv6) this.skip();
    const args = ['server/start.mjs', '--host', '::1', '--port', '0', '--data', join(folder, 'six')];
    const child = spawn(process.execPath, args, { cwd: root, stdio: ['ignore', 'pipe', 'inherit'] });
    try {
      let said = '';
      for await (const chunk of child.stdout) {
        said += String(chunk);
        if (said.includes('\n')) break;
      }
      const address = /http:\/\/\[::1\]:\d+/.exec(said)?.[0];
      expect(address, said).to.be.a('string');
      expect((await fetch(`${address}/api/desks`)).status).to.equal(200);
    } finally {
      child.kill('SIGKILL');
    }
  });

  it('ends with one sentence when the database is not ours to change', async () => {
    const there = join(folder, 'other');
    mkdirSync(there);
    writeFileSync(join(there, 'velvet-ledge.db'), 'Rows of something else');
    const { code, said } = await startAndFail('--port', '0', '--data', there);
    expect(code).to.equal(1);
    expect(said).to.match(
      /^The database .* is damaged, or no database at all; it was left as it is\. [^\n]*$/,
    );
  });

  it('ends with one sentence when the folder can not be written', async () => {
    const file = join(folder, 'a-file');
    writeFileSync(file, 'in the way');
    const { code, said } = await startAndFail('--port', '0', '--data', join(file, 'data'));
    expect(code).to.equal(1);
    expect(said).to.match(/^The data folder .* can't be written \(ENOTDIR\)\. Choose another with --data\.$/);
  });
});
