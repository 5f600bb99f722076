import { sessionActs } from '../../../../core/values/acts.ts';
import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { IconPress } from '../icon-press.tsx';

export const SessionItem: ItemDrawing<'session'> = ({ view, layout }) => (
  <IconPress
    label={view.title}
    icon={view.icon}
    layout={layout}
    onPress={(actions) => actions.say(sessionActs[view.act].would)}
  />
);
