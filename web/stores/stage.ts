import { create } from 'zustand';
import type { Point, Rect, Size } from '../../core/values/geometry.ts';

/** How near the stage is to the desk, and to which part of it. */
interface StageState {
  /** Null shows all; otherwise the scale, and the point of the desk in the middle of the stage. */
  near: { scale: number; middle: Point } | null;
  /** All screens side by side, as they stand. */
  isTogether: boolean;
  /** What is looked at for a moment while it is changed, px of its screen; then the stage is as it was. */
  peek: Rect | null;
  /** The room that there is, px. */
  area: Size;
}

const fresh = { near: null, isTogether: false, peek: null };

export const useStage = create<StageState>()(() => ({ ...fresh, area: { width: 0, height: 0 } }));

export function resetStage(): void {
  useStage.setState(fresh);
}

const PEEK_MS = 1600;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Brings something near for as long as it is being changed. */
export function peekAt(rect: Rect | null): void {
  clearTimeout(timer);
  useStage.setState({ peek: rect });
  if (rect) timer = setTimeout(() => useStage.setState({ peek: null }), PEEK_MS);
}
