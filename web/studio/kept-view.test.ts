import '../../tests/support/page.ts';
import { expect } from 'chai';
import { dawnCount } from '../../tests/support/desks.ts';
import { startHistory } from '../../core/desk/history.ts';
import { browserKeep } from '../browser-keep.ts';
import { useDesk } from '../session/desk.ts';
import { useStage } from '../stores/stage.ts';
import { useView } from '../stores/view.ts';
import { keepView } from './kept-view.ts';

const fresh = { chapter: 'look', page: null, screen: null };
const KEY = 'velvet-ledge:view:dawn-count';

describe('where somebody was on a desk', () => {
  beforeEach(() => {
    browserKeep.removeItem(KEY);
    useView.setState(fresh);
    useStage.setState({ near: null, isTogether: false });
    useDesk.setState({ history: startHistory({ ...dawnCount(), id: 'dawn-count' }) });
  });
  after(() => useDesk.setState({ history: null }));

  it('is found again, as near as it was', () => {
    const stop = keepView('dawn-count');
    const near = { scale: 2, middle: { x: 10, y: 20 } };
    useView.setState({ chapter: 'windows', page: 'frames', screen: 'main' });
    useStage.setState({ near, isTogether: true });
    stop();
    useView.setState(fresh);
    useStage.setState({ near: null, isTogether: false });
    keepView('dawn-count')();
    expect(useView.getState()).to.include({ chapter: 'windows', page: 'frames', screen: 'main' });
    expect(useStage.getState()).to.deep.include({ near, isTogether: true });
  });

  it('is not written for another desk that comes in between, nor after the end', () => {
    const stop = keepView('dawn-count');
    useDesk.setState({ history: null });
    useView.setState({ chapter: 'icons' });
    stop();
    useView.setState({ chapter: 'menus' });
    expect(browserKeep.getItem(KEY)).to.equal(null);
  });

  it('is as at the start where what was kept is damaged', () => {
    for (const text of [
      '{',
      '[]',
      '{"chapter":5}',
      '{"chapter":"look","page":null,"screen":null,"near":{"scale":-1}}',
    ]) {
      browserKeep.tryItem(KEY, text);
      keepView('dawn-count')();
      expect(useView.getState(), text).to.include(fresh);
    }
  });
});
