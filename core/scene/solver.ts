import type { Desk } from '../desk/desk.ts';
import { createMemory } from './memory.ts';
import type { Conditions } from './conditions.ts';
import type { Scene } from './scene.ts';
import { solve } from './solve.ts';

/**
 * Solves what somebody looks at, again and again: each scene is made of the very parts of the one before where they did
 * not change, so that only what changed is worked out and drawn again.
 */
export function createSolver(): (desk: Desk, conditions: Conditions) => Scene {
  const memory = createMemory();
  return (desk, conditions) => solve(desk, conditions, memory);
}
