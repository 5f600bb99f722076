import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import sharp from 'sharp';
import { readBundle, writeBundle } from '../core/bundle/bundle.ts';
import { kitKinds } from '../core/desk/kits/kit.ts';
import { demoDesks } from '../demo/desks.ts';
import { dawnCount } from '../tests/support/desks.ts';
import { digestOf } from '../tests/support/digest.ts';
import { EXIT, main } from './main.ts';
import { removeFolder } from '../tests/support/folders.ts';

let folder: string;
before(() => {
  folder = mkdtempSync(join(tmpdir(), 'ledge-cli-'));
  writeFileSync(
    join(folder, 'dawn.ledge'),
    writeBundle({ desk: dawnCount(), pictures: [], fonts: [], sounds: [], iconSets: [] }, digestOf),
  );
  writeFileSync(
    join(folder, 'bad.json'),
    JSON.stringify({ ...dawnCount(), widgets: [{ ...dawnCount().widgets[0], scale: 'big' }] }),
  );
});
after(() => removeFolder(folder));

async function call(...args: string[]) {
  const said = { out: '', err: '' };
  const code = await main(
    args.map((arg) => arg.replace('@', folder)),
    { out: (text) => (said.out += text), err: (text) => (said.err += text) },
  );
  return { code, ...said };
}

describe('the command line', () => {
  it('checks a bundle', async () => {
    const { code, out } = await call('check', '@/dawn.ledge');
    expect(code).to.equal(EXIT.fine);
    expect(out).to.contain(`sound. Dawn count: 1 screens, 2 edges, ${dawnCount().widgets.length} widgets`);
  });

  it('says what is wrong with a desk, and where, for people and for programs', async () => {
    expect(await call('check', '@/bad.json')).to.deep.include({ code: EXIT.refused });
    const { out } = await call('check', '@/bad.json', '--json');
    expect(JSON.parse(out).problems[0].path).to.equal('widgets[0].scale');
  });

  it('solves a desk for a screen at a moment', async () => {
    const { out } = await call(
      'solve',
      '@/dawn.ledge',
      '--screen',
      '2560x1440',
      '--at',
      '2026-11-24T07:12:00Z',
      '--json',
    );
    const scene = JSON.parse(out);
    expect(scene.screens[0].rect).to.deep.equal({ x: 0, y: 0, width: 2560, height: 1440 });
    expect(scene.screens[0].widgets[0].view).to.include({ hours: '07', minutes: '12' });
    expect((await call('solve', '@/dawn.ledge', '--at', '2026-11-24T07:12:00Z')).out).to.match(
      /Tue 24 Nov 2026, 07:12/,
    );
  });

  it('takes a desk’s dress as a kit, and puts it on another desk, which stands as it stood', async () => {
    const night = demoDesks().find(({ id }) => id === 'night-watch');
    if (!night) throw new Error('No desk');
    writeFileSync(
      join(folder, 'night.ledge'),
      writeBundle({ desk: night, pictures: [], fonts: [], sounds: [], iconSets: [] }, digestOf),
    );
    const taken = await call('kit', 'take', '@/night.ledge', '--out', '@/night.ledgekit', '--name', 'Watch');
    expect(taken, taken.err).to.deep.include({ code: EXIT.fine });
    const worn = await call(
      ...['kit', 'wear', '@/night.ledgekit', '--on', '@/dawn.ledge', '--out', '@/new.ledge'],
      ...['--kinds', 'palette,type'],
    );
    expect(worn, worn.err).to.deep.include({ code: EXIT.fine });
    const read = readBundle(readFileSync(join(folder, 'new.ledge')), digestOf);
    if (!read.ok) throw new Error('unsound');
    const { desk } = read.value;
    expect(desk.look.roles).to.deep.equal(night.look.roles);
    expect(desk.look.fonts).to.deep.equal(night.look.fonts);
    expect(desk.wears).to.deep.include({ name: 'Watch', kinds: ['palette', 'type'] });
    expect({ ...desk, look: null, wears: null }).to.deep.equal({ ...dawnCount(), look: null });
  });

  it('says which kinds of a kit there are, and what is missing', async () => {
    expect(
      await call('kit', 'take', '@/dawn.ledge', '--out', '@/x.ledgekit', '--kinds', 'hats'),
    ).to.deep.include({
      code: EXIT.refused,
      err: `--kinds hats: none of ${kitKinds.map(({ key }) => key).join(', ')}`,
    });
    expect((await call('kit', 'wear', '@/dawn.ledge')).code).to.equal(EXIT.usage);
    expect((await call('kit', 'burn', '@/dawn.ledge')).code).to.equal(EXIT.usage);
  });

  it('draws a palette from a picture', async () => {
    await sharp({ create: { width: 50, height: 50, channels: 3, background: '#336699' } })
      .png()
      .toFile(join(folder, 'flat.png'));
    const { out } = await call('palette', '@/flat.png', '--json');
    expect(JSON.parse(out).swatches).to.deep.equal([{ colour: '#336699', share: 1 }]);
    expect((await call('palette', '@/bad.json')).code).to.equal(EXIT.refused);
  });

  it('tells a wrong call from a file that is not there', async () => {
    expect((await call('check', '@/nothing.ledge')).code).to.equal(EXIT.unreadable);
    for (const args of [
      [],
      ['dance', 'x'],
      ['check'],
      ['solve', '@/dawn.ledge', '--screen', 'wide'],
      ['solve', '@/dawn.ledge', '--at', 'noon'],
      ['check', '@/dawn.ledge', '--loud'],
    ]) {
      expect((await call(...args)).code, args.join(' ')).to.equal(EXIT.usage);
    }
  });
});
