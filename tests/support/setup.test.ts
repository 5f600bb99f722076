import { expect } from 'chai';
import fc from 'fast-check';
import { knowsFamily } from '../../core/text/cuts.ts';
import { families } from '../../core/values/family.ts';

describe('the tests', () => {
  it('know every family, and try properties on the seed that they were given', () => {
    expect(families.filter((family) => !knowsFamily(family))).to.deep.equal([]);
    expect(fc.readConfigureGlobal().seed).to.be.a('number');
  });
});
