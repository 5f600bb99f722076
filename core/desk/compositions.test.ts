import { expect } from 'chai';
import { DAWN, emptyDesk } from '../../tests/support/desks.ts';
import { bareDesk } from '../../demo/bare-desk.ts';
import { solve } from '../scene/solve.ts';
import { rectsOn } from '../scene/parts.ts';
import { isInside, overlaps } from '../values/geometry.ts';
import { compositions } from './compositions.ts';
import { edits } from './edits/edits.ts';
import { edit, startHistory } from './history.ts';
import { readDesk } from './read.ts';

describe('compositions to start from', () => {
  for (const composition of compositions) {
    it(`${composition.title}: stands whole on any screen, nothing over anything`, () => {
      for (const bare of [bareDesk(), emptyDesk()]) {
        const [screen] = solve(bare, { moment: DAWN }).screens;
        if (!screen) throw new Error('no screen');
        let count = 0;
        const landing = { screen: screen.id, edge: null, off: 0, newId: () => `new-${count++}` };
        const put = edits.paste(composition.make(bare, screen), landing);
        const desk = edit(startHistory(bare), put.label, put.apply).present;
        expect(readDesk(desk).ok).to.equal(true);
        const [solved] = solve(desk, { moment: DAWN }).screens;
        if (!solved) throw new Error('no screen');
        const rects = [...rectsOn(solved).values()];
        expect(rects.length).to.be.at.least(2);
        for (const [index, rect] of rects.entries()) {
          expect(isInside(rect, solved.rect)).to.equal(true);
          if (bare.screens[0]?.width === 1920)
            for (const other of rects.slice(index + 1)) expect(overlaps(rect, other)).to.equal(false);
        }
      }
    });
  }
});
