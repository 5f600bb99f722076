import type { ItemViewOf } from '../../../../core/items/list.ts';
import { Lines } from '../lines.tsx';

export function DateItem({ view }: { view: ItemViewOf<'date'> }) {
  return <Lines lines={view.lines} fontSize={view.fontSize} />;
}
