import { expect } from 'chai';
import fc from 'fast-check';
import { demoDesks } from '../../demo/desks.ts';
import { DAWN, dawnCount } from '../../tests/support/desks.ts';
import { windowOf } from '../../tests/support/windows.ts';
import type { Desk } from '../desk/desk.ts';
import { partsOn, rectsOn } from '../scene/parts.ts';
import { solve } from '../scene/solve.ts';
import type { Conditions } from '../scene/conditions.ts';
import type { SceneWindow } from '../scene/scene.ts';
import { bottom, intersection, isInside, overlaps, right } from '../values/geometry.ts';
import { buttonShapes } from '../values/window-buttons.ts';
import { pressOf } from './frame.ts';
import { contentOf, contents } from './contents/list.ts';
import { plainWindows, type Windows } from './schema.ts';
import type { TrialWindow } from './trial.ts';

function shown(
  windows: readonly TrialWindow[],
  change: Partial<Windows> = {},
  conditions: Partial<Conditions> = {},
  desk: Desk = dawnCount(),
): SceneWindow[] {
  const solved = solve(
    { ...desk, windows: { ...plainWindows, ...change } },
    { moment: DAWN, windows, ...conditions },
  );
  return solved.screens.flatMap(({ windows: { list } }) => list);
}

const sizes = fc.record({
  x: fc.constant(100),
  y: fc.constant(100),
  width: fc.integer({ min: 200, max: 1400 }),
  height: fc.integer({ min: 140, max: 900 }),
});

describe('a window’s frame', () => {
  it('has its title, line and content one beneath the other, in all of the window and no more', () => {
    fc.assert(
      fc.property(
        sizes,
        fc.constantFrom('always', 'unfilled', 'never'),
        fc.integer({ min: 20, max: 72 }),
        fc.integer({ min: 0, max: 8 }),
        fc.integer({ min: 0, max: 12 }),
        (rect, title, height, line, border) => {
          const [window] = shown([windowOf('tallybook', { rect })], {
            title: { ...plainWindows.title, shown: title as 'always', height },
            lines: { ...plainWindows.lines, line, border },
          });
          const { frame } = window as SceneWindow;
          expect(frame.title === null).to.equal(title === 'never');
          expect(frame.title?.height ?? 0).to.equal(title === 'never' ? 0 : height);
          expect(frame.body.y).to.equal((frame.title?.height ?? 0) + line);
          expect(bottom(frame.body)).to.equal(rect.height - border);
          expect(frame.body.x).to.equal(border);
          expect(right(frame.body)).to.equal(rect.width - border);
          expect(frame.line === null).to.equal(line === 0);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('keeps name and buttons apart and inside, on either side and in every alignment', () => {
    fc.assert(
      fc.property(
        sizes,
        fc.constantFrom('left', 'right'),
        fc.constantFrom('left', 'centre', 'right'),
        fc.integer({ min: 8, max: 28 }),
        fc.integer({ min: 0, max: 32 }),
        fc.integer({ min: 9, max: 32 }),
        fc.constantFrom(...buttonShapes),
        (rect, side, align, size, spacing, letters, shape) => {
          const [window] = shown([windowOf('tallybook', { rect })], {
            title: { ...plainWindows.title, align: align as 'left', size: letters, height: 72 },
            buttons: { ...plainWindows.buttons, side: side as 'left', size, spacing, shape },
          });
          const { frame } = window as SceneWindow;
          const { title, name, buttons } = frame;
          expect(buttons).to.have.length(3);
          for (const { rect: sign } of buttons) expect(isInside(sign, title ?? sign)).to.equal(true);
          if (name) {
            expect(name.ink.x).to.be.at.least(0);
            expect(right(name.ink)).to.be.at.most(rect.width + 0.5);
            for (const { rect: sign } of buttons) expect(overlaps(name.ink, sign)).to.equal(false);
          }
          buttons.forEach(({ rect: one }, index) => {
            for (const { rect: other } of buttons.slice(index + 1))
              expect(intersection(pressOf(one, spacing), pressOf(other, spacing))).to.equal(null);
          });
        },
      ),
      { numRuns: 80 },
    );
  });

  it('is left away in part where a habit or a filled window says so', () => {
    const habit = (frame: 'line' | 'none') => ({
      habits: [
        {
          id: 'habit',
          application: 'tallybook',
          workspace: 0,
          place: 'free' as const,
          width: null,
          height: null,
          frame,
          opacity: 70,
        },
      ],
    });
    const [line] = shown([windowOf('tallybook')], habit('line'));
    expect([line?.frame.title, line?.frame.line === null, line?.opacity]).to.deep.equal([null, false, 0.7]);
    const [none] = shown([windowOf('tallybook')], habit('none'));
    expect([none?.frame.title, none?.frame.line, none?.frame.border]).to.deep.equal([null, null, 0]);
    const [filled] = shown([windowOf('tallybook', { isFilled: true })], {
      title: { ...plainWindows.title, shown: 'unfilled' },
    });
    expect(filled?.frame.title).to.equal(null);
    expect(filled?.radius).to.equal(0);
  });
});

describe('what a window stands on', () => {
  const sheer = {
    ...dawnCount().look.finish,
    kind: 'sheer' as const,
    tint: 'surface' as const,
    opacity: 40,
  };
  const opacityOf = (finish: Windows['finish'], desk: Desk) => {
    const [window] = shown([windowOf('tallybook')], { finish }, {}, desk);
    return Number.parseInt(window?.surface.fill.slice(7) || 'ff', 16) / 255;
  };

  it('is its own finish as that says, however sheer; of the desk’s little shows through', () => {
    const desk = { ...dawnCount(), look: { ...dawnCount().look, finish: sheer } };
    expect(opacityOf(sheer, desk)).to.be.closeTo(0.4, 0.01);
    expect(opacityOf(null, desk)).to.be.closeTo(0.95, 0.01);
    // Without any ground its words could not be read.
    expect(opacityOf({ ...sheer, kind: 'bare' }, desk)).to.equal(1);
  });
});

describe('windows on a desk', () => {
  it('fill the free area of their screen, whatever reserves its strip', () => {
    for (const desk of demoDesks()) {
      for (const screen of solve(desk, { moment: DAWN }).screens) {
        const window = windowOf('tallybook', { screen: screen.id, isFilled: true });
        const [filled] = shown([window], desk.windows, {}, desk);
        expect(filled?.rect, desk.name).to.deep.equal(screen.free);
      }
    }
  });

  it('are seen on their workspace and screen only, the last in front; an application with one runs', () => {
    const list = [
      windowOf('tallybook'),
      windowOf('files', { workspace: 'workspace-2' }),
      windowOf('terminal', { isMinimised: true }),
      windowOf('postbag'),
    ];
    expect(shown(list).map(({ application, isFront }) => [application, isFront])).to.deep.equal([
      ['tallybook', false],
      ['postbag', true],
    ]);
    expect(shown(list, {}, { workspace: 1 }).map(({ application }) => application)).to.deep.equal(['files']);
    const { screens, glances } = solve(dawnCount(), { moment: DAWN, windows: list });
    const runs = screens[0]?.edges
      .flatMap(({ items }) => items)
      .flatMap((item) => (item.type === 'application' && item.view.isRunning ? [item.view.application] : []));
    expect([...new Set(runs)].sort()).to.deep.equal(['files', 'postbag', 'tallybook', 'terminal']);
    expect(glances.map(({ windows }) => windows.length)).to.deep.equal([2, 1, 0]);
  });

  it('are painted before widgets, and edges before them', () => {
    const [screen] = solve(dawnCount(), { moment: DAWN, windows: [windowOf('tallybook')] }).screens;
    if (!screen) throw new Error('No screen');
    const order = partsOn(screen).map(({ id }) => id);
    expect(order.indexOf('clock')).to.be.lessThan(order.indexOf('window-tallybook'));
    expect(order.indexOf('window-tallybook')).to.be.lessThan(order.indexOf('panel'));
  });

  it('are no parts of the desk that anything hangs from or keeps its distance from, nor are its icons', () => {
    const desk = dawnCount();
    const withIcons: Desk = {
      ...desk,
      desktopIcons: { ...desk.desktopIcons, shown: 'all' },
    };
    const [screen] = solve(withIcons, { moment: DAWN, windows: [windowOf('tallybook')] }).screens;
    if (!screen) throw new Error('No screen');
    expect(screen.icons).to.have.length.above(3);
    expect(screen.windows.list).to.have.length(1);
    const there = new Set([...desk.widgets, ...desk.edges].map(({ id }) => id));
    expect([...rectsOn(screen).keys()].filter((id) => !there.has(id))).to.deep.equal([]);
    expect(rectsOn(screen).size).to.equal(there.size);
  });

  it('hold contents that stay inside at any size, in every kind', () => {
    const kinds = new Set(dawnCount().applications.map((one) => contentOf(one).key));
    expect([...kinds].sort()).to.deep.equal(contents.map(({ key }) => key).sort());
    fc.assert(
      fc.property(
        sizes,
        fc.constantFrom(...dawnCount().applications.map(({ id }) => id)),
        fc.integer({ min: 0, max: 20 }),
        (rect, application, chosen) => {
          const [window] = shown([windowOf(application, { rect, chosen })]);
          const { content, frame } = window as SceneWindow;
          const { width, height } = frame.body;
          for (const { ink, text } of content.runs) {
            expect(ink.x, text).to.be.at.least(-1);
            expect(right(ink), text).to.be.at.most(width + 1);
            expect(bottom(ink), text).to.be.at.most(height + 6);
          }
          for (const { rect: press } of content.presses) {
            expect(press.x).to.be.at.least(-1);
            expect(right(press)).to.be.at.most(width + 1);
          }
          // What is no number becomes null.
          expect(JSON.stringify(content.boxes)).not.to.contain('null');
          expect(JSON.stringify(content.outlines)).not.to.contain('NaN');
        },
      ),
      { numRuns: 150 },
    );
  });

  it('have menus, each with a name of its own and something on it', () => {
    for (const { key, menus } of contents) {
      const names = menus.map(({ name }) => name);
      expect(new Set([...names, 'Window']).size, key).to.equal(names.length + 1);
      for (const { name, entries } of menus) expect(entries.length, `${key} ${name}`).to.be.greaterThan(0);
    }
  });
});
