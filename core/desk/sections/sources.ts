import { z } from 'zod';
import { Outside, type Outside as OutsideValue } from '../../sources/outside.ts';
import { Tide } from '../../sources/tide/tide.ts';
import { Units } from '../../sources/units.ts';
import type { TypeOf } from '../../values/types.ts';
import { defineSection } from './section.ts';

/** What a desk's readings are shown in, and what they are worked out from besides its place. */
export const Sources = z.looseObject({ units: Units, tide: Tide, outside: Outside });
export type Sources = Omit<TypeOf<typeof Sources>, 'outside'> & { outside: OutsideValue };

export const sources = defineSection({
  key: 'sources',
  schema: Sources,
  check({ sources: { outside } }, _known, say) {
    for (const key of ['calendars', 'headlines'] as const) {
      const seen = new Set<string>();
      outside[key].forEach(({ id }, index) => {
        if (seen.has(id)) say(['sources', 'outside', key, index, 'id'], `is used twice: "${id}"`);
        seen.add(id);
      });
    }
  },
});
