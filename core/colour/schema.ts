import { z } from 'zod';
import { FixedColour, RoleValue, roles, type Role } from '../values/roles.ts';
import type { TypeOf } from '../values/types.ts';

const roleShape = Object.fromEntries(roles.map((role) => [role, RoleValue])) as Record<
  Role,
  typeof RoleValue
>;
export const Roles = z.looseObject(roleShape);

/** Ways of making roles of a picture's colours (scheme.ts). */
export const schemeNames = ['calm', 'vivid', 'muted', 'single', 'two', 'opposite'] as const;
export type SchemeName = (typeof schemeNames)[number];

/** The colours of a terminal: sixteen by ANSI number, and the two that they stand between. */
export const Terminal = z.looseObject({
  ground: FixedColour,
  ink: FixedColour,
  colours: z.array(FixedColour).length(16),
});
export type Terminal = TypeOf<typeof Terminal>;
