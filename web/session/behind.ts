import type { Drawn } from '../../core/backdrop/drawn.ts';
import type { Tones } from '../../core/backdrop/tones.ts';
import type { Desk } from '../../core/desk/desk.ts';
import { backdropsOf, nearerOf } from '../../core/scene/backdrop.ts';
import type { Scene } from '../../core/scene/scene.ts';
import { fetchTones, knownTones } from '../api/tones.ts';
import { persist } from '../later.ts';
import { useConditions } from './conditions.ts';

/**
 * How dark and light it is behind each screen of the open desk: asked for with its backdrop, and given to solving. What was
 * known of a backdrop stays until that of the next is here, as its picture does.
 */

/** What each screen was last found to have behind it, by its id. */
const wanted = new Map<string, Drawn>();
let isAsking = false;

function put(screen: string, tones: Tones | null): void {
  const before = useConditions.getState().tones;
  if (before.get(screen) === (tones ?? undefined)) return;
  const next = new Map(before);
  if (tones) next.set(screen, tones);
  else next.delete(screen);
  useConditions.setState({ tones: next });
}

/** Follows what lies behind a scene. While something is turned by hand, what it is in the end is asked for. */
export function followBehind({ screens }: Scene): void {
  for (const { id, backdrop } of screens) {
    const drawn = nearerOf(backdrop);
    if (wanted.get(id) === drawn) continue;
    wanted.set(id, drawn);
    const known = knownTones(drawn);
    if (known !== undefined) put(id, known);
  }
  void askForMissing();
}

/** One after another: while a day is played, what was passed over is not asked for. */
async function askForMissing(): Promise<void> {
  if (isAsking) return;
  isAsking = true;
  for (;;) {
    if (useConditions.getState().isHeld) break;
    const next = [...wanted].find(([, drawn]) => knownTones(drawn) === undefined);
    if (!next) break;
    const [screen, drawn] = next;
    // The server may be gone for a while; another backdrop may lie there by then.
    const tones = await persist(() => fetchTones(drawn)).catch(() => null);
    if (wanted.get(screen) === drawn) put(screen, tones);
    if (knownTones(drawn) === undefined) break;
  }
  isAsking = false;
}

/** For how long (ms) a desk that is otherwise ready waits for what lies behind it to be known, and then its bare parts. */
const LONGEST_WAIT = 400;
const LONGEST_HIDDEN = 3000;

/** Counts the desks that were opened. */
let opened = 0;

/**
 * Asks for what lies behind a desk that is about to be opened. What comes in time is there from the first frame on; where it
 * takes longer bare parts are not seen meanwhile, rather than in colours that turn (see tokens.css).
 */
export function awaitBehind(desk: Desk): () => Promise<void> {
  wanted.clear();
  const mine = ++opened;
  const show = (isAwaited: boolean) => {
    if (mine === opened) document.documentElement.toggleAttribute('data-awaits-behind', isAwaited);
  };
  show(false);
  const { moment, workspace, half, roles, backdropStep } = useConditions.getState();
  const behind = [...backdropsOf(desk, { moment, workspace, half, roles, backdropStep })];
  const all = Promise.all(
    behind.map(async ([screen, backdrop]) => {
      const tones = await fetchTones(nearerOf(backdrop)).catch(() => null);
      return [screen, tones] as const;
    }),
  );
  return async () => {
    const late = new Promise<null>((resolve) => setTimeout(() => resolve(null), LONGEST_WAIT));
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
