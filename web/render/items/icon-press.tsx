import type { IconLayout } from '../../../core/items/text.ts';
import type { DeskActions } from '../actions.ts';
import { DeskIcon } from '../kit/icons.tsx';
import { Press } from '../kit/press.tsx';
import { Runs, placeOf } from '../kit/runs.tsx';

/** An icon of the desk's set, with what stands beside or under it, that does something when it is pressed. */
export function IconPress({
  label,
  icon,
  layout,
  onPress,
}: {
  label: string;
  icon: string;
  layout: IconLayout;
  onPress: (actions: DeskActions) => void;
}) {
  return (
    <Press label={label} onPress={onPress} className="panel-press">
      {layout.icon && (
        <span style={placeOf(layout.icon)}>
          <DeskIcon name={icon} size={layout.icon.width} />
        </span>
      )}
      <Runs runs={layout.runs} />
    </Press>
  );
}
