import { ourIcons } from '../icons/schema.ts';
import { drawRoles } from '../colour/scheme.ts';
import {
  createBackdrop,
  createDock,
  createFonts,
  createItem,
  createMotif,
  createPanel,
  createWidget,
} from '../desk/defaults.ts';
import type { Desk } from '../desk/desk.ts';
import type { EdgeFrame } from '../arrange/schema.ts';
import { itemKinds } from '../items/list.ts';
import type { Finish } from '../values/finish.ts';
import { widgetKinds, type WidgetType } from '../widgets/list.ts';
import { byDay } from './by-day.ts';
import { byNight } from './by-night.ts';
import type { Thought } from './thought.ts';
import { plainWindows } from '../windows/schema.ts';
import { kitKinds, type Kit } from '../desk/kits/kit.ts';
import { bareMannequin } from '../desk/kits/mannequin.ts';

const thoughts = [...byDay, ...byNight];

/** The kit of a thought: on a desk with one of each kind. */
function made(thought: Thought): Kit {
  const { id, name, notes } = thought;
  const facts = { id, name, notes, version: 1, by: 'Velvet Ledge', kinds: kitKinds.map(({ key }) => key) };
  return { ...facts, desk: mannequinOf(thought) };
}

function mannequinOf(thought: Thought): Desk {
  const { half, colours, way, finish, icons, pointer, fonts, letters = {}, windows, motif } = thought;
  const swatches = Object.entries(colours).map(([colour, share]) => ({ colour, share }));
  const roles = drawRoles(swatches, way);
  const bare = bareMannequin(thought, {
    half: { by: 'choice', half },
    finish,
    icons: ourIcons(icons),
    pointer,
    roles,
  });
  const { title, lines, buttons, behind, gaps } = plainWindows;
  const set = createFonts(...fonts);
  const place = { hangs: { from: 'free' as const, screen: 'main', point: 'centre' as const }, x: 0, y: 0 };
  const items = itemKinds.map(({ type }) => createItem(`item-${type}`, type, {}, thought.itemFaces[type]));
  return {
    ...bare,
    look: {
      ...bare.look,
      fonts: {
        ...set,
        display: { ...set.display, weight: letters.weight ?? 0, spacing: letters.spacing ?? 0 },
      },
    },
    backdrops: [createBackdrop('backdrop', createMotif(motif[0], motif[1], { colours: 'palette' }))],
    windows: {
      ...bare.windows,
      title: { ...title, ...windows.title },
      lines: { ...lines, ...windows.lines },
      buttons: { ...buttons, ...windows.buttons },
      behind: { ...behind, ...windows.behind },
      gaps: { ...gaps, ...windows.gaps },
    },
    edges: [
      {
        ...createPanel('panel', 'main', 'top', items),
        finish: stripFinish(finish, thought.panel),
        ...thought.panel,
      },
      {
        ...createDock('dock', 'main', 'bottom', finish, []),
        finish: stripFinish(finish, thought.dock),
        ...thought.dock,
      },
    ],
    widgets: [
      ...widgetKinds.map(({ type }) => ({ id: type, type, face: thought.faces[type] })),
      ...SMALL,
    ].map(({ id, type, face }) => {
      const widget = createWidget({ id, type, face, place, deskFinish: finish });
      const isBare = (thought.bare.includes(type) && id === type) || ALWAYS_BARE.includes(type);
      return {
        ...widget,
        finish: isBare ? { ...finish, kind: 'bare' as const, shadow: 0 } : null,
      };
    }),
  };
}

/** What further clocks and meters look like: the first is the large one. */
const SMALL: readonly { id: string; type: WidgetType; face: string }[] = [
  { id: 'small-clock', type: 'clock', face: 'line' },
  { id: 'small-machine', type: 'machine', face: 'graph' },
];

/** What an edge is made of: the desk’s finish where it has a surface, nothing where it has none. */
function stripFinish(finish: Finish, { backing }: Partial<EdgeFrame>): Finish | null {
  return backing === 'strip' || backing === 'side' ? null : { ...finish, kind: 'bare', shadow: 0 };
}

/** What brings its own surface, or is one. */
const ALWAYS_BARE: readonly WidgetType[] = ['shape', 'picture', 'spectrum', 'tiles', 'session'];

/** Whether a kit is one of ours: it is there for all desks, and is never changed. */
export const isOurs = (id: string): boolean => thoughts.some((thought) => thought.id === id);

let all: readonly Kit[] | null = null;

/** The kits that come with the project. */
export function ourKits(): readonly Kit[] {
  all ??= thoughts.map(made);
  return all;
}
