import { z } from 'zod';
import { TrialWindows, type TrialWindow } from '../../core/windows/trial.ts';

/** Windows that show screens of one desk agree on the moment, the workspace in front, and the windows that are open. */
const Agreed = z.object({
  moment: z.number(),
  isNow: z.boolean(),
  half: z.enum(['light', 'dark']).nullable(),
  windows: TrialWindows,
  workspace: z.number().int().min(0).max(31),
});
type Agreed = z.infer<typeof Agreed>;

/** What of the conditions is agreed on. */
export type ToAgree = Omit<Agreed, 'windows'> & { windows: readonly TrialWindow[] };

/** One state that was told, and which: of two that are told at once the same one counts everywhere. */
const Told = z.object({ state: Agreed, turn: z.number().int().min(1), page: z.string().max(40) });
type Told = z.infer<typeof Told>;

const HELLO = 'hello';

/** What others need to hear of: the clock ticks everywhere by itself. */
function textOf({ moment, isNow, half, windows, workspace }: ToAgree): string {
  return JSON.stringify([isNow ? null : moment, half, windows, workspace]);
}

/**
 * One page's part in it, apart from how pages are reached: what it tells comes back from `tell`, what it is told goes to
 * `hear`. A state is told once, and what was heard is not told on.
 */
export function createAgreement(page: string, start: ToAgree) {
  let text = textOf(start);
  /** What was agreed on last. */
  let last = { turn: 0, page };
  return {
    /** What a page says that has just come. */
    hello: HELLO,
    /** What others are to be told, now that things are so; null where they know. */
    tell(now: ToAgree): Told | null {
      const next = textOf(now);
      if (next === text) return null;
      text = next;
      last = { turn: last.turn + 1, page };
      return told(now, last);
    },
    /** What comes of something that was heard: an answer, what is to be taken on here, or nothing. */
    hear(data: unknown, now: ToAgree): { answer: Told } | { take: Partial<ToAgree> } | null {
      if (data === HELLO) return last.turn > 0 ? { answer: told(now, last) } : null;
      const heard = Told.safeParse(data).data;
      if (!heard || !isLater(heard, last)) return null;
      last = { turn: heard.turn, page: heard.page };
      const { moment, ...rest } = heard.state;
      const take = heard.state.isNow ? rest : { ...rest, moment };
      const after = textOf({ ...now, ...take });
      if (after === text) return null;
      text = after;
      return { take };
    },
  };
}

function told({ moment, isNow, half, windows, workspace }: ToAgree, last: Omit<Told, 'state'>): Told {
  return { state: { moment, isNow, half, windows: [...windows], workspace }, ...last };
}

function isLater(a: Omit<Told, 'state'>, b: Omit<Told, 'state'>): boolean {
  return a.turn > b.turn || (a.turn === b.turn && a.page > b.page);
}
