import type { Application } from '../../../../core/desk/sections/applications.ts';
import { ApplicationIcon, IconSet } from '../../../render/icons.tsx';
import { useScene } from '../../../session/scene.ts';

/** An application as a row shows it: its icon in the desk's set, and its name. */
export function ApplicationMark({ application: { id, Icon, Name } }: { application: Application }) {
  const icons = useScene((state) => state.scene?.icons);
  return (
    <>
      {icons && (
        <IconSet.Provider value={icons}>
          <ApplicationIcon application={id} name={Icon} size={18} />
        </IconSet.Provider>
      )}
      <span className="min-w-0 flex-1 truncate">{Name}</span>
    </>
  );
}
