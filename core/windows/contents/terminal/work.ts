import type { LineStyle, Paint } from '../../../kinds/layout.ts';
import { AROUND, createPage, type Content, type ContentContext } from '../page.ts';

type Part = readonly [words: string, colour: number | null];

/** Lines of a session; a number is one of the sixteen colours. */
const lines: readonly (readonly Part[])[] = [
  [
    ['hide-2', 6],
    [' ~/tapes ', 2],
    ['ls --by size', null],
  ],
  [
    ['bell-buoy-ebb.flac', 3],
    ['   24 MB', null],
  ],
  [
    ['reedbed-dusk.flac', 3],
    ['    18 MB', null],
  ],
  [
    ['wind-in-wires.flac', 1],
    ['   damaged at 0:41', null],
  ],
  [
    ['hide-2', 6],
    [' ~/tapes ', 2],
    ['tide --next', null],
  ],
  [
    ['high', 4],
    ['  4.1 m  09:46   ', null],
    ['low', 5],
    ['  0.9 m  15:58', null],
  ],
  [
    ['hide-2', 6],
    [' ~/tapes ', 2],
    ['colours', null],
  ],
];

/** Columns need letters of one width, whatever the desk's type. */
const mono = (colour: Paint): LineStyle => ({ font: 'spline-sans-mono', size: SIZE, weight: 400, colour });

const SIZE = 15;
const ROW = 25;

/** On the terminal's own ground, in its sixteen colours. */
export function lay(context: ContentContext): Content {
  const page = createPage(context);
  const { width, height } = context.size;
  const { ground, ink, colours } = context.terminal;
  const hex = (index: number | null) => (index === null ? ink : (colours[index] ?? ink)) as Paint;
  page.box({ x: 0, y: 0, width, height }, ground as Paint);
  let top = 14;
  for (const line of lines) {
    let left = AROUND;
    for (const [words, colour] of line) {
      const style = mono(hex(colour));
      // Blanks at an end have no ink: they are counted by themselves.
      const lead = words.length - words.trimStart().length;
      const blank = page.width('00', style) - page.width('0', style);
      page.text(
        words.trim(),
        style,
        { left: left + lead * blank },
        top,
        ROW,
        width - left - lead * blank - AROUND,
      );
      left += words.length * blank;
    }
    top += ROW;
  }
  const cell = Math.min(34, (width - 2 * AROUND) / 8);
  for (let index = 0; index < 16; index++) {
    const y = top + 4 + (index >> 3) * (ROW - 3);
    if (y + ROW - 7 < height)
      page.box({ x: AROUND + (index % 8) * cell, y, width: cell - 4, height: ROW - 7 }, hex(index), {
        radius: 3,
      });
  }
  top += 2 * ROW;
  page.text('hide-2', mono(hex(6)), { left: AROUND }, top, ROW);
  if (top + ROW < height)
    page.box({ x: AROUND + 7.5 * SIZE * 0.6, y: top + 4, width: 9, height: ROW - 8 }, ink as Paint);
  return page.lay();
}
