import { expect } from 'chai';
import { DAWN, emptyDesk } from '../../tests/support/desks.ts';
import { createItem, createPanel } from '../desk/defaults.ts';
import { learnDesk } from '../scene/learn.ts';
import { solve } from '../scene/solve.ts';

describe('items with expressions', () => {
  async function shown(options: [type: 'label' | 'reading', options: object, face: string][], moment = DAWN) {
    const items = options.map(([type, chosen, face], index) =>
      createItem(`item-${index}`, type, chosen as Record<string, unknown>, face),
    );
    const desk = { ...emptyDesk(), edges: [createPanel('panel', 'main', 'top', items)] };
    await learnDesk(desk);
    const scene = solve(desk, { moment });
    return { scene, items: scene.screens[0]?.edges[0]?.items ?? [] };
  }

  it('say them in a label, and follow the moment', async () => {
    const text = 'At {place.name}, {time.hour}';
    const said = async (moment: number) =>
      (await shown([['label', { text }, 'plain']], moment)).items[0]?.layout.runs.map((run) => run.text);
    expect(await said(DAWN)).to.deep.equal(['At Marrow Point, 7']);
    expect(await said(DAWN + 3_600_000)).to.deep.equal(['At Marrow Point, 8']);
  });

  it('measure them in a reading: as a number with its unit, and against what is full', async () => {
    const own = { meter: 'own', own: 'time.minute', unit: 'min', full: 24 };
    const { items, scene } = await shown([
      ['reading', own, 'number'],
      ['reading', own, 'bar'],
      ['reading', own, 'graph'],
      ['reading', { ...own, own: 'nothing.known' }, 'number'],
    ]);
    expect(items[0]?.layout.runs.map((run) => run.text)).to.deep.equal(['12 min']);
    const view = (index: number) =>
      items[index]?.view as unknown as { meter: { share: number }; series: number[] };
    expect(view(1).meter.share).to.equal(0.5);
    // Over the last five minutes, at steps of the clock: the newest lies within the last one.
    expect(view(2).series.at(-1)).to.be.closeTo(0.5, 1.01 / 24);
    expect(view(2).series[0]).to.be.closeTo(7 / 24, 0.05);
    expect(items[3]?.layout.runs.map((run) => run.text)).to.deep.equal(['– min']);
    expect(scene.tick).to.equal('minute');
  });
});
