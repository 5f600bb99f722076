import { chooseArrangement } from '../../session/arrangements.ts';
import { api } from '../../api/client.ts';
import { useConditions } from '../../session/conditions.ts';
import { presentDesk, useDesk } from '../../session/desk.ts';
import { themes, useTheme } from '../../stores/theme.ts';
import { currentScreen } from '../../stores/screen.ts';
import { useStage } from '../../stores/stage.ts';
import { useView } from '../../stores/view.ts';
import { showAll, showSelection, zoomBy, zoomTo } from '../stage/camera/stage-view.ts';
import type { Chapter } from '../chapters/chapter.ts';
import { chapters } from '../chapters/list.ts';
import type { Command } from './command.ts';
import { focusOnce } from '../column/first-field.ts';
import { liveAddress } from '../../stores/live-address.ts';
import { walkRegions } from '../regions.ts';
import { knowTaken } from './shortcuts.ts';
import { selectionCommands } from './selection-commands.ts';

/** By how much one press comes nearer. */
const ZOOM_STEP = 1.25;

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
    also: 'steps revisions versions undo',
    title: 'History of the desk',
    group: 'Desk',
    run: () => useView.getState().open('history'),
  },
  {
    id: 'keeps',
    also: 'snapshot save state restore point backup bookmark',
    title: 'Keep this state, or go back to one',
    group: 'Desk',
    keys: ['Ctrl+B'],
    run: () => useView.getState().open('keeps'),
  },
  ...Array.from({ length: 9 }, (_, index): Command => ({
    id: `arrangement-${index + 1}`,
    title: `Arrangement ${index + 1}`,
    titleNow: () => `Arrangement: ${presentDesk()?.arrangements.list[index]?.name ?? index + 1}`,
    also: 'layout',
    group: 'Desk',
    keys: [`Alt+${index + 1}`],
    isAvailable: () => presentDesk()?.arrangements.list[index] !== undefined,
    run: () => chooseArrangement(presentDesk()?.arrangements.list[index]?.id ?? ''),
  })),
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
  ...selectionCommands,
  ...chapters.flatMap(commandsOf),
  { id: 'shelf', title: 'Shelf', group: 'Go to', run: () => navigateTo('/') },
  {
    id: 'live',
    title: 'Go live',
    group: 'Go to',
    run: () => navigateTo(liveAddress(presentDesk()?.id ?? '', currentScreen()?.id ?? null)),
  },

  {
    id: 'time-of-day',
    title: 'Time of day',
    also: 'moment hour clock time travel preview sunrise sunset ledge',
    group: 'Moment',
    run: () => focusOnce(() => document.querySelector<HTMLElement>('[data-ledge] [role="slider"]')),
  },
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
    id: 'nearer',
    title: 'Nearer',
    also: 'zoom in magnify',
    group: 'Stage',
    keys: ['+', '='],
    run: () => zoomBy(ZOOM_STEP),
  },
  {
    id: 'further',
    title: 'Further',
    also: 'zoom out',
    group: 'Stage',
    keys: ['-'],
    run: () => zoomBy(1 / ZOOM_STEP),
  },
  {
    id: 'show-all',
    title: 'Show all of it',
    also: 'zoom fit whole',
    group: 'Stage',
    keys: ['0'],
    run: showAll,
  },
  {
    id: 'one-to-one',
    title: 'Show at 100 %',
    also: 'zoom actual size pixel 1:1',
    group: 'Stage',
    keys: ['Shift+Z'],
    run: () => zoomTo(1),
  },
  {
    id: 'show-selection',
    title: 'Go near what is selected',
    also: 'zoom to selection',
    group: 'Stage',
    keys: ['Z'],
    run: showSelection,
  },
  {
    id: 'together',
    title: 'All screens side by side, or one at a time',
    also: 'monitors',
    group: 'Stage',
    keys: ['S'],
    isAvailable: () => (presentDesk()?.screens.length ?? 1) > 1,
    run: () => useStage.setState(({ isTogether }) => ({ isTogether: !isTogether, near: null, peek: null })),
  },
  {
    id: 'try',
    title: 'Arrange or Try',
    group: 'Interface',
    keys: ['T'],
    run: () => useView.getState().setMode(useView.getState().mode === 'try' ? 'arrange' : 'try'),
  },
  {
    id: 'next-region',
    title: 'To the next region of the studio',
    group: 'Interface',
    keys: ['F6'],
    isKeyOnly: true,
    run: () => walkRegions(1),
  },
  {
    id: 'region-before',
    title: 'To the region before',
    group: 'Interface',
    keys: ['Shift+F6'],
    isKeyOnly: true,
    run: () => walkRegions(-1),
  },
  {
    id: 'commands',
    title: 'Search commands',
    group: 'Interface',
    keys: ['Ctrl+K'],
    isKeyOnly: true,
    run: () => {
      useView.setState({ query: '', isEntered: false });
      useView.getState().open('commands');
    },
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
knowTaken(commands);

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

/** How a chapter and its pages are reached, and what can be done in it. */
function commandsOf({ id, title, also, pages, commands: own = [] }: Chapter, index: number): Command[] {
  return [
    {
      id: `chapter-${id}`,
      title,
      also,
      group: 'Go to',
      keys: [String(index + 1)],
      run: () => useView.getState().goToChapter(id),
    },
    ...pages.map(({ id: page, title: of, also }): Command => ({
      id: `page-${id}-${page}`,
      title: `${title}: ${of.toLowerCase()}`,
      also,
      group: 'Go to',
      run: () => useView.getState().goToChapter(id, page),
    })),
    ...own,
  ];
}
