import { expect } from 'chai';
import { DAWN, clockAt, emptyDesk, fromCorner } from '../../tests/support/desks.ts';
import { bakedPixels, flatPixels } from '../../tests/support/pixels.ts';
import { demoDesks } from '../../demo/desks.ts';
import { adjustPixels } from '../backdrop/adjust.ts';
import { contrast, toHex, toLch } from '../values/colour.ts';
import { createBackdrop, createItem, createMotif, createPanel, createWidget } from '../desk/defaults.ts';
import type { Desk } from '../desk/desk.ts';
import type { Widget } from '../desk/shapes/widgets.ts';
import type { Finish } from '../values/finish.ts';
import { learnExpressions } from '../expressions/learn.ts';
import { learnFamilies } from '../text/families.ts';
import { learnMenus } from '../scene/menus/learn.ts';
import { learnSources } from '../sources/learn.ts';
import { learnWidgets } from '../widgets/learn.ts';
import { widgetKinds } from '../widgets/list.ts';
import { solve } from '../scene/solve.ts';
import { titleOf } from '../windows/contents/list.ts';
import { windowOf } from '../../tests/support/windows.ts';
import { enough, judgeDesk, sightBy, type Judgement, type PixelsOf, type Sight } from './judge.ts';
import { mendAll, mended, mendsFor } from './mends.ts';

const now = { moment: DAWN };
const flat =
  (rgb: readonly [number, number, number]): PixelsOf =>
  async (_drawn, { width, height }) =>
    flatPixels(width, height, rgb);

/** One colour, with what the desk does to its backdrop. */
const adjusted =
  (rgb: readonly [number, number, number]): PixelsOf =>
  async ({ adjust, whole, part }, { width, height }) => {
    const pixels = flatPixels(width, height, rgb);
    if (adjust) adjustPixels(pixels, adjust, whole, part);
    return pixels;
  };

/** A desk with one line of clock, on a finish, in the colours given. */
function deskWith(
  finish: Partial<Finish>,
  change: Partial<Widget> = {},
  roles: Record<string, string> = {},
): Desk {
  const desk = emptyDesk();
  const clock = clockAt('clock', fromCorner(300, 200), { date: '' });
  const both = { light: { ...desk.look.roles.light, ...roles }, dark: { ...desk.look.roles.dark, ...roles } };
  return {
    ...desk,
    look: { ...desk.look, roles: both },
    widgets: [{ ...clock, finish: { ...desk.look.finish, ...finish }, ...change }],
  };
}

/** Where nobody knows how dark and light it is behind: bare parts go by the ground. */
const unmapped = (pixelsOf: PixelsOf): Sight => ({ pixelsOf, tonesOf: () => Promise.resolve(null) });

async function worstOf(desk: Desk, pixelsOf: PixelsOf) {
  const [worst] = await judgeDesk(desk, now, unmapped(pixelsOf), 'clock');
  if (!worst) throw new Error('nothing was judged');
  return worst;
}

const white = { ink: '#ffffff', ground: '#101010', surface: '#202020' };

describe('judging whether a text can be read', () => {
  it('gives the very contrast of two colours where the pixels are one colour', async () => {
    const worst = await worstOf(deskWith({ kind: 'bare', shadow: 0 }, {}, white), flat([64, 96, 128]));
    expect(worst.contrast).to.be.closeTo(contrast('#ffffff', '#406080'), 0.01);
    expect(worst.needs).to.equal(3);
    expect(enough(worst)).to.be.above(1);
  });

  it('lays the finish over the pixels, as much of it as is not sheer', async () => {
    const on = async (finish: Partial<Finish>) =>
      (await worstOf(deskWith(finish, {}, white), flat([250, 250, 250]))).contrast;
    expect(await on({ kind: 'matte', tint: 'ground' })).to.be.closeTo(contrast('#ffffff', '#101010'), 0.05);
    const half = Math.round(250 * 0.5 + 16 * 0.5).toString(16);
    expect(await on({ kind: 'sheer', tint: 'ground', opacity: 50 })).to.be.closeTo(
      contrast('#ffffff', `#${half}${half}${half}`),
      0.1,
    );
    expect(await on({ kind: 'sheer', tint: 'ground', opacity: 0 })).to.be.closeTo(1.04, 0.02);
    expect(await on({ kind: 'bare', shadow: 100 })).to.be.above(await on({ kind: 'bare', shadow: 0 }));
  });

  it('sees names on tiles on their cells, as much of these as is not sheer', async () => {
    await learnWidgets();
    const on = async (opacity: number) => {
      const options = { labels: true, cell: '#203040', opacity };
      const place = fromCorner(100, 100);
      const { look } = emptyDesk();
      const tiles = createWidget({ id: 'clock', type: 'tiles', place, deskFinish: look.finish, options });
      const desk = deskWith({}, { ...tiles, finish: { ...look.finish, kind: 'bare', shadow: 0 } }, white);
      return (await worstOf(desk, flat([250, 250, 250]))).contrast;
    };
    expect(await on(100)).to.be.closeTo(contrast('#ffffff', '#203040'), 0.05);
    expect(await on(0)).to.be.closeTo(1.04, 0.02);
    expect(await on(50)).to.be.within(2, 6);
  });

  it('judges by the weakest twentieth: a speck does not count, a cloud does', async () => {
    const speckled =
      (share: number): PixelsOf =>
      async (_drawn, { width, height }) => {
        const pixels = flatPixels(width, height, [20, 20, 20]);
        for (let x = 0; x < width; x++) {
          if ((x * 997) % 1000 >= share * 1000) continue;
          for (let y = 0; y < height; y++) pixels.data.set([255, 255, 255], (y * width + x) * 4);
        }
        return pixels;
      };
    const desk = deskWith({ kind: 'bare', shadow: 0 }, {}, white);
    expect((await worstOf(desk, speckled(0.02))).contrast).to.be.above(12);
    expect((await worstOf(desk, speckled(0.3))).contrast).to.be.below(1.2);
  });

  it('says where the weakest pixels are', async () => {
    const corner: PixelsOf = async (_drawn, { width, height }) => {
      const pixels = flatPixels(width, height, [20, 20, 20]);
      const density = width / 1000;
      for (let y = Math.round(200 * density); y < height; y++)
        for (let x = Math.round(350 * density); x < width; x++)
          pixels.data.set([255, 255, 255], (y * width + x) * 4);
      return pixels;
    };
    const worst = await worstOf(deskWith({ kind: 'bare', shadow: 0 }, {}, white), corner);
    expect(worst.worst.x).to.be.at.least(348);
    expect(worst.worst.y).to.be.at.least(198);
    expect(worst.box.x).to.be.closeTo(300, 4);
  });

  it('finds the worst of both halves and of every entry of a rotation', async () => {
    const base = deskWith({ kind: 'bare', shadow: 0 });
    const desk: Desk = {
      ...base,
      look: { ...base.look, half: { by: 'sun' } },
      backdrops: [
        createBackdrop('b', {
          kind: 'rotation',
          entries: [1, 2, 3].map((seed) => ({ id: `entry-${seed}`, source: createMotif('tide', seed) })),
          change: { by: 'every', minutes: 60 },
          shuffled: false,
          fade: 0,
        }),
      ],
    };
    const seeded: PixelsOf = async ({ source }, { width, height }) => {
      const grey = source.kind === 'motif' && source.seed === 2 ? 128 : 255;
      return flatPixels(width, height, [grey, grey, grey]);
    };
    const worst = await worstOf(desk, seeded);
    // The dark half has pale ink: white paper is worst for it, and the middle grey for nobody.
    expect(worst.half).to.equal('dark');
    expect(['entry-1', 'entry-3']).to.include(worst.entry);
    const inked = { ink: '#000000', softInk: '#000000' };
    const light = {
      ...desk,
      look: {
        ...desk.look,
        roles: {
          light: { ...desk.look.roles.light, ...inked },
          dark: { ...desk.look.roles.light, ...inked },
        },
      },
    };
    expect((await worstOf(light, seeded)).entry).to.equal('entry-2');
  });

  it('counts apart what is only hard to read in a half that is never shown, and mends what is shown alone', async () => {
    const base = deskWith({ kind: 'bare', shadow: 0 });
    const fixed: Desk = { ...base, look: { ...base.look, half: { by: 'choice', half: 'light' } } };
    const byWorst = async (desk: Desk) =>
      (await judgeDesk(desk, now, unmapped(flat([255, 255, 255])), 'clock')).map(
        ({ half, isShown, contrast: found }) => ({
          half,
          isShown,
          isFine: found >= 4.5,
        }),
      );
    // Pale ink on white paper: in the dark half alone.
    expect(await byWorst({ ...base, look: { ...base.look, half: { by: 'sun' } } })).to.deep.equal([
      { half: 'dark', isShown: true, isFine: false },
    ]);
    expect(await byWorst(fixed)).to.deep.equal([
      { half: 'light', isShown: true, isFine: true },
      { half: 'dark', isShown: false, isFine: false },
    ]);
  });

  it('counts apart the half that no backdrop makes of a desk which goes by its backdrop', async () => {
    const desk = deskWith({ kind: 'matte', tint: 'ground' });
    const byBackdrop = (motifs: readonly ('night' | 'fog')[]): Desk => ({
      ...desk,
      look: { ...desk.look, half: { by: 'backdrop' } },
      backdrops: [
        createBackdrop('back', {
          kind: 'rotation',
          entries: motifs.map((motif) => ({
            id: motif,
            source: createMotif(motif, 4, { colours: 'own', follows: false }),
          })),
          change: { by: 'every', minutes: 60 },
          shuffled: false,
          fade: 0,
        }),
      ],
    });
    const shown = async (of: Desk) =>
      new Set(
        (await judgeDesk(of, now, sightBy(bakedPixels), 'clock'))
          .filter(({ isShown }) => isShown)
          .map(({ half }) => half),
      );
    expect(await shown(byBackdrop(['night']))).to.deep.equal(new Set(['dark']));
    expect(await shown(byBackdrop(['fog']))).to.deep.equal(new Set(['light']));
    const both = await judgeDesk(byBackdrop(['night', 'fog']), now, sightBy(bakedPixels), 'clock');
    expect(both.every(({ isShown }) => isShown)).to.equal(true);
    // Where nobody knows, both may come.
    const unknown = await judgeDesk(byBackdrop(['night']), now, unmapped(bakedPixels), 'clock');
    expect(unknown.every(({ isShown }) => isShown)).to.equal(true);
  });

  it('sees a part that lies beneath, and leaves out what does not', async () => {
    const desk = deskWith({ kind: 'bare', shadow: 0 }, {}, white);
    const beneath: Widget = {
      ...clockAt('beneath', fromCorner(280, 180), { date: "'a long line of words beneath it'" }),
      finish: { ...desk.look.finish, kind: 'matte', tint: 'ground' },
    };
    const stacked = { ...desk, widgets: [beneath, ...desk.widgets] };
    const clock = (await judgeDesk(stacked, now, unmapped(flat([255, 255, 255])), 'clock'))[0];
    expect(clock?.contrast).to.be.above(15);
    expect(await judgeDesk(stacked, now, unmapped(flat([255, 255, 255])), 'nobody')).to.deep.equal([]);
  });
});

describe('judging signs, icons and marks', () => {
  const bareFinish = { ...emptyDesk().look.finish, kind: 'bare' as const, shadow: 0 };
  const signsOf = async (desk: Desk, pixelsOf: PixelsOf) =>
    (await judgeDesk(desk, now, unmapped(pixelsOf))).filter(({ isSign, isShown }) => isSign && isShown);

  it('gives their very contrast too, of which 3 to 1 is enough', async () => {
    const desk = deskWith({}, {}, white);
    const dressed = (id: string, type: 'spectrum' | 'switches', options = {}): Widget => ({
      ...createWidget({ id, type, place: fromCorner(300, 500), deskFinish: bareFinish, options }),
      finish: bareFinish,
    });
    await learnWidgets();
    const one = {
      ...desk,
      edges: [
        {
          ...createPanel('panel', 'main', 'top', [createItem('tray', 'tray'), createItem('half', 'half')]),
          finish: bareFinish,
        },
      ],
      widgets: [dressed('spectrum', 'spectrum', { colours: [{ colour: '#336699' }, { colour: '#e0d0a0' }] })],
    };
    const signs = await signsOf(one, flat([64, 96, 128]));
    for (const sign of signs) {
      expect(sign.needs).to.equal(3);
      expect(sign.contrast, sign.text).to.be.closeTo(contrast(sign.colour, '#406080'), 0.01);
    }
    const named = new Map(signs.map((sign) => [`${sign.item ?? sign.part} ${sign.text}`, sign]));
    expect([...named.keys()]).to.include.members([
      'half The icon of light and dark switch',
      'spectrum Its colour 1',
      'spectrum Its colour 2',
    ]);
    expect(signs.filter(({ item }) => item === 'tray').length).to.be.above(1);
    expect(named.get('spectrum Its colour 1')?.colour).to.equal('#336699');
    // What a person chose is said to be weak, and can be mended.
    const weak = named.get('spectrum Its colour 1');
    if (!weak) throw new Error('not judged');
    expect(enough(weak)).to.be.below(1);
  });

  it('leaves out what stands on tiles of its own, and judges icons of applications and of the bare desk', async () => {
    const desk = deskWith({}, {}, white);
    const [first] = desk.applications;
    const items = [createItem('app', 'application', { application: first?.id })];
    const plain: Desk = {
      ...desk,
      widgets: [],
      look: { ...desk.look, icons: { ...desk.look.icons, tile: 'none' } },
      edges: [{ ...createPanel('panel', 'main', 'top', items), finish: bareFinish }],
      desktopIcons: { ...desk.desktopIcons, shown: 'all' },
    };
    const told = (await signsOf(plain, flat([250, 250, 250]))).map(({ part, text }) => `${part} ${text}`);
    expect(told).to.include('panel The icon of application');
    expect(told.filter((one) => one.startsWith('icon '))).to.have.length(desk.applications.length);
    const tiled: Desk = { ...plain, look: { ...plain.look, icons: { ...plain.look.icons, tile: 'circle' } } };
    expect(await signsOf(tiled, flat([250, 250, 250]))).to.deep.equal([]);
  });

  it('judges the titles of windows behind as what is meant to be fainter, and buttons of titles', async () => {
    const desk = deskWith({}, {}, white);
    const [one, two] = desk.applications;
    const windows = [
      windowOf(one?.id ?? '', { id: 'back', rect: { x: 40, y: 80, width: 500, height: 300 } }),
      windowOf(two?.id ?? '', { id: 'front', rect: { x: 400, y: 300, width: 500, height: 300 } }),
    ];
    const judged = await judgeDesk(desk, { ...now, windows }, unmapped(flat([90, 90, 90])));
    const needs = (part: string, isSign: boolean) =>
      new Set(
        judged.filter((found) => found.part === part && found.isSign === isSign).map((found) => found.needs),
      );
    const title = one && titleOf(one);
    const titled = (part: string) => judged.find((found) => found.part === part && found.text === title);
    expect(titled('back')?.needs).to.equal(3);
    expect(
      judged.filter(({ part, isSign }) => part === 'front' && !isSign).map((found) => found.needs),
    ).to.include(4.5);
    expect(needs('back', true)).to.deep.equal(new Set([3]));
    expect(needs('front', true)).to.deep.equal(new Set([3]));
  });
});

describe('mending what can hardly be read', () => {
  it('mends all at once: each with the least that suffices on what those before it left', async () => {
    const desk = deskWith({ kind: 'sheer', tint: 'ground', opacity: 10 }, {}, white);
    const [clock] = desk.widgets;
    if (!clock) throw new Error('no clock');
    const many: Desk = {
      ...desk,
      widgets: [clock, { ...clock, id: 'other', place: fromCorner(700, 500) }],
    };
    const pixels = adjusted([235, 235, 225]);
    const weak = (of: Desk) =>
      judgeDesk(of, now, unmapped(pixels)).then((all) =>
        all.filter((one) => one.isShown && enough(one) < 1 && !one.part.startsWith('menu')),
      );
    expect((await weak(many)).map(({ part }) => part)).to.have.members(['clock', 'other']);
    const { mends, left } = await mendAll(many, now, unmapped(pixels));
    expect(mends).to.have.length(2);
    // Menus are no parts with mends of their own: what is weak in them is left.
    expect(left).to.equal(2);
    const after = mends.reduce((of, mend) => mended(of, mend), many);
    expect(await weak(after)).to.deep.equal([]);
    // No backdrop was touched where parts can be mended by themselves.
    expect(after.backdrops).to.equal(many.backdrops);
    expect((await mendAll(after, now, unmapped(pixels))).mends).to.deep.equal([]);
  });

  for (const [kind, finish] of Object.entries({
    sheer: { kind: 'sheer', tint: 'ground', opacity: 10 },
    frosted: { kind: 'frosted', tint: 'surface', opacity: 5, blur: 4 },
    bare: { kind: 'bare', shadow: 0 },
  } as Record<string, Partial<Finish>>)) {
    it(`offers for a ${kind} part only what really helps, and not more of it than needed`, async () => {
      const desk = deskWith(finish, {}, white);
      const pixels = adjusted([235, 235, 225]);
      const worst = await worstOf(desk, pixels);
      expect(enough(worst)).to.be.below(1);
      const mends = await mendsFor(desk, now, worst, unmapped(pixels));
      expect(mends.length).to.be.above(0);
      for (const mend of mends) {
        const after = await worstOf(mended(desk, mend), pixels);
        expect(enough(after), mend.title).to.be.at.least(1);
        expect(enough(after)).to.be.closeTo(mend.reaches, 1e-9);
      }
      const first = mends[0]?.change;
      if (kind === 'sheer' && first?.kind === 'finish') {
        const slightly = { ...first.finish, opacity: (first.finish?.opacity ?? 0) - 4 } as Finish;
        const before = await worstOf(mended(desk, { change: { ...first, finish: slightly } }), pixels);
        expect(enough(before)).to.be.below(1);
      }
    });
  }

  it('offers for a colour that was chosen its nearest readable tone first, then a shade, a surface, roles, another place, and the backdrop last', async () => {
    const cream = '#efe2c0';
    const desk = deskWith({ kind: 'bare', shadow: 0 });
    const chosen: Desk = {
      ...desk,
      widgets: desk.widgets.map((one) => ({ ...one, options: { ...one.options, colour: cream } })),
    };
    // Light where the clock stands, dark elsewhere.
    const halfLit: PixelsOf = async (drawn, size) => {
      const pixels = await adjusted([224, 214, 190])(drawn, size);
      for (let y = 0; y < size.height; y++)
        for (let x = Math.floor(size.width * 0.55); x < size.width; x++)
          pixels.data.set([12, 14, 20], (y * size.width + x) * 4);
      return pixels;
    };
    const worst = await worstOf(chosen, halfLit);
    expect(worst.colour).to.equal(cream);
    expect(enough(worst)).to.be.below(1);
    const mends = await mendsFor(chosen, now, worst, unmapped(halfLit));
    const orderOf = (id: string) =>
      ['darker', 'shadow', 'surface', 'role', 'place', 'darken', 'lighten'].findIndex((one) =>
        id.startsWith(one),
      );
    const order = mends.map(({ id }) => orderOf(id));
    expect(order).not.to.include(-1);
    expect(order).to.deep.equal([...order].sort((a, b) => a - b));
    const [tone] = mends;
    if (tone?.change.kind !== 'options') throw new Error('no tone');
    const darker = String(tone.change.options['colour']);
    expect(toLch(darker).h).to.be.closeTo(toLch(cream).h, 12);
    // A step nearer to what was chosen is not enough.
    const nearer = toHex({ ...toLch(darker), l: toLch(darker).l + 0.03 });
    const before = await worstOf(
      mended(chosen, { change: { ...tone.change, options: { colour: nearer } } }),
      halfLit,
    );
    expect(enough(before)).to.be.below(1);
    const place = mends.find(({ id }) => id === 'place');
    if (!place) throw new Error('no place');
    const elsewhere = await worstOf(mended(chosen, place), halfLit);
    expect(elsewhere.box.x).to.be.above(worst.box.x);
    expect(elsewhere.colour).to.equal(cream);
  });

  it('mends the colour of an item on an edge in that item alone', async () => {
    const label = (id: string) => createItem(id, 'label', { text: id, colour: '#f4ead0' });
    const base = emptyDesk();
    const finish = { ...base.look.finish, kind: 'bare' as const, shadow: 0 };
    const desk: Desk = {
      ...base,
      edges: [{ ...createPanel('panel', 'main', 'top', [label('one'), label('two')]), finish }],
    };
    const lit = adjusted([230, 224, 210]);
    const [worst] = (await judgeDesk(desk, now, unmapped(lit), 'panel')).filter(({ item }) => item === 'two');
    if (!worst) throw new Error('nothing was judged');
    const tone = (await mendsFor(desk, now, worst, unmapped(lit))).find(({ id }) => id === 'darker');
    expect(tone?.change).to.deep.include({ kind: 'options', part: 'panel', item: 'two' });
    const after = tone ? mended(desk, tone).edges[0]?.items : [];
    expect(after?.[0]).to.equal(desk.edges[0]?.items[0]);
    expect(after?.[1]?.options['colour']).not.to.equal('#f4ead0');
  });

  it('darkens the backdrop where the text is, or lightens it where the text is dark', async () => {
    const bare: Partial<Finish> = { kind: 'bare', shadow: 0 };
    const ofBackdrop = async (desk: Desk, rgb: readonly [number, number, number]) => {
      const worst = await worstOf(desk, adjusted(rgb));
      expect(enough(worst)).to.be.below(1);
      const mends = await mendsFor(desk, now, worst, unmapped(adjusted(rgb)));
      return mends.flatMap(({ change }) => (change.kind === 'adjust' ? [change.adjust] : []));
    };
    const places = {
      top: fromCorner(400, 0),
      bottom: fromCorner(400, 560),
      left: fromCorner(0, 280),
      right: fromCorner(880, 280),
    };
    for (const [toward, place] of Object.entries(places)) {
      const found = await ofBackdrop(deskWith(bare, { place }, white), [190, 190, 190]);
      const there = found.find((adjust) => adjust.darken)?.darken;
      expect(there?.toward).to.equal(toward);
      expect(found.some(({ brightness = 0 }) => brightness < 0)).to.equal(true);
      expect(found.some(({ brightness = 0 }) => brightness > 0)).to.equal(false);
    }
    const dark = { ink: '#101418', ground: '#f4f4f4', surface: '#ffffff' };
    const found = await ofBackdrop(deskWith(bare, {}, dark), [70, 70, 70]);
    expect(found.some(({ brightness = 0 }) => brightness > 0)).to.equal(true);
    expect(found.some(({ brightness = 0, darken }) => brightness < 0 || darken)).to.equal(false);
  });

  it('changes nothing but what it names', () => {
    const desk = deskWith({});
    const after = mended(desk, {
      change: { kind: 'adjust', backdrop: desk.backdrops[0]?.id ?? '', adjust: { brightness: -20 } },
    });
    expect(after.backdrops[0]?.adjust.brightness).to.equal(-20);
    expect({ ...after, backdrops: [] }).to.deep.equal({ ...desk, backdrops: [] });
  });
});

/**
 * Every face of every kind at three scales, in the widest family and on the desk's own finish: laid in rows across as
 * many desks as it takes that none stands over another.
 */
function everyFaceOn(desk: Desk): Desk[] {
  const [screen] = desk.screens;
  if (!screen) throw new Error('no screen');
  const wide = { ...desk.look.fonts.text, family: 'unbounded' as const };
  const look = { ...desk.look, fonts: { display: wide, text: wide, figures: wide } };
  const bare = { ...desk, edges: [], screens: [screen], look };
  const all = [0.75, 1, 1.25].flatMap((scale) =>
    widgetKinds.flatMap(({ type, faces }) =>
      faces.map((face): Widget => {
        const id = `${type} ${face.id} ${scale}`;
        const place = { hangs: { from: 'screen' as const, screen: screen.id, point: 'top-left' as const } };
        const options = { id, type, face: face.id, place: { ...place, x: 0, y: 0 } };
        return { ...createWidget({ ...options, deskFinish: look.finish }), finish: null, scale };
      }),
    ),
  );
  const sizes = new Map(
    solve({ ...bare, widgets: all }, now).screens[0]?.widgets.map((one) => [one.id, one.rect]),
  );
  const pages: Widget[][] = [[]];
  let [x, y, deep] = [0, 0, 0];
  for (const widget of all) {
    const { width = 0, height = 0 } = sizes.get(widget.id) ?? {};
    if (x + width > screen.width) [x, y, deep] = [0, y + deep, 0];
    if (y + height > screen.height) {
      [x, y, deep] = [0, 0, 0];
      pages.push([]);
    }
    pages.at(-1)?.push({ ...widget, place: { ...widget.place, x, y } });
    x += width + 8;
    deep = Math.max(deep, height + 8);
  }
  return pages.map((widgets) => ({ ...bare, widgets }));
}

describe('every face of every widget', () => {
  before(async () => {
    await Promise.all([learnWidgets(), learnSources(), learnExpressions(), learnMenus()]);
    await learnFamilies(['unbounded']);
  });
  for (const desk of demoDesks()) {
    it(`can be read at three scales over the backdrops of ${desk.name}, in both halves`, async () => {
      const judged: Judgement[] = [];
      for (const page of everyFaceOn(desk))
        judged.push(...(await judgeDesk(page, now, sightBy(bakedPixels))));
      expect(new Set(judged.map(({ part }) => part)).size).to.be.greaterThan(100);
      const weak = judged.filter((one) => enough(one) < 1 && one.isShown);
      expect(
        weak.map(
          ({ part, text, half, contrast: found, needs }) =>
            `${part}: ${text}, ${half}, ${found.toFixed(2)} of ${needs}`,
        ),
      ).to.deep.equal([]);
    });
  }
});

describe('the demo', () => {
  for (const desk of demoDesks()) {
    it(`${desk.name}: windows over one another can be read, over every backdrop, in both halves`, async () => {
      const workspace = desk.workspaces[0]?.id ?? '';
      const open = desk.applications.map(({ id }, index) =>
        windowOf(id, {
          workspace,
          rect: { x: 60 + index * 90, y: 70 + index * 60, width: 640, height: 430 },
        }),
      );
      // Each once in front; those behind are dimmed on purpose.
      for (const front of open) {
        const windows = [...open.filter((one) => one !== front), front];
        const judged = await judgeDesk(desk, { ...now, windows }, sightBy(bakedPixels), front.id);
        expect(judged.length, front.id).to.be.greaterThan(0);
        const weak = judged.filter((one) => enough(one) < 1 && one.isShown);
        expect(
          weak.map(({ text, half, contrast: found }) => `${front.id} ${text} ${half} ${found}`),
        ).to.deep.equal([]);
      }
    });

    it(`${desk.name}: every text can be read, over every backdrop, in both halves`, async () => {
      const weak = (await judgeDesk(desk, now, sightBy(bakedPixels))).filter((one) => enough(one) < 1);
      expect(
        weak.map(
          ({ part, text, half, entry, contrast: found }) => `${part} ${text} ${half} ${entry ?? ''} ${found}`,
        ),
      ).to.deep.equal([]);
    });
  }
});
