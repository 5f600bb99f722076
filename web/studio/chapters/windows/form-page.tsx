import type { Desk } from '../../../../core/desk/desk.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { windowForms, type WindowForm } from '../../../../core/windows/schema.ts';
import { useDesk } from '../../../session/desk.ts';
import { GroupedFields } from '../../form/form.tsx';
import { DifferenceSection } from './difference.tsx';
import { MovesCost } from './moves-cost.tsx';
import { OpenSomeHint } from './open-windows.tsx';
import { WorkspaceRows } from './workspace-rows.tsx';

/** One of the forms that windows are made by, with what belongs to it. */
export function FormPage({ form, title, desk }: { form: WindowForm; title: string; desk: Desk }) {
  const { turn, endGesture } = useDesk.getState();
  return (
    <>
      <OpenSomeHint />
      {form === 'workspaces' && <WorkspaceRows desk={desk} />}
      <GroupedFields
        schema={windowForms[form]}
        values={desk.windows[form]}
        onTurn={(change, label) =>
          turn(named(`${title}: ${label.toLowerCase()}`, edits.setWindows(form, change)))
        }
        onEnd={endGesture}
        rest={form === 'workspaces' ? 'How they stand' : title}
      />
      {form === 'behind' && <DifferenceSection desk={desk} />}
      {form === 'moves' && <MovesCost moves={desk.windows.moves} />}
    </>
  );
}
