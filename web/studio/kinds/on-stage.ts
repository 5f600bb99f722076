import type { ComponentType } from 'react';
import type { SceneScreen } from '../../../core/scene/scene.ts';
import { later } from '../../later.ts';

/** What stands over a widget on the stage while it alone is selected, by the type of its kind. */
export const stageTools: ReadonlyMap<
  string,
  ComponentType<{ screen: SceneScreen; id: string; scale: number }>
> = new Map([['tiles', later(async () => ({ default: (await import('./tile-layer.tsx')).TileLayer }))]]);
