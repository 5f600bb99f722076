import type { WidgetContext } from '../kinds/kind.ts';
import type { Inked, Layout, LineStyle, Paint } from '../kinds/layout.ts';
import { chosenFont, type TypeChoice } from '../kinds/options.ts';
import { createSheet } from '../kinds/sheet.ts';
import { deskActs, type DeskAct } from '../menus/acts.ts';
import { openedMenus } from '../menus/openers.ts';
import type { Rect } from '../values/geometry.ts';
import { BUTTON_FILL, type ButtonFace } from './buttons.ts';

/** Buttons that do what a desk in use can be told: how switches and the session show theirs. */

/** An act of the desk, or going to a workspace by its index. */
export type Does = DeskAct | { workspace: number };

export interface ButtonsView {
  buttons: { does: Does; title: string; icon: string; isOn: boolean | null }[];
  size: number;
  isUpright: boolean;
  type: TypeChoice;
  colour: Paint;
}

export interface ButtonsLayout extends Layout {
  buttons: { rect: Rect; icon: Rect }[];
}

/** Whether something that is switched is on; null for what only happens. */
function stateOf(act: DeskAct, { half, isPlain, isQuiet }: WidgetContext): boolean | null {
  switch (act) {
    case 'half':
      return half === 'dark';
    case 'effects':
      return !isPlain;
    case 'quiet':
      return isQuiet;
    default:
      return null;
  }
}

const shortTitles: Partial<Record<DeskAct, string>> = {
  half: 'Dark',
  effects: 'Effects',
  quiet: 'Quiet',
  'next-backdrop': 'Backdrop',
  'next-workspace': 'Next',
  'previous-workspace': 'Back',
  sound: 'Play',
  ...Object.fromEntries(openedMenus.map(({ opener: { act, short } }) => [act, short])),
  arrange: 'Arrange',
  overview: 'Overview',
  'clear-view': 'Clear view',
  'tile-columns': 'Columns',
  'tile-halves': 'Halves',
  'tile-grid': 'Grid',
  'tile-stack': 'Stack',
};

export function viewButtons(
  all: readonly Does[],
  { size, isUpright, type, colour }: Pick<ButtonsView, 'size' | 'isUpright' | 'type'> & { colour: Paint },
  context: WidgetContext,
): ButtonsView {
  return { buttons: all.map((does) => buttonFor(does, context)), size, isUpright, type, colour };
}

function buttonFor(does: Does, context: WidgetContext): ButtonsView['buttons'][number] {
  if (typeof does !== 'string') {
    const { workspaces, workspace } = context;
    const title = workspaces[does.workspace]?.name ?? `No workspace ${does.workspace + 1}`;
    return { does, title, icon: 'computer', isOn: workspace === does.workspace };
  }
  return {
    does,
    title: shortTitles[does] ?? deskActs[does].title,
    icon: does === 'half' && context.half === 'light' ? 'weather-clear' : deskActs[does].icon,
    isOn: stateOf(does, context),
  };
}

export function layButtons(view: ButtonsView, face: ButtonFace, { fonts }: WidgetContext): ButtonsLayout {
  const { buttons, size, isUpright, type } = view;
  const sheet = createSheet(fonts);
  const text: LineStyle = { font: chosenFont(type, 'text'), size: Math.round(size * 0.36), weight: 500 };
  const gap = Math.round(size * 0.25);
  const icon = Math.round(size * 0.5);
  const lines = buttons.map(({ title }) => sheet.line(title, text));
  const widest = Math.max(size, ...lines.map(({ room }) => size * 0.9 + room + size * 0.35));
  let along = 0;
  return sheet.lay({
    buttons: lines.map((line) => {
      const isWide = face !== 'round';
      const width = face === 'list' ? widest : isWide ? size * 0.9 + line.room + size * 0.35 : size;
      const down = face === 'list' || isUpright;
      const rect = sheet.keep({ x: down ? 0 : along, y: down ? along : 0, width, height: size });
      along += (down ? size : width) + (face === 'list' ? Math.round(gap / 3) : gap);
      if (isWide) {
        const { ink } = sheet.middle(line, { left: rect.x + size * 0.9 }, rect.y, size);
        sheet.back(ink, 'ink', BUTTON_FILL);
      }
      const left = isWide ? rect.x + size * 0.25 : rect.x + (size - icon) / 2;
      return { rect, icon: { x: left, y: rect.y + (size - icon) / 2, width: icon, height: icon } };
    }),
  });
}

export const inkedButtons = ({ buttons }: ButtonsView, laid: ButtonsLayout): Inked[] =>
  laid.buttons.map(({ icon }, index) => ({
    what: `The sign of ${buttons[index]?.title ?? 'a button'}`,
    rect: icon,
    colour: 'ink',
  }));
