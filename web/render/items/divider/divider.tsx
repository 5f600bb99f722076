import type { ItemViewOf } from '../../../../core/items/list.ts';
import type { EdgeFacts } from '../../edge-facts.ts';

export function DividerItem({ view, edge }: { view: ItemViewOf<'divider'>; edge: EdgeFacts }) {
  const reach = `${view.reach}%`;
  return (
    <div className="grid size-full place-items-center">
      <div
        style={{
          background: 'var(--ink)',
          opacity: 0.28,
          ...(edge.isVertical ? { width: reach, height: 1 } : { width: 1, height: reach }),
        }}
      />
    </div>
  );
}
