import { expect } from 'chai';
import { produce } from 'immer';
import { demoDesks } from '../../demo/desks.ts';
import { DAWN } from '../../tests/support/desks.ts';
import { bakedPixels } from '../../tests/support/pixels.ts';
import { tonesOf } from '../backdrop/read-tones.ts';
import type { Desk } from '../desk/desk.ts';
import { differencesOf } from '../desk/differences.ts';
import { putLook, readLook, wears, type ReadyLook } from '../desk/ready/ready.ts';
import type { Target } from '../desk/ready/topic.ts';
import { topicKeys, topics, type TopicKey } from '../desk/ready/topics.ts';
import { DeskSchema } from '../desk/schema.ts';
import { enough, judgeDesk, type Sight } from '../legibility/judge.ts';
import { isRole } from '../values/roles.ts';
import { ourLooks } from './ours.ts';

const put = (desk: Desk, look: ReadyLook, target: Target) =>
  produce(desk, (draft) => void putLook(look, target).apply(draft));
const of = (topic: TopicKey) => ourLooks().filter((look) => look.topic === topic);

/** Somewhere on a desk for a look of a topic. */
function targetOn(desk: Desk, topic: TopicKey): Target | null {
  if (topic === 'frame') return { by: 'windows' };
  const [widget] = desk.widgets;
  if (topic === 'surface') return widget ? { by: 'parts', ids: [widget.id] } : null;
  const [backdrop] = desk.backdrops;
  if (topic === 'adjust') return backdrop ? { by: 'backdrop', id: backdrop.id } : null;
  if (topic !== 'dock') return { by: 'desk' };
  const dock = desk.edges.find(({ kind }) => kind === 'dock');
  return dock ? { by: 'parts', ids: [dock.id] } : null;
}

/** Colours that a value names as they are, rather than by a role. */
const fixedIn = (value: unknown): string[] => JSON.stringify(value).match(/"#[0-9a-f]{6,8}"/gi) ?? [];

describe('ready looks', () => {
  it('are enough of each to choose from, sound, and no two of a topic the same', () => {
    for (const topic of ['surface', 'frame', 'dock', 'icons'] as const)
      expect(of(topic).length).to.be.at.least(15);
    expect(of('adjust').length).to.be.at.least(12);
    for (const topic of ['palette', 'terminal', 'pointer'] as const)
      expect(of(topic).length).to.be.at.least(9);
    expect(new Set(ourLooks().map(({ id }) => id)).size).to.equal(ourLooks().length);
    for (const topic of topicKeys) {
      const list = of(topic);
      expect(new Set(list.map(({ value }) => JSON.stringify(value))).size, topic).to.equal(list.length);
      for (const look of list) expect(readLook(JSON.parse(JSON.stringify(look))).ok, look.id).to.equal(true);
    }
  });

  it('are made of roles: surfaces, frames, lines and marks follow any palette', () => {
    for (const look of [...of('surface'), ...of('frame'), ...of('dock')])
      expect(fixedIn(look.value), look.id).to.deep.equal([]);
    for (const { value } of of('surface'))
      expect(isRole((value as { tint: string }).tint as `#${string}`)).to.equal(true);
  });

  it('change what they are for and nothing else, leave a desk that can be kept, and are known there', () => {
    for (const desk of demoDesks())
      for (const look of ourLooks()) {
        const target = targetOn(desk, look.topic);
        if (!target) continue;
        const dressed = put(desk, look, target);
        expect(DeskSchema.safeParse(dressed).success, look.id).to.equal(true);
        expect(wears(dressed, look), `${desk.id} ${look.id}`).to.equal(
          look.topic !== 'palette' || desk.look.held.length === 0,
        );
        expect(topics[look.topic].at(dressed, target)).to.not.equal(null);
        const wanted = {
          surface: ['widgets'],
          frame: ['windows'],
          dock: ['edges'],
          terminal: ['look'],
          palette: ['look'],
          pointer: ['look'],
          icons: ['look'],
          adjust: ['backdrops'],
        }[look.topic];
        for (const { path } of differencesOf(desk, dressed)) expect(wanted).to.include(path[0]);
        // The next one leaves nothing of the one before.
        const [first] = of(look.topic);
        if (first)
          expect(differencesOf(put(desk, first, target), put(dressed, first, target))).to.deep.equal([]);
      }
  });

  it('that were kept before sets of one’s own and negatives are read as they were', () => {
    const kept = { id: 'kept', name: 'Kept' };
    const icons = { set: 'shell', style: 'duo', tile: 'none', tileColour: 'raised' };
    const read = readLook({ ...kept, topic: 'icons', value: icons });
    expect(read.ok && read.value.value).to.deep.equal({
      ...icons,
      own: null,
      ink: { way: 'plain' },
      dark: null,
      byHand: [],
    });
  });

  it('leave roles that are held', () => {
    const [desk] = demoDesks();
    if (!desk) throw new Error('no desk');
    const held = { ...desk, look: { ...desk.look, held: ['accent' as const], follows: 'calm' as const } };
    for (const look of of('palette')) {
      const { look: after } = put(held, look, { by: 'desk' });
      expect(after.roles.dark.accent).to.deep.equal(desk.look.roles.dark.accent);
      expect(after.follows).to.equal(null);
    }
  });

  it('with a surface can be read on it, over whatever lies behind, in both halves', async () => {
    const [dawn] = demoDesks();
    if (!dawn) throw new Error('no desk');
    const sight: Sight = {
      pixelsOf: bakedPixels,
      tonesOf: async (drawn) => tonesOf(await bakedPixels(drawn, { width: 96, height: 54 })),
    };
    const widgets = dawn.widgets.filter(({ id }) => ['machine', 'load', 'tide'].includes(id));
    const target = { by: 'parts' as const, ids: widgets.map(({ id }) => id) };
    const weak: string[] = [];
    for (const look of of('surface').filter(({ name }) => name !== 'Bare')) {
      const desk = put({ ...dawn, edges: [], widgets }, look, target);
      for (const judged of await judgeDesk(desk, { moment: DAWN }, sight))
        if (judged.isShown && enough(judged) < 1)
          weak.push(`${look.name}: ${judged.part} ${judged.half} ${judged.contrast.toFixed(2)}`);
    }
    expect(weak).to.deep.equal([]);
  });
});
