import { expect } from 'chai';
import type { Feed } from '../../core/sources/feeds.ts';
import { sources } from '../../core/sources/list.ts';
import type { Feeder } from './feed.ts';
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
        made.push(origin);
        return source === 'text' ? { ...counting(), source, origin } : null;
      },
    );
    expect(feeds.known(['text/10/one', 'text/10/one', 'other/10/one', 'text'])).to.deep.equal([
      'text/10/one',
      'text/10/one',
    ]);
    expect(made.filter((origin) => origin === '10/one')).to.have.length(2);
    for (let index = 0; index < 300; index++) expect(feeds.known([`text/10/${index}`])).to.have.length(1);
    // The first made room.
    feeds.known(['text/10/one']);
    expect(made.filter((origin) => origin === '10/one')).to.have.length(3);
    await Promise.resolve();
  });

  it('know which names there are', () => {
    const feeds = createFeeds([counting()], () => {});
    expect(feeds.known(['machine/bench', 'machine/elsewhere', '__proto__'])).to.deep.equal(['machine/bench']);
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
