import { strToU8, zipSync } from 'fflate';
import { expect } from 'chai';
import fc from 'fast-check';
import { demoDesks } from '../../demo/desks.ts';
import { Application } from '../desk/shapes/applications.ts';
import { createApplication } from '../desk/defaults.ts';
import { MOST_BYTES, readDesktopEntry, writeDesktopEntry } from './desktop-entry.ts';
import { readEntryFiles, zipEntries } from './entry-files.ts';

const utf8 = (text: string) => new TextEncoder().encode(text);
const read = (text: string, languages: string[] = ['en']) => readDesktopEntry(utf8(text), languages);
const entry = (...lines: string[]) => ['[Desktop Entry]', 'Type=Application', ...lines].join('\n');

describe('a .desktop file', () => {
  it('says what an application is called, looks like, belongs to and starts', () => {
    const { application, hidden, problems } = read(
      entry(
        '# counted at first light',
        'Name=Ring Ledger',
        'Comment=Every ring, and where it went',
        'Icon=x-office-address-book',
        'Exec=ring-ledger %U',
        'Categories=Science;Office;',
        'Keywords=rings;birds\\; caught;',
        'Actions=new;gone;',
        '',
        '[Desktop Action new]',
        'Name=New ring',
        'Exec=ring-ledger --new',
      ),
    );
    expect(application).to.deep.equal({
      Name: 'Ring Ledger',
      Comment: 'Every ring, and where it went',
      Icon: 'x-office-address-book',
      Exec: 'ring-ledger %U',
      Categories: ['Science', 'Office'],
      Keywords: ['rings', 'birds; caught'],
      URL: '',
      Actions: [{ id: 'new', Name: 'New ring' }],
    });
    expect(hidden).to.equal(null);
    expect(problems).to.deep.equal([{ line: 10, sentence: 'names the action gone, which is not there' }]);
  });

  it('is read in the first of the person’s languages that it speaks', () => {
    const text = entry(
      'Name=Tide Clock',
      'Name[de]=Gezeitenuhr',
      'Name[de_AT]=Gezeitenuhr (AT)',
      'Name[sr@latin]=Sat plime',
      'Name[sr]=Сат плиме',
      'Keywords=tide;',
      'Keywords[de]=Flut;Ebbe;',
    );
    const name = (...languages: string[]) => read(text, languages).application?.Name;
    expect(name('de-DE', 'en')).to.equal('Gezeitenuhr');
    expect(name('de-AT')).to.equal('Gezeitenuhr (AT)');
    expect(name('sr-Latn-RS')).to.equal('Sat plime');
    expect(name('sr')).to.equal('Сат плиме');
    expect(name('fr', 'de')).to.equal('Gezeitenuhr');
    expect(name('fr')).to.equal('Tide Clock');
    expect(name('not a language')).to.equal('Tide Clock');
    expect(read(text, ['de']).application?.Keywords).to.deep.equal(['Flut', 'Ebbe']);
  });

  it('can be kept off menus: deleted, not for them, or for other desktops', () => {
    const hidden = (line: string) => read(entry('Name=Fog Bell', line)).hidden;
    expect(hidden('Hidden=true')).to.match(/deleted/);
    expect(hidden('NoDisplay=true')).to.match(/not for menus/);
    expect(hidden('OnlyShowIn=Marrow;')).to.match(/other desktops/);
    expect(hidden('NoDisplay=false')).to.equal(null);
    expect(read(entry('Name=Fog Bell', 'NoDisplay=yes')).problems).to.deep.equal([
      { line: 4, sentence: 'says NoDisplay=yes, which is neither true nor false' },
    ]);
  });

  it('may be in other encodings, with other ends of lines', () => {
    const text = entry('Name=Brandgåns', 'Comment=räknas här');
    const utf16 = (littleEndian: boolean) => {
      const bytes = new Uint8Array(2 * (text.length + 1));
      const view = new DataView(bytes.buffer);
      [...`\uFEFF${text}`].forEach((letter, at) =>
        view.setUint16(2 * at, letter.charCodeAt(0), littleEndian),
      );
      return bytes;
    };
    const latin = Uint8Array.from([...text].map((letter) => letter.charCodeAt(0)));
    for (const bytes of [
      utf16(true),
      utf16(false),
      latin,
      utf8(`\uFEFF${text}`),
      utf8(text.replaceAll('\n', '\r\n')),
    ])
      expect(readDesktopEntry(bytes, []).application?.Name).to.equal('Brandgåns');
    expect(readDesktopEntry(latin, []).problems[0]?.sentence).to.match(/^is not UTF-8/);
  });

  it('tells which line is wrong, and takes the rest', () => {
    const { application, problems } = read(
      ['stray', '[Desktop Entry]', 'Type=Application', 'Name=Gull', 'Name=Tern', 'no pair', 'Bad Key=1'].join(
        '\n',
      ),
    );
    expect(application?.Name).to.equal('Gull');
    expect(problems.map(({ line }) => line)).to.deep.equal([1, 5, 6, 7]);
  });

  it('is refused with a reason where it is none', () => {
    const why = (text: string) => {
      const { application, problems } = read(text);
      expect(application).to.equal(null);
      return problems[0]?.sentence;
    };
    expect(why('')).to.match(/no group/);
    expect(why('[Other]\nName=x')).to.match(/no group/);
    expect(why('[Desktop Entry]\nName=x')).to.match(/Type/);
    expect(why('[Desktop Entry]\nType=Directory\nName=x')).to.match(/type Directory/);
    expect(why(entry('Comment=x'))).to.match(/no Name/);
    expect(why(entry('Name=  '))).to.match(/no Name/);
    expect(why(`${entry('Name=x')}\n${'#'.repeat(MOST_BYTES)}`)).to.match(/larger/);
  });

  it('opens web addresses only', () => {
    const url = (address: string) =>
      read(`[Desktop Entry]\nType=Link\nName=Tides\nURL=${address}`).application?.URL;
    expect(url('https://tides.example/point?day=1')).to.equal('https://tides.example/point?day=1');
    for (const address of ['javascript:alert(1)', 'file:///etc/passwd', 'https://', 'https://a@b.example'])
      expect(url(address), address).to.equal('');
  });

  it('gives a whole application or none, whatever its bytes are', () => {
    const key = fc.constantFrom(
      'Type',
      'Name',
      'Comment',
      'Icon',
      'URL',
      'Exec',
      'Actions',
      'Categories',
      'Keywords',
    );
    const line = fc.oneof(
      fc.string({ maxLength: 400, unit: 'binary' }),
      fc
        .tuple(key, fc.string({ maxLength: 3000, unit: 'binary' }))
        .map(([name, value]) => `${name}=${value}`),
      fc.constantFrom(
        '[Desktop Entry]',
        'Type=Application',
        'Name=Gull',
        '[Desktop Action a]',
        'Actions=a;b;',
      ),
    );
    const text = fc.array(line, { maxLength: 20 }).map((lines) => utf8(lines.join('\n')));
    fc.assert(
      fc.property(fc.oneof(text, fc.uint8Array({ maxLength: 300 })), (bytes) => {
        const { application, problems } = readDesktopEntry(bytes, ['en', 'x-??']);
        if (application) expect(Application.safeParse({ id: 'a', ...application }).error).to.equal(undefined);
        else expect(problems[0]?.sentence).to.be.a('string');
      }),
      { numRuns: 400 },
    );
  });

  it('keeps signs in its words that part lines elsewhere', () => {
    const application = createApplication('one', 'Marsh\u2028and\u2029point\u0085', {
      Categories: ['a\u2028b'],
    });
    const back = read(writeDesktopEntry(application));
    expect(back.problems).to.deep.equal([]);
    expect(back.application?.Categories).to.deep.equal(['a\u2028b']);
    expect(back.application?.Name).to.equal(application.Name);
  });

  it('comes back as it went out, whatever its words are', () => {
    const word = fc
      .string({ minLength: 1, maxLength: 30, unit: 'grapheme' })
      .map((text) => text.replace(/\p{Cc}/gu, ' ').trim() || 'x');
    fc.assert(
      fc.property(
        fc.record({
          Name: word,
          Comment: word,
          Categories: fc.array(
            word.map((one) => one.trim()),
            { maxLength: 4 },
          ),
          Keywords: fc.array(word, { maxLength: 4 }),
          Exec: word,
          Actions: fc.uniqueArray(fc.record({ id: fc.stringMatching(/^[a-z-]{1,12}$/), Name: word }), {
            selector: ({ id }) => id,
            maxLength: 3,
          }),
          URL: fc.constantFrom('', 'https://marsh.example/'),
        }),
        (change) => {
          const application = createApplication('one', change.Name, change);
          expect(Application.safeParse(application).success).to.equal(true);
          const back = read(writeDesktopEntry(application));
          expect(back.problems).to.deep.equal([]);
          expect({ id: 'one', ...back.application }).to.deep.equal(application);
        },
      ),
    );
  });
});

describe('several .desktop files', () => {
  const files = (...list: [string, Uint8Array][]) => list.map(([name, bytes]) => ({ name, bytes }));

  it('come by themselves or in a ZIP, each under an id of its own', () => {
    const zip = zipSync({
      'share/applications/ring-ledger.desktop': strToU8(entry('Name=Ring Ledger')),
      'ring ledger.desktop': strToU8(entry('Name=Ring Ledger, old')),
      'notes.txt': strToU8('nothing of it'),
      'broken.desktop': strToU8('oh no'),
    });
    const found = readEntryFiles(
      files(['files.desktop', utf8(entry('Name=Files'))], ['all.zip', zip]),
      ['en'],
      ['files'],
    );
    expect(found.map(({ application }) => application?.id)).to.deep.equal([
      'files-2',
      'ring-ledger',
      'ring-ledger-2',
      undefined,
    ]);
  });

  it('are bounded: a ZIP that is none, is empty, or holds what is far too large', () => {
    const why = (bytes: Uint8Array) =>
      readEntryFiles(files(['a.zip', bytes]), [], [])[0]?.problems[0]?.sentence;
    expect(why(Uint8Array.from([0x50, 0x4b, 3, 4, 9, 9, 9]))).to.match(/no ZIP/);
    expect(readEntryFiles([{ name: 'huge.zip', bytes: null }], [], [])[0]?.problems[0]?.sentence).to.match(
      /larger than 20 MB/,
    );
    expect(why(zipSync({ 'a.txt': strToU8('x') }))).to.match(/no \.desktop/);
    expect(why(zipSync({ 'big.desktop': new Uint8Array(MOST_BYTES + 1) }))).to.match(/too large/);
    const many = Object.fromEntries(
      Array.from({ length: 1005 }, (_, index) => [`${index}.desktop`, strToU8(entry(`Name=n${index}`))]),
    );
    const found = readEntryFiles(files(['a.zip', zipSync(many)]), [], []);
    expect(found.filter(({ application }) => application).length).to.equal(1000);
    expect(found.at(-1)?.problems[0]?.sentence).to.match(/more than is taken/);
  });

  it('are bounded together, too: a ZIP of more than is taken is cut, and says so', () => {
    const entry = (index: number) =>
      strToU8(`[Desktop Entry]\nType=Application\nName=Hide ${index}\n`.padEnd(200_000, '#'));
    const files = Object.fromEntries(Array.from({ length: 200 }, (_, at) => [`${at}.desktop`, entry(at)]));
    const found = readEntryFiles([{ name: 'much.zip', bytes: zipSync(files) }], [], []);
    const taken = found.filter(({ application }) => application).length;
    expect(taken).to.be.within(100, 180);
    expect(found.at(-1)?.problems[0]?.sentence).to.match(/more than is taken/);
  });

  it('go out and come in again', () => {
    for (const { applications } of demoDesks()) {
      const back = readEntryFiles(files(['all.zip', zipEntries(applications)]), [], []);
      expect(back.map(({ application }) => application)).to.deep.equal(
        applications.map((one) => ({ ...one, Exec: one.id })),
      );
    }
  });
});
