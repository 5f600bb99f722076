import { wrap } from '../../../kinds/layout.ts';
import { AROUND, createPage, text, type Content, type ContentContext } from '../page.ts';

const heads = [
  ['To', 'The watch at Marrow Point'],
  ['From', 'The ringing hut'],
  ['About', 'Nets on Thursday'],
] as const;

const paragraphs = [
  'Good morning,',
  'The wind goes round to the west by Thursday, so the nets can stand from first light until the tide turns. We had two short-eared owls over the north bank again, and the harrier came through at ten to eight, low along the reeds.',
  'Whoever has the dawn count: please note the dunlin by hundreds, the sheet will sort them out. The bell buoy is to be lifted on Friday; until then its tape is the better for it.',
  'There is soup in the hut.',
];

const ROW = 26;
const LINE = 25;

export function lay(context: ContentContext): Content {
  const page = createPage(context);
  const { width } = context.size;
  const inside = Math.min(620, width - 2 * AROUND);
  heads.forEach(([head, words], index) => {
    const top = 12 + index * ROW;
    page.text(head, text(14, { colour: 'softInk' }), { left: AROUND }, top, ROW, 60);
    page.text(words, text(15, { weight: 500 }), { left: AROUND + 64 }, top, ROW, inside - 64);
  });
  let top = 12 + heads.length * ROW + 10;
  page.box({ x: AROUND, y: top, width: width - 2 * AROUND, height: 1 }, 'ink', { opacity: 0.16 });
  top += 12;
  const style = text(16);
  for (const paragraph of paragraphs) {
    for (const { run } of wrap(paragraph, style, context.fonts, inside)) {
      page.text(run.text, style, { left: AROUND }, top, LINE, inside);
      top += LINE;
    }
    top += 9;
  }
  return page.lay();
}
