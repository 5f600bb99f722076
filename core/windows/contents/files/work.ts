import {
  AROUND,
  createPage,
  figures,
  row,
  text,
  type Content,
  type ContentContext,
  type Page,
} from '../page.ts';

const folders = ['Tallies', 'Tapes', 'Charts', 'Letters', 'Ringing'] as const;
const files: readonly (readonly [name: string, size: string, changed: string, isFolder?: boolean])[] = [
  ['November', '26 things', 'today', true],
  ['October', '31 things', '31 Oct', true],
  ['bell-buoy-ebb.flac', '24 MB', 'yesterday'],
  ['curlew-low-water.flac', '31 MB', 'yesterday'],
  ['dawn-tally-48.csv', '6 kB', 'today'],
  ['dawn-tally-47.csv', '6 kB', '22 Nov'],
  ['main-channel.svg', '412 kB', '19 Nov'],
  ['mist-nets.ics', '3 kB', '18 Nov'],
  ['reedbed-dusk.flac', '18 MB', '16 Nov'],
  ['ring-ledger.csv', '88 kB', '15 Nov'],
  ['tide-table.txt', '11 kB', '1 Nov'],
  ['wind-in-wires.flac', '27 MB', '30 Oct'],
];

const ROW = 32;
const SIDE = 150;

export function lay(context: ContentContext): Content {
  const page = createPage(context);
  const { width, height } = context.size;
  const hasSide = width > 420;
  if (hasSide) {
    page.box({ x: 0, y: 0, width: SIDE, height }, 'ink', { opacity: 0.05 });
    folders.forEach((name, index) => {
      const top = 12 + index * ROW;
      const isHere = index === 1;
      drawFolder(page, AROUND, top + ROW / 2, isHere);
      page.text(name, text(15, { weight: isHere ? 600 : 400 }), { left: AROUND + 26 }, top, ROW);
    });
  }
  const left = (hasSide ? SIDE : 0) + AROUND;
  const inside = width - left - AROUND;
  const hasDates = inside > 330;
  const sizeAt = width - AROUND - 8 - (hasDates ? 96 : 0);
  const rows = Math.min(files.length, Math.floor((height - 20) / ROW));
  files.slice(0, rows).forEach(([name, size, changed, isFolder], index) => {
    const top = 10 + index * ROW;
    row(page, index, { x: left, y: top, width: inside, height: ROW }, name, index === context.chosen);
    if (isFolder) drawFolder(page, left + 10, top + ROW / 2, false);
    else drawLeaf(page, left + 10, top + ROW / 2);
    page.text(name, text(15), { left: left + 36 }, top, ROW, sizeAt - left - 36 - 84);
    page.text(size, figures(14, { colour: 'softInk' }), { right: sizeAt }, top, ROW);
    if (hasDates)
      page.text(changed, text(14, { colour: 'softInk' }), { right: width - AROUND - 8 }, top, ROW);
  });
  return page.lay(rows);
}

function drawFolder(page: Page, x: number, middle: number, isOpen: boolean): void {
  const top = middle - 6;
  page.outline(`M${x} ${top}h6l2 2.5h8v10h-16z`, isOpen ? page.plainColour('accent') : 'softInk', {
    stroke: 1.5,
  });
}

function drawLeaf(page: Page, x: number, middle: number): void {
  page.outline(`M${x + 2} ${middle - 7}h7l4 4v10h-11z`, 'softInk', { stroke: 1.5 });
}
