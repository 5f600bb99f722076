import type { Cover } from '../backdrop/tones.ts';
import { paintOn, type Backing } from '../kinds/layout.ts';
import { withOpacity } from '../values/colour.ts';
import { overlaps, type Rect } from '../values/geometry.ts';
import { coverOf, surfaceBefore, type Behind } from './behind.ts';
import { sameRect, type Covering, type Fitted, type KeptWidget } from './memory.ts';
import type { Solving } from './solving.ts';

const NONE: readonly Backing[] = [];

/**
 * Fits the bare widgets of a screen one after another, as they are painted. A bare one is looked at again only where it, or
 * what lies before it over the backdrop, is another: a drag among hundreds costs what it changes.
 */
export class Fitting {
  /** What each widget so far covers. */
  readonly coverings: Covering[] = [];
  readonly #covers: Cover[] = [];
  /** Where something else is covered than before, px of the screen. */
  readonly #changed: Rect[] = [];
  /** They don't lie in the same order. */
  #isOther = false;

  constructor(
    private readonly behind: Behind,
    private readonly solving: Solving,
    private readonly before: readonly Covering[],
  ) {}

  /** The surface of a widget where it stands; null for one that isn't bare. */
  fit({ surface: plain, fitted: before }: KeptWidget, rect: Rect): Fitted | null {
    if (plain.kind !== 'bare') return null;
    const { tones } = this.behind;
    const { isHeld } = this.solving.conditions;
    const beneath = this.#covers.length;
    const isSame =
      before !== null &&
      !this.#isOther &&
      before.plain === plain &&
      before.tones === tones &&
      // What was held is looked at again once it is let go; what was not reads at its best.
      (isHeld || !before.isHeld) &&
      before.beneath === beneath &&
      sameRect(before.rect, rect) === before.rect &&
      !this.#changed.some((other) => overlaps(other, rect));
    if (isSame) return before;
    const over = this.#covers.filter((cover) => overlaps(cover.rect, rect));
    const surface = surfaceBefore(plain, rect, this.behind, this.solving, {
      over,
      before: before?.surface ?? null,
    });
    return { plain, tones, isHeld, rect, beneath, surface };
  }

  /** Lays what a widget covers before those that come after it. */
  cover({ widget: { id }, surface, shown, scale, padding, fitted }: KeptWidget, rect: Rect): void {
    const { backings = NONE } = shown.layout;
    const isBare = surface.kind === 'bare';
    if (isBare && backings.length === 0) return;
    const on = fitted?.surface ?? surface;
    const before = this.before[this.coverings.length];
    if (before?.id !== id) this.#isOther = true;
    const isSame =
      before?.id === id &&
      before.on === on &&
      before.backings === backings &&
      before.scale === scale &&
      sameRect(before.rect, rect) === before.rect;
    if (!isSame) this.#changed.push(rect, ...(before ? [before.rect] : []));
    const covering: Covering = isSame
      ? before
      : {
          id,
          on,
          backings,
          scale,
          rect,
          covers: [
            ...(isBare ? [] : [coverOf(on, rect)]),
            ...backings.map(({ rect: lies, colour, opacity }) =>
              coverOf(
                { fill: withOpacity(paintOn(on, colour), opacity), blur: 0 },
                {
                  x: rect.x + (padding + lies.x) * scale,
                  y: rect.y + (padding + lies.y) * scale,
                  width: lies.width * scale,
                  height: lies.height * scale,
                },
              ),
            ),
          ],
        };
    this.coverings.push(covering);
    this.#covers.push(...covering.covers);
  }
}
