import { DeskIcon } from '../../icons.tsx';
import type { ItemDrawing } from '../../item-drawing.ts';
import { Press } from '../../press.tsx';
import { Runs, placeOf } from '../../runs.tsx';

export const HalfItem: ItemDrawing<'half'> = ({ view, layout }) => (
  <Press
    label={view.half === 'light' ? 'Look at the dark half' : 'Look at the light half'}
    onPress={(actions) => actions.perform('half')}
    className="panel-press"
  >
    <span style={placeOf(layout.icon)}>
      <DeskIcon name={view.icon} size={layout.icon.width} />
    </span>
    <Runs runs={layout.runs} />
  </Press>
);
