import { alike, drawnOver, mayStepFrom, resolveRoles, type Roles } from '../../colour/roles.ts';
import type { SchemeName, Terminal } from '../../colour/schema.ts';
import type { HalfBy, Look } from '../../look/schema.ts';
import type { OwnFont } from '../../text/schema.ts';
import { halves, type Half, type Role, type RoleValue } from '../../values/roles.ts';
import { editOf } from './edit.ts';

/** Changes of the desk's colours, type, icons, pointer and finish. */
export const lookEdits = {
  setHalf: (half: HalfBy) => editOf('Light or dark', (desk) => void (desk.look.half = half)),

  /**
   * A role of a half, and by the same step that of the other half, unless they are parted. `seen` is the palette as it is
   * now, where it follows the backdrop.
   */
  setRole: (half: Half, role: Role, value: RoleValue, seen: Look['roles'] | null = null) =>
    editOf('Colour', ({ look }) => {
      const other = half === 'light' ? 'dark' : 'light';
      const [here, there] = [look.roles[half], look.roles[other]];
      const from = (look.follows && seen) || look.roles;
      if (!look.parted)
        there[role] =
          typeof value === 'string'
            ? alike(resolveRoles({ ...from[other] })[role], resolveRoles({ ...from[half] })[role], value)
            : mayStepFrom(role, value.from, there)
              ? { ...value }
              : there[role];
      else if (look.follows && seen) there[role] = seen[other][role];
      here[role] = value;
      // What is chosen by hand stays, also where the palette follows.
      if (look.follows && !look.held.includes(role)) look.held.push(role);
    }),

  partHalves: (parted: boolean) =>
    editOf(parted ? 'Part the halves' : 'Halves together', ({ look }) => void (look.parted = parted)),

  /** Colours for some roles of some halves. */
  setRoles: (colours: Partial<Record<Half, Partial<Roles>>>) =>
    editOf('Colours', (desk) => {
      for (const half of halves) Object.assign(desk.look.roles[half], colours[half]);
    }),

  /** A palette drawn anew, which stays. Held roles stay as they are, and so do those that are steps. */
  drawPalette: (drawn: Record<Half, Roles>) =>
    editOf('Palette', ({ look }) => {
      look.roles = { ...look.roles, ...drawnOver(drawn, look) };
      look.follows = null;
    }),

  /** Lets the palette be drawn anew from whatever lies behind the first screen; what is seen of it last stays after that. */
  followBackdrop: (way: SchemeName | null, seen: Look['roles'] | null = null) =>
    editOf(way ? 'Follow the backdrop' : 'Keep the palette', ({ look }) => {
      if (!way && seen) look.roles = { ...look.roles, ...structuredClone(seen) };
      look.follows = way;
    }),

  /** Holds a role as it is now: `seen` is the palette as it is, where it follows the backdrop. */
  hold: (role: Role, isHeld: boolean, seen: Look['roles'] | null = null) =>
    editOf(isHeld ? 'Hold' : 'Let go', ({ look }) => {
      if (isHeld && look.follows && seen)
        for (const half of halves) look.roles[half][role] = structuredClone(seen[half][role]);
      look.held = look.held.filter((other) => other !== role);
      if (isHeld) look.held.push(role);
    }),

  setTerminal: (half: Half, terminal: Terminal | null) =>
    editOf('Terminal', (desk) => void (desk.look.terminal[half] = terminal)),

  setLook: (change: Partial<Pick<Look, 'fonts' | 'icons' | 'pointer' | 'finish' | 'finishes'>>) =>
    editOf('Look', (desk) => void Object.assign(desk.look, change)),

  addFont: (font: OwnFont) =>
    editOf('Add font', ({ look }) => {
      look.ownFonts = [...look.ownFonts.filter(({ id }) => id !== font.id), font];
    }),
};
