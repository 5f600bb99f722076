import type { Desk, Part } from './desk.ts';
import { sections } from './sections/list.ts';

/** Every part of a desk, in the order in which they are painted. */
export function partsOf(desk: Desk): Part[] {
  return sections.flatMap(({ key, parts }) => parts?.(desk[key]) ?? []);
}

export function partOf(desk: Desk, id: string): Part | undefined {
  return partsOf(desk).find((part) => part.id === id);
}
