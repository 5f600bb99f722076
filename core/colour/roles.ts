import { clamp } from '../values/geometry.ts';
import { isRole, roles, type Half, type Role, type RoleValue, type Step } from '../values/roles.ts';
import { fromLab, hexOf, toHex, toLab, toLch } from '../values/colour.ts';

/** What the document says of one half's roles: colours, and steps from one another. */
export type RoleValues = Record<Role, RoleValue>;
export type Roles = Record<Role, string>;

export function isStep(value: RoleValue): value is Step {
  return typeof value !== 'string';
}

/** The hue that counts as warm, in degrees of OKLCH. */
const WARM_HUE = (63 * Math.PI) / 180;

/** A colour (hex or OKLCH) moved by a step's amounts, as #rrggbb. */
export function stepped(colour: string, { lighter, more, warmer }: Omit<Step, 'from'>): string {
  const [l, a, b] = toLab(colour);
  const chroma = Math.hypot(a, b);
  // A grey has no hue to be more of.
  const grown = chroma > 0.004 ? Math.max(0, chroma + more / 100) / chroma : 1;
  return fromLab([
    clamp(l + lighter / 100, 0, 1),
    a * grown + (Math.cos(WARM_HUE) * warmer) / 100,
    b * grown + (Math.sin(WARM_HUE) * warmer) / 100,
  ]);
}

/** Less chroma than this is a grey: its hue says nothing. */
const GREY = 0.02;

/**
 * A colour after the very step that led from one colour to another (all hex or OKLCH): as much lighter, as much more of a
 * colour, its hue turned as far. Where one of the two is a grey it takes the hue that came of it.
 */
export function alike(colour: string, from: string, to: string): string {
  const [own, start, end] = [toLch(colour), toLch(from), toLch(to)];
  const isTurned = start.c >= GREY && own.c >= GREY;
  return toHex({
    l: clamp(own.l + end.l - start.l, 0, 1),
    c: end.c < GREY ? end.c : Math.max(0, own.c + end.c - start.c),
    h: isTurned ? own.h + end.h - start.h : end.h,
  });
}

const resolved = new WeakMap<RoleValues, Roles>();

/** Every role as #rrggbb, steps worked out; the same object for the same values. */
export function resolveRoles(values: RoleValues): Roles {
  const known = resolved.get(values);
  if (known) return known;
  const answer: Partial<Roles> = {};
  function colourOf(role: Role, depth: number): string {
    const value = values[role];
    // A document with a circle is refused; a draft on its way to one still gets a colour.
    if (!isStep(value)) return hexOf(value);
    return depth > roles.length
      ? '#808080'
      : (answer[role] ??= stepped(colourOf(value.from, depth + 1), value));
  }
  for (const role of roles) answer[role] = colourOf(role, 0);
  resolved.set(values, answer as Roles);
  return answer as Roles;
}

/** The roles that a role rests on, itself first, as far as steps lead. */
function chain(role: Role, values: RoleValues): Role[] {
  const passed: Role[] = [];
  let at: RoleValue = role;
  while (typeof at === 'string' && isRole(at) && !passed.includes(at)) {
    passed.push(at);
    const value: RoleValue = values[at];
    if (!isStep(value)) return passed;
    at = value.from;
  }
  return typeof at === 'string' && isRole(at) ? [...passed, at] : passed;
}

/** A role that is a step from itself in the end; null when there is none. */
export function roleCircle(values: RoleValues): Role | null {
  return roles.find((role) => new Set(chain(role, values)).size < chain(role, values).length) ?? null;
}

/** Whether `role` may become a step from `from` without going in a circle. */
export function mayStepFrom(role: Role, from: Role, values: RoleValues): boolean {
  return !chain(from, values).includes(role);
}

/** The step that leads from one colour to another. */
export function stepBetween(from: Role, base: string, colour: string): Step {
  const [l1, a1, b1] = toLab(base);
  const [l2, a2, b2] = toLab(colour);
  const round = (value: number) => Math.round(value * 10) / 10;
  const more = chroma(a1, b1) > 0.004 ? (chroma(a2, b2) - chroma(a1, b1)) * 100 : 0;
  const grown = chroma(a1, b1) > 0.004 ? chroma(a2, b2) / chroma(a1, b1) : 1;
  // What the hue differs by, seen along the warm axis.
  const warmer = ((a2 - a1 * grown) * Math.cos(WARM_HUE) + (b2 - b1 * grown) * Math.sin(WARM_HUE)) * 100;
  const clampBy = (limit: number, value: number) => clamp(round(value), -limit, limit);
  return {
    from,
    lighter: clampBy(100, (l2 - l1) * 100),
    more: clampBy(40, more),
    warmer: clampBy(40, warmer),
  };
}

function chroma(a: number, b: number): number {
  return Math.hypot(a, b);
}

/** A palette over a look's own: held roles stay, and so do those that are steps, which follow by themselves. */
export function drawnOver<V extends RoleValues>(
  drawn: Record<Half, Roles>,
  { roles: own, held }: { roles: Record<Half, V>; held: readonly Role[] },
): Record<Half, V> {
  const over = (half: Half): V => {
    const taken = roles.filter((role) => !isStep(own[half][role]) && !held.includes(role));
    return { ...own[half], ...Object.fromEntries(taken.map((role) => [role, drawn[half][role]])) };
  };
  return { light: over('light'), dark: over('dark') };
}
