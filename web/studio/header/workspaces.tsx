import { nanoid } from 'nanoid';
import { named } from '../../../core/desk/edits/edit.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { Workspaces } from '../../../core/desk/shapes/workspaces.ts';
import { useDesk } from '../../session/desk.ts';
import { RecordRows } from '../form/record-rows.tsx';

/** The workspaces of a desk: their number and their names. */
export function WorkspacesSheet() {
  const workspaces = useDesk((state) => state.history?.present.workspaces) ?? [];
  const { edit, turn, endGesture } = useDesk.getState();
  return (
    <RecordRows
      list={Workspaces}
      one="Workspace"
      entries={workspaces}
      columns="minmax(0, 1fr)"
      onTurn={(id, { name }) => turn(edits.renameWorkspace(id, String(name)))}
      onEnd={endGesture}
      onAdd={() => edit(edits.addWorkspace(nanoid(8), `Workspace ${workspaces.length + 1}`))}
      onRemove={(id) => edit(named('Remove workspace', edits.remove([id])))}
    />
  );
}
