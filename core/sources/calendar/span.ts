import { TZDate } from '@date-fns/tz';
import { wallClock } from '../time/time.ts';

/**
 * Which stretch (epoch ms) of a calendar is worked out for a moment: from a fortnight before its month to the end of the
 * second month after it. It changes only with the month.
 */
export function spanAround(moment: number, zone: string): { from: number; to: number } {
  const { year, month } = wallClock(moment, zone);
  return {
    from: new TZDate(year, month - 1, -14, 0, 0, 0, zone).getTime(),
    to: new TZDate(year, month + 2, 1, 0, 0, 0, zone).getTime(),
  };
}
