import type { ItemViewOf } from '../../../../core/items/list.ts';
import type { EdgeFacts } from '../../edge-facts.ts';
import { DeskIcon } from '../../icons.tsx';

export function TrayItem({ view, edge }: { view: ItemViewOf<'tray'>; edge: EdgeFacts }) {
  return (
    <div className={`flex size-full items-center justify-center gap-3 ${edge.isVertical ? 'flex-col' : ''}`}>
      {view.signs.map((sign) => (
        <span
          key={sign.id}
          role="img"
          aria-label={sign.title}
          title={sign.title}
          style={{
            color: sign.icon.endsWith('-high') ? 'var(--alert)' : undefined,
            opacity: sign.icon.endsWith('-offline') ? 0.5 : 1,
          }}
        >
          <DeskIcon name={sign.icon} size={view.iconSize} />
        </span>
      ))}
    </div>
  );
}
