import { expect } from 'chai';
import fc from 'fast-check';
import { dawnCount } from '../../../tests/support/desks.ts';
import type { WidgetContext } from '../../kinds/kind.ts';
import { fontsOf } from '../../scene/look.ts';
import { blocksOf, tickTask } from './marks.ts';
import { note, type NoteFace } from './note.ts';
import { layout, view } from './work.ts';

const context = {
  fonts: fontsOf(dawnCount().look),
  textColour: () => '#ffffff',
} as unknown as WidgetContext;
const laid = (text: string, face: NoteFace = 'plain', more: object = {}) =>
  layout(view(note.options.parse({ text, ...more }), face, context), face, context);
const words = (text: string) => blocksOf(text).map(({ spans }) => spans.map((span) => span.text).join(''));

describe('a note', () => {
  it('has headings, lists, ticks and bold, as Markdown has them', () => {
    const blocks = blocksOf(
      '# Dawn\n\nNets **open** at six\nto nine\n\n- one\n  - within\n1. first\n2. second\n- [ ] to do\n- [x] done',
    );
    expect(blocks.map(({ kind, level, isTicked, number }) => [kind, level, isTicked, number])).to.deep.equal([
      ['heading', 1, null, null],
      ['text', 0, null, null],
      ['text', 0, null, null],
      ['item', 0, null, null],
      ['item', 1, null, null],
      ['item', 0, null, 1],
      ['item', 0, null, 2],
      ['item', 0, false, null],
      ['item', 0, true, null],
    ]);
    expect(blocks[1]?.spans).to.deep.equal([
      { text: 'Nets ', isBold: false },
      { text: 'open', isBold: true },
      { text: ' at six', isBold: false },
    ]);
  });

  it('takes markup as letters, whatever it says', () => {
    for (const hostile of [
      '<script>alert(1)</script>',
      '<img src=x onerror=alert(1)>',
      '[press](javascript:alert(1))',
      '![x](https://example.invalid/x.png)',
      '&lt;b&gt; <!-- x -->',
    ])
      expect(words(hostile)).to.deep.equal([hostile]);
  });

  it('never fails and stays in its width, whatever is written', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            fc.string({ maxLength: 60 }),
            fc.constantFrom(
              '# ',
              '- ',
              '- [ ] ',
              '**',
              '\n',
              '> ',
              '    ',
              '1. ',
              '```',
              'W'.repeat(200),
              '>'.repeat(300),
              '- '.repeat(90),
            ),
          ),
          { maxLength: 40 },
        ),
        fc.constantFrom<NoteFace>('plain', 'leaf', 'ruled', 'margin'),
        (parts, face) => {
          const { size, runs, ticks } = laid(parts.join('').slice(0, 4000), face, { width: 200 });
          for (const { ink } of runs) {
            expect(ink.x + ink.width).to.be.at.most(size.width + 4);
            expect(ink.y + ink.height).to.be.at.most(size.height + 8);
          }
          for (const { rect } of ticks) expect(rect.x).to.be.at.least(0);
        },
      ),
      { numRuns: 200, seed: 21 },
    );
  });

  it('ticks the task that is meant, and nothing else of the text', () => {
    const text = '# A\n- [ ] one\n  text [ ] no task\n- two\n  1. [x] three\n* [ ] four';
    expect(tickTask(text, 0)).to.equal(text.replace('- [ ] one', '- [x] one'));
    expect(tickTask(text, 1)).to.equal(text.replace('[x] three', '[ ] three'));
    expect(tickTask(text, 2)).to.equal(text.replace('* [ ] four', '* [x] four'));
    expect(tickTask(text, 9)).to.equal(text);
    // Boxes on the desk are numbered as tasks are in the text.
    expect(laid(text).ticks.map(({ title, isTicked }) => [title, isTicked])).to.deep.equal([
      ['one', false],
      ['three', true],
      ['four', false],
    ]);
  });

  it('is as high as it is long, and says so when nothing is written', () => {
    expect(laid('a\n\nb\n\nc').size.height).to.be.greaterThan(laid('a').size.height * 2);
    expect(laid('').runs.map(({ text }) => text)).to.deep.equal(['Nothing written yet']);
    const { rules, runs } = laid('one\ntwo', 'ruled');
    expect(rules).to.have.length(2);
    // Letters stand on their lines.
    runs.forEach((run, index) => expect((rules[index]?.y ?? 0) - run.baseline).to.be.within(0, 8));
  });
});
