import type { ItemContext } from '../kinds/kind.ts';
import type { Layout } from '../kinds/layout.ts';

/** An inside of which nothing is laid: so long along the edge, as deep as the edge. */
export function layBlank(length: number, { isVertical, thickness }: ItemContext): Layout {
  return {
    size: isVertical ? { width: thickness, height: length } : { width: length, height: thickness },
    runs: [],
  };
}
