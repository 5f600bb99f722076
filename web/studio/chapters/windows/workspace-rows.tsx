import { Plus, Trash2 } from 'lucide-react';
import { nanoid } from 'nanoid';
import type { Desk } from '../../../../core/desk/desk.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { Workspaces } from '../../../../core/desk/shapes/workspaces.ts';
import { Name } from '../../../../core/values/name.ts';
import { useConditions } from '../../../session/conditions.ts';
import { useDesk } from '../../../session/desk.ts';
import { useView } from '../../../stores/view.ts';
import { Button, IconButton } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { lengthsOf } from '../../form/schema.ts';

/** The workspaces of a desk: how many there are, what they are called, and whether a backdrop is their own. */
export function WorkspaceRows({ desk }: { desk: Desk }) {
  const { edit } = useDesk.getState();
  const shown = useConditions((state) => state.workspace);
  const { least, most } = lengthsOf(Workspaces);
  const { workspaces, backdrops } = desk;
  return (
    <Section title="Workspaces" note={String(workspaces.length)}>
      {workspaces.map(({ id, name }, index) => {
        const hasOwn = backdrops.some((one) => one.for.workspace === id);
        return (
          <div key={id} className="flex items-center gap-1.5">
            <button
              type="button"
              aria-label={`Go to ${name}`}
              aria-current={index === shown}
              className="grid size-7 shrink-0 place-items-center rounded font-mono text-dust aria-[current=true]:bg-brass aria-[current=true]:text-on-brass"
              onClick={() => useConditions.getState().goTo(index)}
            >
              {index + 1}
            </button>
            <TextField
              label={`Name of workspace ${index + 1}`}
              value={name}
              check={(text) => (Name.safeParse(text).success ? null : 'Not taken: a workspace has a name.')}
              onChange={(next) => edit(edits.renameWorkspace(id, next))}
            />
            <button
              type="button"
              className="shrink-0 px-1 text-[12px] text-dust hover:text-brass"
              onClick={() => {
                useConditions.getState().goTo(index);
                useView.getState().goToChapter('backdrop');
              }}
            >
              {hasOwn ? 'own backdrop' : 'backdrop…'}
            </button>
            <IconButton
              label={`Remove ${name}`}
              disabled={workspaces.length <= least}
              onClick={() => edit(named('Remove workspace', edits.remove([id])))}
            >
              <Trash2 size={15} />
            </IconButton>
          </div>
        );
      })}
      <div>
        <Button
          disabled={workspaces.length >= most}
          onClick={() => edit(edits.addWorkspace(nanoid(8), `Workspace ${workspaces.length + 1}`))}
        >
          <Plus size={15} /> Add a workspace
        </Button>
      </div>
    </Section>
  );
}
