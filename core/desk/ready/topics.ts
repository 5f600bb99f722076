import { z } from 'zod';
import { Adjust } from '../../backdrop/schema.ts';
import { EdgeFrame } from '../../arrange/schema.ts';
import { Roles, Terminal } from '../../colour/schema.ts';
import { Icons } from '../../icons/schema.ts';
import { menuKeys } from '../../menus/schema.ts';
import { Pointer } from '../../pointer/schema.ts';
import { Finish } from '../../values/finish.ts';
import { windowForms } from '../../windows/schema.ts';
import { partsOf } from '../parts.ts';
import { defineTopic, partsAt, type Topic } from './topic.ts';

const surface = defineTopic({
  key: 'surface',
  title: 'surface',
  plural: 'surfaces',
  schema: Finish,
  at(desk, target) {
    const { finish } = desk.look;
    switch (target.by) {
      case 'desk':
        return finish;
      case 'parts': {
        const [part] = partsAt(desk, target);
        return part ? (part.finish ?? finish) : null;
      }
      case 'menu':
        return desk.menus[target.menu].finish ?? finish;
      case 'windows':
        return desk.windows.finish ?? finish;
      case 'backdrop':
        return null;
    }
  },
  put(desk, target, finish) {
    switch (target.by) {
      case 'desk':
        desk.look.finish = finish;
        break;
      case 'parts':
        for (const part of partsOf(desk)) if (target.ids.includes(part.id)) part.finish = finish;
        break;
      case 'menu':
        desk.menus[target.menu].finish = finish;
        break;
      case 'windows':
        desk.windows.finish = finish;
    }
  },
  wornBy: (desk) =>
    [
      desk.look.finish,
      desk.windows.finish,
      ...menuKeys.map((key) => desk.menus[key].finish),
      ...partsOf(desk).map(({ finish }) => finish),
    ].filter((finish) => finish !== null),
});

const Frame = z.looseObject({
  title: windowForms.title,
  lines: windowForms.lines,
  buttons: windowForms.buttons,
  behind: windowForms.behind,
});

const frame = defineTopic({
  key: 'frame',
  title: 'frame',
  plural: 'frames',
  schema: Frame,
  at: ({ windows: { title, lines, buttons, behind } }) => ({ title, lines, buttons, behind }),
  put({ windows }, _, { title, lines, buttons, behind }) {
    Object.assign(windows, { title, lines, buttons, behind });
  },
  wornBy: ({ windows: { title, lines, buttons, behind } }) => [{ title, lines, buttons, behind }],
});

const DockLook = EdgeFrame.pick({ line: true, mark: true, growth: true });
type DockLook = z.output<typeof DockLook>;
const dockLookOf = ({ line, mark, growth }: DockLook): DockLook => ({ line, mark, growth });

const dock = defineTopic({
  key: 'dock',
  title: 'line and marks',
  plural: 'lines and marks',
  schema: DockLook,
  at(desk, target) {
    const [edge] = desk.edges.filter(({ id }) => target.by === 'parts' && target.ids.includes(id));
    return edge ? dockLookOf(edge) : null;
  },
  put({ edges }, target, { line, mark, growth }) {
    if (target.by !== 'parts') return;
    for (const edge of edges) if (target.ids.includes(edge.id)) Object.assign(edge, { line, mark, growth });
  },
  wornBy: ({ edges }) => edges.filter(({ kind }) => kind === 'dock').map(dockLookOf),
});

const Terminals = z.looseObject({ light: Terminal.nullable(), dark: Terminal.nullable() });

const terminal = defineTopic({
  key: 'terminal',
  title: 'terminal scheme',
  plural: 'terminal schemes',
  schema: Terminals,
  at: ({ look }) => look.terminal,
  put({ look }, _, { light, dark }) {
    look.terminal = { light, dark };
  },
  wornBy: ({ look }) => [look.terminal],
});

const Palette = z.looseObject({ light: Roles, dark: Roles });

const palette = defineTopic({
  key: 'palette',
  title: 'palette',
  plural: 'palettes',
  schema: Palette,
  at: ({ look }) => look.roles,
  /** Held roles stay, and what followed the backdrop does so no more. */
  put({ look }, _, { light, dark }) {
    const held = new Set<string>(look.held);
    for (const [half, roles] of Object.entries({ light, dark }))
      for (const [role, value] of Object.entries(roles))
        if (!held.has(role)) Object.assign(look.roles[half as 'light' | 'dark'], { [role]: value });
    look.follows = null;
  },
  wornBy: ({ look }) => [look.roles],
});

const pointer = defineTopic({
  key: 'pointer',
  title: 'pointer',
  plural: 'pointers',
  schema: Pointer,
  at: ({ look }) => look.pointer,
  put({ look }, _, value) {
    look.pointer = value;
  },
  wornBy: ({ look }) => [look.pointer],
});

const icons = defineTopic({
  key: 'icons',
  title: 'icon style',
  plural: 'icon styles',
  schema: Icons,
  at: ({ look }) => look.icons,
  put({ look }, _, value) {
    look.icons = value;
  },
  wornBy: ({ look }) => [look.icons],
});

const adjust = defineTopic({
  key: 'adjust',
  title: 'adjustment',
  plural: 'adjustments',
  schema: Adjust,
  at: ({ backdrops }, target) =>
    backdrops.find(({ id }) => target.by === 'backdrop' && target.id === id)?.adjust ?? null,
  put({ backdrops }, target, value) {
    const on = backdrops.find(({ id }) => target.by === 'backdrop' && target.id === id);
    if (on) on.adjust = value;
  },
  wornBy: ({ backdrops }) => backdrops.map((backdrop) => backdrop.adjust),
});

const all = { surface, frame, dock, terminal, palette, pointer, icons, adjust };
export type TopicKey = keyof typeof all;
/** What a look of a topic holds. */
export type ValueOf<Key extends TopicKey> = z.output<(typeof all)[Key]['schema']>;

/** Everything that there are ready looks of, by its key. Add a new one here. */
export const topics: { readonly [Key in TopicKey]: Topic & { key: string } } = all;
export const topicKeys = Object.keys(all) as TopicKey[];
