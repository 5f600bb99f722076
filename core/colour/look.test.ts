import { expect } from 'chai';
import fc from 'fast-check';
import { DAWN, bareDesk, dawnCount } from '../../tests/support/desks.ts';
import { roles, type Role, type Step } from '../values/roles.ts';
import { contrast, deltaE, toLab, toLch } from '../values/colour.ts';
import type { otherEyes } from './eyes.ts';
import { confusions, eyeMatrices, seenBy } from './eyes.ts';
import { halfAt } from '../timeline/half/half.ts';
import { paletteOf, surfaceOf } from './look.ts';
import { nudged, nudges, type Nudge } from './nudge.ts';
import { mayStepFrom, resolveRoles, roleCircle, stepBetween, stepped, type RoleValues } from './roles.ts';
import { schemeNames } from './schema.ts';
import { drawRoles } from './scheme.ts';
import { APART, terminalOf } from './terminal.ts';
import { ourIcons } from '../icons/schema.ts';
import { tilesOf } from '../icons/tiles.ts';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
const step = (from: Role, change: Partial<Step> = {}): Step => ({
  from,
  lighter: 0,
  more: 0,
  warmer: 0,
  ...change,
});
const values = (change: Partial<RoleValues>): RoleValues => ({ ...dawnCount().look.roles.dark, ...change });

describe('roles as steps from one another', () => {
  it('follow what they rest on, through as many steps as there are', () => {
    const chain = (ground: string) =>
      resolveRoles(
        values({ ground, surface: step('ground', { lighter: 6 }), raised: step('surface', { lighter: 6 }) }),
      );
    const dark = chain('#201820');
    const light = chain('#605060');
    for (const { ground, surface, raised } of [dark, light]) {
      expect(toLab(surface)[0] - toLab(ground)[0]).to.be.closeTo(0.06, 0.004);
      expect(toLab(raised)[0] - toLab(surface)[0]).to.be.closeTo(0.06, 0.004);
    }
    expect(dark.accent).to.equal(light.accent);
  });

  it('are refused in a circle, whichever role it is met from', () => {
    expect(roleCircle(values({ surface: step('ground') }))).to.equal(null);
    expect(roleCircle(values({ ground: step('ground') }))).to.equal('ground');
    const circle = values({ ground: step('raised'), surface: step('ground'), raised: step('surface') });
    expect(roleCircle(circle)).not.to.equal(null);
    expect(Object.values(resolveRoles(circle)).every((colour) => /^#[0-9a-f]{6}$/.test(colour))).to.equal(
      true,
    );
    const plain = values({ surface: step('ground'), raised: step('surface') });
    expect(mayStepFrom('ground', 'raised', plain)).to.equal(false);
    expect(mayStepFrom('raised', 'ground', plain)).to.equal(true);
  });

  it('lead from one colour nearly to another when a colour becomes a step', () => {
    fc.assert(
      fc.property(
        hex,
        fc.integer({ min: -20, max: 20 }),
        fc.integer({ min: -4, max: 4 }),
        (base, lighter, warmer) => {
          fc.pre(toLch(base).l > 0.3 && toLch(base).l < 0.75 && toLch(base).c < 0.1);
          const colour = stepped(base, { lighter, more: 0, warmer });
          expect(deltaE(stepped(base, stepBetween('ground', base, colour)), colour)).to.be.below(4);
        },
      ),
    );
  });

  it('are nudged a little each way, and back again', () => {
    const opposite: [Nudge, Nudge][] = [
      ['lighter', 'darker'],
      ['warmer', 'cooler'],
      ['more', 'less'],
    ];
    for (const [there, back] of opposite) {
      const moved = nudged('#7a6a60', there) as string;
      expect(deltaE(moved, '#7a6a60'), there).to.be.within(0.5, 3);
      expect(deltaE(nudged(moved, back) as string, '#7a6a60'), there).to.be.below(0.6);
    }
    expect(nudged(step('ground', { lighter: 4 }), 'lighter')).to.deep.equal(step('ground', { lighter: 6 }));
    expect(Object.keys(nudges)).to.have.length(6);
    expect(toLab(nudged('#808080', 'warmer') as string)[2]).to.be.above(0.005);
  });
});

describe('the colours of a terminal', () => {
  it('can all be read on their ground and told from their neighbours, for any seed and scheme', () => {
    fc.assert(
      fc.property(
        hex,
        hex,
        fc.constantFrom(...schemeNames),
        fc.constantFrom('light', 'dark'),
        (a, b, scheme, half) => {
          const drawn = drawRoles(
            [
              { colour: a, share: 0.7 },
              { colour: b, share: 0.3 },
            ],
            scheme,
          )[half as 'light'];
          const { ground, ink, colours } = terminalOf(drawn);
          expect(colours).to.have.length(16);
          expect(contrast(ink, ground)).to.be.at.least(4.5);
          colours.forEach((colour, index) => {
            expect(contrast(colour, ground), `${index} ${colour} on ${ground}`).to.be.at.least(4.5);
            for (const other of [colours[index - 1], colours[index - 8]])
              if (other) expect(deltaE(colour, other), `${index}`).to.be.at.least(APART);
          });
        },
      ),
      { numRuns: 400 },
    );
  });

  it('keep to their names: red is red, green green, blue blue', () => {
    const { colours } = terminalOf(resolveRoles(dawnCount().look.roles.dark));
    const hue = (index: number) => toLch(colours[index] ?? '#000000').h;
    expect(hue(1)).to.be.within(0, 50);
    expect(hue(2)).to.be.within(125, 165);
    expect(hue(4)).to.be.within(235, 280);
  });
});

describe('other eyes', () => {
  it('leave greys as they are: each row of the published matrices adds up to one', () => {
    for (const matrix of Object.values(eyeMatrices))
      for (const row of matrix) expect(row[0] + row[1] + row[2]).to.be.closeTo(1, 1e-5);
    for (const eyes of ['protan', 'deutan', 'tritan'] as const) {
      expect(deltaE(seenBy(eyes, '#777777'), '#777777')).to.be.below(0.5);
      expect(seenBy(eyes, '#ffffff')).to.equal('#ffffff');
    }
  });

  it('see red and green, or blue and green, nearer to each other', () => {
    const apart = (eyes: (typeof otherEyes)[number], a: string, b: string) =>
      deltaE(seenBy(eyes, a), seenBy(eyes, b));
    expect(apart('deutan', '#c06050', '#709050')).to.be.below(deltaE('#c06050', '#709050') / 2);
    expect(apart('protan', '#c06050', '#709050')).to.be.below(deltaE('#c06050', '#709050'));
    expect(apart('tritan', '#4080c0', '#409080')).to.be.below(deltaE('#4080c0', '#409080') / 2);
    expect(contrast(seenBy('low', '#000000'), seenBy('low', '#ffffff'))).to.be.below(10);
  });

  it('are told of: roles that look alike to them', () => {
    const alike = resolveRoles(values({ accent: '#b0604a', second: '#7a8040', alert: '#f01010' }));
    expect(confusions(alike, 'deutan')).to.deep.include(['accent', 'second']);
    expect(
      confusions(resolveRoles(values({ accent: '#ffe9a0', second: '#3050c0' })), 'deutan'),
    ).not.to.deep.include(['accent', 'second']);
  });
});

describe('the half in force', () => {
  const { place } = bareDesk();
  const at = (hour: number) => Date.UTC(2026, 10, 24, hour);

  it('goes by choice, by the sun, or by hours', () => {
    expect(halfAt({ by: 'choice', half: 'light' }, at(0), place)).to.equal('light');
    expect([6, 9, 14, 17].map((hour) => halfAt({ by: 'sun' }, at(hour), place))).to.deep.equal([
      'dark',
      'light',
      'light',
      'dark',
    ]);
    const hours = { by: 'hours', light: '07:00', dark: '19:30' } as const;
    expect([6, 7, 19, 20].map((hour) => halfAt(hours, at(hour), place))).to.deep.equal([
      'dark',
      'light',
      'light',
      'dark',
    ]);
  });

  it('may be light over midnight, and goes by the wall clock', () => {
    const over = { by: 'hours', light: '22:00', dark: '04:00' } as const;
    expect([21, 23, 3, 5].map((hour) => halfAt(over, at(hour), place))).to.deep.equal([
      'dark',
      'light',
      'light',
      'dark',
    ]);
    // In July the wall at Marrow Point is an hour ahead of UTC.
    const summer = { by: 'hours', light: '07:00', dark: '19:00' } as const;
    expect(halfAt(summer, Date.UTC(2026, 6, 10, 6, 30), place)).to.equal('light');
    expect(halfAt(summer, DAWN - 1800_000, place)).to.equal('dark');
  });
});

describe('tiles under icons', () => {
  const { look, applications } = dawnCount();
  const palette = paletteOf(look.roles.dark);
  const tiles = (tileColour: 'accent' | 'application') =>
    tilesOf(ourIcons({ set: 'reed', style: 'line', tile: 'circle', tileColour }), palette, applications);

  it('are of one role, or one for each application, and the icon can be seen on each', () => {
    expect(new Set(Object.values(tiles('accent')).map(({ tile }) => tile))).to.deep.equal(
      new Set([palette.roles.accent]),
    );
    const own = Object.values(tiles('application'));
    expect(new Set(own.map(({ tile }) => tile)).size).to.equal(applications.length);
    for (const { tile, onTile } of own) expect(contrast(tile, onTile)).to.be.at.least(4.5);
  });

  it('are none where the desk has none', () => {
    expect(tilesOf(look.icons, palette, applications)).to.deep.equal({});
  });
});

describe('a bare finish', () => {
  it('has no surface but may throw a shade of the ground, whatever its tint', () => {
    const palette = paletteOf(dawnCount().look.roles.dark);
    const bare = { ...dawnCount().look.finish, kind: 'bare' as const, tint: 'accent' as const };
    expect(surfaceOf({ ...bare, shadow: 0 }, palette).fill).to.match(/00$/);
    const shaded = surfaceOf({ ...bare, shadow: 100 }, palette).fill;
    expect(shaded.slice(0, 7)).to.equal(palette.roles.ground);
    expect(parseInt(shaded.slice(7), 16)).to.be.within(120, 200);
    expect(roles).to.include('ground');
  });
});
