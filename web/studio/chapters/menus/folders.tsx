import { FolderPlus, Trash2 } from 'lucide-react';
import { nanoid } from 'nanoid';
import type { Desk } from '../../../../core/desk/desk.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { Folder } from '../../../../core/menus/app-wall.ts';
import { Name } from '../../../../core/values/name.ts';
import { useDesk } from '../../../session/desk.ts';
import { Button, IconButton } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { ApplicationPicks } from './application-picks.tsx';

/** Folders of the wall: what is in one stands on no shelf of its own. */
export function Folders({ desk }: { desk: Desk }) {
  const { folders } = desk.menus.appWall;
  const set = (next: readonly Folder[], label: string) =>
    useDesk.getState().edit(named(label, edits.setMenu('appWall', { folders: [...next] })));
  const change = (folder: Folder, what: Partial<Folder>, label: string) =>
    set(
      folders.map((one) => (one === folder ? { ...one, ...what } : one)),
      label,
    );
  const elsewhere = (folder: Folder) =>
    new Set(folders.filter((one) => one !== folder).flatMap(({ applications }) => applications));
  return (
    <Section title="Folders">
      {folders.map((folder) => (
        <section key={folder.id} aria-label={folder.name} className="grid gap-1 rounded-lg bg-pit/50 p-2">
          <div className="flex items-center gap-1">
            <TextField
              label={`Name of the folder ${folder.name}`}
              value={folder.name}
              check={(text) => (Name.safeParse(text).success ? null : 'Not taken: a folder has a name.')}
              onChange={(name) => change(folder, { name }, 'Name of a folder')}
            />
            <IconButton
              label={`Remove the folder ${folder.name}`}
              onClick={() =>
                set(
                  folders.filter((one) => one !== folder),
                  `Remove the folder ${folder.name}`,
                )
              }
            >
              <Trash2 size={15} />
            </IconButton>
          </div>
          <ApplicationPicks
            of={folder.name}
            applications={desk.applications.filter(({ id }) => !elsewhere(folder).has(id))}
            chosen={folder.applications}
            onChange={(applications, label) => change(folder, { applications: [...applications] }, label)}
          />
        </section>
      ))}
      <Button
        onClick={() =>
          set([...folders, { id: nanoid(8), name: 'A folder', applications: [] }], 'Add a folder')
        }
      >
        <FolderPlus size={15} /> Add a folder
      </Button>
    </Section>
  );
}
