import '../../../tests/support/page.ts';
import { expect } from 'chai';
import { sections } from '../../../core/desk/sections/list.ts';
import { referenceOf } from '../../../core/values/references.ts';
import { schemasIn } from '../../../core/values/walk.ts';
import { chapters } from '../chapters/list.ts';
import { pageOf } from './used-by.tsx';
import { z } from 'zod';

describe('what uses something', () => {
  it('leads to a page that there is, wherever an application or a folder can be named that is no part', () => {
    const names = (schema: z.ZodType): boolean =>
      ['application', 'folder'].includes(referenceOf(schema)?.to ?? '') || schemasIn(schema).some(names);
    const parts = ['widgets', 'edges'];
    const all = sections
      .filter(({ key, schema }) => !parts.includes(key) && names(schema))
      .flatMap(({ key, schema }) =>
        Object.entries(schema instanceof z.ZodObject ? schema.shape : {})
          .filter(([, held]) => names(held as z.ZodType))
          .map(([page]) => pageOf({ section: key, page })),
      );
    expect(all.length).to.be.at.least(5);
    for (const [chapter, page] of all) {
      const pages = chapters.find(({ id }) => id === chapter)?.pages.map(({ id }) => id);
      expect(pages, chapter).to.include(page);
    }
  });
});
