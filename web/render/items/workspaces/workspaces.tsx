import { workspaceMarks } from '../../../../core/items/workspaces/workspaces.ts';
import type { ItemViewOf } from '../../../../core/items/list.ts';
import type { EdgeFacts } from '../../edge-facts.ts';
import { Press } from '../../press.tsx';
import { setIn } from '../../type.ts';

const BAR = 5;

export function WorkspacesItem({ view, edge }: { view: ItemViewOf<'workspaces'>; edge: EdgeFacts }) {
  return (
    <div
      className={`flex size-full items-center justify-center ${edge.isVertical ? 'flex-col' : ''}`}
      style={{ gap: workspaceMarks.gap }}
    >
      {view.marks.map((mark, index) => (
        <Press
          key={mark.id}
          label={`Workspace ${mark.name}`}
          onPress={(actions) => actions.goTo(index)}
          className="panel-press grid shrink-0 place-items-center rounded-md"
          style={
            edge.isVertical ? { height: mark.length, width: '70%' } : { width: mark.length, height: '70%' }
          }
        >
          {view.style === 'bars' ? (
            <span
              style={{
                background: mark.isCurrent ? 'var(--accent)' : 'var(--ink)',
                opacity: mark.isCurrent ? 1 : 0.34,
                borderRadius: BAR,
                ...(edge.isVertical ? { width: BAR, height: '100%' } : { height: BAR, width: '100%' }),
              }}
            />
          ) : (
            <span
              className="whitespace-nowrap"
              style={{
                ...setIn('text', { size: view.fontSize, weight: 500 }),
                opacity: mark.isCurrent ? 1 : 0.72,
                boxShadow: mark.isCurrent ? '0 2px 0 var(--accent)' : undefined,
              }}
            >
              {mark.label}
            </span>
          )}
        </Press>
      ))}
    </div>
  );
}
