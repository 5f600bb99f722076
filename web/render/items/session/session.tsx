import { sessionActs } from '../../../../core/items/session/session.ts';
import { DeskIcon } from '../../icons.tsx';
import type { ItemDrawing } from '../../item-drawing.ts';
import { Press } from '../../press.tsx';
import { Runs, placeOf } from '../../runs.tsx';

export const SessionItem: ItemDrawing<'session'> = ({ view, layout }) => (
  <Press
    label={view.title}
    onPress={(actions) => actions.say(sessionActs[view.act].would)}
    className="panel-press"
  >
    <span style={placeOf(layout.icon)}>
      <DeskIcon name={view.icon} size={layout.icon.width} />
    </span>
    <Runs runs={layout.runs} />
  </Press>
);
