import { expect } from 'chai';
import { z } from 'zod';
import { readKept } from './browser-keep.ts';

const keeping = (text: string | null) => ({ getItem: () => text });
const Kept = z.object({ page: z.string().max(5), screen: z.string().default('main') });

describe('what a browser has kept', () => {
  it('is read where it is what it should be, also what an older page kept', () => {
    expect(readKept(keeping('{"page":"one","screen":"side"}'), 'key', Kept)).to.deep.equal({
      page: 'one',
      screen: 'side',
    });
    expect(readKept(keeping('{"page":"one"}'), 'key', Kept)?.screen).to.equal('main');
  });

  it('is nothing where it is anything else', () => {
    for (const text of [null, '', '{', 'null', '[]', '{"page":7}', '{"page":"far too long"}'])
      expect(readKept(keeping(text), 'key', Kept)).to.equal(null);
  });
});
