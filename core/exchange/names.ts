import { roles, type Half, type Role } from '../values/roles.ts';
import type { ReadColours } from './colours.ts';

/** `softInk` as files have it: `soft-ink`. */
export function fileNameOf(role: Role): string {
  return role.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);
}

/** A name without what tells writers apart: `softInk`, `soft_ink` and `Soft Ink` are one. */
const bare = (name: string) => name.toLowerCase().replace(/[\s_-]+/g, '');

const byBareName = new Map(roles.map((role) => [bare(role), role]));

function roleFrom(name: string): Role | undefined {
  return byBareName.get(bare(name.slice(0, 80)));
}

export function emptyRead(): ReadColours {
  return { swatches: [], roles: {}, terminal: null, unread: [] };
}

/** More than this of what can't be read is not listed. */
const MOST_UNREAD = 200;

/** Notes what stands in a file and can't be read as a colour. */
export function addUnread(read: ReadColours, name: string, value: string): void {
  if (read.unread.length < MOST_UNREAD)
    read.unread.push({ name: name.slice(0, 80), value: value.trim().slice(0, 80) });
}

/**
 * Puts a named colour where it belongs; a role without a half is of both. Names that are a role only more or less
 * (`Soft Ink`) give way to the role's very name.
 */
export function addColour(read: ReadColours, name: string, colour: string, half: Half | null): void {
  read.swatches.push({ name, colour });
  const role = roleFrom(name);
  if (!role) return;
  for (const one of half ? [half] : (['light', 'dark'] as const)) {
    const isTaken = read.roles[one]?.[role] !== undefined;
    if (!isTaken || name === fileNameOf(role) || name === role)
      read.roles[one] = { ...read.roles[one], [role]: colour };
  }
}
