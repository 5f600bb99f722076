import { noArrangements } from '../shapes/arrangements.ts';
import {
  createApplication,
  createBackdrop,
  createFonts,
  createItem,
  createMotif,
  createWidget,
} from '../defaults.ts';
import { FORMAT, type Desk } from '../desk.ts';
import type { Application } from '../shapes/applications.ts';
import type { Item } from '../shapes/edges.ts';
import type { Widget } from '../shapes/widgets.ts';
import { plainDesktopIcons } from '../../icons/desktop.ts';
import { plainKeys } from '../../menus/keys.ts';
import { plainMenus } from '../../menus/schema.ts';
import { plainOutside } from '../../sources/outside.ts';
import { plainSound } from '../../sources/sound/schema.ts';
import type { Look } from '../../look/schema.ts';
import { marrowTide } from '../../sources/tide/tide.ts';
import { plainUnits } from '../../sources/units.ts';
import { isOwn } from '../../values/family.ts';
import { plainWindows } from '../../windows/schema.ts';
import { kitKindOf, type Kit, type KitFacts } from './kit.ts';

/**
 * A kit of some kinds of a desk's dress: on a desk that stands as this one does and shows nothing of anybody's own, neither
 * texts nor places, addresses, applications or habits.
 */
export function kitOf(desk: Desk, facts: KitFacts): Kit {
  const mannequin = undressed(desk, facts);
  for (const key of facts.kinds) kitKindOf(key)?.wear(mannequin, desk);
  // Fonts of one's own in which nothing is set stay at home.
  const named = new Set<string>(Object.values(mannequin.look.fonts).map(({ family }) => family));
  mannequin.look.ownFonts = mannequin.look.ownFonts.filter(({ id }) => named.has(id));
  return { ...facts, desk: mannequin };
}

/** A desk whose parts stand where those of another stand, and are as they come. */
function undressed(desk: Desk, facts: KitFacts): Desk {
  const started = new Set(
    desk.edges.flatMap(({ items }) => items.map(({ options }) => options['application'])),
  );
  const applications = new Map(
    desk.applications
      .filter(({ id }) => started.has(id))
      .map(({ id, Icon }, index) => [
        id,
        createApplication(`application-${index + 1}`, `Application ${index + 1}`, {
          Icon: isOwn(Icon) ? 'application-x-executable' : Icon,
        }),
      ]),
  );
  const { half, finish, icons, pointer, roles } = desk.look;
  return {
    ...bareMannequin(facts, { half, finish, icons, pointer, roles }),
    screens: desk.screens.map((screen, index) => ({ ...screen, name: `Screen ${index + 1}` })),
    applications: [...applications.values()],
    edges: desk.edges.map((edge) => ({
      ...structuredClone(edge),
      items: edge.items.map((item) => plainItem(item, applications)),
    })),
    widgets: desk.widgets.map((widget) => plainWidget(widget, desk)),
  };
}

/** A desk with nothing on it, of nobody. */
export function bareMannequin(
  { id, name }: Pick<KitFacts, 'id' | 'name'>,
  look: Pick<Look, 'half' | 'finish' | 'icons' | 'pointer' | 'roles'>,
): Desk {
  // What desks begin with is shared: nothing of it is changed.
  return structuredClone<Desk>({
    format: FORMAT,
    id,
    name,
    wears: null,
    arrangements: noArrangements,
    seed: 1,
    place: { name: 'Nowhere', latitude: 0, longitude: 0, zone: 'Etc/UTC' },
    screens: [{ id: 'main', name: 'Screen 1', width: 1920, height: 1080, scaleFactor: 1, x: 0, y: 0 }],
    workspaces: [
      { id: 'one', name: 'One' },
      { id: 'two', name: 'Two' },
    ],
    applications: [],
    look: {
      held: [],
      parted: false,
      follows: null,
      terminal: { light: null, dark: null },
      fonts: createFonts('fraunces', 'figtree', 'fraunces'),
      ownFonts: [],
      finishes: [],
      ...look,
    },
    backdrops: [createBackdrop('backdrop', createMotif('tide', 3, { colours: 'palette' }))],
    edges: [],
    widgets: [],
    groups: [],
    menus: plainMenus,
    keys: plainKeys,
    sources: { units: plainUnits, tide: marrowTide, outside: plainOutside, sound: plainSound },
    windows: plainWindows,
    desktopIcons: plainDesktopIcons,
  });
}

function plainItem({ id, type, face, options }: Item, applications: ReadonlyMap<string, Application>): Item {
  const started = applications.get(String(options['application']));
  return createItem(id, type, started ? { application: started.id } : {}, face);
}

function plainWidget({ id, type, face, place, scale }: Widget, desk: Desk): Widget {
  return { ...createWidget({ id, type, face, place, deskFinish: desk.look.finish }), scale };
}
