import { useContext } from 'react';
import type { FindLayout, FindView } from '../../../../core/widgets/find/work.ts';
import { Actions } from '../../actions.ts';
import { DeskIcon } from '../../kit/icons.tsx';
import { paint, placeOf } from '../../kit/runs.tsx';

function Find({ view, layout: { icon, line, size } }: { view: FindView; layout: FindLayout }) {
  const actions = useContext(Actions);
  return (
    <>
      <span style={{ ...placeOf(icon), color: paint(view.colour) }}>
        <DeskIcon name="system-search" size={icon.width} />
      </span>
      {line && <span className="rounded-full" style={{ ...placeOf(line), background: paint(view.colour) }} />}
      {actions && (
        <button
          type="button"
          aria-label="Quick find"
          className="panel-press z-10 cursor-text rounded-lg"
          style={placeOf({ x: 0, y: 0, ...size })}
          onClick={() => actions.turnMenu('quickFind')}
        />
      )}
    </>
  );
}

export const faces = { field: Find, line: Find, sign: Find };
