import { expect } from 'chai';
import { produce } from 'immer';
import { demoDesks } from '../../demo/desks.ts';
import { DAWN } from '../../tests/support/desks.ts';
import { bakedPixels } from '../../tests/support/pixels.ts';
import type { MotifName } from '../backdrop/names.ts';
import { tonesOf } from '../backdrop/read-tones.ts';
import { resolveRoles } from '../colour/roles.ts';
import { createBackdrop, createMotif } from '../desk/defaults.ts';
import { differencesOf } from '../desk/differences.ts';
import { edits } from '../desk/edits/edits.ts';
import type { Desk } from '../desk/desk.ts';
import { enough, judgeDesk, type Sight } from '../legibility/judge.ts';
import { deltaE } from '../values/colour.ts';
import { halves } from '../values/roles.ts';
import { kitKinds, readKit, type Kit } from '../desk/kits/kit.ts';
import { isOurs, ourKits } from './ours.ts';

const all = kitKinds.map(({ key }) => key);
const worn = (desk: Desk, kit: Kit, kinds = all): Desk =>
  produce(desk, (draft) => edits.wearKit(kit, kinds).apply(draft));

describe('our kits', () => {
  const kits = ourKits();

  it('are a dozen sound kits, of every kind, with two halves', () => {
    expect(kits.length).to.be.at.least(12);
    for (const kit of kits) {
      const read = readKit(JSON.parse(JSON.stringify(kit)));
      if (!read.ok) throw new Error(`${kit.name}: ${JSON.stringify(read.problems)}`);
      expect(kit.kinds).to.have.members(all);
      expect(isOurs(kit.id)).to.equal(true);
      expect(kit.desk.look.roles.light).not.to.deep.equal(kit.desk.look.roles.dark);
    }
    expect(new Set(kits.map(({ id }) => id)).size).to.equal(kits.length);
  });

  it('differ at first sight: no two are near in colour, type and shape at once', () => {
    const sight = ({ desk: { look } }: Kit) => ({
      ground: resolveRoles({ ...look.roles[look.half.by === 'choice' ? look.half.half : 'dark'] }),
      type: look.fonts.display.family,
      shape: [look.finish.kind, look.finish.radius, look.icons.tile].join(),
    });
    for (const [index, one] of kits.entries())
      for (const other of kits.slice(index + 1)) {
        const [a, b] = [sight(one), sight(other)];
        const apart =
          Number(
            deltaE(a.ground.surface, b.ground.surface) > 4 || deltaE(a.ground.accent, b.ground.accent) > 10,
          ) +
          Number(a.type !== b.type) +
          Number(a.shape !== b.shape);
        expect(apart, `${one.name} and ${other.name}`).to.be.at.least(2);
      }
  });

  it('say how every kind of widget and item looks: one after another leaves nothing of the one before', () => {
    for (const desk of demoDesks()) {
      const [first, second] = kits;
      if (!first || !second) throw new Error('No kits');
      const once = worn(desk, first);
      for (const other of kits)
        expect(differencesOf(once, worn(worn(desk, other), first)), other.name).to.deep.equal([]);
    }
  });

  it('are readable over six backdrops, in both halves', async function () {
    this.timeout(300_000);
    const [dawn] = demoDesks();
    if (!dawn) throw new Error('No desk');
    const kept = dawn.widgets.filter(({ id }) => ['clock', 'machine', 'weather'].includes(id));
    const sight: Sight = {
      pixelsOf: bakedPixels,
      tonesOf: async (drawn) => tonesOf(await bakedPixels(drawn, { width: 96, height: 54 })),
    };
    const motifs: MotifName[] = ['headland', 'marsh', 'night', 'tide', 'strata', 'fog'];
    const weak: string[] = [];
    for (const kit of kits)
      for (const half of halves)
        for (const [seed, motif] of motifs.entries()) {
          const backdrops = [createBackdrop('back', createMotif(motif, seed + 3))];
          const dressed = worn(
            { ...dawn, backdrops, widgets: kept },
            kit,
            all.filter((key) => key !== 'backdrop'),
          );
          const desk: Desk = { ...dressed, look: { ...dressed.look, half: { by: 'choice', half } } };
          for (const judged of await judgeDesk(desk, { moment: DAWN }, sight))
            if (judged.isShown && enough(judged) < 1)
              weak.push(
                `${kit.name}, ${half}, ${motif}: ${judged.part} ${judged.text} ${enough(judged).toFixed(2)}`,
              );
        }
    expect(weak.join('\n')).to.equal('');
  });
});
