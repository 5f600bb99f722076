import type { CSSProperties } from 'react';
import { dockLine } from '../../../../core/items/application/application.ts';
import type { Side } from '../../../../core/values/geometry.ts';
import { ApplicationIcon } from '../../icons.tsx';
import type { ItemDrawing } from '../../item-drawing.ts';
import { Press } from '../../press.tsx';
import { Runs, placeOf } from '../../runs.tsx';

/** Which way an icon lifts off its line, and where its name stands: away from the screen's side. */
const away: Record<Side, { lift: string; name: CSSProperties }> = {
  bottom: { lift: 'translateY(-9px)', name: { bottom: '100%', left: '50%', translate: '-50% 0' } },
  top: { lift: 'translateY(9px)', name: { top: '100%', left: '50%', translate: '-50% 0' } },
  left: { lift: 'translateX(9px)', name: { left: '100%', top: '50%', translate: '4px -50%' } },
  right: { lift: 'translateX(-9px)', name: { right: '100%', top: '50%', translate: '-4px -50%' } },
};

export const ApplicationItem: ItemDrawing<'application'> = (props) =>
  props.edge.kind === 'dock' ? <OnDock {...props} /> : <OnPanel {...props} />;

const OnPanel: ItemDrawing<'application'> = ({ view, layout, edge }) => (
  <Press
    label={`Start ${view.name}`}
    onPress={(actions) => actions.start(view.application)}
    className="panel-press"
  >
    <span style={placeOf(layout.icon)}>
      <ApplicationIcon application={view.application} name={view.icon} size={layout.icon.width} />
    </span>
    <Runs runs={layout.runs} />
    {view.isRunning && (
      <span
        className="absolute"
        style={{ background: 'var(--accent)', borderRadius: 2, ...underline(edge.side) }}
      />
    )}
  </Press>
);

function underline(side: Side): CSSProperties {
  return side === 'left' || side === 'right'
    ? { [side]: 0, top: '25%', bottom: '25%', width: 3 }
    : { [side]: 0, left: '20%', right: '20%', height: 3 };
}

const OnDock: ItemDrawing<'application'> = ({ view, layout, edge }) => {
  const { lift, name } = away[edge.side];
  return (
    <>
      <Press
        label={`Start ${view.name}`}
        onPress={(actions) => actions.start(view.application)}
        className="dock-icon"
        style={{ '--lift': lift } as CSSProperties}
      >
        <span
          data-grows={edge.side}
          style={{ ...placeOf(layout.icon), filter: 'drop-shadow(0 2px 6px rgb(0 0 0 / .35))' }}
        >
          <ApplicationIcon application={view.application} name={view.icon} size={layout.icon.width} />
        </span>
        {edge.tellsNames && (
          <span
            className="dock-name pointer-events-none absolute whitespace-nowrap text-[17px] font-medium"
            style={{ ...name, textShadow: '0 1px 8px rgb(0 0 0 / .6)' }}
          >
            {view.name}
          </span>
        )}
      </Press>
      {view.isRunning && <span className="absolute" style={stud(edge.side)} data-stud={view.application} />}
    </>
  );
};

/** A raised stud on the line under what runs. */
function stud(side: Side): CSSProperties {
  const along = 22;
  const up = 5;
  const isUpright = side === 'left' || side === 'right';
  const rounded: Record<Side, string> = {
    bottom: '4px 4px 0 0',
    top: '0 0 4px 4px',
    left: '0 4px 4px 0',
    right: '4px 0 0 4px',
  };
  return {
    [side]: dockLine.width,
    background: 'var(--accent)',
    borderRadius: rounded[side],
    ...(isUpright
      ? { top: '50%', translate: '0 -50%', height: along, width: up }
      : { left: '50%', translate: '-50% 0', width: along, height: up }),
  };
}
