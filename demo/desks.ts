import type { Desk } from '../core/desk/desk.ts';
import { bareDesk } from './bare-desk.ts';
import { dawnCount } from './dawn-count.ts';
import { nightWatch } from './night-watch.ts';
import { ringingDay } from './ringing-day.ts';
import { soundRoom } from './sound-room.ts';
import { tideTable } from './tide-table.ts';
import { twoHides } from './two-hides.ts';

/** The desks of Marrow Point, a made-up bird observatory on a made-up coast. */
export function demoDesks(): Desk[] {
  return [dawnCount(), soundRoom(), nightWatch(), ringingDay(), tideTable(), twoHides(), bareDesk()];
}
