import type { Rect } from '../values/geometry.ts';
import type { Place } from '../values/place.ts';
import { createDock, createPanel, createWidget } from './defaults.ts';
import { items, starters } from './strips.ts';
import type { Desk } from './desk.ts';
import type { CarriedParts } from './parts-text.ts';

/** Parts that go well together, to start a bare desk from. */
export interface Composition {
  id: string;
  title: string;
  make(desk: Desk, screen: { id: string; rect: Rect }): CarriedParts;
}

const MARGIN = 48;
/** How many applications a composition starts with. */
const STARTERS = 6;

/** From a corner or a middle of the free area. */
function at(
  screen: string,
  point: 'top-left' | 'top-right' | 'bottom-left' | 'centre' | 'left',
  x: number,
  y: number,
): Place {
  return { hangs: { from: 'free', screen, point }, x, y };
}

export const compositions: readonly Composition[] = [
  {
    id: 'watch',
    title: 'A strip, a clock, a dock',
    make: (desk, { id }) => ({
      edges: [
        {
          ...createPanel('strip', id, 'top', items('app-list', 'workspaces', 'spring', 'tray', 'date')),
          length: { by: 'side' },
        },
        createDock('dock', id, 'bottom', desk.look.finish, starters(desk, STARTERS)),
      ],
      widgets: [
        createWidget({
          id: 'clock',
          type: 'clock',
          face: 'serif',
          place: at(id, 'top-left', MARGIN, MARGIN),
          deskFinish: desk.look.finish,
        }),
      ],
      items: [],
    }),
  },
  {
    id: 'rail',
    title: 'A rail at the side',
    make: (desk, { id }) => ({
      edges: [
        {
          ...createPanel('rail', id, 'left', [
            ...items('app-list'),
            ...starters(desk, STARTERS),
            ...items('spring', 'tray', 'clock'),
          ]),
          length: { by: 'side' },
          thickness: 56,
          iconSize: 26,
        },
      ],
      widgets: [
        createWidget({
          id: 'clock',
          type: 'clock',
          face: 'stack',
          place: at(id, 'left', 3 * MARGIN, 0),
          deskFinish: desk.look.finish,
        }),
      ],
      items: [],
    }),
  },
  {
    id: 'readings',
    title: 'Readings, and a dock',
    make: (desk, { id }) => ({
      edges: [createDock('dock', id, 'bottom', desk.look.finish, starters(desk, STARTERS))],
      widgets: [
        createWidget({
          id: 'rings',
          type: 'machine',
          face: 'rings',
          place: at(id, 'top-right', MARGIN, MARGIN),
          deskFinish: desk.look.finish,
        }),
        createWidget({
          id: 'graph',
          type: 'machine',
          face: 'graph',
          place: { hangs: { from: 'part', part: 'rings', side: 'bottom', align: 'end' }, x: 0, y: 24 },
          deskFinish: desk.look.finish,
        }),
        createWidget({
          id: 'clock',
          type: 'clock',
          face: 'hands',
          place: at(id, 'bottom-left', MARGIN, MARGIN),
          deskFinish: desk.look.finish,
        }),
      ],
      items: [],
    }),
  },
];
