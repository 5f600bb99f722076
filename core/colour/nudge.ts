import { clamp } from '../values/geometry.ts';
import type { RoleValue, Step } from '../values/roles.ts';
import { isStep, stepped } from './roles.ts';

/** Small changes of a colour, each by about what an eye just notices. */
export const nudges = {
  lighter: { title: 'Lighter', by: { lighter: 2, more: 0, warmer: 0 } },
  darker: { title: 'Darker', by: { lighter: -2, more: 0, warmer: 0 } },
  warmer: { title: 'Warmer', by: { lighter: 0, more: 0, warmer: 1 } },
  cooler: { title: 'Cooler', by: { lighter: 0, more: 0, warmer: -1 } },
  more: { title: 'More colour', by: { lighter: 0, more: 1, warmer: 0 } },
  less: { title: 'Less colour', by: { lighter: 0, more: -1, warmer: 0 } },
} as const satisfies Record<string, { title: string; by: Omit<Step, 'from'> }>;
export type Nudge = keyof typeof nudges;

/** A role's value after a nudge: a fixed colour becomes another, a step a longer or shorter one. */
export function nudged(value: RoleValue, nudge: Nudge): RoleValue {
  const { by } = nudges[nudge];
  if (!isStep(value)) return stepped(value, by);
  return {
    ...value,
    lighter: clamp(value.lighter + by.lighter, -100, 100),
    more: clamp(value.more + by.more, -40, 40),
    warmer: clamp(value.warmer + by.warmer, -40, 40),
  };
}
