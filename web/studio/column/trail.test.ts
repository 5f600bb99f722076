// What trail.ts leads to listens to the page as it is loaded.
import '../../../tests/support/page.ts';
import { expect } from 'chai';
import { pastAfter, type Spot } from './trail.ts';

const at = (chapter: string, ...selection: string[]): Spot => ({
  chapter,
  page: null,
  spot: null,
  selection,
});
const walk = (...spots: Spot[]) =>
  spots
    .slice(1)
    .reduce<readonly Spot[]>(
      (past, next, index) => pastAfter(past, spots[index] as Spot, next, next.chapter !== 'edges'),
      [],
    );

describe('the way back through the column', () => {
  it('leads to where one came from, whatever it belongs to', () => {
    expect(walk(at('look'), at('widgets', 'clock'))).to.deep.equal([at('look')]);
    const legibility = { ...at('look'), page: 'legibility' };
    expect(walk(at('widgets'), at('widgets', 'clock'), legibility).at(-1)).to.deep.equal(
      at('widgets', 'clock'),
    );
  });

  it('takes parts that follow one another for one place', () => {
    expect(
      walk(at('backdrop'), at('widgets', 'one'), at('widgets', 'two'), at('widgets', 'one', 'two')),
    ).to.deep.equal([at('backdrop')]);
    expect(walk(at('backdrop'), at('widgets', 'one'), at('edges', 'dock'))).to.have.length(2);
    // An item is deeper than its edge.
    expect(walk(at('edges'), at('edges', 'dock'), at('edges', 'item')).at(-1)).to.deep.equal(
      at('edges', 'dock'),
    );
  });

  it('is shorter again once one is back, however one got there, and never grows beyond its bound', () => {
    expect(walk(at('look'), at('widgets', 'clock'), at('look'))).to.deep.equal([]);
    const many = Array.from({ length: 100 }, (_, index) => at(`chapter ${index}`));
    expect(walk(...many)).to.have.length(30);
  });
});
