import type { Alignment } from '../../../core/values/place.ts';
import { presentDesk } from '../../session/desk.ts';
import { useView } from '../../stores/view.ts';
import {
  alignSelection,
  distributeSelection,
  duplicateSelection,
  leave,
  moveToNextScreen,
  nudgeSelection,
  orderSelection,
  removeSelection,
  selectAllWidgets,
  selectedParts,
  toggleFlag,
} from '../parts/acts.ts';
import { groupSelection, selectedGroup, ungroupSelection } from '../parts/groups.ts';
import { typableSelection, typeInPlace } from '../stage/layers/typing.ts';
import { copySelection, cutSelection, pasteParts } from '../parts/clipboard.ts';
import type { Command } from './command.ts';
import { copyDress, canPasteDress, pasteDress } from '../parts/dress.ts';

const hasWidgets =
  (least = 1) =>
  () =>
    selectedParts().widgets.length >= least;
const hasSelection = () => useView.getState().selection.length > 0;

function lockable(): readonly { locked: boolean }[] {
  const { widgets, edges } = selectedParts();
  return [...edges, ...widgets];
}

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

const all: readonly Command[] = [
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
  { id: 'copy', title: 'Copy', group: 'Selection', isAvailable: hasSelection, run: copySelection },
  { id: 'cut', title: 'Cut', group: 'Selection', isAvailable: hasSelection, run: cutSelection },
  { id: 'paste', title: 'Paste', group: 'Desk', run: pasteParts },
  {
    id: 'copy-dress',
    title: 'Copy the style',
    also: 'style look format',
    group: 'Selection',
    keys: ['Ctrl+Alt+C'],
    isAvailable: hasSelection,
    run: copyDress,
  },
  {
    id: 'paste-dress',
    title: 'Paste the style',
    also: 'style look format',
    group: 'Selection',
    keys: ['Ctrl+Alt+V'],
    isAvailable: canPasteDress,
    run: pasteDress,
  },
  {
    id: 'to-screen',
    title: 'Move to the next screen',
    also: 'monitor send',
    group: 'Selection',
    keys: ['M'],
    isAvailable: () =>
      (presentDesk()?.screens.length ?? 1) > 1 &&
      (selectedParts().widgets.length > 0 || selectedParts().edge !== null),
    run: moveToNextScreen,
  },
  {
    id: 'lock',
    title: 'Lock or unlock',
    titleNow: () => (lockable().every(({ locked }) => locked) ? 'Unlock' : 'Lock'),
    group: 'Selection',
    keys: ['L'],
    isAvailable: () => lockable().length > 0,
    run: () => toggleFlag('locked'),
  },
  {
    id: 'clicks',
    title: 'Let clicks through or take them',
    titleNow: () =>
      selectedParts().widgets.every(({ clicksThrough }) => clicksThrough)
        ? 'Take clicks'
        : 'Let clicks through',
    group: 'Selection',
    isAvailable: hasWidgets(),
    run: () => toggleFlag('clicksThrough'),
  },
  {
    id: 'group',
    title: 'Make one group',
    also: 'join set together',
    group: 'Selection',
    keys: ['Ctrl+G'],
    isAvailable: () => hasWidgets(2)() && selectedGroup() === null,
    run: groupSelection,
  },
  {
    id: 'ungroup',
    title: 'Ungroup',
    group: 'Selection',
    keys: ['Ctrl+Shift+G'],
    isAvailable: () => selectedGroup() !== null,
    run: ungroupSelection,
  },
  {
    id: 'type-in-place',
    title: 'Type in place',
    also: 'write edit text words note label',
    group: 'Selection',
    keys: ['F2'],
    isAvailable: () => typableSelection() !== null,
    run: () => typeInPlace(typableSelection() ?? ''),
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
];

/** What can be done to what is selected: nothing is while the desk is tried, and there is only the way out. */
export const selectionCommands: readonly Command[] = all.map((command) => ({
  ...command,
  isAvailable: () =>
    (command.id === 'leave' || useView.getState().mode === 'arrange') && (command.isAvailable?.() ?? true),
}));
