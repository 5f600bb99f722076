import type { CSSProperties } from 'react';
import { plainLine, plainMark } from '../../../../core/arrange/schema.ts';
import type { Side } from '../../../../core/values/geometry.ts';
import { ApplicationIcon } from '../../kit/icons.tsx';
import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { markStyle } from '../../edges/dock-line.ts';
import { Press } from '../../kit/press.tsx';
import { plateAround } from '../../../../core/scene/sections/texts.ts';
import { Runs, placeOf } from '../../kit/runs.tsx';
import { surfaceBox, surfaceColours } from '../../kit/surface.ts';

/** Which way an icon lifts off its line: away from the screen's side. */
const away: Record<Side, string> = {
  bottom: 'translateY(-9px)',
  top: 'translateY(9px)',
  left: 'translateX(9px)',
  right: 'translateX(-9px)',
};

export const ApplicationItem: ItemDrawing<'application'> = (props) =>
  props.edge.kind === 'dock' ? <OnDock {...props} /> : <OnPanel {...props} />;

const OnPanel: ItemDrawing<'application'> = ({ view, layout, edge }) => (
  <Press
    label={`Start ${view.name}`}
    onPress={(actions) => actions.start(view.application)}
    className="panel-press"
  >
    {layout.icon && (
      <span style={placeOf(layout.icon)}>
        <ApplicationIcon application={view.application} name={view.icon} size={layout.icon.width} />
      </span>
    )}
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
  const { line = plainLine, mark: marked = plainMark, side } = edge;
  const mark = view.isRunning ? markStyle(marked, line, side) : null;
  return (
    <>
      <Press
        label={`Start ${view.name}`}
        onPress={(actions) => actions.start(view.application)}
        className="dock-icon"
        style={{ '--lift': away[edge.side] } as CSSProperties}
      >
        <span className="dock-lift absolute inset-0">
          {layout.icon && (
            <span
              data-grows={edge.side}
              style={{ ...placeOf(layout.icon), filter: 'drop-shadow(0 2px 6px rgb(0 0 0 / .35))' }}
            >
              <ApplicationIcon application={view.application} name={view.icon} size={layout.icon.width} />
            </span>
          )}
          <Runs runs={layout.runs} />
        </span>
        {layout.told && edge.plate && (
          <span className="dock-name pointer-events-none" style={surfaceColours(edge.plate)}>
            <span
              style={{
                ...placeOf(plateAround(layout.told.ink)),
                ...surfaceBox({ ...edge.plate, radius: Math.min(edge.plate.radius, 8) }),
              }}
            />
            <Runs runs={[layout.told]} />
          </span>
        )}
      </Press>
      {mark && <span className="absolute" style={mark} data-stud={view.application} />}
    </>
  );
};
