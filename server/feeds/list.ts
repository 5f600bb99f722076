import type { Feeder } from './feed.ts';
import { machineFeeder } from './machine.ts';

/** Every feeder. Add a new one here. */
export const feeders: readonly Feeder[] = [machineFeeder];
