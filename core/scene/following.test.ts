import { expect } from 'chai';
import { DAWN, clockAt, emptyDesk, fromCorner } from '../../tests/support/desks.ts';
import { bakedPixels } from '../../tests/support/pixels.ts';
import { withPalettes } from '../backdrop/read-tones.ts';
import type { Tones } from '../backdrop/tones.ts';
import { extractPalette } from '../colour/extract.ts';
import { schemeNames } from '../colour/schema.ts';
import { drawRoles } from '../colour/scheme.ts';
import { createBackdrop, createMotif } from '../desk/defaults.ts';
import type { Desk } from '../desk/desk.ts';
import { startHistory, edit, undo } from '../desk/history.ts';
import { edits } from '../desk/edits/edits.ts';
import { enough, judgeDesk, type Sight } from '../legibility/judge.ts';
import { backdropsOf } from './backdrop.ts';
import { createMemory } from './memory.ts';
import { rolesNow } from './look.ts';
import { solve } from './solve.ts';

const desk: Desk = {
  ...emptyDesk(),
  widgets: [clockAt('clock', fromCorner(120, 100))],
  backdrops: [createBackdrop('back', createMotif('tide', 4, { colours: 'palette', follows: false }))],
};
const screen = desk.screens[0]?.id ?? '';
const following: Desk = { ...desk, look: { ...desk.look, follows: 'vivid' } };

/** A map of one colour, with the palettes that come of it. */
function mapOf([r, g, b]: readonly [number, number, number]): Tones {
  const data = new Uint8ClampedArray(96 * 54 * 4).map((_, at) => [r, g, b, 255][at % 4] ?? 0);
  return withPalettes({ width: 96, height: 54, data });
}
const rust = new Map([[screen, mapOf([150, 70, 40])]]);
const moss = new Map([[screen, mapOf([60, 110, 60])]]);

const sight: Sight = {
  pixelsOf: bakedPixels,
  tonesOf: async (drawn) => withPalettes(await bakedPixels(drawn, { width: 480, height: 270 })),
};

describe('a palette that follows the backdrop', () => {
  it('is drawn from what lies behind the first screen, in its way and both halves; unknown, it is the desk’s own', () => {
    const data = new Uint8ClampedArray(96 * 54 * 4).map((_, at) => [150, 70, 40, 255][at % 4] ?? 0);
    for (const way of schemeNames) {
      const drawn = drawRoles(extractPalette({ width: 96, height: 54, data }), way);
      const look = { ...desk.look, follows: way };
      for (const half of ['light', 'dark'] as const)
        expect(solve({ ...desk, look }, { moment: DAWN, half, tones: rust }).roles).to.deep.equal(
          drawn[half],
        );
    }
    const own = solve(desk, { moment: DAWN, tones: rust });
    expect(solve(following, { moment: DAWN }).roles).to.deep.equal(own.roles);
    expect(
      solve(following, { moment: DAWN, tones: new Map([['other', mapOf([9, 9, 9])]]) }).roles,
    ).to.deep.equal(own.roles);
    // What is played comes before what lies behind.
    const played = solve(following, { moment: DAWN, tones: rust, roles: desk.look.roles });
    expect(played.roles).to.deep.equal(own.roles);
  });

  it('leaves what is held, and what is a step follows by itself', () => {
    const roles = structuredClone(desk.look.roles);
    roles.dark.accent = '#ffcc66';
    roles.dark.second = { from: 'accent', lighter: -10, more: 0, warmer: 0 };
    const look = { ...following.look, roles, held: ['accent' as const] };
    const seen = rolesNow({ ...desk, look }, { tones: moss }).dark;
    expect(seen.accent).to.equal('#ffcc66');
    expect(seen.second).to.deep.equal(roles.dark.second);
    expect(seen.ground).to.not.equal(roles.dark.ground);
  });

  it('does not follow from itself: what lies behind stays in the desk’s own colours', () => {
    const behind = (of: Desk, tones: typeof rust) =>
      solve(of, { moment: DAWN, tones }).screens[0]?.backdrop.drawn;
    expect(behind(following, rust)).to.deep.equal(behind(desk, moss));
    expect(backdropsOf(following, { moment: DAWN }).get(screen)?.drawn).to.deep.equal(
      behind(following, rust),
    );
  });

  it('is the very same for the same, so that nothing is drawn anew', () => {
    const memory = createMemory();
    const first = solve(following, { moment: DAWN, tones: rust }, memory);
    const again = solve(following, { moment: DAWN, tones: new Map(rust) }, memory);
    expect(again.roles).to.equal(first.roles);
    expect(again.screens[0]?.widgets[0]?.surface).to.equal(first.screens[0]?.widgets[0]?.surface);
  });

  it('is judged as it is seen, on every screen', async () => {
    const [main] = desk.screens;
    if (!main) throw new Error('no screen');
    const second = { ...main, id: 'second', name: 'Second', x: main.width };
    const place = {
      hangs: { from: 'screen' as const, screen: 'second', point: 'top-left' as const },
      x: 90,
      y: 90,
    };
    const two: Desk = {
      ...following,
      look: { ...following.look, half: { by: 'choice', half: 'dark' } },
      screens: [main, second],
      widgets: [...following.widgets, clockAt('other', place)],
      backdrops: [createBackdrop('back', createMotif('night', 4, { colours: 'own', follows: false }))],
    };
    const judged = (await judgeDesk(two, { moment: DAWN }, sight)).filter(({ isShown }) => isShown);
    const inks = (part: string) => judged.filter((one) => one.part === part).map(({ colour }) => colour);
    expect(new Set(inks('clock'))).to.deep.equal(new Set(inks('other')));
    expect(Math.min(...judged.map(enough))).to.be.at.least(1);
    const own = await judgeDesk({ ...two, look: { ...two.look, follows: null } }, { moment: DAWN }, sight);
    expect(own.find(({ part, isShown }) => isShown && part === 'clock')?.colour).to.not.equal(
      inks('clock')[0],
    );
  });

  it('stays as it was seen once it is switched off; a colour chosen by hand is held in both halves', () => {
    const seen = rolesNow(following, { tones: rust });
    const before = startHistory(following);
    const off = edit(before, 'Off', (draft) => edits.followBackdrop(null, seen).apply(draft));
    expect(off.present.look).to.deep.include({ follows: null, roles: seen });
    expect(undo(off).present).to.deep.equal(following);
    const chosen = edit(before, 'Accent', (draft) =>
      edits.setRole('dark', 'accent', '#88aa22', seen).apply(draft),
    ).present;
    expect(chosen.look.held).to.deep.equal(['accent']);
    const now = rolesNow(chosen, { tones: moss });
    expect(now.dark.accent).to.equal('#88aa22');
    expect(now.light.accent).to.not.equal(seen.light.accent);
    const held = edit(before, 'Hold', (draft) => edits.hold('second', true, seen).apply(draft)).present;
    expect(rolesNow(held, { tones: moss }).dark.second).to.equal(seen.dark.second);
    const drawn = edit(before, 'Draw', (draft) =>
      edits.drawPalette(drawRoles([{ colour: '#3c6e71', share: 1 }])).apply(draft),
    ).present;
    expect(drawn.look.follows).to.equal(null);
  });
});
