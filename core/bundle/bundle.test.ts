import { expect } from 'chai';
import { strToU8, zipSync, type Zippable } from 'fflate';
import fc from 'fast-check';
import { arbitraryDesk, dawnCount } from '../../tests/support/desks.ts';
import { problemText } from '../desk/problem.ts';
import {
  createApplication,
  createBackdrop,
  createItem,
  createPanel,
  createPicture,
} from '../desk/defaults.ts';
import type { Desk } from '../desk/desk.ts';
import { digestOf } from '../../tests/support/digest.ts';
import { BUNDLE_LIMITS, filesOf, readBundle, writeBundle } from './bundle.ts';
import { DESK_LIMITS } from '../desk/limits.ts';

const picture = strToU8('pretend this is a picture');
const withPicture = (): Desk => ({
  ...dawnCount(),
  backdrops: [createBackdrop('backdrop', createPicture(digestOf(picture), 'hide.png'))],
});

describe('what a desk brings along', () => {
  it('are pictures of backdrops, icons of applications and pictures on edges, each once', () => {
    const [one, two] = [digestOf(strToU8('one')), digestOf(strToU8('two'))];
    const mark = (id: string, own: string) => createItem(id, 'picture', { picture: own });
    const desk: Desk = {
      ...withPicture(),
      edges: [createPanel('panel', 'main', 'top', [mark('a', `own:${one}`), mark('b', 'folder')])],
      applications: [createApplication('ledger', 'Ledger', { Icon: `own:${two}` })],
    };
    expect(filesOf(desk, 'picture').sort()).to.deep.equal([digestOf(picture), one, two].sort());
  });
});

function problemOf(bytes: Uint8Array): string {
  const result = readBundle(bytes, digestOf);
  const [problem] = result.ok ? [] : result.problems;
  return problem ? problemText(problem) : 'fine';
}

/** A bundle with a manifest that agrees with its files, whatever they are. */
function bundleOf(files: Record<string, Uint8Array>, manifest: object = {}): Uint8Array {
  const list = Object.entries(files).map(([name, bytes]) => ({
    name,
    size: bytes.length,
    sha256: digestOf(bytes),
  }));
  return zipSync({
    'manifest.json': strToU8(JSON.stringify({ format: 1, files: list, ...manifest })),
    ...files,
  } as Zippable);
}

/** The same with nothing packed. */
function unpackedBundleOf(files: Record<string, Uint8Array>): Uint8Array {
  const list = Object.entries(files).map(([name, bytes]) => ({
    name,
    size: bytes.length,
    sha256: digestOf(bytes),
  }));
  return zipSync(
    { 'manifest.json': strToU8(JSON.stringify({ format: 1, files: list })), ...files },
    { level: 0 },
  );
}

const deskJson = (desk: unknown = dawnCount()) => strToU8(JSON.stringify(desk));

describe('bundles', () => {
  it('come back as they went out, with their pictures', () => {
    const desk = withPicture();
    const bytes = writeBundle(
      { desk, pictures: [{ id: digestOf(picture), bytes: picture }], fonts: [], sounds: [], iconSets: [] },
      digestOf,
    );
    const result = readBundle(bytes, digestOf);
    expect(result).to.deep.equal({
      ok: true,
      value: {
        desk,
        pictures: [{ id: digestOf(picture), bytes: picture }],
        fonts: [],
        sounds: [],
        iconSets: [],
      },
    });
    expect(
      writeBundle(
        { desk, pictures: [{ id: digestOf(picture), bytes: picture }], fonts: [], sounds: [], iconSets: [] },
        digestOf,
      ),
    ).to.deep.equal(bytes);
  });

  it('carry any desk', () => {
    fc.assert(
      fc.property(arbitraryDesk, (desk) => {
        const result = readBundle(
          writeBundle({ desk, pictures: [], fonts: [], sounds: [], iconSets: [] }, digestOf),
          digestOf,
        );
        expect(result.ok && result.value.desk).to.deep.equal(desk);
      }),
      { numRuns: 25 },
    );
  });

  it('are refused with the file, the field and the reason', () => {
    const changed = writeBundle(
      { desk: dawnCount(), pictures: [], fonts: [], sounds: [], iconSets: [] },
      digestOf,
    );
    const cases: [Uint8Array, RegExp][] = [
      [strToU8('hello'), /^is not a ZIP archive$/],
      [new Uint8Array(), /^is not a ZIP archive$/],
      [changed.slice(0, changed.length - 40), /^is a damaged ZIP archive$/],
      [zipSync({ 'desk.json': deskJson() }), /^manifest\.json: is missing$/],
      [bundleOf({}), /^desk\.json: is missing$/],
      [bundleOf({ 'desk.json': strToU8('{') }), /^desk\.json: is not JSON$/],
      [
        bundleOf({ 'desk.json': deskJson({ ...dawnCount(), format: 99 }) }),
        /^desk\.json: format: is 99, newer/,
      ],
      [
        bundleOf({
          'desk.json': deskJson({ ...dawnCount(), widgets: [{ ...dawnCount().widgets[0], scale: 'big' }] }),
        }),
        /^desk\.json: widgets\[0\]\.scale: /,
      ],
      [
        bundleOf(
          { 'desk.json': deskJson() },
          { files: [{ name: 'desk.json', size: 2, sha256: '0'.repeat(64) }] },
        ),
        /^desk\.json: does not match its digest/,
      ],
      [bundleOf({ 'desk.json': deskJson() }, { format: 2 }), /^manifest\.json: has format 2, newer/],
      [bundleOf({ 'desk.json': deskJson() }, { files: [] }), /^desk\.json: is not listed in the manifest$/],
      [
        bundleOf({ 'desk.json': deskJson(), '../outside': picture }),
        /^\.\.\/outside: lies outside the archive$/,
      ],
      [bundleOf({ 'desk.json': deskJson(), '/etc/thing': picture }), /lies outside/],
      [bundleOf({ 'desk.json': deskJson(), 'a\\b': picture }), /lies outside/],
      [
        bundleOf({ 'desk.json': deskJson(withPicture()) }),
        /^pictures\/[0-9a-f]{64}: is used by the desk but missing$/,
      ],
      [
        bundleOf({
          'desk.json': deskJson(withPicture()),
          [`pictures/${digestOf(picture)}`]: strToU8('another'),
        }),
        /is not the file that its name says$/,
      ],
      [
        zipSync(
          Object.fromEntries(
            Array.from({ length: BUNDLE_LIMITS.entries + 1 }, (_, index) => [`f${index}`, picture]),
          ),
        ),
        /^has more than \d+ entries$/,
      ],
      [
        bundleOf({ 'desk.json': deskJson(), zeros: new Uint8Array(8 * 1024 * 1024) }),
        /^zeros: is packed too tightly/,
      ],
      [
        unpackedBundleOf({ 'desk.json': deskJson(), large: new Uint8Array(DESK_LIMITS.picture + 1) }),
        /^large: is larger than 60 MiB$/,
      ],
      [
        bundleOf(
          { 'desk.json': deskJson() },
          {
            files: Array.from({ length: 400_000 }, (_, index) => ({
              name: `pictures/${index}`,
              size: 1,
              sha256: '0'.repeat(64),
            })),
          },
        ),
        /^manifest\.json: is (larger than 1 MiB|not a manifest)$/,
      ],
    ];
    for (const [bytes, message] of cases) expect(problemOf(bytes)).to.match(message);
  });

  it('come back with as many pictures as a desk may have, and however alike what is in it', () => {
    const many = Array.from({ length: DESK_LIMITS.pictures }, (_, index) => strToU8(`picture ${index}`));
    const entries = many
      .map((bytes, index) => ({ id: `entry-${index}`, source: createPicture(digestOf(bytes), 'x') }))
      .map((entry, index) => ({ entry, rotation: Math.floor(index / 100) }));
    const desk: Desk = {
      ...dawnCount(),
      backdrops: [0, 1, 2, 3].map((rotation) => ({
        ...createBackdrop(`backdrop-${rotation}`, {
          kind: 'rotation',
          entries: entries.filter((one) => one.rotation === rotation).map(({ entry }) => entry),
          change: { by: 'sun' },
          shuffled: false,
          fade: 0,
        }),
        for: { screen: null, workspace: null, half: rotation === 0 ? null : 'dark' },
      })),
      // Far more alike than an honest picture: a desk is not suspected for that.
      ...({ notes: Array.from({ length: 300 }, () => 'calm '.repeat(2000)) } as object),
    };
    const pictures = many.map((bytes) => ({ id: digestOf(bytes), bytes }));
    const result = readBundle(
      writeBundle({ desk, pictures, fonts: [], sounds: [], iconSets: [] }, digestOf),
      digestOf,
    );
    expect(result.ok ? [] : result.problems).to.deep.equal([]);
    expect(result.ok && result.value.pictures).to.deep.equal(pictures);
    expect(result.ok && result.value.desk).to.deep.equal(desk);
  });

  it('never throw, whatever the bytes', () => {
    const good = writeBundle(
      { desk: dawnCount(), pictures: [], fonts: [], sounds: [], iconSets: [] },
      digestOf,
    );
    const damage = fc.array(fc.record({ at: fc.nat(good.length - 1), value: fc.nat(255) }), {
      minLength: 1,
      maxLength: 20,
    });
    fc.assert(
      fc.property(damage, (changes) => {
        const bytes = good.slice();
        for (const { at, value } of changes) bytes[at] = value;
        const result = readBundle(bytes, digestOf);
        if (!result.ok) expect(result.problems).not.to.be.empty;
      }),
      { numRuns: 200 },
    );
  });
});
