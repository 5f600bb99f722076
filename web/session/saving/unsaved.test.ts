import { expect } from 'chai';
import { dawnCount } from '../../../tests/support/desks.ts';
import { readRescued, readUnsaved } from './unsaved-reading.ts';
import { forgetRescued, keepUnsaved } from './unsaved.ts';
import type { Keep } from '../../browser-keep.ts';

function storage(): Keep & { kept: Map<string, string> } {
  const kept = new Map<string, string>();
  return {
    kept,
    getItem: (key) => kept.get(key) ?? null,
    setItem: (key, value) => void kept.set(key, value),
    removeItem: (key) => void kept.delete(key),
  };
}

describe('work that is kept in the browser', () => {
  it('comes back as it was', () => {
    const keep = storage();
    keepUnsaved(keep, { desk: dawnCount(), basedOn: 4 });
    expect(readUnsaved(keep, 'dawn-count')).to.deep.equal({ desk: dawnCount(), basedOn: 4 });
    expect(readUnsaved(keep, 'night-watch')).to.equal(null);
  });

  it('is put aside where it can’t be read, and stays there until somebody lets go of it', () => {
    const keep = storage();
    const [first] = dawnCount().widgets;
    const wrong = { ...dawnCount(), widgets: [{ ...first, options: { span: 20.5 }, scale: 99 }] };
    keep.setItem('velvet-ledge:unsaved:dawn-count', JSON.stringify({ desk: wrong, basedOn: 4 }));
    expect(readUnsaved(keep, 'dawn-count')).to.equal(null);
    // Newer work is kept beside it, not over it.
    keepUnsaved(keep, { desk: dawnCount(), basedOn: 4 });
    const rescued = readRescued(keep, 'dawn-count');
    expect(JSON.parse(rescued?.text ?? '')).to.deep.equal(wrong);
    expect(rescued?.sentence).to.match(/^widgets\[0\]\.scale: /);
    forgetRescued(keep, 'dawn-count');
    expect(readRescued(keep, 'dawn-count')).to.equal(null);
  });

  it('is put aside as text where it is no JSON', () => {
    const keep = storage();
    keep.setItem('velvet-ledge:unsaved:dawn-count', '{"desk": {"na');
    expect(readUnsaved(keep, 'dawn-count')).to.equal(null);
    expect(readRescued(keep, 'dawn-count')).to.deep.equal({
      text: '{"desk": {"na',
      sentence: 'it is damaged',
    });
  });
});
