import { expect } from 'chai';
import { chunksOf } from './chunks.ts';

/** A made-up interface: what each file imports at first, and what later. */
const files: Record<string, { now?: string[]; later?: string[] }> = {
  'main.tsx': { now: ['later.ts'], later: ['shelf/shelf.tsx', 'studio/studio.tsx', 'live/live.tsx'] },
  'later.ts': {},
  'shelf/shelf.tsx': { now: ['render/miniature.tsx', 'later.ts'] },
  'live/live.tsx': { now: ['render/screen.tsx'], later: ['render/menu.tsx'] },
  'studio/studio.tsx': {
    now: ['render/screen.tsx', 'studio/stage.tsx'],
    later: ['studio/chapters/look.tsx', 'session/finding.ts', 'render/menu.tsx'],
  },
  'studio/stage.tsx': { now: ['render/handles.tsx', 'icons/sun.mjs'], later: ['render/handles.tsx'] },
  'studio/chapters/look.tsx': { now: ['ui/sheet.tsx', 'icons/knob.mjs'] },
  'ui/sheet.tsx': {},
  'session/finding.ts': { now: ['session/sums.ts'] },
  'session/sums.ts': {},
  'render/miniature.tsx': { now: ['render/screen.tsx'] },
  'render/screen.tsx': { later: ['render/icon-sets/reed.tsx'] },
  'render/icon-sets/reed.tsx': { now: ['icons/sun.mjs', 'icons/knob.mjs', 'icons/own.mjs'] },
  'icons/sun.mjs': {},
  'icons/knob.mjs': {},
  'icons/own.mjs': {},
  'render/handles.tsx': {},
  'render/menu.tsx': { now: ['ui/field.tsx'] },
  'ui/field.tsx': {},
};
const path = (name: string) => `/here/web/${name}`;
const graph = {
  getModuleInfo(id: string) {
    const { now = [], later = [] } = files[id.slice(path('').length)] ?? {};
    return { importedIds: now.map(path), dynamicallyImportedIds: later.map(path) };
  },
};

describe('the files of the interface', () => {
  it('hold together what is needed together: at first by all, by the studio, and later', () => {
    const chunk = chunksOf('/here');
    const found = Object.keys(files).map((name) => [name, chunk(path(name), graph)]);
    expect(Object.fromEntries(found)).to.deep.equal({
      'main.tsx': 'main',
      'later.ts': 'main',
      'shelf/shelf.tsx': 'pages',
      'live/live.tsx': 'pages',
      'render/miniature.tsx': 'pages',
      'render/screen.tsx': 'first',
      'studio/studio.tsx': 'studio',
      'studio/stage.tsx': 'studio',
      'render/handles.tsx': 'studio',
      'render/menu.tsx': 'later',
      'ui/field.tsx': 'later',
      'studio/chapters/look.tsx': 'studio-later',
      'ui/sheet.tsx': 'studio-later',
      // Large, and seldom needed: the bundler gives each a file of its own.
      'session/finding.ts': null,
      'session/sums.ts': null,
      // A set of icons brings nothing of the studio: what it shares with that comes at first, or is a file of theirs.
      'render/icon-sets/reed.tsx': null,
      'icons/sun.mjs': 'first',
      'icons/knob.mjs': 'signs',
      'icons/own.mjs': null,
    });
  });

  it('never make a page wait for what only another one needs', () => {
    const chunk = chunksOf('/here');
    const waitsFor = (name: string) =>
      new Set((files[name]?.now ?? []).map((one) => chunk(path(one), graph)));
    for (const name of Object.keys(files)) {
      if (name.startsWith('studio/')) continue;
      expect([...waitsFor(name)], name).not.to.include('studio');
      expect([...waitsFor(name)], name).not.to.include('studio-later');
    }
  });
});
