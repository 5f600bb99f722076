import { z } from 'zod';
import { Outside } from '../../sources/outside.ts';
import { Sound } from '../../sources/sound/schema.ts';
import { Tide } from '../../sources/tide/tide.ts';
import { Units } from '../../sources/units.ts';
import type { TypeOf } from '../../values/types.ts';
import { content } from '../../values/dress.ts';

/** What a desk's readings are shown in, and what they are worked out from besides its place. */
export const Sources = content(z.looseObject({ units: Units, tide: Tide, outside: Outside, sound: Sound }));
export type Sources = TypeOf<typeof Sources>;
