import { alike, mayStepFrom, resolveRoles, type Roles } from '../../colour/roles.ts';
import type { Terminal } from '../../colour/schema.ts';
import type { HalfBy, Look } from '../../look/schema.ts';
import type { OwnFont } from '../../text/schema.ts';
import { halves, roles, type Half, type Role, type RoleValue } from '../../values/roles.ts';
import { editOf } from './edit.ts';

/** Changes of the desk's colours, type, icons, pointer and finish. */
export const lookEdits = {
  setHalf: (half: HalfBy) => editOf('Light or dark', (desk) => void (desk.look.half = half)),

  /** A role of a half, and by the same step that of the other half, unless they are parted. */
  setRole: (half: Half, role: Role, value: RoleValue) =>
    editOf('Colour', ({ look }) => {
      const [here, there] = [look.roles[half], look.roles[half === 'light' ? 'dark' : 'light']];
      if (!look.parted)
        there[role] =
          typeof value === 'string'
            ? alike(resolveRoles({ ...there })[role], resolveRoles({ ...here })[role], value)
            : mayStepFrom(role, value.from, there)
              ? { ...value }
              : there[role];
      here[role] = value;
    }),

  partHalves: (parted: boolean) =>
    editOf(parted ? 'Part the halves' : 'Halves together', ({ look }) => void (look.parted = parted)),

  /** Colours for some roles of some halves. */
  setRoles: (colours: Partial<Record<Half, Partial<Roles>>>) =>
    editOf('Colours', (desk) => {
      for (const half of halves) Object.assign(desk.look.roles[half], colours[half]);
    }),

  /** A palette drawn anew. Held roles stay, and so do those that are steps: they follow by themselves. */
  drawPalette: (drawn: Record<Half, Roles>) =>
    editOf('Palette', ({ look }) => {
      for (const half of halves) {
        for (const role of roles) {
          const isStep = typeof look.roles[half][role] !== 'string';
          if (!isStep && !look.held.includes(role)) look.roles[half][role] = drawn[half][role];
        }
      }
    }),

  hold: (role: Role, isHeld: boolean) =>
    editOf(isHeld ? 'Hold' : 'Let go', ({ look }) => {
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
