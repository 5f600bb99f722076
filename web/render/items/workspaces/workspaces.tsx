import { useContext } from 'react';
import { Glances } from '../../screen/glances.ts';
import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { Press } from '../../kit/press.tsx';
import { Runs, placeOf } from '../../kit/runs.tsx';

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

/** The windows of a workspace as they stand there. */
function WindowsThere({ workspace, isCurrent }: { workspace: string; isCurrent: boolean }) {
  const glance = useContext(Glances).find((one) => one.workspace === workspace);
  return glance?.windows.map(({ id, rect, isFront }) => (
    <span
      key={id}
      data-glance={id}
      className="absolute rounded-[1px]"
      style={{
        left: `${rect.x * 100}%`,
        top: `${rect.y * 100}%`,
        width: `${rect.width * 100}%`,
        height: `${rect.height * 100}%`,
        background: `color-mix(in srgb, ${isCurrent ? 'var(--accent)' : 'var(--ink)'} 45%, transparent)`,
        boxShadow: `inset 0 1px 0 ${isFront ? 'var(--accent)' : 'var(--ink)'}`,
      }}
    />
  ));
}

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
              >
                {view.face === 'small' && <WindowsThere workspace={mark.id} isCurrent={mark.isCurrent} />}
              </span>
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
