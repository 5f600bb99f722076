import { expect } from 'chai';
import fc from 'fast-check';
import { iconNames, signNames, signOf } from '../names.ts';
import { coverageOf, finderOf } from './find.ts';
import { IconSetIndex } from './index-file.ts';
import { calledAfter, setsIn, type FoundSet, type Picture } from './layout.ts';
import { namesIn } from './links.ts';
import { readThemeIndex } from './theme-index.ts';

/** The sets among files by their paths: SVG, or PNG of so many px. */
function found(paths: readonly string[], indexes: Record<string, string> = {}, px = 48): FoundSet[] {
  const pictures = new Map(
    paths.map((path): [string, Picture] => [
      path,
      path.endsWith('.svg') ? { isVector: true, size: 0 } : { isVector: false, size: px },
    ]),
  );
  const names = namesIn(paths, new Map());
  return setsIn(names, pictures, new Map(Object.entries(indexes)), 'Icons');
}

/** A set as it would be kept. */
function indexOf({ name, styles, lacks, icons }: FoundSet): IconSetIndex {
  const files = [...new Set(icons.map(({ file }) => file))];
  return IconSetIndex.parse({
    name,
    styles,
    lacks,
    cutFrom: null,
    pictures: files.map(() => ({ isOneColour: false })),
    icons: icons.map(({ file, ...icon }) => ({ ...icon, picture: files.indexOf(file) })),
  });
}

/** Which file is drawn for a name. */
function drawn(set: FoundSet, wanted: string, style = 0, px = 24, words: string[] = []): string | null {
  const finder = finderOf(indexOf(set));
  const name = finder.nameFor(wanted, words);
  const icon = name === null ? null : finder.pictureOf(name, style, px);
  const files = [...new Set(set.icons.map(({ file }) => file))];
  return icon ? (files[icon.picture] ?? null) : null;
}

function only(sets: FoundSet[]): FoundSet {
  expect(sets).to.have.length(1);
  return sets[0] as FoundSet;
}

describe('sets of icons without an index', () => {
  it('tell names, styles and sizes by folders and the ends of names', () => {
    const set = only(
      found([
        'Kittiwake icons/Outline/ic_mail_24px.svg',
        'Kittiwake icons/Filled/ic_mail_24px.svg',
        'Kittiwake icons/Outline/ic_trashCan_24px.svg',
        'Kittiwake icons/Filled/ic_trashCan_24px.svg',
        'Kittiwake icons/Outline/ic_folder_open_24px.svg',
        'Kittiwake icons/png/48x48/ic_mail.png',
      ]),
    );
    expect(set.styles).to.deep.equal(['Line', 'Filled', 'Plain']);
    expect([...new Set(set.icons.map(({ name }) => name))]).to.have.members([
      'mail',
      'trash-can',
      'folder-open',
    ]);
    expect(
      set.icons.filter(({ name }) => name === 'mail').map(({ least, most }) => [least, most]),
    ).to.deep.equal([
      [24, 24],
      [24, 24],
      [48, 48],
    ]);
    expect(drawn(set, 'internet-mail', 1)).to.equal('Kittiwake icons/Filled/ic_mail_24px.svg');
    expect(drawn(set, 'user-trash', 0)).to.equal('Kittiwake icons/Outline/ic_trashCan_24px.svg');
  });

  it('take what is drawn from shapes before pixels, and the size that is nearest', () => {
    const set = only(found(['16/home.png', '64/home.png', 'scalable/globe.svg', '32x32/globe.png'], {}, 64));
    expect(drawn(set, 'user-home', 0, 20)).to.equal('16/home.png');
    expect(drawn(set, 'user-home', 0, 40)).to.equal('64/home.png');
    expect(drawn(set, 'web-browser', 0, 32)).to.equal('scalable/globe.svg');
  });

  it('are found by other names and by likeness, but not where a word makes something else of it', () => {
    const set = only(
      found([
        'envelope.svg',
        'bin.svg',
        'map-folded.svg',
        'cloud-rain.svg',
        'volume-off.svg',
        'calendar-plus.svg',
      ]),
    );
    expect(drawn(set, 'internet-mail')).to.equal('envelope.svg');
    expect(drawn(set, 'user-trash')).to.equal('bin.svg');
    expect(drawn(set, 'applications-maps')).to.equal('map-folded.svg');
    expect(drawn(set, 'weather-showers')).to.equal('cloud-rain.svg');
    expect(drawn(set, 'audio-volume-high')).to.equal(null);
    expect(drawn(set, 'office-calendar')).to.equal(null);
  });

  it('are asked for an application’s own words, and for its own icon before those', () => {
    const set = only(found(['tallybook.svg', 'document.svg', 'chart.svg', 'org-marrow-Sonde.svg']));
    expect(drawn(set, 'x-office-document', 0, 24, ['Tallybook'])).to.equal('tallybook.svg');
    expect(drawn(set, 'x-office-document', 0, 24, ['Ledger'])).to.equal('document.svg');
    expect(drawn(set, 'org.marrow.Sonde', 0, 24, ['Chart'])).to.equal('org-marrow-Sonde.svg');
    expect(drawn(set, 'some.other.Thing', 0, 24, ['Weather chart', 'chart'])).to.equal('chart.svg');
  });

  it('are not asked by what an application is about before by what its icon shows', () => {
    const set = only(found(['map.svg', 'document.svg', 'close.svg', 'app.svg']));
    expect(drawn(set, 'x-office-document', 0, 24, ['Tallybook', 'map'])).to.equal('document.svg');
    expect(drawn(set, 'printer', 0, 24, ['Press', 'map'])).to.equal('map.svg');
    expect(drawn(set, 'window-close')).to.equal('close.svg');
    expect(signOf('window-close')).to.equal('window-close');
  });

  it('say what they lack, and what was put there by hand no more', () => {
    const index = indexOf(only(found(iconNames.slice(0, 41).map((name) => `${name}.svg`))));
    const { found: have, missing } = coverageOf(index);
    expect(have + missing.length).to.equal(signNames.length);
    expect(have).to.be.at.least(41);
    const [first] = missing;
    expect(coverageOf(index, first ? [{ name: first }] : []).found).to.equal(have + 1);
    expect(coverageOf(indexOf(only(found(signNames.map((name) => `${name}.svg`))))).missing).to.deep.equal(
      [],
    );
  });

  it('may have any names at all', () => {
    fc.assert(
      fc.property(
        fc.array(fc.string({ maxLength: 40 }), { minLength: 1, maxLength: 12 }),
        fc.string(),
        (all, wanted) => {
          const paths = [...new Set(all.map((name) => `${name.replaceAll(/[/\\\0]/g, '')}.svg`))];
          for (const set of found([...paths, '__proto__.svg', 'constructor.svg'])) {
            const finder = finderOf(indexOf(set));
            const name = finder.nameFor(wanted, [wanted, 'toString']);
            if (name !== null) expect(finder.pictureOf(name, 0, 24)).to.not.equal(null);
          }
        },
      ),
      { numRuns: 200, seed: 30 },
    );
  });
});

/** As the Icon Theme Specification has it in its own example, of folders of three kinds. */
const INDEX = `[Icon Theme]
Name=Driftwood
Comment=Of the tideline
Inherits=wood,hicolor
Directories=48x48/apps,48x48@2/apps,scalable/apps,16x16/apps

[scalable/apps]
Size=48
Type=Scalable
MinSize=1
MaxSize=256
Context=Applications

[48x48/apps]
Size=48
Type=Fixed

[48x48@2/apps]
Size=48
Scale=2
Type=Fixed

[16x16/apps]
Size=16
Threshold=3
`;

describe('icon themes with an index', () => {
  it('have the folders and sizes that it says', () => {
    expect(readThemeIndex(INDEX)).to.deep.equal({
      name: 'Driftwood',
      inherits: ['wood'],
      folders: [
        { path: '48x48/apps', least: 48, most: 48 },
        { path: '48x48@2/apps', least: 96, most: 96 },
        { path: 'scalable/apps', least: 1, most: 256 },
        { path: '16x16/apps', least: 13, most: 19 },
      ],
    });
    expect(readThemeIndex('[Desktop Entry]\nName=No theme')).to.equal(null);
    expect(readThemeIndex('[Icon Theme]\nName=A\nDirectories=b\n[b]\nSize=-4')?.folders).to.deep.equal([]);
  });

  const theme = [
    'driftwood/48x48/apps/terminal.png',
    'driftwood/16x16/apps/terminal.png',
    'driftwood/scalable/apps/folder.svg',
    'driftwood/scalable/apps/folder-symbolic.svg',
    'driftwood/elsewhere/printer.svg',
    'wood/scalable/apps/folder.svg',
    'wood/scalable/apps/computer.svg',
  ];
  const wood =
    '[Icon Theme]\nName=Wood\nDirectories=scalable/apps\n[scalable/apps]\nSize=48\nType=Scalable\nMinSize=1\nMaxSize=512';

  it('take what lies in its folders, build upon one another, and say what they build upon that did not come', () => {
    const [driftwood, base] = found(theme, {
      'driftwood/index.theme': INDEX.replace('Inherits=wood', 'Inherits=wood,stone'),
      'wood/index.theme': wood,
    });
    if (!driftwood || !base) throw new Error('No two sets');
    expect([driftwood.name, base.name]).to.deep.equal(['Driftwood', 'Wood']);
    expect(driftwood.lacks).to.deep.equal(['stone']);
    expect(driftwood.styles).to.deep.equal(['Full', 'Symbolic']);
    expect(drawn(driftwood, 'utilities-terminal', 0, 18)).to.equal('driftwood/16x16/apps/terminal.png');
    expect(drawn(driftwood, 'utilities-terminal', 0, 40)).to.equal('driftwood/48x48/apps/terminal.png');
    expect(drawn(driftwood, 'folder', 0, 40)).to.equal('driftwood/scalable/apps/folder.svg');
    expect(drawn(driftwood, 'folder', 1, 40)).to.equal('driftwood/scalable/apps/folder-symbolic.svg');
    expect(drawn(driftwood, 'computer', 0, 40)).to.equal('wood/scalable/apps/computer.svg');
    expect(drawn(driftwood, 'printer', 0, 40)).to.equal(null);
    expect(drawn(base, 'utilities-terminal')).to.equal(null);
  });

  it('that build upon each other in a circle end', () => {
    const circle = (name: string, other: string) =>
      wood.replace('Name=Wood', `Name=${name}\nInherits=${other}`);
    const sets = found(['a/scalable/apps/folder.svg', 'b/scalable/apps/computer.svg'], {
      'a/index.theme': circle('A', 'b'),
      'b/index.theme': circle('B', 'a'),
    });
    expect(sets.map((set) => set.icons.length)).to.deep.equal([2, 2]);
  });
});

describe('links in an archive', () => {
  const paths = (files: string[], links: Record<string, string>) =>
    namesIn(files, new Map(Object.entries(links)))
      .map(({ path, file }) => `${path} = ${file}`)
      .sort();

  it('are followed to files and folders, over several steps', () => {
    expect(
      paths(['t/48/apps/edit.svg'], {
        't/48/apps/pen.svg': 'edit.svg',
        't/96': '48',
        't/48/write.svg': '../96/apps/pen.svg',
      }),
    ).to.deep.equal([
      't/48/apps/edit.svg = t/48/apps/edit.svg',
      't/48/apps/pen.svg = t/48/apps/edit.svg',
      't/48/write.svg = t/48/apps/edit.svg',
      't/96/apps/edit.svg = t/48/apps/edit.svg',
      't/96/apps/pen.svg = t/48/apps/edit.svg',
      't/96/write.svg = t/48/apps/edit.svg',
    ]);
  });

  it('lead nowhere where they go out, in circles, or to nothing', () => {
    expect(
      paths(['a/b.svg'], {
        'a/out.svg': '../../b.svg',
        'a/root.svg': '/etc/passwd',
        'a/round.svg': 'round.svg',
        'a/one.svg': 'two.svg',
        'a/two.svg': 'one.svg',
        'a/gone.svg': 'nothing.svg',
        'a/self': '.',
      }),
    ).to.deep.equal(['a/b.svg = a/b.svg']);
  });

  it('that grow without end are given up', () => {
    const links: Record<string, string> = {};
    for (let deep = 0; deep < 11; deep++)
      for (let wide = 0; wide < 20; wide++) links[`d${deep}/l${wide}`] = `../d${deep + 1}`;
    const begun = performance.now();
    expect(namesIn(['d11/x.svg'], new Map(Object.entries(links))).length).to.be.at.most(20_000);
    // A billion names would take hours: this only has to end.
    expect(performance.now() - begun).to.be.below(60_000);
  });
});

it('a set is called after its file', () => {
  expect(calledAfter('kittiwake_icons-v2.tar.gz')).to.equal('Kittiwake icons v2');
  expect(calledAfter('.zip')).to.equal('Icons');
});
