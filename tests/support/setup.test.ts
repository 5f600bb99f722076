import { expect } from 'chai';
import fc from 'fast-check';
import { fontBook } from '../../core/text/cuts.ts';
import { ownLibrary } from '../../core/values/library.ts';
import { families } from '../../core/values/family.ts';

describe('the tests', () => {
  it('know every family, and try properties on the seed that they were given', () => {
    expect(families.filter((family) => !ownLibrary.on(fontBook).knows(family))).to.deep.equal([]);
    expect(fc.readConfigureGlobal().seed).to.be.a('number');
  });
});
