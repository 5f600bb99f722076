import { expect } from 'chai';
import { produce } from 'immer';
import { DAWN } from '../../../tests/support/desks.ts';
import { demoDesks } from '../../../demo/desks.ts';
import type { Desk } from '../../desk/desk.ts';
import { edits } from '../../desk/edits/edits.ts';
import { readDesk } from '../../desk/read.ts';
import { solve } from '../solve.ts';
import { partsOn } from '../parts.ts';

describe('icons on the bare desk', () => {
  const desk = demoDesks().find(({ screens }) => screens.length > 1);
  if (!desk) throw new Error('No desk has two screens');
  const [first, second] = desk.screens.map(({ id }) => id) as [string, string];
  const on = (screens: string[]): Desk =>
    produce(desk, (draft) => edits.setDesktopIcons({ shown: 'all', screens }).apply(draft));
  const counts = (one: Desk) => solve(one, { moment: DAWN }).screens.map(({ icons }) => icons.length);

  it('stand on the first screen, or on those that are chosen', () => {
    const many = counts(on([]))[0] ?? 0;
    expect(many).to.be.greaterThan(3);
    expect(counts(on([]))).to.deep.equal([many, 0]);
    expect(counts(on([second]))[0]).to.equal(0);
    expect(counts(on([second]))[1]).to.be.greaterThan(0);
    const both = solve(on([first, second]), { moment: DAWN }).screens;
    expect(both.every(({ icons }) => icons.length > 0)).to.equal(true);
    const ids = both.flatMap((screen) => partsOn(screen).map(({ id }) => id));
    expect(new Set(ids).size).to.equal(ids.length);
  });

  it('let go of a screen that is taken away, and name none that is not there', () => {
    const left = produce(on([second]), (draft) => edits.remove([second]).apply(draft));
    expect(left.desktopIcons.screens).to.deep.equal([]);
    expect(counts(left)[0]).to.be.greaterThan(3);
    const read = readDesk(on(['gone']));
    expect(read.ok ? '' : read.problems[0]?.path).to.equal('desktopIcons.screens[0]');
  });
});
