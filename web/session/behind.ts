import { create } from 'zustand';
import type { Drawn } from '../../core/backdrop/drawn.ts';
import { isDark, type Tones } from '../../core/backdrop/tones.ts';
import type { Desk } from '../../core/desk/desk.ts';
import { backdropsOf, decidingBackdrop, nearerOf } from '../../core/scene/backdrop.ts';
import type { Scene } from '../../core/scene/scene.ts';
import { fetchTones, knownTones, needsPalettes } from '../api/tones.ts';
import { persist } from '../later.ts';
import { useConditions } from './conditions.ts';

/**
 * How dark and light it is behind each screen of the open desk: asked for with its backdrop, and given to solving. What was
 * known of a backdrop stays until that of the next is here, as its picture does.
 */

/** What each screen was last found to have behind it, by its id. */
const wanted = new Map<string, Drawn>();
/** What was last found to decide over light and dark. */
let deciding: Drawn | null = null;
/** What comes next on the first screen, where the palette follows it: worked out before it is there. */
let ahead: Drawn | null = null;
/** Whether the desk's palette follows it. */
let hasPalettes = false;
let isAsking = false;

function put(screen: string, tones: Tones | null): void {
  const before = useConditions.getState().tones;
  if (before.get(screen) === (tones ?? undefined)) return;
  const next = new Map(before);
  if (tones) next.set(screen, tones);
  else next.delete(screen);
  useConditions.setState({ tones: next });
}

function decide(tones: Tones | null): void {
  const isDarkBehind = tones && isDark(tones);
  if (useConditions.getState().isDarkBehind !== isDarkBehind) useConditions.setState({ isDarkBehind });
}

/** Gives solving what is known of what lies behind now; what is not known yet leaves what there was. */
function giveKnown(): void {
  for (const [screen, drawn] of wanted) {
    const known = knownTones(drawn, hasPalettes);
    if (known !== undefined) put(screen, known);
  }
  const known = deciding && knownTones(deciding, hasPalettes);
  if (known !== undefined) decide(known);
}

/** Follows what lies behind a scene. While something is turned by hand, what it is in the end is asked for. */
export function followBehind(desk: Desk, { screens }: Scene): void {
  hasPalettes = needsPalettes(desk);
  wanted.clear();
  for (const { id, backdrop } of screens) wanted.set(id, nearerOf(backdrop));
  const conditions = useConditions.getState();
  deciding = decidingBackdrop(desk, conditions);
  const [next] = desk.look.follows
    ? backdropsOf(desk, { ...conditions, backdropStep: conditions.backdropStep + 1 }).values()
    : [];
  ahead = next ? nearerOf(next) : null;
  giveKnown();
  void askForMissing();
}

/** One after another: while a day is played, what was passed over is not asked for. */
async function askForMissing(): Promise<void> {
  if (isAsking) return;
  isAsking = true;
  while (!useConditions.getState().isHeld) {
    const next = [...wanted.values(), deciding, ahead].find(
      (one) => one && knownTones(one, hasPalettes) === undefined,
    );
    if (!next) break;
    // The server may be gone for a while; another backdrop may lie there by then.
    await persist(() => fetchTones(next, hasPalettes)).catch(() => null);
    if (knownTones(next, hasPalettes) === undefined) break;
    giveKnown();
  }
  isAsking = false;
}

/**
 * For how long (ms) a desk that is otherwise ready waits for what lies behind it to be known, where that decides over light
 * and dark, where it doesn't, and then its bare parts.
 */
const LONGEST_DECIDING = 1500;
const LONGEST_WAIT = 400;
const LONGEST_HIDDEN = 6000;

/** Whether bare parts wait for what lies behind them: they are not seen meanwhile, rather than in colours that turn. */
export const useAwaitsBehind = create<{ isAwaited: boolean }>()(() => ({ isAwaited: false }));

/** Counts the desks that were opened. */
let opened = 0;

/** Asks for what lies behind a desk that is about to be opened. What comes in time is there from the first frame on. */
export function awaitBehind(desk: Desk): () => Promise<void> {
  wanted.clear();
  const mine = ++opened;
  const show = (isAwaited: boolean) => {
    if (mine === opened) useAwaitsBehind.setState({ isAwaited });
  };
  show(false);
  const all = tonesBehind(desk);
  const wait = desk.look.half.by === 'backdrop' ? LONGEST_DECIDING : LONGEST_WAIT;
  return async () => {
    const late = new Promise<null>((resolve) => setTimeout(() => resolve(null), wait));
    const here = await Promise.race([all, late]);
    for (const [screen, tones] of here ?? []) put(screen, tones);
    if (here || mine !== opened) return;
    show(true);
    void all.then((known) => {
      if (mine !== opened) return;
      for (const [screen, tones] of known) put(screen, tones);
      show(false);
    });
    setTimeout(() => show(false), LONGEST_HIDDEN);
  };
}

/** What lies behind each screen, once it is decided in which half. */
async function tonesBehind(desk: Desk): Promise<(readonly [string, Tones | null])[]> {
  const mine = opened;
  const conditions = useConditions.getState();
  const decides = decidingBackdrop(desk, conditions);
  const decided = decides && (await fetchTones(decides, needsPalettes(desk)).catch(() => null));
  if (decides && mine === opened) decide(decided);
  const isDarkBehind = decided && isDark(decided);
  return Promise.all(
    [...backdropsOf(desk, { ...conditions, isDarkBehind })].map(async ([screen, backdrop]) => {
      const tones = await fetchTones(nearerOf(backdrop), needsPalettes(desk)).catch(() => null);
      return [screen, tones] as const;
    }),
  );
}
