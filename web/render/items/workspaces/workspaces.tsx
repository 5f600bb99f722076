import type { ItemDrawing } from '../../item-drawing.ts';
import { Press } from '../../press.tsx';
import { Runs, placeOf } from '../../runs.tsx';

export const WorkspacesItem: ItemDrawing<'workspaces'> = ({ view, layout }) => (
  <>
    {view.marks.map((mark, index) => {
      const laid = layout.marks[index];
      if (!laid) return null;
      const { press, bar } = laid;
      return (
        <div key={mark.id} style={placeOf(press)}>
          <Press
            label={`Workspace ${mark.name}`}
            isCurrent={mark.isCurrent}
            onPress={(actions) => actions.goTo(index)}
            className="panel-press"
          >
            {bar && (
              <span
                style={{
                  ...placeOf({ ...bar, x: bar.x - press.x, y: bar.y - press.y }),
                  background: mark.isCurrent ? 'var(--accent)' : 'var(--ink)',
                  opacity: mark.isCurrent ? 1 : 0.34,
                  borderRadius: 5,
                }}
              />
            )}
          </Press>
        </div>
      );
    })}
    <div className="pointer-events-none absolute inset-0">
      <Runs runs={layout.runs} />
    </div>
  </>
);
