import { arrangement } from './arrangement/arrangement.ts';
import { half } from './half/half.ts';
import { rotation } from './rotation/rotation.ts';
import type { Trigger } from './trigger.ts';
import { visits } from './visits/visits.ts';

/** Everything that follows the clock. Add a new one here. */
export const triggers: readonly Trigger[] = [half, arrangement, rotation, visits];
