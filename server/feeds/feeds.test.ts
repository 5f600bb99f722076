import { expect } from 'chai';
import type { Feed } from '../../core/sources/feeds.ts';
import { sources } from '../../core/sources/list.ts';
import { same, type Feeder } from './feed.ts';
import { FetchProblem } from '../outside/addresses.ts';
import { createFeeds, pauseAfter } from './feeds.ts';
import { feeders } from './list.ts';

describe('feeds', () => {
  /** A feeder that says how often it was looked at. */
  function counting(): Feeder & { looks: () => number } {
    let looks = 0;
    return {
      source: 'machine',
      origin: 'bench',
      everyMs: 1,
      kept: 3,
      look: () => Promise.resolve(++looks),
      looks: () => looks,
    };
  }

  it('are looked at only while somebody wants them, and keep the newest for whoever comes later', async () => {
    const feeder = counting();
    const told: Feed[] = [];
    let enough: () => void = () => {};
    const feeds = createFeeds(
      [feeder],
      (name, feed) => {
        expect(name).to.equal('machine/bench');
        told.push(feed);
        if (told.length === 5) enough();
      },
      () => 7,
    );
    expect(feeds.past('machine/bench')).to.equal(null);
    await new Promise<void>((resolve) => {
      enough = resolve;
      feeds.want(new Set(['machine/bench']));
    });
    feeds.want(new Set());
    expect(told[0]).to.deep.equal({
      source: 'machine',
      origin: 'bench',
      samples: [{ moment: 7, reading: 1 }],
      problem: null,
    });
    const past = feeds.past('machine/bench')?.samples.map(({ reading }) => reading) ?? [];
    expect(past).to.have.length(3);
    const looks = feeder.looks();
    for (let turn = 0; turn < 20; turn++) await new Promise((resolve) => setImmediate(resolve));
    expect(feeder.looks()).to.be.at.most(looks + 1);
  });

  it('go on after a look that fails, with growing pauses, and say why and until when', async () => {
    let looks = 0;
    const told: Feed[] = [];
    await new Promise<void>((resolve) => {
      const look = () =>
        ++looks === 2 || looks === 3
          ? Promise.reject(new FetchProblem('it is unplugged'))
          : Promise.resolve(looks);
      const feeds = createFeeds([{ ...counting(), look }], (_, feed) => {
        told.push(feed);
        if (told.length < 5) return;
        feeds.want(new Set());
        resolve();
      });
      feeds.want(new Set(['machine/bench']));
    });
    expect(told.map(({ samples }) => samples[0]?.reading)).to.deep.equal([1, undefined, undefined, 4, 5]);
    expect(told.map(({ problem }) => problem?.sentence)).to.deep.equal([
      undefined,
      'it is unplugged',
      'it is unplugged',
      undefined,
      undefined,
    ]);
    // It goes on failing since the first time.
    expect(told[2]?.problem?.since).to.equal(told[1]?.problem?.since);
    expect([1, 2, 3, 20].map((failures) => pauseAfter(failures, 600_000))).to.deep.equal([
      5000, 10_000, 20_000, 3_600_000,
    ]);
    expect(pauseAfter(1, 2000)).to.equal(2000);
  });

  it('are made for whoever asks by an address, the last reading kept, and forgotten where too many are', async () => {
    const made: string[] = [];
    const feeds = createFeeds(
      [counting()],
      () => {},
      Date.now,
      (source, origin) => {
        made.push(`${source}/${origin}`);
        return source === 'text' ? { ...counting(), source, origin } : null;
      },
    );
    const want = (...names: string[]) => feeds.want(new Set(names));
    want('text/10/one', 'other/10/one', 'text');
    expect(made.filter((name) => name === 'text/10/one')).to.have.length(1);
    expect(feeds.past('text/10/one')).to.equal(null);
    for (const none of ['other/10/one', 'text', '__proto__']) {
      want(none);
      expect(feeds.past(none)?.problem?.sentence, none).to.equal('there is no such source');
    }
    for (let index = 0; index < 300; index++) want(`text/10/${index}`);
    // The first made room.
    want('text/10/one');
    expect(made.filter((name) => name === 'text/10/one')).to.have.length(2);
    want();
  });

  it('say so where too many are wanted at once, and are looked at once there is room', async () => {
    const told: Feed[] = [];
    const feeds = createFeeds(
      [],
      (_, feed) => told.push(feed),
      Date.now,
      (source, origin) => ({ ...counting(), source, origin, everyMs: 60_000 }),
    );
    const names = Array.from({ length: 125 }, (_, index) => `text/10/${index}`);
    feeds.want(new Set(names));
    const refused = told.filter(({ problem }) => problem);
    expect(refused.map(({ origin }) => origin)).to.deep.equal([
      '10/120',
      '10/121',
      '10/122',
      '10/123',
      '10/124',
    ]);
    expect(refused[0]?.problem?.sentence).to.match(/^120 sources are read already/);
    expect(feeds.past('text/10/124')?.problem).to.deep.equal(refused[4]?.problem);
    feeds.want(new Set(names.slice(5)));
    while (!told.some(({ origin, samples }) => origin === '10/124' && samples.length > 0))
      await new Promise((resolve) => setImmediate(resolve));
    expect(feeds.past('text/10/124')?.problem).to.equal(null);
    feeds.want(new Set());
  });

  it('don’t wait for ever where nothing was read and all is said to be the same, nor after the clock was set back', async () => {
    const told: Feed[] = [];
    let at = 1000;
    const readings = [same, 'old', 'new'];
    await new Promise<void>((resolve) => {
      const feeds = createFeeds(
        [{ ...counting(), look: () => Promise.resolve(readings.shift()) }],
        (_, feed) => {
          told.push(feed);
          if (told.length === 2) at = 10;
          if (told.length < 3) return;
          expect(feeds.past('machine/bench')?.samples).to.deep.equal([{ moment: 10, reading: 'new' }]);
          feeds.want(new Set());
          resolve();
        },
        () => at,
      );
      feeds.want(new Set(['machine/bench']));
    });
    expect(told[0]?.problem?.sentence).to.match(/never read/);
  });

  it('are listed for every origin outside that a source names', () => {
    const named = Object.values(sources).flatMap((source) =>
      'isOfPage' in source && source.isOfPage
        ? []
        : Object.keys(source.fed ?? {}).map((origin) => `${source.id}/${origin}`),
    );
    expect(feeders.map(({ source, origin }) => `${source}/${origin}`)).to.have.members(named);
  });
});
