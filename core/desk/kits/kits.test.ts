import { expect } from 'chai';
import { produce } from 'immer';
import { demoDesks } from '../../../demo/desks.ts';
import { edits } from '../edits/edits.ts';
import type { Desk } from '../desk.ts';
import { differencesOf } from '../differences.ts';
import { DeskSchema } from '../schema.ts';
import { learnDesk } from '../../scene/learn.ts';
import { solve } from '../../scene/solve.ts';
import { DAWN } from '../../../tests/support/desks.ts';
import { ourLooks } from '../../ready/ours.ts';
import { MOST_IN_KIT } from '../ready/ready.ts';
import { kitKinds, kitKindOf, MOST_SAID, readKit, type Kit } from './kit.ts';
import { kitOf } from './mannequin.ts';

const all = kitKinds.map(({ key }) => key);
const facts = (id: string, kinds: readonly string[] = all) => ({
  id,
  name: `Kit ${id}`,
  version: 1,
  by: 'Marrow Point',
  notes: '',
  kinds: [...kinds],
});

function worn(desk: Desk, kit: Kit, kinds: readonly string[] = all): Desk {
  return produce(desk, (draft) => edits.wearKit(kit, kinds).apply(draft));
}

/** What must stay: what there is, what it shows, and where it stands. */
function arrangementOf({ edges, widgets, screens, applications, workspaces, groups, sources, place }: Desk) {
  return {
    screens,
    applications,
    workspaces,
    groups,
    place,
    outside: sources.outside,
    tracks: sources.sound.tracks,
    edges: edges.map(
      ({ id, kind, screen, side, length, align, offset, thickness, margin, items, shows }) => ({
        ...{ id, kind, screen, side, length, align, offset, thickness, margin, shows },
        items: items.map((item) => [
          item.id,
          item.type,
          item.options['application'],
          item.before,
          item.after,
        ]),
      }),
    ),
    widgets: widgets.map(({ id, type, place: stands, scale, options, workspaces: on }) => ({
      ...{ id, type, stands, scale, on },
      shows: [options['text'], options['zone'], options['cells'], options['width'], options['hours']],
    })),
  };
}

describe('kits', () => {
  const desks = demoDesks();
  const kits = desks.map((desk) => kitOf(desk, facts(desk.id)));

  it('are sound desks that show nothing of whoever made them', () => {
    kits.forEach((kit, index) => {
      const read = readKit(JSON.parse(JSON.stringify(kit)));
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      expect(read.value).to.deep.equal(kit);
      const text = JSON.stringify(kit.desk);
      const mine = desks[index];
      const secrets = [
        ...(mine?.applications ?? []).flatMap(({ Name, Comment }) => [Name, Comment]),
        ...(mine?.workspaces ?? []).map(({ name }) => name),
        ...(mine?.widgets ?? []).flatMap(({ options }) => [
          options['text'],
          options['title'],
          options['zone'],
        ]),
      ];
      for (const secret of secrets)
        if (typeof secret === 'string' && secret.length > 3)
          expect(text.includes(`"${secret}"`), `${mine?.name}: ${secret}`).to.equal(false);
      expect(kit.desk.place).to.deep.include({ latitude: 0, longitude: 0 });
    });
  });

  it('keep the arrangement, whoever wears them, and leave a desk that can be kept', () => {
    for (const desk of desks)
      for (const kit of kits) {
        const after = worn(desk, kit);
        const read = DeskSchema.safeParse(after);
        expect(read.success, JSON.stringify(read.error?.issues[0])).to.equal(true);
        expect(arrangementOf(after)).to.deep.equal(arrangementOf(desk));
        expect(after.wears).to.deep.include({ kit: kit.id, kinds: all });
      }
  });

  it('move no part by a pixel where neither type nor faces come with them', async () => {
    for (const desk of desks) {
      await learnDesk(desk);
      const before = solve(desk, { moment: DAWN }).screens;
      for (const kit of kits) {
        const kinds = all.filter((key) => !['type', 'widgets', 'edges'].includes(key));
        const after = solve(worn(desk, kit, kinds), { moment: DAWN }).screens;
        const rects = (screens: typeof before) =>
          screens.flatMap(({ id, free, edges, widgets }) => [
            [id, free],
            ...[...edges, ...widgets].map((part) => [part.id, part.rect]),
          ]);
        expect(rects(after), `${desk.name} in ${kit.name}`).to.deep.equal(rects(before));
      }
    }
  });

  it('leave the free area as it is, also with the style of edges', async () => {
    for (const desk of desks) {
      await learnDesk(desk);
      const free = (one: Desk) => solve(one, { moment: DAWN }).screens.map((screen) => screen.free);
      for (const kit of kits) expect(free(worn(desk, kit, ['edges'])), desk.name).to.deep.equal(free(desk));
    }
  });

  it('change nothing of what is not ticked', () => {
    const parts = ({ look, windows, menus, backdrops, edges, widgets, keys, sources }: Desk) => ({
      palette: [look.roles, look.held, look.terminal, look.follows, look.parted],
      type: [look.fonts, look.ownFonts],
      icons: look.icons,
      pointer: look.pointer,
      finish: look.finish,
      windows,
      menus,
      backdrop: backdrops,
      edges,
      widgets,
      keys,
      covers: sources.sound.coversColour,
    });
    const [one, ...others] = desks;
    if (!one) throw new Error('No desk');
    for (const other of others)
      for (const key of all) {
        const [before, after] = [parts(one), parts(worn(one, kitOf(other, facts('k')), [key]))];
        for (const part of all)
          if (part !== key)
            expect(after[part as keyof typeof after], `${key}: ${part}`).to.deep.equal(
              before[part as keyof typeof before],
            );
      }
  });

  it('come off by one, and the same again: a desk in its own dress is as it was, and A after B is A', () => {
    desks.forEach((desk, index) => {
      const own = kits[index];
      if (!own) throw new Error('No kit');
      const again = { ...worn(desk, own), wears: null };
      // Entries of a rotation are known by where they stand.
      const named = differencesOf(unnamed(desk), unnamed(again));
      expect(named, desk.name).to.deep.equal([]);
      for (const other of kits) {
        const once = worn(desk, own);
        const back = worn(worn(once, other), own);
        expect(differencesOf(once, back), `${desk.name} in ${other.name}`).to.deep.equal([]);
      }
    });
  });
});

/** A desk whose backdrops are told by their place alone. */
const unnamed = ({ backdrops, ...rest }: Desk) => ({
  ...rest,
  backdrops: JSON.parse(
    JSON.stringify(backdrops, (key, value: unknown) => (key === 'id' ? null : value)),
  ) as unknown,
});

describe('what a kit has', () => {
  it('take looks of single parts along, but no more than their file has room for', () => {
    const [desk] = demoDesks();
    const [one] = ourLooks();
    if (!desk || !one) throw new Error('no desk');
    const kit = kitOf(desk, facts('dawn'));
    const looks = Array.from({ length: MOST_IN_KIT }, (_, index) => ({ ...one, id: `look-${index}` }));
    const read = readKit(JSON.parse(JSON.stringify({ ...kit, looks })));
    expect(read.ok && read.value.looks).to.deep.equal(looks);
    expect(readKit({ ...kit, looks: [...looks, { ...one, id: 'one-more' }] }).ok).to.equal(false);
    expect(readKit({ ...kit, looks: [{ ...one, value: { ...Object(one.value), radius: -1 } }] }).ok).to.equal(
      false,
    );
    const wordy = readKit({ ...kit, extra: 'w'.repeat(MOST_SAID) });
    expect(!wordy.ok && wordy.problems[0]?.message).to.match(/says more than 256 KiB/);
  });

  it('say what each kind has, and what of one’s own would be covered', () => {
    const [desk] = demoDesks();
    if (!desk) throw new Error('No desk');
    for (const kind of kitKinds) expect(kind.told(desk), kind.key).to.match(/\S/);
    expect(kitKindOf('backdrop')?.own?.(desk)).to.be.an('array');
    expect(kitKindOf('nothing')).to.equal(undefined);
  });
});
