import { named } from '../../../core/desk/edits/edit.ts';
import { Plus, Trash2 } from 'lucide-react';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { edits } from '../../../core/desk/edits/edits.ts';
import { useDesk } from '../../session/desk.ts';
import { Button, IconButton } from '../../ui/buttons.tsx';
import { TextField } from '../../ui/text-field.tsx';

const MOST = 32;

/** The workspaces of a desk: their number and their names. */
export function WorkspacesSheet() {
  const workspaces = useDesk((state) => state.history?.present.workspaces) ?? [];
  const edit = useDesk((state) => state.edit);
  const [error, setError] = useState<string | null>(null);
  return (
    <div className="grid gap-2">
      <ol className="grid gap-1.5">
        {workspaces.map(({ id, name }, index) => (
          <li key={id} className="flex items-center gap-2">
            <span className="w-5 text-right font-mono text-dust">{index + 1}</span>
            <TextField
              label={`Name of workspace ${index + 1}`}
              value={name}
              check={(text) =>
                text.trim() && text.trim().length <= 120
                  ? null
                  : 'A workspace needs a name of up to 120 letters.'
              }
              onError={setError}
              onChange={(text) => edit(edits.renameWorkspace(id, text.trim()))}
            />
            <IconButton
              label={`Remove ${name}`}
              disabled={workspaces.length < 2}
              onClick={() => edit(named('Remove workspace', edits.remove([id])))}
            >
              <Trash2 size={15} />
            </IconButton>
          </li>
        ))}
      </ol>
      {error && (
        <p role="alert" className="text-[12px] text-rust">
          {error}
        </p>
      )}
      <div>
        <Button
          disabled={workspaces.length >= MOST}
          onClick={() => edit(edits.addWorkspace(nanoid(8), `Workspace ${workspaces.length + 1}`))}
        >
          <Plus size={15} /> Add a workspace
        </Button>
      </div>
    </div>
  );
}
