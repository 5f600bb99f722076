import { readFileSync } from 'node:fs';
import type { Limits } from './limits.ts';

/** ms of one tick in which Linux counts (USER_HZ, 100 a second on every machine that Node runs on). */
const TICK_MS = 10;

/** Processor time that a process has taken so far, ms; null where the system doesn't tell. Source: proc(5), stat. */
export function processorMs(pid: number): number | null {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    // The name stands in brackets and may hold blanks; user and system time are the 14th and 15th field.
    const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
    const ticks = Number(fields[11]) + Number(fields[12]);
    return Number.isFinite(ticks) ? ticks * TICK_MS : null;
  } catch {
    return null;
  }
}

const LOOK_MS = 200;
/** How much longer than its processor time work may take by the clock: a busy machine gives it little at once. */
const SLOWEST = 10;
/** ms that a process has to begin, however busy the machine. */
const MOST_TO_BEGIN = 60_000;

/**
 * Looks on while a process works, and says so once it has had its time. The processor's time counts, from the moment
 * at which the work began (`begun`), so that a busy machine makes nothing too large; where that isn't known, or nothing
 * moves, the clock's does.
 */
export function watchTime(pid: number, { mostMs }: Pick<Limits, 'mostMs'>, onOver: () => void) {
  let clock = setTimeout(onOver, MOST_TO_BEGIN);
  let looks: NodeJS.Timeout | null = null;
  return {
    begun(): void {
      clearTimeout(clock);
      const before = processorMs(pid);
      clock = setTimeout(onOver, before === null ? mostMs : mostMs * SLOWEST);
      if (before === null) return;
      looks = setInterval(
        () => {
          if ((processorMs(pid) ?? 0) - before > mostMs) onOver();
        },
        Math.min(LOOK_MS, mostMs / 2),
      );
    },
    stop(): void {
      clearTimeout(clock);
      if (looks) clearInterval(looks);
    },
  };
}
