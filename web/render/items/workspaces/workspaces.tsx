import type { ItemDrawing } from '../../item-drawing.ts';
import { Press } from '../../press.tsx';
import { Runs, placeOf } from '../../runs.tsx';

const markLook = (isCurrent: boolean) => ({
  background: isCurrent ? 'var(--accent)' : 'var(--ink)',
  opacity: isCurrent ? 1 : 0.34,
  borderRadius: 5,
});

/** A screen in small, seen through; the one in front is lit. */
const smallLook = (isCurrent: boolean) => ({
  background: `color-mix(in srgb, ${isCurrent ? 'var(--accent)' : 'var(--ink)'} 22%, transparent)`,
  boxShadow: `inset 0 0 0 1.5px ${isCurrent ? 'var(--accent)' : 'color-mix(in srgb, var(--ink) 40%, transparent)'}`,
  borderRadius: 3,
});

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
                  ...(view.face === 'small' ? smallLook(mark.isCurrent) : markLook(mark.isCurrent)),
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
