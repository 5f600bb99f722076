import { AROUND, createPage, figures, text, type Content, type ContentContext } from '../page.ts';

const groups: readonly (readonly [string, readonly (readonly [string, boolean | number])[]])[] = [
  [
    'Lamp',
    [
      ['Lit from dusk to dawn', true],
      ['Turns in fog', true],
      ['Brightness', 70],
    ],
  ],
  [
    'Hide',
    [
      ['Shutters follow the wind', false],
      ['Heater before first light', true],
      ['Recorder level', 45],
      ['Say when somebody knocks', false],
    ],
  ],
];

const ROW = 38;
const SWITCH = { width: 34, height: 18 };

/** A form whose switches can be turned; nothing comes of it. */
export function lay(context: ContentContext): Content {
  const page = createPage(context);
  const { width, height } = context.size;
  const accent = page.plainColour('accent');
  let top = 10;
  let index = 0;
  for (const [head, rows] of groups) {
    page.text(head, { font: 'display', size: 19, weight: 500 }, { left: AROUND }, top, ROW);
    top += ROW;
    for (const [name, starts] of rows) {
      page.text(name, text(15), { left: AROUND }, top, ROW, width - 2 * AROUND - 150);
      if (top + ROW <= height) {
        if (typeof starts === 'boolean') {
          const isOn = starts !== context.turned.includes(index);
          const rect = { x: width - AROUND - SWITCH.width, y: top + (ROW - SWITCH.height) / 2, ...SWITCH };
          page.box(rect, isOn ? accent : 'softInk', { opacity: isOn ? 1 : 0.35, radius: 9 });
          page.box(
            { x: rect.x + (isOn ? 18 : 2), y: rect.y + 2, width: 14, height: 14 },
            isOn ? page.plainColour('ground') : 'ink',
            { radius: 7 },
          );
          page.press(
            { x: AROUND, y: top, width: width - 2 * AROUND, height: ROW },
            name,
            { by: 'turn', index },
            isOn,
          );
        } else {
          const track = { x: width - AROUND - 130, y: top + ROW / 2 - 2, width: 90, height: 4 };
          page.box(track, 'softInk', { opacity: 0.35, radius: 2 });
          page.box({ ...track, width: (90 * starts) / 100 }, accent, { radius: 2 });
          page.box({ x: track.x + (90 * starts) / 100 - 7, y: track.y - 5, width: 14, height: 14 }, 'ink', {
            radius: 7,
          });
          page.text(String(starts), figures(14, { colour: 'softInk' }), { right: width - AROUND }, top, ROW);
        }
      }
      page.box({ x: AROUND, y: top + ROW - 1, width: width - 2 * AROUND, height: 1 }, 'ink', {
        opacity: 0.1,
      });
      top += ROW;
      index++;
    }
    top += 8;
  }
  return page.lay();
}
