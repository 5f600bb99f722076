import { expect } from 'chai';
import { z } from 'zod';
import { itemKinds } from '../items/list.ts';
import { Tide } from '../sources/tide/tide.ts';
import { fieldOf, unwrapped } from '../values/field.ts';
import { widgetKinds } from '../widgets/list.ts';
import { windowForms } from '../windows/schema.ts';

/** Lists whose entries name something that only a page knows of. */
const byPage = new Set(['mounts', 'interfaces']);

const schemas = [
  ...widgetKinds.map(({ options, faces }) => ({ schema: options, faces })),
  ...itemKinds.map(({ options, faces }) => ({ schema: options, faces })),
  ...[Tide, ...Object.values(windowForms)].map((schema) => ({ schema, faces: [] })),
].flatMap(({ schema, faces }) =>
  Object.entries(schema.shape as Record<string, z.ZodType>).flatMap(([key, list]) => {
    const inner = unwrapped(list);
    const isList = inner instanceof z.ZodArray && inner.element instanceof z.ZodObject;
    // Chips say what there is to add by themselves.
    const isRows = isList && fieldOf(list) && fieldOf(list)?.control !== 'chips';
    return isRows && !byPage.has(key) ? [{ schema, faces, key, list }] : [];
  }),
);

describe('a list of records that a form shows', () => {
  it('can be added to until it is full, under every face: what a new one starts as passes the schema', () => {
    expect(schemas.length).to.be.at.least(6);
    for (const { schema, faces, key, list } of schemas) {
      const starts = fieldOf(list)?.starts;
      expect(starts, key).to.be.a('function');
      const { data: values = {} } = schema.safeParse({});
      for (const face of faces.length > 0 ? faces.map(({ id }) => id) : [null]) {
        const entries: Readonly<Record<string, unknown>>[] = [...((values[key] as []) ?? [])];
        const add = () => starts?.(entries, { values, face }) ?? null;
        let next = add();
        while (next !== null && list.safeParse([...entries, next]).success) {
          entries.push(next);
          next = add();
        }
        expect(entries.length, `${key} ${face}`).to.be.at.least(2);
        // It ended because all are there, or because the list is full: not because one was no good.
        const [wrong] = next === null ? [] : (list.safeParse([...entries, next]).error?.issues ?? []);
        expect(wrong?.code ?? 'too_big', key).to.equal('too_big');
      }
    }
  });
});
