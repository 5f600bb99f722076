import { expect } from 'chai';
import { produce } from 'immer';
import { demoDesks } from '../../demo/desks.ts';
import { DAWN, clockAt, emptyDesk, fromCorner } from '../../tests/support/desks.ts';
import { createBackdrop, createDock, createPanel, createPicture } from '../desk/defaults.ts';
import type { Desk } from '../desk/desk.ts';
import { readDesk } from '../desk/read.ts';
import type { Judgement } from '../legibility/judge.ts';
import { solve } from '../scene/solve.ts';
import type { PictureFacts } from '../wire/wire.ts';
import type { Finding, Looked, Rule } from './finding.ts';
import { colours } from './colours/colours.ts';
import { covered } from './covered/covered.ts';
import { front } from './front/front.ts';
import { rules } from './list.ts';
import { pictures } from './pictures/pictures.ts';
import { texts } from './texts/texts.ts';

const look = (desk: Desk, more: Partial<Looked> = {}): Looked => ({
  desk,
  scene: solve(desk, { moment: DAWN }),
  pictures: new Map(),
  judgements: null,
  ...more,
});

const after = (desk: Desk, { mends }: Finding): Desk => {
  const [mend] = mends;
  if (!mend) throw new Error('Nothing would mend it');
  return produce(desk, (draft) => mend.edit.apply(draft));
};

/** Mends one finding after another until there is none; says how many it took. */
function mendAll(rule: Rule, desk: Desk, more: Partial<Looked> = {}): { desk: Desk; steps: number } {
  let now = desk;
  for (let steps = 0; steps < 10; steps++) {
    const [first] = rule.find(look(now, more)) ?? [];
    if (!first) return { desk: now, steps };
    now = after(now, first);
  }
  throw new Error('It does not come to its end');
}

const base = emptyDesk();
const crowded: Desk = {
  ...base,
  edges: [
    { ...createDock('dock', 'main', 'bottom', base.look.finish, []), length: { by: 'side' } },
    { ...createPanel('panel', 'main', 'bottom', []), length: { by: 'side' } },
  ],
  widgets: [clockAt('under', fromCorner(300, 540)), clockAt('free', fromCorner(300, 100))],
};
const { windows } = base;
const alike: Desk = {
  ...base,
  windows: {
    ...windows,
    lines: { ...windows.lines, front: 'softInk', behind: 'softInk', border: 0 },
    behind: { ...windows.behind, dims: 0, opacity: 100, shade: 0 },
  },
};

describe('findings', () => {
  it('are told by rules of different names, each with somewhere to go', () => {
    expect(new Set(rules.map(({ id }) => id)).size).to.equal(rules.length);
    for (const { title, fine, page } of rules) {
      expect(title).not.to.match(/[.]$/);
      expect(fine).to.match(/[.]$/);
      expect(page[0]).not.to.equal('');
      expect(page[1]).not.to.equal('');
    }
  });

  it('are none on the desks of the demo, but for what has to be looked at first', () => {
    for (const desk of demoDesks())
      for (const rule of [covered, front])
        expect(rule.find(look(desk)), `${desk.name}: ${rule.id}`).to.deep.equal([]);
    expect(texts.find(look(base))).to.equal(null);
  });

  it('name what stands over something, and are gone once mended', () => {
    const found = covered.find(look(crowded)) ?? [];
    expect(found.map(({ told }) => told)).to.deep.equal([
      'The dock at the bottom stands over the panel at the bottom',
      'The dock at the bottom stands over the clock (line)',
      'The panel at the bottom stands over the clock (line)',
    ]);
    const mended = mendAll(covered, crowded);
    expect(mended.steps).to.be.within(1, 4);
    expect(readDesk(JSON.parse(JSON.stringify(mended.desk))).ok).to.equal(true);
    // What was in nobody's way stays.
    expect(mended.desk.widgets[1]).to.deep.equal(crowded.widgets[1]);
  });

  it('say that the front window looks like the others, and tell it apart', () => {
    expect(front.find(look(alike))).to.have.length(1);
    expect(mendAll(front, alike).steps).to.equal(1);
  });

  it('name colours that some eyes take for each other, in the halves that are shown only', () => {
    const roles = { ...base.look.roles.dark, accent: '#c05a4a', second: '#c05b4b' };
    const same: Desk = {
      ...base,
      look: {
        ...base.look,
        half: { by: 'choice', half: 'dark' },
        roles: { ...base.look.roles, dark: roles },
      },
    };
    const told = (colours.find(look(same)) ?? []).map((one) => one.told);
    expect(told.some((sentence) => /^Accent and second look alike in the dark half/.test(sentence))).to.equal(
      true,
    );
    const light: Desk = { ...same, look: { ...same.look, half: { by: 'choice', half: 'light' } } };
    expect((colours.find(look(light)) ?? []).filter(({ key }) => key.startsWith('dark'))).to.deep.equal([]);
  });

  it('wait for what is known of a picture, and say why it is not fit', () => {
    const id = 'a'.repeat(64);
    const source = createPicture(id, 'Small');
    const small: Desk = { ...base, backdrops: [{ ...createBackdrop('behind', source) }] };
    expect(pictures.find(look(small))).to.equal(null);
    const facts: PictureFacts = {
      width: 320,
      height: 180,
      isAnimated: false,
      depth: 8,
      hasProfile: false,
      blocks: 3,
    };
    const known = { pictures: new Map([[id, facts]]) };
    const found = pictures.find(look(small, known)) ?? [];
    expect(found.map(({ told }) => told.replace(/[\d.]+ times/, 'N times'))).to.deep.equal([
      'Small: Too few pixels: each is stretched N times, and will look soft.',
      'Small: Strongly compressed: its blocks show (N times as strong as its own detail).',
    ]);
    const [stretched] = found;
    expect(stretched && after(small, stretched).backdrops[0]?.adjust.blur).to.equal(18);
    // One that the server has not got is nothing to be waited for.
    expect(pictures.find(look(small, { pictures: new Map([[id, null]]) }))).to.deep.equal([]);
    const fit = { pictures: new Map([[id, { ...facts, width: 4000, height: 2250, blocks: 1 }]]) };
    expect(pictures.find(look(small, fit))).to.deep.equal([]);
  });

  it('tell of texts that are weak where they are shown, and of no others', () => {
    const judged = (text: string, contrast: number, isShown: boolean): Judgement => ({
      part: 'under',
      item: null,
      screen: 'main',
      text,
      colour: '#ffffff',
      box: { x: 0, y: 0, width: 10, height: 10 },
      isTold: false,
      isSign: false,
      worst: { x: 0, y: 0 },
      half: 'dark',
      isShown,
      backdrop: 'behind',
      entry: null,
      contrast,
      needs: 4.5,
      lc: 20,
      lcNeeds: 60,
    });
    const judgements = [judged('07:12', 2.13, true), judged('Fri', 9, true), judged('low', 1.2, false)];
    const found = texts.find(look(base, { judgements })) ?? [];
    expect(found.map(({ told }) => told)).to.deep.equal([
      '“07:12” has 2.1:1 in the dark half, and needs 4.5:1',
    ]);
  });
});
