import { createContext } from 'react';
import type { Point } from '../../../../core/values/geometry.ts';

/** How the stage shows the screen. Asked when needed, so that a changed size draws no part again. */
export interface StageScaleValue {
  /** Stage px for each px of the desk. */
  scale(): number;
  /** A point of the page as a point of the screen. */
  toDesk(page: Point): Point;
}

export const StageScale = createContext<StageScaleValue>({ scale: () => 1, toDesk: (page) => page });
