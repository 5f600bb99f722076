import type { Roles } from '../../colour/roles.ts';
import type { Terminal } from '../../colour/schema.ts';
import type { HalfBy, Look } from '../../look/schema.ts';
import type { OwnFont } from '../../text/schema.ts';
import { halves, roles, type Half, type Role, type RoleValue } from '../../values/roles.ts';
import { editOf } from './edit.ts';

/** Changes of the desk's colours, type, icons, pointer and finish. */
export const lookEdits = {
  setHalf: (half: HalfBy) => editOf('Light or dark', (desk) => void (desk.look.half = half)),

  setRole: (half: Half, role: Role, value: RoleValue) =>
    editOf('Colour', (desk) => void (desk.look.roles[half][role] = value)),

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
