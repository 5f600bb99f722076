import type { ItemViewOf } from '../../../../core/items/list.ts';
import { Lines } from '../lines.tsx';

export function ClockItem({ view }: { view: ItemViewOf<'clock'> }) {
  return <Lines lines={view.lines} fontSize={view.fontSize} />;
}
