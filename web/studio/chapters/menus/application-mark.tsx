import type { Application } from '../../../../core/desk/shapes/applications.ts';
import { ApplicationIcon, DeskIcons } from '../../../render/kit/icons.tsx';
import { useScene } from '../../../session/scene.ts';
import { takeCard } from '../../card-drag.ts';

/** An application as a row shows it: its icon in the desk's set, and its name. */
export function ApplicationMark({
  application: { id, Icon, Name },
  canDrag = false,
}: {
  application: Application;
  /** Whether it can be dragged onto a panel or a dock. */
  canDrag?: boolean;
}) {
  const icons = useScene((state) => state.scene?.icons);
  return (
    <span
      className="flex h-full min-w-0 flex-1 touch-none items-center gap-2.5"
      onPointerDown={({ button, nativeEvent }) => {
        if (canDrag && button === 0) takeCard({ by: 'application', application: id }, nativeEvent);
      }}
    >
      {icons && (
        <DeskIcons icons={icons}>
          <ApplicationIcon application={id} name={Icon} size={18} />
        </DeskIcons>
      )}
      <span className="min-w-0 flex-1 truncate">{Name}</span>
    </span>
  );
}
