import '../../../tests/support/page.ts';
import { expect } from 'chai';
import { chapters } from '../chapters/list.ts';
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

  it('finds each page of every chapter, also by the trade’s words for it', () => {
    const all = entriesNow().map(({ id }) => id);
    for (const { id, pages } of chapters) {
      expect(new Set(pages.map((page) => page.id)).size, id).to.equal(pages.length);
      for (const page of pages) expect(all, page.title).to.include(`page-${id}-${page.id}`);
    }
    const words = {
      hotkeys: 'Windows: shortcuts',
      cursor: 'Look: pointer',
      fonts: 'Look: type',
      rss: 'Widgets: headlines',
      ics: 'Widgets: calendars',
      'color blind': 'Palette: other eyes',
      'virtual desktops': 'Windows: workspaces',
      titlebar: 'Windows: title',
      'glass effect': 'Look: finish',
      animations: 'Windows: moves',
    };
    for (const [word, title] of Object.entries(words))
      expect(found(word).slice(0, 4), word).to.include(title);
  });

  it('finds nothing for what is nowhere, and everything before anything is typed', () => {
    expect(found('qqqqzz')).to.deep.equal([]);
    expect(ranked(entriesNow(), '  ')).to.have.length(entriesNow().length);
  });
});
