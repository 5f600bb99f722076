import '../../tests/support/page.ts';
import { expect } from 'chai';
import { produce } from 'immer';
import { edit, startHistory } from '../../core/desk/history.ts';
import { edits } from '../../core/desk/edits/edits.ts';
import { dawnCount } from '../../demo/dawn-count.ts';
import { whileArranged } from './arranged.ts';
import { useConditions } from './conditions.ts';

const stand = { widgets: [], edges: null, windows: null };
/** Stands in one arrangement, while another is on in the dark half. */
const desk = produce(dawnCount(), (draft) => {
  draft.arrangements = {
    chosen: 'day',
    standing: 'day',
    list: [
      { id: 'night', name: 'By night', holds: { by: 'half', half: 'dark' }, ...stand },
      { id: 'day', name: 'By day', holds: { by: 'choice' }, ...stand },
    ],
  };
});
const done = (change: ReturnType<typeof edits.rename>) => {
  const { label, apply } = whileArranged(desk, change);
  return edit(startHistory(desk), label, apply);
};

describe('an edit while another arrangement is on', () => {
  before(() => useConditions.setState({ half: 'dark' }));
  after(() => useConditions.setState({ half: null }));

  it('is no step where it changes nothing, and leaves the document where it stands', () => {
    const same = done(edits.rename(desk.name));
    expect(same.past).to.have.length(0);
    expect(same.present).to.equal(desk);
  });

  it('lets the document stand in that one where it changes something', () => {
    const { present, past } = done(edits.rename('Renamed'));
    expect(past).to.have.length(1);
    expect(present.name).to.equal('Renamed');
    expect(present.arrangements.standing).to.equal('night');
  });
});
