import type { EdgeFrame } from '../arrange/schema.ts';
import { createDock, createItem, createPanel } from './defaults.ts';
import type { Desk } from './desk.ts';
import type { Edge, Item } from './shapes/edges.ts';
import type { ItemType } from '../items/list.ts';

/** Edges of ours, to start from or to become. */
export interface Strip {
  id: string;
  title: string;
  /** How an edge that is there becomes one: its items stay. Absent where it takes more than one. */
  frame?: Partial<EdgeFrame>;
  make(desk: Desk, screen: string): Edge[];
}

/** New items of some kinds, in order. */
export const items = (...types: ItemType[]): Item[] =>
  types.map((type, index) => createItem(`${type}-${index}`, type));

/** Items that start the desk's first applications. */
export function starters({ applications }: Desk, most: number): Item[] {
  return applications
    .slice(0, most)
    .map(({ id }) => createItem(`starter-${id}`, 'application', { application: id }));
}

/** What a strip starts with stands on it; whoever changes to it keeps what he has. */
const slim: Partial<EdgeFrame> = {
  kind: 'panel',
  side: 'top',
  length: { by: 'side' },
  align: 'start',
  offset: 0,
  thickness: 28,
  iconSize: 15,
  margin: 0,
  padding: 12,
  spacing: 8,
  backing: 'strip',
  keepsWindowsOff: true,
};

const full: Partial<EdgeFrame> = {
  ...slim,
  side: 'bottom',
  thickness: 52,
  iconSize: 28,
  padding: 10,
  spacing: 6,
};

const floating: Partial<EdgeFrame> = {
  kind: 'dock',
  side: 'bottom',
  length: { by: 'items' },
  align: 'centre',
  offset: 0,
  thickness: 72,
  iconSize: 40,
  margin: 20,
  padding: 12,
  spacing: 14,
  backing: 'strip',
  growth: { factor: 1.35, reach: 140 },
  labels: true,
  keepsWindowsOff: false,
};

const rail: Partial<EdgeFrame> = {
  ...slim,
  side: 'left',
  thickness: 56,
  iconSize: 26,
  padding: 14,
  spacing: 8,
};

const hanging: Partial<EdgeFrame> = {
  ...slim,
  length: { by: 'items' },
  align: 'end',
  thickness: 40,
  iconSize: 20,
  padding: 18,
};

export const strips: readonly Strip[] = [
  {
    id: 'slim',
    title: 'A slim strip above',
    frame: slim,
    make: (_, screen) => [
      {
        ...createPanel(
          'slim',
          screen,
          'top',
          items('app-list', 'workspaces', 'spring', 'date', 'clock', 'spring', 'tray'),
        ),
        ...slim,
      },
    ],
  },
  {
    id: 'full',
    title: 'A full strip below',
    frame: full,
    make: (desk, screen) => [
      {
        ...createPanel('full', screen, 'bottom', [
          ...items('app-list', 'divider'),
          ...starters(desk, 5),
          ...items('spring', 'tray', 'divider', 'clock'),
        ]),
        ...full,
      },
    ],
  },
  {
    id: 'floating',
    title: 'A dock that floats',
    frame: floating,
    make: (desk, screen) => [
      { ...createDock('floating', screen, 'bottom', desk.look.finish, starters(desk, 7)), ...floating },
    ],
  },
  {
    id: 'rail',
    title: 'Rail at the side',
    frame: rail,
    make: (desk, screen) => [
      {
        ...createPanel('rail', screen, 'left', [
          ...items('app-list'),
          ...starters(desk, 6),
          ...items('spring', 'tray', 'clock'),
        ]),
        ...rail,
      },
    ],
  },
  {
    id: 'hanging',
    title: 'Hung from a corner',
    frame: hanging,
    make: (_, screen) => [
      {
        ...createPanel('hanging', screen, 'top', items('workspaces', 'divider', 'tray', 'date')),
        ...hanging,
      },
    ],
  },
  {
    id: 'concert',
    title: 'Two in concert',
    make: (desk, screen) => [
      {
        ...createPanel('signs', screen, 'top', items('app-list', 'workspaces', 'spring', 'tray', 'clock')),
        ...slim,
        thickness: 34,
        iconSize: 18,
      },
      { ...createDock('starters', screen, 'bottom', desk.look.finish, starters(desk, 6)), ...floating },
    ],
  },
];
