import { machine } from './machine/machine.ts';
import { sun } from './sun/sun.ts';
import { time } from './time/time.ts';

/** Every source. Add a new one here. */
export const sources = { time, sun, machine } as const;

export type SourceId = keyof typeof sources;
export type ReadingOf<Id extends SourceId> = ReturnType<(typeof sources)[Id]['read']>;
