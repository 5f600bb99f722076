import { expect } from 'chai';
import { BOUNDS, findOutOfBounds } from './bounds.ts';

describe('bounds', () => {
  const first = (json: unknown) => {
    const found = findOutOfBounds(json);
    return found && `${found.path.map(String).join('.')} ${found.message}`;
  };

  it('let through what is within them, at its very edge', () => {
    let deep: unknown = 'bottom';
    for (let level = 0; level < BOUNDS.depth; level++) deep = { level: deep };
    expect(first(deep)).to.equal(null);
    expect(first(Array.from({ length: BOUNDS.entries }, () => 1))).to.equal(null);
    expect(first({ ['k'.repeat(BOUNDS.key)]: 'x'.repeat(BOUNDS.text) })).to.equal(null);
    for (const plain of [null, true, 0, '', [], {}]) expect(first(plain)).to.equal(null);
  });

  it('name what is beyond them, and where', () => {
    let deep: unknown = [];
    for (let level = 0; level < BOUNDS.depth; level++) deep = [deep];
    expect(first(deep)).to.equal(`${Array(BOUNDS.depth).fill(0).join('.')} lies deeper than 32 levels`);
    expect(first({ a: [1, { b: JSON.parse('1e999') }] })).to.equal('a.1.b is not a finite number');
    expect(first({ a: Array.from({ length: BOUNDS.entries + 1 }, () => 0) })).to.equal(
      'a has more than 5000 entries',
    );
    expect(first({ a: ['x'.repeat(BOUNDS.text + 1)] })).to.equal('a.0 is longer than 260000 characters');
    expect(first(JSON.parse('{"a":{"__proto__":{"b":1}}}'))).to.equal(
      'a.__proto__ is not a name that a field may have',
    );
    expect(first({ ['k'.repeat(BOUNDS.key + 1)]: 1 })).to.equal(
      ' has a field whose name is longer than 200 characters',
    );
  });

  it('count what lies in all levels together, and end however deep it goes', () => {
    const rows = Array.from({ length: 101 }, () => Array.from({ length: BOUNDS.entries }, () => 0));
    expect(first(rows)).to.equal(' has more than 500000 values');
    expect(first(JSON.parse('['.repeat(200_000) + ']'.repeat(200_000)))).to.contain('deeper');
  });
});
