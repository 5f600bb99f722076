import { createItem } from '../../../../core/desk/defaults.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { Edge } from '../../../../core/desk/shapes/edges.ts';
import { nanoid } from 'nanoid';
import { ApplicationIcon, DeskIcons } from '../../../render/kit/icons.tsx';
import { useDesk } from '../../../session/desk.ts';
import { useScene } from '../../../session/scene.ts';
import { takeCard } from '../../card-drag.ts';

/** The desk's applications: a press puts one at the end of the edge, a drag wherever it is let go. */
export function ApplicationGrid({ edge }: { edge: Edge }) {
  const applications = useDesk((state) => state.history?.present.applications) ?? [];
  const icons = useScene((state) => state.scene?.icons);
  const standing = new Set(edge.items.map(({ options }) => options['application']));
  if (!icons) return null;
  if (applications.length === 0)
    return <p className="text-dust">There are none: add some under Menus, Applications.</p>;
  return (
    <DeskIcons icons={icons}>
      <div
        className="grid max-h-48 grid-cols-7 gap-1 overflow-y-auto p-0.5"
        role="group"
        aria-label="Applications"
      >
        {applications.map(({ id, Name, Icon }) => (
          <button
            key={id}
            type="button"
            title={Name}
            aria-label={`Add ${Name}`}
            data-application={id}
            onPointerDown={({ button, nativeEvent }) => {
              if (button === 0) takeCard({ by: 'application', application: id }, nativeEvent);
            }}
            onClick={() => {
              const item = createItem(nanoid(8), 'application', { application: id });
              useDesk.getState().edit(named(`Add ${Name}`, edits.addItem(edge.id, item, edge.items.length)));
            }}
            className={`grid aspect-square touch-none place-items-center rounded-lg bg-nap hover:outline hover:outline-brass/70 ${standing.has(id) ? 'opacity-45' : ''}`}
          >
            <ApplicationIcon application={id} name={Icon} size={20} />
          </button>
        ))}
      </div>
    </DeskIcons>
  );
}
