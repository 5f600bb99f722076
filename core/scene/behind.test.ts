import { expect } from 'chai';
import { freeze } from 'immer';
import { DAWN, clockAt, emptyDesk, fromCorner } from '../../tests/support/desks.ts';
import { bareFinish } from '../values/finish.ts';
import { contrast } from '../values/colour.ts';
import { createDock, createItem, createWidget } from '../desk/defaults.ts';
import type { Desk } from '../desk/desk.ts';
import type { Widget } from '../desk/shapes/widgets.ts';
import type { Scene } from './scene.ts';
import { decidingBackdrop } from './backdrop.ts';
import { createMemory } from './memory.ts';
import { solve } from './solve.ts';

const DARK = '#101010';
const LIGHT = '#f0f0f0';

/** A main screen that is so dark or light (0 to 255) on its left and on its right. */
function halves(left: number, right: number) {
  const [columns, rows] = [100, 60];
  const cells = Uint8Array.from({ length: columns * rows * 3 }, (_, at) =>
    Math.floor(at / 3) % columns < columns / 2 ? left : right,
  );
  return new Map([['main', { columns, rows, cells }]]);
}

const tones = halves(16, 240);
const desk = emptyDesk();
const bare = bareFinish(desk.look.finish);
const clock = (id: string, x: number, change: Partial<Widget> = {}): Widget => ({
  ...clockAt(id, fromCorner(x, 100)),
  finish: bare,
  ...change,
});
const withWidgets = (...widgets: Widget[]): Desk => freeze({ ...desk, widgets }, true);
const surfaceOf = (scene: Scene, id: string) => {
  const found = scene.screens[0]?.widgets.find((widget) => widget.id === id);
  if (!found) throw new Error(`${id} is not there`);
  return found.surface;
};

describe('bare parts', () => {
  it('take what reads on what lies behind each of them, in both halves; without a map they go by the ground', () => {
    const two = withWidgets(clock('left', 20), clock('right', 700));
    for (const half of ['light', 'dark'] as const) {
      const scene = solve(two, { moment: DAWN, half, tones });
      for (const [id, beneath] of [
        ['left', DARK],
        ['right', LIGHT],
      ] as const) {
        const { ink, softInk, accent, second, alert, reads } = surfaceOf(scene, id);
        for (const text of [ink, softInk, ...Object.values(reads)])
          expect(contrast(text, beneath), `${half} ${id} ${text}`).to.be.at.least(4.5);
        for (const mark of [accent, second, alert])
          expect(contrast(mark, beneath), `${half} ${id} ${mark}`).to.be.at.least(3);
      }
      const plain = solve(two, { moment: DAWN, half });
      expect(surfaceOf(plain, 'left')).to.equal(surfaceOf(plain, 'right'));
      expect(contrast(surfaceOf(plain, 'left').ink, plain.roles.ground)).to.be.at.least(4.5);
    }
  });

  it('turn as strong as they are on the ground, and leave a colour that a person chose', () => {
    const chosen = withWidgets(
      clock('chosen', 700, { options: { ...clock('x', 0).options, colour: '#fffbe0' } }),
    );
    const scene = solve(chosen, { moment: DAWN, half: 'dark', tones });
    const { roles } = scene;
    expect(contrast(surfaceOf(scene, 'chosen').ink, LIGHT)).to.be.at.least(
      Math.min(contrast(roles.ink, roles.ground), 17) - 0.5,
    );
    const [run] = scene.screens[0]?.widgets[0]?.layout.runs ?? [];
    expect(JSON.stringify(scene.screens[0]?.widgets[0]?.view) + run?.colour).to.include('#fffbe0');
  });

  it('stand on what other parts lay over the backdrop: a card, a filled shape, a shade of their own', () => {
    const card = {
      ...clock('card', 650),
      finish: { ...bare, kind: 'matte' as const, tint: '#000000' },
      scale: 2,
    };
    const shape = createWidget({
      id: 'shape',
      type: 'shape',
      face: 'box',
      place: fromCorner(650, 80),
      deskFinish: desk.look.finish,
      options: { width: 300, height: 200, filled: true, colour: '#000000', opacity: 100, turn: 0 },
    });
    const over = (...before: Widget[]) =>
      surfaceOf(solve(withWidgets(...before, clock('on', 700)), { moment: DAWN, half: 'dark', tones }), 'on')
        .ink;
    expect(contrast(over(), LIGHT)).to.be.at.least(4.5);
    expect(contrast(over(card), '#000000')).to.be.at.least(4.5);
    expect(contrast(over({ ...shape, finish: bare }), '#000000')).to.be.at.least(4.5);
    // What comes later lies above.
    const below = solve(withWidgets(clock('on', 700), card), { moment: DAWN, half: 'dark', tones });
    expect(contrast(surfaceOf(below, 'on').ink, LIGHT)).to.be.at.least(4.5);
    const shaded = clock('on', 700, { finish: { ...bare, shadow: 100 } });
    const inShade = surfaceOf(solve(withWidgets(shaded), { moment: DAWN, half: 'dark', tones }), 'on');
    expect(inShade.ink).not.to.equal(over());
  });

  it('are fitted item by item along a bare edge, and icons on the desk too', () => {
    const applications = desk.applications.slice(0, 2);
    const items = [
      createItem('first', 'application', { application: applications[0]?.id }),
      createItem('spring', 'spring'),
      createItem('last', 'application', { application: applications[1]?.id }),
    ];
    const dock = {
      ...createDock('dock', 'main', 'bottom', desk.look.finish, items),
      finish: bare,
      length: { by: 'side' as const },
    };
    const whole = freeze(
      {
        ...desk,
        edges: [dock],
        desktopIcons: { ...desk.desktopIcons, shown: 'all' as const, from: 'top-right' as const },
      },
      true,
    ) as Desk;
    const [screen] = solve(whole, { moment: DAWN, half: 'dark', tones }).screens;
    const [edge] = screen?.edges ?? [];
    const shown = ['first', 'last'].map((id) => edge?.items.find((item) => item.id === id));
    const side = (rect?: { x: number; width: number }) =>
      (rect?.x ?? 0) + (rect?.width ?? 0) / 2 < 500 ? DARK : LIGHT;
    for (const item of shown)
      expect(contrast(item?.surface?.ink ?? '', side(item?.rect)), item?.id).to.be.at.least(4.5);
    for (const icon of screen?.icons ?? [])
      expect(contrast(icon.signSurface.ink, side(icon.rect)), icon.id).to.be.at.least(4.5);
    expect(screen?.icons.length).to.be.above(0);
    expect(solve(whole, { moment: DAWN, half: 'dark' }).screens[0]?.edges[0]?.items[0]?.surface).to.equal(
      null,
    );
  });

  it('turn only where they must while they are held, and take what reads best once they are let go', () => {
    const grey = halves(16, 120);
    const memory = createMemory();
    const at = (x: number, isHeld: boolean) =>
      surfaceOf(
        solve(withWidgets(clock('one', x)), { moment: DAWN, half: 'dark', tones: grey, isHeld }, memory),
        'one',
      ).way;
    expect(at(20, false)).to.equal('lighter');
    expect(at(700, true)).to.equal('lighter');
    expect(at(700, false)).to.equal('darker');
    expect(at(700, true)).to.equal('darker');
    expect(at(20, true)).to.equal('lighter');
  });

  it('follow the half that the backdrop decides on: dark where it is dark, light where nobody knows', () => {
    const byBackdrop = freeze({ ...desk, look: { ...desk.look, half: { by: 'backdrop' as const } } }, true);
    const halfOf = (isDarkBehind: boolean | null) => solve(byBackdrop, { moment: DAWN, isDarkBehind }).half;
    expect([halfOf(true), halfOf(false), halfOf(null)]).to.deep.equal(['dark', 'light', 'light']);
    // A half that is looked at comes before it; another way to go by knows nothing of it.
    expect(solve(byBackdrop, { moment: DAWN, isDarkBehind: true, half: 'light' }).half).to.equal('light');
    expect(solve(desk, { moment: DAWN, isDarkBehind: true }).half).to.equal('light');
    // What decides is the same in both halves, though a motif in the desk's colours is drawn otherwise in each.
    const decides = decidingBackdrop(byBackdrop, { moment: DAWN });
    expect(decidingBackdrop(byBackdrop, { moment: DAWN, isDarkBehind: true })).to.deep.equal(decides);
    expect(decidingBackdrop(desk, { moment: DAWN })).to.equal(null);
  });

  it('stay the very same while something else moves', () => {
    const memory = createMemory();
    const scene = (x: number) =>
      solve(withWidgets(still, clock('other', x)), { moment: DAWN, tones }, memory).screens[0]?.widgets[0];
    const still = freeze(clock('still', 20), true);
    const before = scene(400);
    expect(scene(700)).to.equal(before);
  });
});
