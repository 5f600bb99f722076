import { expect } from 'chai';
import fc from 'fast-check';
import { produce, type Draft } from 'immer';
import { arbitraryDesk, dawnCount, emptyDesk } from '../../tests/support/desks.ts';
import type { Desk } from './desk.ts';
import { wrongChange, wrongValue } from './gate.ts';
import { readDesk } from './read.ts';
import { createItem, createPanel } from './defaults.ts';

const changed = (desk: Desk, recipe: (draft: Draft<Desk>) => void) => produce(desk, recipe);

describe('the gate to the document', () => {
  it('finds nothing wrong with what the schema takes, and nothing at all where nothing changed', () => {
    const desk = dawnCount();
    expect(wrongChange(desk, desk)).to.equal(null);
    expect(
      wrongChange(
        desk,
        changed(desk, (draft) => void (draft.name = 'Dusk count')),
      ),
    ).to.equal(null);
    expect(
      wrongChange(
        desk,
        changed(desk, (draft) => void draft.widgets.reverse()),
      ),
    ).to.equal(null);
  });

  const wrong: [string, RegExp, (draft: Draft<Desk>) => void][] = [
    [
      'an option of a kind that is not whole',
      /^widgets\[1\]\.options\.span/,
      (draft) => void (draft.widgets[1]!.options = { ...draft.widgets[1]!.options, span: 20.5 }),
    ],
    ['a scale beyond its range', /^widgets\[0\]\.scale/, (draft) => void (draft.widgets[0]!.scale = 11)],
    [
      'an offset beyond its range',
      /^widgets\[0\]\.place\.x/,
      (draft) => void (draft.widgets[0]!.place.x = 20_001),
    ],
    [
      'a thickness beyond its range',
      /^edges\[0\]\.thickness/,
      (draft) => void (draft.edges[0]!.thickness = 241),
    ],
    [
      'the forty-first edge',
      /^edges/,
      (draft) => {
        for (let n = draft.edges.length; n < 41; n++)
          draft.edges.push(createPanel(`e${n}`, 'main', 'top', []));
      },
    ],
    [
      'the two hundred and first item',
      /^edges\[0\]\.items/,
      (draft) => {
        for (let n = 0; n < 201; n++) draft.edges[0]!.items.push(createItem(`n${n}`, 'gap'));
      },
    ],
    [
      'the 4,001st widget',
      /^widgets/,
      (draft) => {
        const [first] = draft.widgets;
        for (let n = draft.widgets.length; n < 4001; n++) draft.widgets.push({ ...first!, id: `w${n}` });
      },
    ],
    [
      'a colour that is none',
      /^look\.roles\.dark\.accent/,
      (draft) => void (draft.look.roles.dark.accent = 'no colour'),
    ],
    ['an empty name', /^name/, (draft) => void (draft.name = '  ')],
    [
      'an adjustment beyond its range',
      /^backdrops\[0\]\.adjust\.blur/,
      (draft) => void (draft.backdrops[0]!.adjust.blur = 81),
    ],
  ];
  for (const [what, path, recipe] of wrong) {
    it(`says where ${what} stands, as the reader of files does`, () => {
      const desk = dawnCount();
      const after = changed(desk, recipe);
      const found = wrongValue(desk, after);
      expect(found?.path).to.match(path);
      expect(readDesk(JSON.parse(JSON.stringify(after))).ok).to.equal(false);
    });
  }

  it('finds what names something that is not there, and ids that are used twice', () => {
    const desk = dawnCount();
    const hanging = changed(desk, (draft) => {
      draft.widgets[0]!.place.hangs = { from: 'part', part: 'nobody', side: 'top', align: 'start' };
    });
    expect(wrongValue(desk, hanging)).to.equal(null);
    expect(wrongChange(desk, hanging)?.message).to.match(/names a part that is not there/);
    const twice = changed(desk, (draft) => void draft.widgets.push(draft.widgets[0]!));
    expect(wrongChange(desk, twice)?.message).to.match(/is used twice/);
  });

  it('agrees with the reader of files about any desk that comes of another', () => {
    const number = fc.oneof(
      fc.integer({ min: -300, max: 300 }),
      fc.double({ noNaN: true }),
      fc.constant(1e9),
    );
    fc.assert(
      fc.property(arbitraryDesk, number, number, fc.nat(3), (desk, one, two, pick) => {
        const after = changed({ ...emptyDesk(), ...desk }, (draft) => {
          const widget = draft.widgets[0];
          if (pick === 0) draft.look.finish.radius = one;
          else if (pick === 1) draft.look.fonts.text.weight = one;
          else if (pick === 2 && widget)
            Object.assign(widget, { scale: one, place: { ...widget.place, x: two } });
          else draft.place.latitude = one;
        });
        const isFine = readDesk(JSON.parse(JSON.stringify(after))).ok;
        expect(wrongChange({ ...emptyDesk(), ...desk }, after) === null).to.equal(isFine);
      }),
      { numRuns: 300 },
    );
  });
});
