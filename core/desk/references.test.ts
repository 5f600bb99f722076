import { expect } from 'chai';
import { produce } from 'immer';
import { z } from 'zod';
import { demoDesks } from '../../demo/desks.ts';
import { dawnCount } from '../../tests/support/desks.ts';
import { fieldOf, unwrapped } from '../values/field.ts';
import { prune, referenceOf, refers } from '../values/references.ts';
import { createItem, createWidget } from './defaults.ts';
import type { Desk } from './desk.ts';
import { edits } from './edits/edits.ts';
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
  desk.windows.icons = { ...desk.windows.icons, shown: 'some', applications: [id] };
  return desk;
}

const without = (desk: Desk, id: string): Desk =>
  produce(desk, (draft) => edits.removeApplications([id]).apply(draft));

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

  it('stays as it is where nothing is gone, on every desk of the demo', () => {
    for (const desk of demoDesks()) expect(without(desk, 'nobody'), desk.name).to.deep.equal(desk);
  });

  it('is declared wherever a form asks for an application or a folder', () => {
    const asked = [...within(DeskShape)].filter((schema) =>
      ['application', 'wall-folder'].includes(fieldOf(schema)?.control ?? ''),
    );
    expect(asked.length).to.be.at.least(5);
    for (const schema of asked) expect(referenceOf(schema), fieldOf(schema)?.label).not.to.equal(null);
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
