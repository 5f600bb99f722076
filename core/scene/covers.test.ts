import { expect } from 'chai';
import { clockAt, emptyDesk, fromCorner, DAWN } from '../../tests/support/desks.ts';
import { createDock, createPanel } from '../desk/defaults.ts';
import type { Desk } from '../desk/desk.ts';
import { coversOn, movedOff } from './covers.ts';
import { solve } from './solve.ts';

const screenOf = (desk: Desk) => {
  const [screen] = solve(desk, { moment: DAWN }).screens;
  if (!screen) throw new Error('no screen');
  return screen;
};

describe('parts that cover each other', () => {
  const base = emptyDesk();
  const dock = {
    ...createDock('dock', 'main', 'bottom', base.look.finish, []),
    length: { by: 'side' as const },
  };
  const under = { ...clockAt('under', fromCorner(300, 540)) };

  it('are found: two edges, and an edge over a widget; none where they only meet', () => {
    const desk: Desk = {
      ...base,
      edges: [dock, { ...createPanel('panel', 'main', 'bottom', []), length: { by: 'side' } }],
      widgets: [under, clockAt('free', fromCorner(300, 100))],
    };
    expect(coversOn(screenOf(desk), () => false)).to.deep.equal([
      { edge: 'dock', part: 'panel', isEdge: true },
      { edge: 'dock', part: 'under', isEdge: false },
      { edge: 'panel', part: 'under', isEdge: false },
    ]);
    const stacked = {
      ...desk,
      edges: desk.edges.map((edge) => ({ ...edge, keepsWindowsOff: true })),
      widgets: [],
    };
    expect(coversOn(screenOf(stacked), () => false)).to.deep.equal([]);
    // What slips away is not in the way for long.
    expect(coversOn(screenOf(desk), (id) => id === 'dock')).to.deep.equal([
      { edge: 'panel', part: 'under', isEdge: false },
    ]);
  });

  it('are apart once the widget is moved off, on every side', () => {
    for (const side of ['top', 'right', 'bottom', 'left'] as const) {
      const desk: Desk = { ...base, edges: [{ ...dock, side }], widgets: [] };
      const screen = screenOf(desk);
      const [edge] = screen.edges;
      if (!edge) throw new Error('no edge');
      const { x, y } = edge.rect;
      const rect = movedOff({ x, y, width: 120, height: 50 }, edge, 24);
      expect(
        coversOn({ ...screen, widgets: [{ id: 'w', rect } as never] }, () => false),
        side,
      ).to.deep.equal([]);
    }
  });
});
