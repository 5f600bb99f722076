import { z } from 'zod';
import { Tide } from '../../sources/tide/tide.ts';
import { Units } from '../../sources/units.ts';
import type { TypeOf } from '../../values/types.ts';
import { defineSection } from './section.ts';

/** What a desk's readings are shown in, and what they are worked out from besides its place. */
export const Sources = z.looseObject({ units: Units, tide: Tide });
export type Sources = TypeOf<typeof Sources>;

export const sources = defineSection({ key: 'sources', schema: Sources });
