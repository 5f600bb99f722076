import { expect } from 'chai';
import { produce } from 'immer';
import { z } from 'zod';
import { demoDesks } from '../../demo/desks.ts';
import { dawnCount } from '../../tests/support/desks.ts';
import { fieldOf, unwrapped } from '../values/field.ts';
import { namingsIn, prune, referenceOf, refers } from '../values/references.ts';
import { filesOf } from '../bundle/bundle.ts';
import { createBackdrop, createItem, createPicture, createWidget } from './defaults.ts';
import type { Desk } from './desk.ts';
import { edits } from './edits/edits.ts';
import { usesOf } from './used-by.ts';
import { DeskSchema, DeskShape } from './schema.ts';

/** Every schema within another one, itself included. */
function* within(schema: z.ZodType): Generator<z.ZodType> {
  yield schema;
  const inner = unwrapped(schema);
  if (inner !== schema) yield* within(inner);
  else if (inner instanceof z.ZodArray) yield* within(inner.element as z.ZodType);
  else if (inner instanceof z.ZodObject)
    for (const part of Object.values(inner.shape)) yield* within(part as z.ZodType);
  else if (inner instanceof z.ZodDiscriminatedUnion)
    for (const option of inner.options) yield* within(option as z.ZodType);
}

/** A desk that names an application wherever one can be named. */
function full(id: string): Desk {
  const desk = structuredClone(dawnCount());
  const place = {
    hangs: { from: 'screen', screen: desk.screens[0]?.id ?? '', point: 'centre' },
    x: 0,
    y: 0,
  } as const;
  const tiles = createWidget({
    id: 'field',
    type: 'tiles',
    face: 'squares',
    place,
    deskFinish: desk.look.finish,
  });
  desk.widgets.push(tiles);
  desk.edges[0]?.items.push(createItem('another', 'application', { application: id }));
  desk.menus.appList.favourites = [id, 'files'];
  desk.menus.appWall.folders = [{ id: 'one', name: 'One', applications: ['files', id] }];
  desk.menus.deskMenu.entries.push({ id: 'starts-it', by: 'start', application: id });
  desk.desktopIcons = { ...desk.desktopIcons, shown: 'some', applications: [id] };
  return desk;
}

const without = (desk: Desk, id: string): Desk =>
  produce(desk, (draft) => edits.removeApplications([id]).apply(draft));

describe('what names a file of one’s own', () => {
  it('is declared wherever the format says that a file may be named, and only there', () => {
    const ofKind = (schema: z.ZodType) =>
      ['picture', 'font', 'sound', 'icon-set'].includes(referenceOf(schema)?.to ?? 'none');
    const may = [...within(DeskShape)].filter(
      (schema) => schema instanceof z.ZodPipe || /SHA-256/.test(schema.description ?? ''),
    );
    expect(may.length).to.be.at.least(6);
    for (const schema of may)
      expect(ofKind(schema) || [...within(schema)].some(ofKind), schema.description).to.equal(true);
  });

  it('is found where it stands: the backdrop’s, widgets’, applications’ and covers’ pictures, fonts and sounds', () => {
    const [one, two, three] = ['1', '2', '3'].map((digit) => digit.repeat(64)) as [string, string, string];
    const desk = structuredClone(dawnCount());
    desk.backdrops = [createBackdrop('backdrop', createPicture(one, 'hide.png'))];
    const place = { hangs: { from: 'screen', screen: 'main', point: 'centre' }, x: 0, y: 0 } as const;
    const shown = createWidget({
      id: 'shown',
      type: 'picture',
      face: 'plain',
      place,
      deskFinish: desk.look.finish,
    });
    desk.widgets.push({ ...shown, options: { ...shown.options, pictures: [`own:${two}`] } });
    desk.sources.sound.tracks = [
      {
        id: 'tone',
        title: 'Tone',
        by: '',
        album: '',
        seconds: 3,
        from: { by: 'file', file: `own:${three}` },
        cover: `own:${two}`,
      },
    ];
    const own = (digit: string) => ({
      set: `own:${digit.repeat(64)}` as const,
      name: 'Kittiwake',
      style: '',
    });
    desk.look.icons = {
      ...desk.look.icons,
      own: own('4'),
      byHand: [{ name: 'folder', icon: `own:${two}` }],
      dark: { set: 'reed', style: 'line', own: own('5'), ink: { way: 'plain' } },
    };
    const at = (to: 'picture' | 'sound' | 'icon-set') =>
      namingsIn(DeskShape, desk, to)
        .filter(({ name }) => /[0-9a-f]{64}$/.test(name))
        .map(({ path, name }) => [path.join('.'), name]);
    expect(at('icon-set')).to.deep.equal([
      ['look.icons.own.set', own('4').set],
      ['look.icons.dark.own.set', own('5').set],
    ]);
    expect(at('picture')).to.deep.equal([
      ['look.icons.byHand.0.icon', `own:${two}`],
      ['backdrops.0.source.picture', one],
      [`widgets.${desk.widgets.length - 1}.options.pictures.0`, `own:${two}`],
      ['sources.sound.tracks.0.cover', `own:${two}`],
    ]);
    expect(at('sound')).to.deep.equal([['sources.sound.tracks.0.from.file', `own:${three}`]]);
    expect(filesOf(desk, 'picture')).to.have.members([one, two]);
    expect(filesOf(desk, 'icon-set')).to.deep.equal(['4', '5'].map((digit) => digit.repeat(64)));
  });
});

describe('what names an application', () => {
  it('goes with it, wherever it stands: on edges, in tiles, menus, habits and among icons', () => {
    const before = full('tallybook');
    const named = JSON.stringify(before).split('"tallybook"').length - 1;
    expect(named).to.be.at.least(7);
    const after = without(before, 'tallybook');
    expect(JSON.stringify(after)).not.to.contain('"tallybook"');
    expect(DeskSchema.safeParse(after).success).to.equal(true);
    const cells = (desk: Desk) =>
      desk.widgets.find(({ id }) => id === 'field')?.options['cells'] as { application: string }[];
    expect(cells(after)).to.deep.equal(
      cells(before).filter(({ application }) => application !== 'tallybook'),
    );
    expect(after.menus.appList.favourites).to.deep.equal(['files']);
    expect(after.menus.appWall.folders[0]?.applications).to.deep.equal(['files']);
  });

  it('is told with where it stands: the item, the tiles, menus, icons and habits, each once', () => {
    const desk = full('tallybook');
    desk.windows.habits = [
      {
        id: 'ours',
        application: 'tallybook',
        workspace: 0,
        place: 'free',
        width: null,
        height: null,
        frame: 'desk',
        opacity: 100,
      },
    ];
    const uses = usesOf(desk, 'application', 'tallybook');
    const told = uses.map(({ section, part, page }) => `${section} ${part ?? page}`);
    expect(told).to.have.length(new Set(told).size);
    expect(told).to.include.members([
      'edges another',
      'widgets field',
      'menus appList',
      'menus appWall',
      'menus deskMenu',
      'desktopIcons applications',
      'windows habits',
    ]);
    expect(usesOf(without(desk, 'tallybook'), 'application', 'tallybook')).to.deep.equal([]);
  });

  it('stays as it is where nothing is gone, on every desk of the demo', () => {
    for (const desk of demoDesks()) expect(without(desk, 'nobody'), desk.name).to.deep.equal(desk);
  });

  it('is declared wherever a form asks for an application, a folder, a calendar or a source of headlines', () => {
    const asked = [...within(DeskShape)].filter((schema) =>
      ['application', 'wall-folder', 'calendar', 'headlines'].includes(fieldOf(schema)?.control ?? ''),
    );
    expect(asked.length).to.be.at.least(5);
    for (const schema of asked) expect(referenceOf(schema), fieldOf(schema)?.label).not.to.equal(null);
  });
});

describe('what shows one calendar or one source alone', () => {
  it('shows all of them once that is removed, and is told until then', () => {
    const desk = structuredClone(dawnCount());
    const place = { hangs: { from: 'screen', screen: 'main', point: 'centre' }, x: 0, y: 0 } as const;
    const deskFinish = desk.look.finish;
    for (const [type, list, to] of [
      ['calendar', 'calendars', 'calendar'],
      ['headlines', 'headlines', 'headlines'],
    ] as const) {
      const [first] = desk.sources.outside[list];
      const id = first?.id ?? '';
      desk.widgets = [
        createWidget({ id: 'of-one', type, place, deskFinish, options: { only: id } }),
        createWidget({ id: 'of-all', type, place, deskFinish }),
      ];
      expect(usesOf(desk, to, id).map(({ part }) => part)).to.deep.equal(['of-one']);
      const after = produce(desk, (draft) => edits.removeOutside(list, id).apply(draft));
      expect(after.sources.outside[list].map((one) => one.id)).not.to.include(id);
      expect(after.widgets.map(({ options }) => options['only'])).to.deep.equal(['', '']);
      expect(usesOf(after, to, id)).to.deep.equal([]);
      expect(DeskSchema.safeParse(after).success).to.equal(true);
    }
  });
});

describe('a name of something that is gone', () => {
  const Shape = z.object({
    list: z.array(z.object({ of: refers(z.string().default(''), 'application', 'holder'), n: z.number() })),
    one: refers(z.string(), 'folder', 'name'),
    either: z.discriminatedUnion('by', [
      z.object({ by: z.literal('a'), of: refers(z.string(), 'application', 'name') }),
      z.object({ by: z.literal('b'), of: z.string() }),
    ]),
  });

  it('is taken out alone or with what holds it, and only of the kind that is gone', () => {
    const value = {
      list: [
        { of: 'x', n: 1 },
        { of: 'y', n: 2 },
        { of: 'x', n: 3 },
      ],
      one: 'x',
      either: { by: 'a', of: 'x' },
    };
    prune(Shape, value, 'application', new Set(['x']));
    expect(value).to.deep.equal({ list: [{ of: 'y', n: 2 }], one: 'x', either: { by: 'a', of: '' } });
    const other = { list: [], one: 'x', either: { by: 'b', of: 'x' } };
    prune(Shape, other, 'folder', new Set(['x']));
    expect(other).to.deep.equal({ list: [], one: '', either: { by: 'b', of: 'x' } });
  });
});
