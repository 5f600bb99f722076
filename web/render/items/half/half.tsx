import type { ItemDrawing } from '../../item-drawing.ts';
import { IconPress } from '../icon-press.tsx';

export const HalfItem: ItemDrawing<'half'> = ({ view, layout }) => (
  <IconPress
    label={view.half === 'light' ? 'Look at the dark half' : 'Look at the light half'}
    icon={view.icon}
    layout={layout}
    onPress={(actions) => actions.perform('half')}
  />
);
