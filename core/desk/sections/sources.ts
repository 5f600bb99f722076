import { z } from 'zod';
import { Outside, type Outside as OutsideValue } from '../../sources/outside.ts';
import { Sound, type Sound as SoundValue } from '../../sources/sound/schema.ts';
import { Tide } from '../../sources/tide/tide.ts';
import { Units } from '../../sources/units.ts';
import type { TypeOf } from '../../values/types.ts';
import { defineSection } from './section.ts';
import { content } from '../../values/dress.ts';

/** What a desk's readings are shown in, and what they are worked out from besides its place. */
export const Sources = content(z.looseObject({ units: Units, tide: Tide, outside: Outside, sound: Sound }));
export type Sources = Omit<TypeOf<typeof Sources>, 'outside' | 'sound'> & {
  outside: OutsideValue;
  sound: SoundValue;
};

export const sources = defineSection({
  key: 'sources',
  schema: Sources,
  check({ sources: { outside, sound } }, _known, say) {
    const lists = [
      [['outside', 'calendars'], outside.calendars],
      [['outside', 'headlines'], outside.headlines],
      [['sound', 'tracks'], sound.tracks],
    ] as const;
    for (const [path, list] of lists) {
      const seen = new Set<string>();
      list.forEach(({ id }, index) => {
        if (seen.has(id)) say(['sources', ...path, index, 'id'], `is used twice: "${id}"`);
        seen.add(id);
      });
    }
  },
});
