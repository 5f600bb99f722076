import '../../../tests/support/page.ts';
import { expect } from 'chai';
import type { Desk } from '../../../core/desk/desk.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { dawnCount } from '../../../tests/support/desks.ts';
import { useConditions } from '../conditions.ts';
import { useDesk } from '../desk.ts';
import { readHistory } from './kept-history.ts';
import { openSession } from './session.ts';
import { useView } from '../../stores/view.ts';

/** Answers of a server, by method and path; what is not listed does not answer at all. */
function serve(answers: Record<string, () => { status?: number; body: unknown }>): string[] {
  const asked: string[] = [];
  globalThis.fetch = async (input, init) => {
    const name = `${init?.method ?? 'GET'} ${String(input)}`;
    asked.push(name);
    const answer = answers[name]?.();
    if (!answer) throw new TypeError('connection refused');
    return new Response(JSON.stringify(answer.body), { status: answer.status ?? 200 });
  };
  return asked;
}

const stored = (name = 'Dawn count', revision = 1) => ({
  desk: { ...dawnCount(), name },
  revision,
  savedAt: revision,
});
const rename = (name: string) => useDesk.getState().edit(edits.rename(name));
const present = () => useDesk.getState().history?.present;

describe('the desk that is open', () => {
  const realFetch = globalThis.fetch;
  afterEach(async () => {
    useDesk.getState().close();
    // What it sends at its end is kept when nobody answers.
    await new Promise((resolve) => setImmediate(resolve));
    localStorage.removeItem('velvet-ledge:unsaved:dawn-count');
    globalThis.fetch = realFetch;
  });

  it('is the one that was opened last, however late the answers come', async () => {
    const waiting: (() => void)[] = [];
    globalThis.fetch = async (input) => {
      const id = String(input).split('/').at(-1);
      if (id === 'dawn-count') await new Promise<void>((resolve) => waiting.push(resolve));
      return new Response(
        JSON.stringify({ desk: { ...dawnCount(), id, name: `Desk ${id}` }, revision: 1, savedAt: 1 }),
      );
    };
    const slow = useDesk.getState().open('dawn-count');
    await new Promise((resolve) => setImmediate(resolve));
    await useDesk.getState().open('night-watch');
    expect(present()?.id).to.equal('night-watch');
    for (const answer of waiting) answer();
    await slow;
    expect(present()?.id).to.equal('night-watch');
    // Nor does one come back that was closed meanwhile.
    const closed = useDesk.getState().open('dawn-count');
    await new Promise((resolve) => setImmediate(resolve));
    useDesk.getState().close();
    for (const answer of waiting) answer();
    await closed;
    expect(present()).to.equal(undefined);
  });

  it('takes no change that could not be saved, says why, and ends a gesture where it began', async () => {
    serve({ 'GET /api/desks/dawn-count': () => ({ body: stored() }) });
    await useDesk.getState().open('dawn-count');
    const { edit, turn, endGesture } = useDesk.getState();
    const before = present();
    expect(edit(edits.setWidgetOptions('load', { span: 20.5 }))).to.equal(false);
    expect(useDesk.getState().refusal?.sentence).to.match(/^widgets\[2\]\.options\.span: /);
    expect(present()).to.equal(before);
    expect(turn(edits.setWidgets(['clock'], { scale: 2 }))).to.equal(true);
    expect(turn(edits.setWidgets(['clock'], { scale: 99 }))).to.equal(false);
    expect(present()?.widgets[0]?.scale).to.equal(2);
    endGesture();
    expect(useDesk.getState().history?.past).to.have.length(1);
    const [widget] = present()?.widgets ?? [];
    if (widget) expect(turn(edits.addWidget(widget))).to.equal(true);
    endGesture();
    expect(useDesk.getState().refusal?.sentence).to.match(/is used twice/);
    expect(useDesk.getState().history?.past).to.have.length(1);
    expect(useDesk.getState().history?.gesture).to.equal(null);
  });

  it('keeps its steps for the next page, though something is only shown when this one goes', () => {
    const kept = new Map<string, string>();
    const storage = {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
      removeItem: (key: string) => void kept.delete(key),
    };
    let shown: Desk | null = null;
    const session = openSession(
      {
        save: () => new Promise(() => {}),
        create: () => new Promise(() => {}),
        storage,
        tab: storage,
        later: () => () => {},
        onHistory: (history) => (shown = history.present),
        onSaving: () => {},
        onRefused: () => {},
      },
      { desk: dawnCount(), revision: 1, savedAt: 1 },
      null,
    );
    const scale = () => shown?.widgets[0]?.scale;
    session.edit(edits.setWidgets(['clock'], { scale: 2 }));
    const done = shown ?? dawnCount();
    session.show(edits.setWidgets(['clock'], { scale: 3 }));
    expect(scale()).to.equal(3);
    session.keep();
    expect(scale()).to.equal(2);
    expect(readHistory(storage, done)?.past).to.have.length(1);
  });

  it('says why there is none', async () => {
    serve({
      'GET /api/desks/lost': () => ({ status: 404, body: { detail: 'This desk is not on the shelf.' } }),
    });
    await useDesk.getState().open('lost');
    expect(useDesk.getState().failure).to.equal('This desk is not on the shelf any more.');
  });

  it('comes by itself once a server that was gone is back', async () => {
    serve({});
    const said = new Promise<string | null>((resolve) => {
      const stop = useDesk.subscribe(({ failure }) => {
        if (failure === null) return;
        stop();
        resolve(failure);
      });
    });
    const opened = useDesk.getState().open('dawn-count');
    expect(await said).to.match(/^The server does not answer/);
    serve({ 'GET /api/desks/dawn-count': () => ({ body: stored() }) });
    await opened;
    expect(useDesk.getState().failure).to.equal(null);
    expect(present()).not.to.equal(null);
  });

  it('takes a newer state from elsewhere while nothing is unsaved', async () => {
    serve({ 'GET /api/desks/dawn-count': () => ({ body: stored() }) });
    await useDesk.getState().open('dawn-count');
    serve({ 'GET /api/desks/dawn-count': () => ({ body: stored('From elsewhere', 2) }) });
    expect(await useDesk.getState().hearOf(1)).to.equal('same');
    expect(await useDesk.getState().hearOf(2)).to.equal('taken');
    expect(present()?.name).to.equal('From elsewhere');
    expect(useDesk.getState().history?.past).to.have.length(0);
  });

  it('does not let a newer state overwrite what is unsaved, nor a gesture under way', async () => {
    serve({ 'GET /api/desks/dawn-count': () => ({ body: stored() }) });
    await useDesk.getState().open('dawn-count');
    useDesk.getState().turn(edits.rename('Turning'));
    expect(await useDesk.getState().hearOf(2)).to.equal('unsaved');
    useDesk.getState().dropGesture();
    rename('Mine');
    expect(await useDesk.getState().hearOf(2)).to.equal('unsaved');
    expect(present()?.name).to.equal('Mine');
  });

  it('opens what an earlier page left unsaved, as a step, even without the server', async () => {
    localStorage.setItem(
      'velvet-ledge:unsaved:dawn-count',
      JSON.stringify({ desk: { ...dawnCount(), name: 'Left behind' }, basedOn: 1 }),
    );
    serve({ 'GET /api/desks/dawn-count': () => ({ body: stored() }) });
    await useDesk.getState().open('dawn-count');
    expect(present()?.name).to.equal('Left behind');
    useDesk.getState().undo();
    expect(present()?.name).to.equal('Dawn count');
    useDesk.getState().close();

    localStorage.setItem(
      'velvet-ledge:unsaved:dawn-count',
      JSON.stringify({ desk: { ...dawnCount(), name: 'Left behind' }, basedOn: 1 }),
    );
    serve({});
    await useDesk.getState().open('dawn-count');
    expect(present()?.name).to.equal('Left behind');
  });

  it('asks when what was left unsaved is based on an older state', async () => {
    localStorage.setItem(
      'velvet-ledge:unsaved:dawn-count',
      JSON.stringify({ desk: { ...dawnCount(), name: 'Mine' }, basedOn: 1 }),
    );
    serve({ 'GET /api/desks/dawn-count': () => ({ body: stored('Theirs', 3) }) });
    await useDesk.getState().open('dawn-count');
    const { saving } = useDesk.getState();
    expect(saving.state === 'conflict' && saving.theirs.desk.name).to.equal('Theirs');
    // Nothing is sent while nobody has answered.
    useDesk.getState().wake();
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect(useDesk.getState().saving.state).to.equal('conflict');
    await useDesk.getState().resolve('theirs');
    expect(present()?.name).to.equal('Theirs');
    expect(localStorage.getItem('velvet-ledge:unsaved:dawn-count')).to.equal(null);
  });

  it('goes on where the older state was its own, sent without an answer', async () => {
    const sent = { ...dawnCount(), name: 'Sent' };
    localStorage.setItem(
      'velvet-ledge:unsaved:dawn-count',
      JSON.stringify({ desk: { ...sent, name: 'Mine' }, basedOn: 1, unanswered: [sent] }),
    );
    serve({ 'GET /api/desks/dawn-count': () => ({ body: stored('Sent', 2) }) });
    await useDesk.getState().open('dawn-count');
    expect(useDesk.getState().saving.state).to.equal('changed');
    expect(present()?.name).to.equal('Mine');
  });

  it('keeps both as desks of their own when asked to', async () => {
    localStorage.setItem(
      'velvet-ledge:unsaved:dawn-count',
      JSON.stringify({ desk: { ...dawnCount(), name: 'Mine' }, basedOn: 1 }),
    );
    const asked = serve({
      'GET /api/desks/dawn-count': () => ({ body: stored('Theirs', 3) }),
      'POST /api/desks': () => ({ status: 201, body: stored('Mine') }),
    });
    await useDesk.getState().open('dawn-count');
    await useDesk.getState().resolve('both');
    expect(asked).to.deep.equal(['GET /api/desks/dawn-count', 'POST /api/desks']);
    expect(present()?.name).to.equal('Theirs');
  });

  it('keeps the question open when the copy could not be made', async () => {
    localStorage.setItem(
      'velvet-ledge:unsaved:dawn-count',
      JSON.stringify({ desk: { ...dawnCount(), name: 'Mine' }, basedOn: 1 }),
    );
    serve({ 'GET /api/desks/dawn-count': () => ({ body: stored('Theirs', 3) }) });
    await useDesk.getState().open('dawn-count');
    const failure = await useDesk
      .getState()
      .resolve('both')
      .then(
        () => null,
        (error: Error) => error,
      );
    expect(failure?.message).to.match(/server does not answer/);
    expect(useDesk.getState().saving.state).to.equal('conflict');
    expect(present()?.name).to.equal('Mine');
  });
});

describe('the conditions', () => {
  const { hold, goNow, tick, setPlaying, used, takeFeed } = useConditions.getState();

  it('hold a chosen moment against the clock, until now is asked for', () => {
    hold(1000);
    tick(5000);
    expect(useConditions.getState()).to.include({ moment: 1000, isNow: false });
    goNow();
    tick(5000);
    expect(useConditions.getState()).to.include({ moment: 5000, isNow: true });
  });

  it('stop playing when now is asked for', () => {
    setPlaying(true);
    expect(useConditions.getState()).to.include({ isPlaying: true, isNow: false });
    goNow();
    expect(useConditions.getState().isPlaying).to.equal(false);
  });

  it('know which applications were used last', () => {
    used('wavebox');
    used('files');
    used('wavebox');
    expect(useConditions.getState().lately.slice(0, 2)).to.deep.equal(['wavebox', 'files']);
  });

  it('take each of the machine’s readings once, in order', () => {
    const sample = (moment: number) => ({
      moment,
      reading: { processor: moment, memory: null, disk: null, network: null },
    });
    takeFeed({ source: 'machine', origin: 'this-machine', samples: [sample(1), sample(2)] });
    takeFeed({ source: 'machine', origin: 'this-machine', samples: [sample(1), sample(2), sample(3)] });
    takeFeed({ source: 'machine', origin: 'elsewhere', samples: [sample(9)] });
    const [own] = useConditions.getState().feeds;
    expect(own?.samples.map(({ moment }) => moment)).to.deep.equal([1, 2, 3]);
    useConditions.setState({ feeds: [] });
  });
});

describe('the view', () => {
  it('forgets the selection with the chapter, the screen and the mode', () => {
    const { select, goToChapter, showScreen, setMode } = useView.getState();
    for (const leave of [
      () => goToChapter('palette'),
      () => showScreen('main'),
      () => setMode('try'),
      () => setMode('arrange'),
    ]) {
      select(['clock'], 'widgets');
      leave();
      expect(useView.getState().selection).to.deep.equal([]);
    }
  });

  it('adds to the selection and takes from it', () => {
    const { select, toggle } = useView.getState();
    select(['clock'], 'widgets');
    toggle('machine');
    toggle('clock');
    expect(useView.getState().selection).to.deep.equal(['machine']);
    select([]);
  });
});
