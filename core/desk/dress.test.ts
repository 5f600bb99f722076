import { expect } from 'chai';
import { z } from 'zod';
import { demoDesks } from '../../demo/desks.ts';
import { dawnCount } from '../../tests/support/desks.ts';
import { aspectOf, content, dress, dressedIn, dressOf, place } from '../values/dress.ts';
import { dressOfEdge, dressOfItem, dressOfWidget } from './edits/dress.ts';
import { edits } from './edits/edits.ts';
import { produce } from 'immer';
import { DeskSchema } from './schema.ts';
import { Edge, ItemSchema } from './shapes/edges.ts';
import { sections } from './sections/list.ts';
import { WidgetSchema } from './shapes/widgets.ts';

describe('dress', () => {
  it('is told apart from what there is and where it stands, in every section', () => {
    for (const { key, schema } of sections) expect(aspectOf(schema), key).not.to.equal(null);
  });

  it('leaves what a part is, shows and does, and where it stands', () => {
    const never = ['id', 'type', 'kind', 'screen', 'side', 'length', 'offset', 'place', 'scale', 'items'];
    const neverOf = ['text', 'zone', 'application', 'act', 'cells', 'pictures', 'from', 'signs', 'meter'];
    const all = demoDesks().flatMap(({ widgets, edges }) => [
      ...widgets.map(dressOfWidget),
      ...edges.map(dressOfEdge),
      ...edges.flatMap(({ items }) => items.map(dressOfItem)),
    ]);
    expect(all.length).to.be.at.least(60);
    for (const worn of all) {
      expect(worn).not.to.have.any.keys(never);
      expect(worn['options'] ?? {}).not.to.have.any.keys(neverOf);
    }
    expect(dressOfEdge(dawnCount().edges[0] as never)).to.include.keys(
      'thickness',
      'finish',
      'growth',
      'backing',
    );
  });

  it('fits whoever has it already: worn again it changes nothing, on any desk of the demo', () => {
    for (const { widgets, edges } of demoDesks()) {
      for (const widget of widgets)
        expect(dressedIn(WidgetSchema, widget, dressOfWidget(widget))).to.deep.equal(widget);
      for (const edge of edges) {
        expect(dressedIn(Edge, edge, dressOfEdge(edge))).to.deep.equal(edge);
        for (const item of edge.items)
          expect(dressedIn(ItemSchema, item, dressOfItem(item))).to.deep.equal(item);
      }
    }
  });

  it('can be worn by any other, which stays a whole part', () => {
    const desks = demoDesks();
    const dresses = desks.flatMap(({ widgets, edges }) => [
      ...widgets.map(dressOfWidget),
      ...edges.map(dressOfEdge),
    ]);
    for (const desk of desks) {
      const ids = [...desk.widgets, ...desk.edges, ...desk.edges.flatMap(({ items }) => items)].map(
        ({ id }) => id,
      );
      const dressed = produce(desk, (draft) => {
        for (const worn of dresses) edits.dress(ids, worn).apply(draft);
      });
      const read = DeskSchema.safeParse(dressed);
      expect(read.success, JSON.stringify(read.error?.issues[0])).to.equal(true);
    }
  });

  it('is taken field by field, in what may be missing, of several shapes, or a list', () => {
    const Sign = dress(
      z.looseObject({
        id: content(z.string()),
        at: place(z.number()),
        size: z.number().max(9),
        line: z.looseObject({ wide: z.number(), says: content(z.string()) }).nullable(),
        row: z.array(z.number()),
        parts: content(z.array(z.number())),
        shape: z.discriminatedUnion('by', [
          z.looseObject({ by: z.literal('round'), radius: z.number() }),
          z.looseObject({ by: z.literal('square') }),
        ]),
      }),
    );
    const one = {
      id: 'one',
      at: 1,
      size: 2,
      line: { wide: 3, says: 'one' },
      row: [1, 2],
      parts: [1],
      shape: { by: 'round', radius: 4 },
    };
    const other = {
      ...one,
      id: 'other',
      at: 9,
      size: 5,
      line: null,
      row: [7],
      parts: [2],
      shape: { by: 'square' },
    };
    expect(dressOf(Sign, one)).to.deep.equal({
      size: 2,
      line: { wide: 3 },
      row: [1, 2],
      shape: { by: 'round', radius: 4 },
    });
    // It has no line of its own that could be as wide.
    expect(dressedIn(Sign, other, dressOf(Sign, one))).to.deep.equal({
      ...other,
      size: 2,
      row: [1, 2],
      shape: one.shape,
    });
    expect(dressedIn(Sign, one, dressOf(Sign, other))).to.deep.equal({
      ...other,
      id: 'one',
      at: 1,
      parts: [1],
    });
    expect(dressedIn(Sign, one, { size: 99, id: 'taken', line: { wide: 8, says: 'taken' } })).to.deep.equal({
      ...one,
      line: { wide: 8, says: 'one' },
    });
    expect(dressOf(content(z.looseObject({ text: z.string() })), { text: 'x' })).to.equal(undefined);
  });
});
