import type { Desk } from '../../desk/desk.ts';
import type { WindowFacts } from '../../kinds/kind.ts';
import { titleOf } from '../../windows/contents/list.ts';
import type { Application } from '../../desk/shapes/applications.ts';
import { formatBytes } from '../../sources/machine/units.ts';
import type { Readings } from '../../sources/readings.ts';
import { formatMoment } from '../../sources/time/time.ts';
import { deskActNames, deskActs, type DeskAct } from '../../menus/acts.ts';

/** What pressing an entry of a menu does. */
export type Does =
  | { by: 'start'; application: string; action?: string }
  | { by: 'act'; act: DeskAct }
  | { by: 'workspace'; index: number }
  | { by: 'say'; sentence: string }
  | { by: 'window'; window: string }
  | { by: 'folder'; folder: string | null }
  /** It tells something that can be taken along. */
  | { by: 'take'; text: string };

/** Something that a menu shows and a search finds. */
export interface Findable {
  /** One of a kind among all of a desk. */
  key: string;
  does: Does;
  name: string;
  /** More to find it by, and what it is for in a few words. */
  words: readonly string[];
  comment: string;
  /** What it is, in a word. */
  note: string;
  /** freedesktop icon name, and the application whose tile is under it. */
  icon: string;
  application: string | null;
}

export const keyOfApplication = (id: string) => `start ${id}`;

export function findableOf({ id, Name, Comment, Icon, Keywords }: Application): Findable {
  return {
    key: keyOfApplication(id),
    does: { by: 'start', application: id },
    name: Name,
    words: Keywords,
    comment: Comment,
    note: 'start',
    icon: Icon,
    application: id,
  };
}

/** What else applications can be started with. */
function actionsOf({ id, Name, Icon, Actions, Keywords }: Application): Findable[] {
  return Actions.map((action) => ({
    key: `start ${id} ${action.id}`,
    does: { by: 'start', application: id, action: action.id },
    name: `${Name}: ${action.Name}`,
    words: Keywords,
    comment: '',
    note: 'start',
    icon: Icon,
    application: id,
  }));
}

export function findableAct(act: DeskAct): Findable {
  const { title, icon } = deskActs[act];
  return { ...plain(`do ${act}`, title, icon), does: { by: 'act', act }, note: 'command' };
}

function findableWorkspaces({ workspaces }: Pick<Desk, 'workspaces'>): Findable[] {
  return workspaces.map(({ id, name }, index) => ({
    ...plain(`go ${id}`, `Go to ${name}`, 'computer'),
    does: { by: 'workspace', index },
    note: 'workspace',
  }));
}

const plain = (key: string, name: string, icon: string) => ({
  key,
  name,
  icon,
  words: [],
  comment: '',
  application: null,
});

/** Every reading as a line, as it is at the moment shown; what is not known is left out. */
function findableReadings(readings: Readings): Findable[] {
  const { value: sun } = readings.get('sun');
  const { value: moon } = readings.get('moon');
  const { processor, memory } = readings.get('machine').value;
  const { zone } = readings.place;
  const clock = (moment: number | null) =>
    moment === null ? 'none today' : formatMoment(moment, zone, 'HH:mm');
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  const line = (key: string, name: string, text: string, icon: string): Findable => ({
    ...plain(`reading ${key}`, `${name}: ${text}`, icon),
    words: [key],
    does: { by: 'take', text },
    note: 'reading',
  });
  return [
    line('time', 'Time', readings.text('HH:mm'), 'office-calendar'),
    line('date', 'Date', readings.text('EEEE d MMMM yyyy'), 'office-calendar'),
    line('sunrise', 'Sunrise', clock(sun.sunrise), 'weather-clear'),
    line('sunset', 'Sunset', clock(sun.sunset), 'weather-clear'),
    line('moon', moon.name, `${percent(moon.lit)} lit`, 'weather-clear-night'),
    ...(processor === null ? [] : [line('processor', 'Processor', percent(processor), 'speedometer-middle')]),
    ...(memory === null
      ? []
      : [
          line(
            'memory',
            'Memory',
            `${formatBytes(memory.used)} of ${formatBytes(memory.total)}`,
            'speedometer-middle',
          ),
        ]),
  ];
}

const known = new WeakMap<readonly Application[], readonly Findable[]>();

/** Applications and what else each can be started with; worked out once for the same list. */
function startable(applications: readonly Application[]): readonly Findable[] {
  let all = known.get(applications);
  if (!all) {
    all = [...applications.map(findableOf), ...applications.flatMap(actionsOf)];
    if (Object.isFrozen(applications)) known.set(applications, all);
  }
  return all;
}

/** The windows that are open, and where. */
function findableWindows(
  { applications, workspaces }: Desk,
  windows: readonly Pick<WindowFacts, 'id' | 'application' | 'workspace'>[],
): Findable[] {
  return windows.flatMap(({ id, application, workspace }) => {
    const of = applications.find((one) => one.id === application);
    const on = workspaces.find((one) => one.id === workspace);
    if (!of) return [];
    return [
      {
        key: `window ${id}`,
        does: { by: 'window' as const, window: id },
        name: titleOf(of),
        words: [of.Name],
        comment: '',
        note: on ? `open, ${on.name}` : 'open',
        icon: of.Icon,
        application,
      },
    ];
  });
}

/** All that quick find looks through. */
export function findablesOf(
  desk: Desk,
  readings: Readings,
  windows: readonly Pick<WindowFacts, 'id' | 'application' | 'workspace'>[] = [],
): Findable[] {
  const { quickFind } = desk.menus;
  return [
    ...(quickFind.applications ? [...findableWindows(desk, windows), ...startable(desk.applications)] : []),
    ...(quickFind.commands
      ? [...deskActNames.filter((act) => act !== 'quick-find').map(findableAct), ...findableWorkspaces(desk)]
      : []),
    ...(quickFind.readings ? findableReadings(readings) : []),
  ];
}
