import { execFileSync } from 'node:child_process';
import { expect } from 'chai';
import { sampleOf } from '../../core/backdrop/drawn.ts';
import { createMotif } from '../../core/desk/defaults.ts';
import { processorMs } from './processor.ts';
import { Cancelled, TookTooLong, createHelpers, type Helpers } from './pool.ts';

/** A small motif takes a moment; a large one with everything done to its pixels takes seconds. */
function order(width: number, seed = 1) {
  const drawn = sampleOf(createMotif('fog', seed));
  return {
    drawn,
    path: null,
    width,
    height: Math.round((width * drawn.part.height) / drawn.part.width),
    format: 'png' as const,
    isForShow: false,
  };
}

/** Ids of the processes that this one has started and that still run. */
function children(): string[] {
  const listed = execFileSync('ps', ['-eo', 'pid=,ppid=,args='], { encoding: 'utf8', maxBuffer: 1e7 });
  return listed
    .split('\n')
    .map((line) => line.trim().split(/\s+/))
    .filter(
      ([, parent, ...args]) => Number(parent) === process.pid && args.join(' ').includes('helpers/start.mjs'),
    )
    .map(([pid]) => pid ?? '');
}

async function until(isTrue: () => boolean): Promise<void> {
  while (!isTrue()) await new Promise((resolve) => setTimeout(resolve, 20));
}

async function failureOf(work: Promise<unknown>): Promise<unknown> {
  return work.then(
    () => null,
    (error: unknown) => error,
  );
}

describe('helpers', function () {
  this.timeout(60_000);
  let helpers: Helpers;
  beforeEach(() => (helpers = createHelpers()));
  afterEach(async () => {
    helpers.close();
    await until(() => children().length === 0);
  });

  it('do their work in processes of their own, a few at a time, each called for again', async () => {
    const jobs = Array.from({ length: 8 }, (_, seed) => helpers.run('bake', order(160, seed)));
    await until(() => children().length > 0);
    const most = children().length;
    const pictures = await Promise.all(jobs);
    expect(new Set(pictures.map((bytes) => Buffer.from(bytes).toString('base64'))).size).to.equal(8);
    expect(most).to.be.at.most(3);
    const rested = children();
    await helpers.run('bake', order(160, 9));
    expect(children()).to.deep.equal(rested);
  });

  it('make small pictures before large ones that wait, but leave none waiting for ever', async () => {
    const done: string[] = [];
    const ask = (name: string, width: number, seed: number) =>
      helpers.run('bake', order(width, seed)).then(() => done.push(name));
    // Those that come first keep all helpers at work.
    const first = [1, 2, 3].map((seed) => ask('first', 900, seed));
    const large = ask('large', 1400, 4);
    const small = Array.from({ length: 160 }, (_, seed) => ask('small', 40, 10 + seed));
    await Promise.all([...first, large, ...small]);
    const at = done.indexOf('large');
    // While it is made, other helpers go on with small ones.
    expect(done.slice(0, at).filter((name) => name === 'small').length).to.be.within(10, 140);
    expect(done.slice(at).filter((name) => name === 'small').length).to.be.greaterThan(5);
  });

  it('give a failure back as one, and go on', async () => {
    const failure = await failureOf(helpers.run('bake', { ...order(160), width: -5 }));
    expect(failure).to.be.an('error');
    expect(failure).not.to.be.instanceOf(Cancelled);
    expect(Buffer.from(await helpers.run('bake', order(160))).length).to.be.greaterThan(100);
  });

  it('end at once with what was cancelled, begun or not', async () => {
    const gone = new AbortController();
    const long = failureOf(helpers.run('bake', order(6000), { signal: gone.signal }));
    await until(() => children().length === 1);
    const [pid] = children();
    gone.abort();
    expect(await long).to.be.instanceOf(Cancelled);
    await until(() => !children().includes(pid ?? ''));
    expect(await failureOf(helpers.run('bake', order(160), { signal: gone.signal }))).to.be.instanceOf(
      Cancelled,
    );
    expect(Buffer.from(await helpers.run('bake', order(160))).length).to.be.greaterThan(100);
  });

  it('give up what takes longer than it may', async () => {
    expect(await failureOf(helpers.run('bake', order(6000), { mostMs: 300 }))).to.be.instanceOf(TookTooLong);
    expect(Buffer.from(await helpers.run('bake', order(160))).length).to.be.greaterThan(100);
  });

  it('count the processor’s time, not that of a machine that is busy with something else', async () => {
    // Stopped by the system for longer than it may take, it has taken no time of its own.
    const work = helpers.run('bake', order(160), { mostMs: 1500 });
    await until(() => children().length === 1);
    const [pid] = children();
    process.kill(Number(pid), 'SIGSTOP');
    const before = processorMs(Number(pid));
    await new Promise((resolve) => setTimeout(resolve, 2500));
    expect(processorMs(Number(pid))).to.equal(before);
    process.kill(Number(pid), 'SIGCONT');
    expect(Buffer.from(await work).length).to.be.greaterThan(100);
    expect(processorMs(Number(pid))).to.be.greaterThan(before ?? Infinity);
  });

  it('stand ready while somebody may want one, and go when nobody does', async () => {
    helpers.keepWarm(true);
    await until(() => children().length === 1);
    const warm = children();
    await helpers.run('bake', order(160));
    expect(children()).to.deep.equal(warm);
  });

  it('may be lost to the system, with what they were at and nothing else', async () => {
    const lost = failureOf(helpers.run('bake', order(6000)));
    await until(() => children().length === 1);
    for (const pid of children()) process.kill(Number(pid), 'SIGKILL');
    expect(String(await lost)).to.match(/ended before it was done/);
    expect(Buffer.from(await helpers.run('bake', order(160))).length).to.be.greaterThan(100);
  });

  it('leave nobody behind when they are closed', async () => {
    await helpers.run('bake', order(160));
    expect(children()).to.have.length(1);
    helpers.close();
    await until(() => children().length === 0);
  });
});
