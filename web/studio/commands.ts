import { named } from '../../core/desk/edits/edit.ts';
import { allEyes, chapterTitles, chapters, pages, useView } from '../stores/view.ts';
import { presentDesk, useDesk } from '../session/desk.ts';
import { useScene } from '../session/scene.ts';
import { useConditions } from '../session/conditions.ts';
import { themes, useTheme } from '../stores/theme.ts';
import { api } from '../api/client.ts';
import { edits } from '../../core/desk/edits/edits.ts';
import { strayParts } from '../../core/desk/edits/parts.ts';
import { widgetKinds } from '../../core/widgets/list.ts';
import type { Alignment } from '../../core/values/place.ts';
import {
  addEdge,
  addWidget,
  alignSelection,
  distributeSelection,
  duplicateSelection,
  leave,
  nudgeSelection,
  orderSelection,
  removeSelection,
  selectAllWidgets,
  selectedParts,
  toggleFlag,
} from './acts.ts';

export const groups = ['Desk', 'Selection', 'Add', 'Go to', 'Moment', 'Interface'] as const;

/** One thing that can be done. Keys, menus, the command search and the list of shortcuts all come from here. */
export interface Command {
  id: string;
  title: string;
  group: (typeof groups)[number];
  /** Such as `Ctrl+Shift+Z`; Ctrl stands for the Command key too. */
  keys?: readonly string[];
  /** Said in the list of shortcuts only. */
  isKeyOnly?: boolean;
  isAvailable?: () => boolean;
  run: () => void;
}

const hasWidgets =
  (least = 1) =>
  () =>
    selectedParts().widgets.length >= least;
const hasSelection = () => useView.getState().selection.length > 0;

function nudges(): Command[] {
  const ways = [
    ['ArrowLeft', -1, 0],
    ['ArrowRight', 1, 0],
    ['ArrowUp', 0, -1],
    ['ArrowDown', 0, 1],
  ] as const;
  return [1, 10].flatMap((by) =>
    ways.map(([key, x, y]): Command => ({
      id: `nudge-${key}-${by}`,
      title: by === 1 ? 'Move by 1 px' : 'Move by 10 px',
      group: 'Selection',
      keys: [by === 1 ? key : `Shift+${key}`],
      isKeyOnly: true,
      isAvailable: hasSelection,
      run: () => nudgeSelection({ x: x * by, y: y * by }),
    })),
  );
}

const alignTitles: Record<'x' | 'y', Record<Alignment, string>> = {
  x: { start: 'Align left', centre: 'Align centres across', end: 'Align right' },
  y: { start: 'Align top', centre: 'Align centres down', end: 'Align bottom' },
};

function alignings(): Command[] {
  return (['x', 'y'] as const).flatMap((axis) => [
    ...(['start', 'centre', 'end'] as const).map((align): Command => ({
      id: `align-${axis}-${align}`,
      title: alignTitles[axis][align],
      group: 'Selection',
      isAvailable: hasWidgets(2),
      run: () => alignSelection(axis, align),
    })),
    {
      id: `distribute-${axis}`,
      title: axis === 'x' ? 'Distribute across' : 'Distribute down',
      group: 'Selection',
      isAvailable: hasWidgets(3),
      run: () => distributeSelection(axis),
    },
  ]);
}

function ordering(): Command[] {
  const ways = [
    ['front', 'Bring to the front', 'Ctrl+Shift+]'],
    ['forward', 'Bring forward', 'Ctrl+]'],
    ['behind', 'Send backward', 'Ctrl+['],
    ['back', 'Send to the back', 'Ctrl+Shift+['],
  ] as const;
  return ways.map(([to, title, keys]) => ({
    id: `order-${to}`,
    title,
    group: 'Selection',
    keys: [keys],
    isAvailable: hasWidgets(),
    run: () => orderSelection(to),
  }));
}

export const commands: readonly Command[] = [
  {
    id: 'undo',
    title: 'Undo',
    group: 'Desk',
    keys: ['Ctrl+Z'],
    isAvailable: () => canUndo(),
    run: () => useDesk.getState().undo(),
  },
  {
    id: 'redo',
    title: 'Redo',
    group: 'Desk',
    keys: ['Ctrl+Shift+Z', 'Ctrl+Y'],
    isAvailable: () => canRedo(),
    run: () => useDesk.getState().redo(),
  },
  { id: 'rename', title: 'Rename the desk', group: 'Desk', run: () => useView.getState().open('rename') },
  { id: 'export', title: 'Save as a file (.ledge)', group: 'Desk', run: exportDesk },
  {
    id: 'history',
    title: 'History of the desk',
    group: 'Desk',
    run: () => useView.getState().open('history'),
  },
  {
    id: 'place',
    title: 'Place on earth and time zone',
    group: 'Desk',
    run: () => useView.getState().open('place'),
  },
  {
    id: 'workspaces',
    title: 'Workspaces',
    group: 'Desk',
    run: () => useView.getState().open('workspaces'),
  },
  { id: 'screens', title: 'Screens', group: 'Desk', run: () => useView.getState().open('screen') },
  {
    id: 'half',
    title: 'Switch between the light and the dark half',
    group: 'Desk',
    keys: ['Shift+D'],
    run: switchHalf,
  },
  {
    id: 'follow',
    title: 'Make all follow the desk',
    group: 'Desk',
    isAvailable: () => hasStrayParts(),
    run: () => void useDesk.getState().edit(edits.followAll()),
  },
  {
    id: 'legibility',
    title: 'Show on the stage how texts can be read',
    group: 'Desk',
    keys: ['Shift+L'],
    run: () => useView.getState().setLegibility(!useView.getState().showsLegibility),
  },
  {
    id: 'eyes',
    title: 'See the stage with the next kind of eyes',
    group: 'Desk',
    run: () => {
      const { eyes, setEyes } = useView.getState();
      setEyes(allEyes[(allEyes.indexOf(eyes) + 1) % allEyes.length] ?? 'usual');
    },
  },

  {
    id: 'remove',
    title: 'Remove',
    group: 'Selection',
    keys: ['Delete', 'Backspace'],
    isAvailable: hasSelection,
    run: removeSelection,
  },
  {
    id: 'duplicate',
    title: 'Duplicate',
    group: 'Selection',
    keys: ['Ctrl+D'],
    isAvailable: () => selectedParts().widgets.length > 0 || selectedParts().item !== null,
    run: duplicateSelection,
  },
  {
    id: 'lock',
    title: 'Lock or unlock',
    group: 'Selection',
    keys: ['L'],
    isAvailable: hasWidgets(),
    run: () => toggleFlag('locked'),
  },
  {
    id: 'clicks',
    title: 'Let clicks through or take them',
    group: 'Selection',
    isAvailable: hasWidgets(),
    run: () => toggleFlag('clicksThrough'),
  },
  ...ordering(),
  ...alignings(),
  { id: 'all', title: 'Select all widgets', group: 'Selection', keys: ['Ctrl+A'], run: selectAllWidgets },
  {
    id: 'leave',
    title: 'Leave: up to the edge, to nothing, out of Try',
    group: 'Selection',
    keys: ['Escape'],
    isKeyOnly: true,
    run: leave,
  },
  ...nudges(),

  ...widgetKinds.flatMap((kind) =>
    kind.faces.map((face): Command => ({
      id: `add-${kind.type}-${face.id}`,
      title: `Add ${kind.title.toLowerCase()}, ${face.title.toLowerCase()}`,
      group: 'Add',
      run: () => addWidget(kind.type, face.id),
    })),
  ),
  { id: 'add-panel', title: 'Add panel', group: 'Add', run: () => addEdge('panel') },
  { id: 'add-dock', title: 'Add dock', group: 'Add', run: () => addEdge('dock') },

  ...chapters.map((chapter, index): Command => ({
    id: `chapter-${chapter}`,
    title: chapterTitles[chapter],
    group: 'Go to',
    keys: [String(index + 1)],
    run: () => useView.getState().goToChapter(chapter),
  })),
  ...chapters.flatMap((chapter) =>
    Object.entries(pages[chapter]).map(([page, title]: [string, string]): Command => ({
      id: `page-${chapter}-${page}`,
      title: `${chapterTitles[chapter]}: ${title.toLowerCase()}`,
      group: 'Go to',
      run: () => useView.getState().goToChapter(chapter, page),
    })),
  ),
  { id: 'shelf', title: 'Shelf', group: 'Go to', run: () => navigateTo('/') },
  { id: 'live', title: 'Go live', group: 'Go to', run: () => navigateTo(`/live/${presentDesk()?.id ?? ''}`) },

  {
    id: 'now',
    title: 'Back to now',
    group: 'Moment',
    keys: ['N'],
    run: () => useConditions.getState().goNow(),
  },
  {
    id: 'play',
    title: 'Play or stop the day',
    group: 'Moment',
    keys: ['P'],
    run: () => useConditions.getState().setPlaying(!useConditions.getState().isPlaying),
  },

  {
    id: 'try',
    title: 'Arrange or Try',
    group: 'Interface',
    keys: ['T'],
    run: () => useView.getState().setMode(useView.getState().mode === 'try' ? 'arrange' : 'try'),
  },
  {
    id: 'commands',
    title: 'Search commands',
    group: 'Interface',
    keys: ['Ctrl+K'],
    isKeyOnly: true,
    run: () => useView.getState().open('commands'),
  },
  {
    id: 'shortcuts',
    title: 'All shortcuts',
    group: 'Interface',
    keys: ['?'],
    run: () => useView.getState().open('shortcuts'),
  },
  ...themes.map((theme): Command => ({
    id: `theme-${theme}`,
    title: theme === 'system' ? 'Interface as the system is' : `Interface in ${theme}`,
    group: 'Interface',
    run: () => useTheme.getState().setTheme(theme),
  })),
];

export const commandsById: ReadonlyMap<string, Command> = new Map(
  commands.map((command) => [command.id, command]),
);

function canUndo(): boolean {
  const { history } = useDesk.getState();
  return history !== null && (history.past.length > 0 || history.gesture !== null);
}

function canRedo(): boolean {
  return (useDesk.getState().history?.future.length ?? 0) > 0;
}

function switchHalf(): void {
  const half = useScene.getState().scene?.half === 'dark' ? 'light' : 'dark';
  useDesk.getState().edit(named(`Switch to the ${half} half`, edits.setHalf({ by: 'choice', half })));
}

function exportDesk(): void {
  const desk = presentDesk();
  if (!desk) return;
  const link = document.createElement('a');
  link.href = api.bundleAddress(desk.id);
  link.download = '';
  link.click();
}

/** Set by the studio: commands are no components, and can't ask the router themselves. */
let navigateTo: (path: string) => void = () => {};
export function setNavigate(navigate: (path: string) => void): void {
  navigateTo = navigate;
}

function hasStrayParts(): boolean {
  const desk = presentDesk();
  return desk !== null && strayParts(desk).length > 0;
}
