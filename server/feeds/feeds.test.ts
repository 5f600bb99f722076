import { expect } from 'chai';
import type { Feed } from '../../core/sources/readings.ts';
import { sources } from '../../core/sources/list.ts';
import type { Feeder } from './feed.ts';
import { createFeeds } from './feeds.ts';
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
    });
    const past = feeds.past('machine/bench')?.samples.map(({ reading }) => reading) ?? [];
    expect(past).to.have.length(3);
    const looks = feeder.looks();
    for (let turn = 0; turn < 20; turn++) await new Promise((resolve) => setImmediate(resolve));
    expect(feeder.looks()).to.be.at.most(looks + 1);
  });

  it('go on after a look that fails', async () => {
    let looks = 0;
    const told: unknown[] = [];
    await new Promise<void>((resolve) => {
      const look = () => (++looks === 2 ? Promise.reject(new Error('unplugged')) : Promise.resolve(looks));
      const feeds = createFeeds([{ ...counting(), look }], (_, { samples }) => {
        told.push(samples[0]?.reading);
        if (told.length < 3) return;
        feeds.want(new Set());
        resolve();
      });
      feeds.want(new Set(['machine/bench']));
    });
    expect(told).to.deep.equal([1, 3, 4]);
  });

  it('know which names there are', () => {
    const feeds = createFeeds([counting()], () => {});
    expect(feeds.known(['machine/bench', 'machine/elsewhere', '__proto__'])).to.deep.equal(['machine/bench']);
  });

  it('are listed for every origin outside that a source names', () => {
    const named = Object.values(sources).flatMap((source) =>
      Object.keys(source.fed ?? {}).map((origin) => `${source.id}/${origin}`),
    );
    expect(feeders.map(({ source, origin }) => `${source}/${origin}`)).to.have.members(named);
  });
});
