import { roles, type Half, type Role } from '../desk/values.ts';
import type { ReadColours } from './exchange.ts';

/** `softInk` as files have it: `soft-ink`. */
export function fileNameOf(role: Role): string {
  return role.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);
}

const byFileName = new Map(roles.map((role) => [fileNameOf(role), role]));

export function roleFrom(name: string): Role | undefined {
  return byFileName.get(
    name
      .trim()
      .toLowerCase()
      .replace(/[\s_]+/g, '-'),
  );
}

export function emptyRead(): ReadColours {
  return { swatches: [], roles: {}, terminal: null };
}

/** Puts a named colour where it belongs; a role without a half is of both. */
export function addColour(read: ReadColours, name: string, colour: string, half: Half | null): void {
  read.swatches.push({ name, colour });
  const role = roleFrom(name);
  if (!role) return;
  for (const one of half ? [half] : (['light', 'dark'] as const))
    read.roles[one] = { ...read.roles[one], [role]: colour };
}
