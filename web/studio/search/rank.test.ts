import '../../../tests/support/page.ts';
import { expect } from 'chai';
import { entriesNow } from './entries.ts';
import { ranked } from './rank.ts';

describe('the search', () => {
  const first = (query: string) => ranked(entriesNow(), query)[0];
  const found = (query: string) => ranked(entriesNow(), query).map(({ title }) => title);

  it('finds what begins as it is typed before what is only like it', () => {
    expect(first('add')?.title).to.match(/^Add /);
    expect(
      found('add')
        .slice(0, 5)
        .every((title) => title.startsWith('Add')),
    ).to.equal(true);
    expect(first('add clock')?.title).to.match(/^Add clock/);
    expect(first('und')?.title ?? 'none').not.to.match(/half/);
  });

  it('knows things by other words', () => {
    expect(first('wallpaper')?.title).to.equal('Backdrop');
    expect(found('taskbar')).to.include.members(['Add panel', 'Edges']);
    expect(found('bar')).to.include('Add panel');
    expect(found('zoom')).to.include.members(['Nearer', 'Further', 'Show all of it']);
  });

  it('finds settings by their names, and says where they are', () => {
    expect(first('grain')).to.deep.include({ title: 'Grain', group: 'Backdrop: adjust' });
    expect(first('shadow')?.group).to.match(/^Look/);
  });

  it('finds nothing for what is nowhere, and everything before anything is typed', () => {
    expect(found('qqqqzz')).to.deep.equal([]);
    expect(ranked(entriesNow(), '  ')).to.have.length(entriesNow().length);
  });
});
