import { clamp, type Rect } from '../values/geometry.ts';
import { slotRect, type Gaps } from './tiling.ts';
import { LEAST, type TrialWindow } from './trial.ts';

/** Where a window is: filled, in its slot, or where it was put. What it stands in may have changed since. */
export function rectOf({ rect, slot, isFilled }: TrialWindow, free: Rect, screen: Rect, gaps: Gaps): Rect {
  if (isFilled) return free;
  if (slot) return slotRect(slot, free, gaps);
  return within(rect, screen);
}

/** Px of a window that stay on its screen, so that it can be taken again. */
const STAYS = 64;

/** A rectangle of which enough is on the screen, with its head below the upper side. */
export function within(rect: Rect, screen: Rect): Rect {
  const width = Math.max(LEAST.width, rect.width);
  const height = Math.max(LEAST.height, rect.height);
  const x = clamp(rect.x, screen.x - width + STAYS, screen.x + screen.width - STAYS);
  const y = clamp(rect.y, screen.y, Math.max(screen.y, screen.y + screen.height - STAYS));
  return x === rect.x && y === rect.y && width === rect.width && height === rect.height
    ? rect
    : { x, y, width, height };
}
