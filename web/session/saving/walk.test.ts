import '../../../tests/support/page.ts';
import { expect } from 'chai';
import patch, { type Operation } from 'fast-json-patch';
import type { Desk } from '../../../core/desk/desk.ts';
import { isSame } from '../../../core/desk/differences.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import type { History } from '../../../core/desk/history.ts';
import { createRandom } from '../../../core/sources/noise.ts';
import { dawnCount } from '../../../tests/support/desks.ts';
import type { Saved } from '../../../core/wire/wire.ts';
import { ServerGone, ServerProblem } from '../../api/client.ts';
import type { Keep } from '../../browser-keep.ts';
import { changesBetween } from './changes.ts';
import type { SavingState } from './saver.ts';
import { openSession } from './session.ts';
import { readUnsaved } from './unsaved-reading.ts';

const WALKS = 250;
const MOST_STEPS = 30;

/** What becomes of a save: it is answered, or it never arrives, or it arrives and its answer is lost. */
type Fate = 'answered' | 'unheard' | 'lost';

function keepInMemory(): Keep {
  const kept = new Map<string, string>();
  return {
    getItem: (key) => kept.get(key) ?? null,
    setItem: (key, value) => void kept.set(key, value),
    removeItem: (key) => void kept.delete(key),
  };
}

/** A desk in a browser, its server, the line between them and the clock, all of them moved by hand. */
function createWorld() {
  const server = { desk: dawnCount(), revision: 1, savedAt: 1 };
  const storage = keepInMemory();
  const tab = keepInMemory();
  const underWay: ((fate: Fate) => void)[] = [];
  let timers: { run: () => void; at: number }[] = [];
  let now = 0;
  const seen: { history: History<Desk> | null; saving: SavingState | null } = { history: null, saving: null };

  function save(desk: Desk, basedOn: number, base: Desk | null): Promise<Saved> {
    // As it goes over the line.
    const changes = JSON.stringify(base && changesBetween(base, desk));
    return new Promise((answer, refuse) => {
      underWay.push((fate) => {
        if (fate === 'unheard') return refuse(new ServerGone());
        if (basedOn !== server.revision)
          return refuse(new ServerProblem(412, 'overtaken', { current: { ...server } }));
        const told = JSON.parse(changes) as Operation[] | null;
        const made = told ? patch.applyPatch(server.desk, told, true, false).newDocument : desk;
        expect(made).to.deep.equal(desk);
        Object.assign(server, { desk: made, revision: server.revision + 1, savedAt: now });
        if (fate === 'lost') return refuse(new ServerGone());
        answer({ revision: server.revision, savedAt: now, isAsGiven: true });
      });
    });
  }
  const settled = () => new Promise((resolve) => setImmediate(resolve));

  return {
    server,
    seen,
    isWaiting: () => underWay.length > 0,
    open: () =>
      openSession(
        {
          save,
          create: (desk) => Promise.resolve({ desk, revision: 1, savedAt: 1 }),
          storage,
          tab,
          later(run, ms) {
            const timer = { run, at: now + ms };
            timers.push(timer);
            return () => void (timers = timers.filter((one) => one !== timer));
          },
          onHistory: (history) => (seen.history = history),
          onSaving: (saving) => (seen.saving = saving),
          onRefused: () => {},
        },
        { ...server },
        readUnsaved(storage, server.desk.id),
      ),
    async decide(fate: Fate): Promise<void> {
      underWay.shift()?.(fate);
      await settled();
    },
    async pass(ms: number): Promise<void> {
      now += ms;
      const due = timers.filter(({ at }) => at <= now);
      timers = timers.filter(({ at }) => at > now);
      for (const { run } of due) run();
      await settled();
    },
  };
}

async function walk(seed: number): Promise<void> {
  const random = createRandom(seed);
  const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)]!;
  const world = createWorld();
  let session = world.open();
  const name = () => edits.rename(pick(['Ebb', 'Flood', 'Slack', 'Spring']));

  /** Leaves the desk, whatever becomes of what is still to be saved, and opens it again. */
  async function leaveAndComeBack(): Promise<void> {
    let isOver = false;
    const leaving = session.close().then(() => (isOver = true));
    await world.pass(0);
    while (!isOver) await (world.isWaiting() ? world.decide(pick(['answered', 'unheard', 'lost'])) : leaving);
    session = world.open();
  }
  const steps: readonly (() => unknown)[] = [
    () => session.edit(name()),
    () => session.edit(name()),
    () => session.edit(name()),
    () => session.turn(name()),
    () => session.show(name()),
    () => session.endGesture(),
    () => session.dropGesture(),
    () => session.undo(),
    () => session.redo(),
    () => session.goTo(Math.floor(random() * 6)),
    () => session.takeBack(pick(world.seen.history?.past ?? [])?.id ?? 0),
    () => session.wake(),
    () => world.pass(random() * 1000),
    () => world.decide('answered'),
    () => world.decide(pick(['unheard', 'lost'])),
    leaveAndComeBack,
  ];
  for (let count = random() * MOST_STEPS; count > 0; count--) await pick(steps)();

  session.endGesture();
  const { past = [], future = [] } = world.seen.history ?? {};
  session.goTo(0);
  await world.pass(100);
  session.goTo(past.length + future.length);
  for (let turn = 0; turn < 30; turn++) {
    await world.pass(2000);
    await world.decide('answered');
  }
  expect(world.seen.saving?.state, `walk ${seed}`).to.equal('kept');
  expect(
    isSame(world.server.desk, world.seen.history!.present),
    `walk ${seed}: what the server has`,
  ).to.equal(true);
}

describe('a desk that one person works on', () => {
  it('is kept in the end, whatever was done and undone, lost on the way, and left before it was saved', async () => {
    for (let seed = 1; seed <= WALKS; seed++) await walk(seed);
  });

  it('sends what came after a save that was under way as it was left, before it is over', async () => {
    const world = createWorld();
    const session = world.open();
    session.edit(edits.rename('Ebb'));
    await world.pass(500);
    session.edit(edits.rename('Flood'));
    let isOver = false;
    void session.close().then(() => (isOver = true));
    await world.decide('answered');
    expect(isOver).to.equal(false);
    await world.decide('answered');
    expect(isOver).to.equal(true);
    expect(world.server.desk.name).to.equal('Flood');
  });
});
