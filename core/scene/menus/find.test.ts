import { expect } from 'chai';
import { DAWN, dawnCount } from '../../../tests/support/desks.ts';
import { createApplication } from '../../desk/defaults.ts';
import { createReadings } from '../../sources/readings.ts';
import { findableOf, findablesOf } from './entries.ts';
import { findIn } from './find.ts';
import { learnMenus } from './learn.ts';

// Some of what is tested is worked out before the tests begin.
await learnMenus();

const desk = dawnCount();
const all = findablesOf(desk, createReadings({ moment: DAWN, place: desk.place, seed: desk.seed }));
const find = (query: string, lately: string[] = [], inWords = true) => findIn(all, query, lately, inWords);

describe('finding', () => {
  it('puts what begins so first, then a word that does, then the rest', () => {
    expect(find('tally')[0]).to.equal('start tallybook');
    expect(find('chart')[0]).to.equal('start chart-table');
    expect(find('table')[0]).to.equal('start chart-table');
    expect(find('chanel')).to.include('start chart-table channel');
  });

  it('looks through what can be done, workspaces and readings', () => {
    expect(find('other half')).to.include('do half');
    expect(find('go to log').length).to.be.above(0);
    expect(find('sunrise')[0]).to.equal('reading sunrise');
    expect(find('lock')[0]).to.equal('do lock');
  });

  it('looks at other words only where it is meant to', () => {
    expect(find('mail')).to.include('start postbag');
    expect(find('mail', [], false)).not.to.include('start postbag');
  });

  it('brings forward what was used last, among what matches alike', () => {
    const logs = ['Log of winds', 'Log of tides', 'Log of birds'].map((Name, index) =>
      findableOf(createApplication(`log-${index}`, Name)),
    );
    const first = (lately: string[]) => findIn(logs, 'log', lately, false)[0];
    expect(first(['log-2', 'log-1'])).to.equal('start log-2');
    expect(first(['log-1', 'log-2'])).to.equal('start log-1');
    // A much better match stays first.
    expect(find('terminal', ['tallybook'])[0]).to.equal('start terminal');
  });

  it('does not mind accents, nothing, nor very much', () => {
    const cafe = [findableOf(createApplication('a', 'Ångström'))];
    expect(findIn(cafe, 'angstrom', [], false)).to.deep.equal(['start a']);
    expect(find('   ')).to.deep.equal([]);
    expect(find('x'.repeat(5000))).to.deep.equal([]);
  });
});
