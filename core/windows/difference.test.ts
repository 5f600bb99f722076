import { expect } from 'chai';
import { demoDesks } from '../../demo/desks.ts';
import { otherEyes, seenBy } from '../colour/eyes.ts';
import { paletteOf } from '../colour/look.ts';
import { deltaE } from '../values/colour.ts';
import { halves } from '../values/roles.ts';
import { AT_A_GLANCE, differences, leastDifference, toldApart } from './difference.ts';
import { plainWindows, type Windows } from './schema.ts';

const palettes = demoDesks().flatMap(({ look }) => halves.map((half) => paletteOf(look.roles[half])));
const alike: Windows = {
  ...plainWindows,
  lines: { ...plainWindows.lines, front: 'softInk', behind: 'softInk' },
  behind: { dims: 0, opacity: 100, shade: 0 },
};

describe('how the front window is told from the others', () => {
  it('is nothing where nothing differs, for any eyes', () => {
    for (const palette of palettes)
      for (const { by } of differences(alike, palette)) expect(by).to.be.lessThan(0.01);
  });

  it('is the distance of what differs most, reckoned a second way', () => {
    const [palette] = palettes;
    if (!palette) throw new Error('No palette');
    const only: Windows = { ...alike, lines: { ...alike.lines, front: 'accent', behind: 'raised' } };
    const { accent, raised } = palette.roles;
    for (const { eyes, by, cue } of differences(only, palette)) {
      expect(cue).to.equal('line');
      const [a, b] = eyes === 'usual' ? [accent, raised] : [seenBy(eyes, accent), seenBy(eyes, raised)];
      expect(by).to.be.closeTo(deltaE(a, b), 1e-9);
    }
    expect(differences(only, palette).map(({ eyes }) => eyes)).to.deep.equal(['usual', ...otherEyes]);
  });

  it('can be mended to a glance wherever it is less, in both halves of every demo desk', () => {
    for (const { name, look } of demoDesks()) {
      const both = halves.map((half) => paletteOf(look.roles[half]));
      const behind = toldApart(alike, both);
      expect(behind, name).not.to.equal(null);
      if (behind) expect(leastDifference({ ...alike, behind }, both), name).to.be.at.least(AT_A_GLANCE);
    }
    expect(toldApart({ ...alike, behind: { dims: 80, opacity: 40, shade: 0 } }, palettes)).to.equal(null);
  });

  it('is enough on every demo desk as it comes, by whoever’s eyes', () => {
    for (const { name, look, windows } of demoDesks()) {
      const both = halves.map((half) => paletteOf(look.roles[half]));
      expect(leastDifference(windows, both), name).to.be.at.least(AT_A_GLANCE);
    }
  });
});
