import { ApplicationIcon } from '../../kit/icons.tsx';
import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { Press } from '../../kit/press.tsx';
import { Runs, placeOf } from '../../kit/runs.tsx';

/** Each window in its place; the front one stands on a lit line, what is minimised is fainter. */
export const OpenWindowsItem: ItemDrawing<'open-windows'> = ({ view, layout }) => (
  <>
    {view.entries.map((entry, index) => {
      const laid = layout.entries[index];
      if (!laid) return null;
      const { press, icon, line } = laid;
      const [first] = entry.windows;
      const isAlone = entry.windows.length === 1 && first !== undefined;
      return (
        <div key={first} style={placeOf(press)}>
          <Press
            label={entry.isMinimised ? `${entry.title}, minimised` : entry.title}
            isCurrent={entry.isFront}
            onPress={(actions) =>
              isAlone ? actions.window({ does: 'go', window: first }) : actions.start(entry.application)
            }
            className="panel-press"
          >
            {icon && (
              <span
                style={{
                  ...placeOf({ ...icon, x: icon.x - press.x, y: icon.y - press.y }),
                  opacity: entry.isMinimised ? 0.55 : 1,
                }}
              >
                <ApplicationIcon application={entry.application} name={entry.icon} size={icon.width} />
              </span>
            )}
            <span
              style={{
                ...placeOf({ ...line, x: line.x - press.x, y: line.y - press.y }),
                background: entry.isFront ? 'var(--accent)' : 'var(--soft-ink)',
                opacity: entry.isFront ? 1 : entry.isMinimised ? 0 : 0.4,
                borderRadius: 2,
              }}
            />
          </Press>
        </div>
      );
    })}
    <div className="pointer-events-none absolute inset-0">
      <Runs runs={layout.runs} />
    </div>
  </>
);
