import { AROUND, createPage, figures, row, text, type Content, type ContentContext } from '../page.ts';

/** The dawn tally of a week: what passed the point, counted at first light. */
const days = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu'] as const;
const tally: readonly (readonly [string, ...number[]])[] = [
  ['Curlew', 14, 18, 9, 22, 17],
  ['Redshank', 31, 22, 27, 19, 34],
  ['Teal', 120, 96, 140, 133, 88],
  ['Dunlin', 410, 388, 520, 476, 402],
  ['Little egret', 3, 3, 4, 2, 5],
  ['Marsh harrier', 1, 2, 1, 1, 2],
  ['Lapwing', 64, 71, 58, 80, 93],
  ['Brent goose', 210, 184, 236, 190, 221],
  ['Wigeon', 88, 102, 97, 110, 76],
  ['Grey plover', 27, 31, 24, 29, 36],
  ['Turnstone', 19, 12, 15, 22, 18],
  ['Water rail', 2, 1, 3, 2, 2],
  ['Short-eared owl', 1, 0, 1, 2, 1],
  ['Snow bunting', 6, 9, 11, 4, 8],
];

const ROW = 34;
const COLUMN = 76;

export function lay(context: ContentContext): Content {
  const page = createPage(context);
  const { width, height } = context.size;
  const inside = width - 2 * AROUND;
  const shown = Math.max(1, Math.min(days.length, Math.floor((inside - 120) / COLUMN)));
  const right = (column: number) => width - AROUND - 8 - (shown - 1 - column) * COLUMN;
  const soft = { colour: 'softInk' } as const;
  page.text('species', text(15, soft), { left: AROUND + 8 }, 8, ROW);
  for (let column = 0; column < shown; column++)
    page.text(days[column] ?? '', text(15, soft), { right: right(column) }, 8, ROW);
  const rows = Math.min(tally.length, Math.max(0, Math.floor((height - 8 - 2 * ROW - 8) / ROW)));
  const name = inside - shown * COLUMN + 20;
  tally.slice(0, rows).forEach(([species, ...counts], index) => {
    const top = 8 + (index + 1) * ROW;
    page.box({ x: AROUND, y: top, width: inside, height: 1 }, 'ink', { opacity: 0.12 });
    row(
      page,
      index,
      { x: AROUND, y: top + 1, width: inside, height: ROW - 1 },
      species,
      index === context.chosen,
    );
    page.text(species, text(16), { left: AROUND + 8 }, top, ROW, name);
    for (let column = 0; column < shown; column++)
      page.text(String(counts[column] ?? 0), figures(16), { right: right(column) }, top, ROW);
  });
  const foot = 8 + (rows + 1) * ROW;
  page.box({ x: AROUND, y: foot, width: inside, height: 1.5 }, page.plainColour('accent'));
  page.text('all', text(16, { weight: 600 }), { left: AROUND + 8 }, foot, ROW);
  for (let column = 0; column < shown; column++) {
    const sum = tally.slice(0, rows).reduce((all, [, ...counts]) => all + (counts[column] ?? 0), 0);
    page.text(String(sum), figures(16, { weight: 600 }), { right: right(column) }, foot, ROW);
  }
  return page.lay(rows);
}
