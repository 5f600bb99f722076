import { expect } from 'chai';
import { DAWN, bareDesk, dawnCount, emptyDesk } from '../../tests/support/desks.ts';
import { demoDesks } from '../../demo/desks.ts';
import { toLab } from '../values/colour.ts';
import { createBackdrop, createMotif } from '../desk/defaults.ts';
import type { Backdrop } from './schema.ts';
import type { Desk } from '../desk/desk.ts';
import { solve } from '../scene/solve.ts';
import { backdropFor, isNeutral, sampleOf } from './drawn.ts';
import { factsOf, motifNames } from './names.ts';
import { drawMotif, plainMotif } from './motifs.ts';
import { skyAt } from './sky.ts';

const HOUR = 3_600_000;
const backdrop = (id: string, where: Partial<Backdrop['for']> = {}) =>
  createBackdrop(id, createMotif('tide', 1), { where });

describe('where backdrops lie', () => {
  const here = { screen: 'main', workspace: 'w1', half: 'dark' as const };

  it('takes the one that says most of the place, and of two equals the later', () => {
    const everywhere = backdrop('everywhere');
    const dark = backdrop('dark', { half: 'dark' });
    const main = backdrop('main', { screen: 'main' });
    const both = backdrop('both', { screen: 'main', half: 'dark' });
    const chosen = (...list: Backdrop[]) => backdropFor(list, here).id;
    expect(chosen(everywhere)).to.equal('everywhere');
    expect(chosen(everywhere, dark, backdrop('light', { half: 'light' }))).to.equal('dark');
    expect(chosen(everywhere, main, dark)).to.equal('main');
    expect(chosen(everywhere, backdrop('w1', { workspace: 'w1' }), dark)).to.equal('w1');
    expect(chosen(everywhere, both, main)).to.equal('both');
    expect(chosen(everywhere, dark, backdrop('darker', { half: 'dark' }))).to.equal('darker');
    expect(chosen(everywhere, backdrop('w2', { workspace: 'w2' }))).to.equal('everywhere');
  });

  it('follows the workspace in front and the half in force', () => {
    const desk: Desk = {
      ...emptyDesk(),
      backdrops: [
        backdrop('everywhere'),
        backdrop('second', { workspace: bareDesk().workspaces[1]?.id ?? '' }),
        backdrop('dark', { half: 'dark' }),
      ],
    };
    const lies = (conditions: object) => solve(desk, { moment: DAWN, ...conditions }).screens[0]?.backdrop.id;
    expect(lies({})).to.equal('everywhere');
    expect(lies({ workspace: 1 })).to.equal('second');
    expect(lies({ half: 'dark' })).to.equal('dark');
  });

  it('spans all screens, each showing its part, or lies on each by itself', () => {
    const night = demoDesks().find(({ id }) => id === 'night-watch');
    if (!night) throw new Error('The demo has no night watch');
    const parts = solve(night, { moment: DAWN }).screens.map((screen) => screen.backdrop.drawn);
    expect(parts.map(({ whole }) => whole)).to.deep.equal([
      { width: 3640, height: 1440 },
      { width: 3640, height: 1440 },
    ]);
    expect(parts.map(({ part }) => part.x)).to.deep.equal([0, 2560]);
    const alone = { ...night, backdrops: night.backdrops.map((one) => ({ ...one, spans: false })) };
    const [, second] = solve(alone, { moment: DAWN }).screens;
    expect(second?.backdrop.drawn.whole).to.deep.equal({ width: 1080, height: 1350 });
  });
});

describe('what is drawn', () => {
  it('holds no role and no moment: colours are worked out, and a still motif is the same at any time', () => {
    const desk: Desk = {
      ...emptyDesk(),
      backdrops: [
        createBackdrop('b', createMotif('strata', 3, { colours: 'palette' }), {
          adjust: { tint: { colour: 'accent', strength: 20 } },
        }),
      ],
    };
    const [screen] = solve(desk, { moment: DAWN }).screens;
    const text = JSON.stringify(screen?.backdrop.drawn);
    expect(text).not.to.match(/accent|ground"[^:]|surface/);
    expect(screen?.backdrop.drawn.adjust?.tint.colour).to.match(/^#[0-9a-f]{6}$/);
    const later = solve(desk, { moment: DAWN + 9 * HOUR }).screens[0]?.backdrop.drawn;
    expect(JSON.stringify(later)).to.equal(text);
    expect(isNeutral(desk.backdrops[0]?.adjust ?? backdrop('x').adjust)).to.equal(false);
  });

  it('changes with the moment where a motif follows it, and asks to be looked at each minute', () => {
    for (const name of motifNames.filter((motif) => factsOf(motif).follows)) {
      const desk = (follows: boolean): Desk => ({
        ...emptyDesk(),
        backdrops: [createBackdrop('b', createMotif(name, 3, { follows }))],
      });
      const drawn = (moment: number, follows = true) => {
        const motif = solve(desk(follows), { moment });
        return { text: JSON.stringify(motif.screens[0]?.backdrop.drawn), tick: motif.tick };
      };
      expect(drawn(DAWN).text, name).not.to.equal(drawn(DAWN + 5 * HOUR).text);
      expect(drawn(DAWN).tick, name).to.equal('minute');
      expect(drawn(DAWN, false).text, name).to.equal(drawn(DAWN + 5 * HOUR, false).text);
      expect(drawn(DAWN, false).tick, name).to.equal(null);
    }
    expect(motifNames.filter((motif) => factsOf(motif).follows).length).to.be.at.least(2);
  });

  it('knows the sky: the sun at noon and midnight, the moon full and new', () => {
    const { place } = bareDesk();
    expect(skyAt(Date.UTC(2026, 5, 21, 12), place).sun).to.be.within(57, 60);
    expect(skyAt(Date.UTC(2026, 10, 24, 0), place).sun).to.be.below(-50);
    expect(skyAt(DAWN, place).isRising).to.equal(true);
    expect(skyAt(DAWN + 7 * HOUR, place).isRising).to.equal(false);
    // Full on 24 November 2026, new on 9 December.
    expect(skyAt(Date.UTC(2026, 10, 24, 15), place).phase).to.be.closeTo(0.5, 0.05);
    expect([0, 0.04, 0.96, 1]).to.include(skyAt(Date.UTC(2026, 11, 9, 1), place).phase);
  });
});

describe('drawn motifs and their controls', () => {
  it('are drawn differently by each of their controls', () => {
    for (const motif of motifNames) {
      for (const { id, start } of factsOf(motif).controls) {
        const draw = (value: number) =>
          drawMotif({ ...plainMotif(motif, 7), controls: { [id]: value } }, 320, 180);
        expect(draw(start), `${motif} ${id}`).to.equal(drawMotif(plainMotif(motif, 7), 320, 180));
        expect(draw(0), `${motif} ${id}`).not.to.equal(draw(100));
        expect(draw(0) + draw(100), `${motif} ${id}`).not.to.match(/NaN|undefined|Infinity/);
      }
    }
  });

  it('take the colours of a palette and keep their lights and darks', () => {
    const colours = ['#101418', '#3a2430', '#c06a50', '#f4ead8'];
    for (const motif of motifNames) {
      const own = drawMotif(plainMotif(motif, 7), 320, 180).match(/#[0-9a-f]{6}\b/g) ?? [];
      const bound = drawMotif({ ...plainMotif(motif, 7), colours }, 320, 180).match(/#[0-9a-f]{6}\b/g) ?? [];
      expect(bound.length, motif).to.equal(own.length);
      const off = own.reduce(
        (sum, hex, index) => sum + Math.abs(toLab(hex)[0] - toLab(bound[index] ?? hex)[0]),
        0,
      );
      expect(off / own.length, motif).to.be.below(0.02);
      expect(bound.join(), motif).not.to.equal(own.join());
    }
  });

  it('have a small picture to choose by that needs no desk', () => {
    const sample = sampleOf(createMotif('fog', 7, { colours: 'palette', follows: true }));
    expect(sample.source).to.deep.include({ colours: null, sky: null });
    expect(dawnCount().backdrops[0]?.source.kind).to.equal('rotation');
  });
});
