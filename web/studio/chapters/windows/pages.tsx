import {
  Columns3,
  Contrast,
  Grid3x3,
  Keyboard,
  Layers,
  Minus,
  MonitorDot,
  Move,
  RectangleEllipsis,
  Scale,
  Type,
  type LucideIcon,
} from 'lucide-react';
import type { Desk } from '../../../../core/desk/desk.ts';
import { DesktopIcons } from '../../../../core/icons/desktop.ts';
import { DeskKey } from '../../../../core/menus/keys.ts';
import { Finish } from '../../../../core/values/finish.ts';
import { WindowHabit, windowForms, type WindowForm, type Windows } from '../../../../core/windows/schema.ts';
import { later } from '../../../later.ts';
import type { Page } from '../chapter.ts';

const FormPage = later(async () => ({ default: (await import('./form-page.tsx')).FormPage }));
const WindowFinishPage = later(async () => ({
  default: (await import('./window-finish-page.tsx')).WindowFinishPage,
}));
const DesktopIconsPage = later(async () => ({
  default: (await import('./desktop-icons-page.tsx')).DesktopIconsPage,
}));
const HabitsPage = later(async () => ({ default: (await import('./habits-page.tsx')).HabitsPage }));
const ShortcutsPage = later(async () => ({ default: (await import('./shortcuts-page.tsx')).ShortcutsPage }));
const DifferenceNote = later(async () => ({ default: (await import('./difference.tsx')).DifferenceNote }));

/** A page that is one of the forms by which windows are made. */
function formPage(
  id: WindowForm,
  title: string,
  icon: LucideIcon,
  under: string,
  also: string,
  note: (desk: Desk) => ReturnType<NonNullable<Page['note']>>,
): Page {
  const settings = windowForms[id];
  return {
    id,
    title,
    icon,
    under,
    also,
    settings: [settings],
    note,
    Body: ({ desk }) => <FormPage form={id} title={title} desk={desk} />,
  };
}

export const pages: readonly Page[] = [
  formPage('title', 'Title', Type, 'Frame', 'titlebar caption', ({ windows }) => titleNote(windows)),
  formPage('lines', 'Line and border', Minus, 'Frame', 'titlebar frame outline', ({ windows }) =>
    linesNote(windows),
  ),
  formPage(
    'buttons',
    'Buttons',
    RectangleEllipsis,
    'Frame',
    'close minimise maximise controls',
    ({ windows }) => buttonsNote(windows),
  ),
  {
    id: 'finish',
    title: 'Finish',
    icon: Layers,
    under: 'Frame',
    also: 'transparency opacity blur',
    settings: [Finish],
    fields: ['As the desk’s'],
    Body: WindowFinishPage,
    note: ({ windows }) => windows.finish?.kind ?? 'as the desk’s',
  },
  formPage('behind', 'Not in front', Contrast, 'Frame', 'inactive unfocused dim', (desk) => (
    <DifferenceNote desk={desk} />
  )),
  formPage(
    'gaps',
    'Tiling',
    Columns3,
    'How they stand',
    'margins spacing snapping',
    ({ windows: { gaps } }) => `${gaps.outer} px, ${gaps.inner} between`,
  ),
  formPage('moves', 'Moves', Move, 'How they stand', 'animations effects', ({ windows }) =>
    movesNote(windows),
  ),
  {
    id: 'habits',
    title: 'Habits',
    icon: Scale,
    under: 'How they stand',
    also: 'rules placement of applications',
    settings: [WindowHabit],
    Body: HabitsPage,
    note: ({ windows: { habits } }) => habits.length || 'none',
  },
  formPage(
    'workspaces',
    'Workspaces',
    MonitorDot,
    'Around them',
    'virtual desktops',
    ({ workspaces, windows }) => `${workspaces.length} in a ${windows.workspaces.arranged}`,
  ),
  {
    id: 'icons',
    title: 'Desktop icons',
    icon: Grid3x3,
    under: 'Around them',
    also: 'files shortcuts grid',
    settings: [DesktopIcons],
    Body: DesktopIconsPage,
    note: ({ desktopIcons }) => desktopIcons.shown,
  },
  {
    id: 'shortcuts',
    title: 'Shortcuts',
    icon: Keyboard,
    under: 'Around them',
    also: 'hotkeys keybindings keyboard bindings',
    settings: [DeskKey],
    Body: ShortcutsPage,
    note: ({ keys }) => keys.filter(({ shortcut }) => shortcut).length,
  },
];

const alignments = { left: 'left', centre: 'middle', right: 'right' } as const;

function titleNote({ title }: Windows): string {
  return title.shown === 'never' ? 'never' : `${title.height} px, ${alignments[title.align]}`;
}

function linesNote({ lines }: Windows): string {
  const line = lines.line > 0 ? `${lines.line} px` : 'no line';
  return lines.border > 0 ? `${line}, border ${lines.border} px` : line;
}

function buttonsNote({ buttons }: Windows): string {
  return buttons.list.length === 0 ? 'none' : `${buttons.list.length} ${buttons.shape}, ${buttons.side}`;
}

function movesNote({ moves }: Windows): string {
  const moving = Object.values(moves).filter(({ way }) => way !== 'none');
  return moving.length === 0 ? 'none' : `up to ${Math.max(...moving.map(({ ms }) => ms))} ms`;
}
