import { expect } from 'chai';
import { DAWN, bareDesk } from '../../tests/support/desks.ts';
import { coversOn } from '../scene/covers.ts';
import { solve } from '../scene/solve.ts';
import { readDesk } from './read.ts';
import { strips } from './strips.ts';

describe('strips of ours', () => {
  for (const strip of strips) {
    it(`${strip.title}: can be kept, has room for all that is on it, and covers nothing`, () => {
      const base = bareDesk();
      const screen = base.screens[0]?.id ?? '';
      const desk = { ...base, edges: strip.make(base, screen) };
      expect(readDesk(JSON.parse(JSON.stringify(desk)))).to.deep.include({ ok: true });
      const [solved] = solve(desk, { moment: DAWN }).screens;
      expect(solved?.edges.map(({ missing, more }) => [missing, more])).to.deep.equal(
        desk.edges.map(() => [0, null]),
      );
      expect(solved && coversOn(solved, () => false)).to.deep.equal([]);
      if (strip.frame) expect(desk.edges[0]).to.deep.include(strip.frame);
    });
  }
});
