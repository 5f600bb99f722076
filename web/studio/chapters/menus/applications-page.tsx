import { arrayMove } from '@dnd-kit/sortable';
import { nanoid } from 'nanoid';
import { FileDown, FolderOpen, Plus } from 'lucide-react';
import { useState } from 'react';
import { createApplication } from '../../../../core/desk/defaults.ts';
import type { Desk } from '../../../../core/desk/desk.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { FileRead, NamedFile } from '../../../../core/applications/entry-files.ts';
import { presentDesk, useDesk } from '../../../session/desk.ts';
import { useView } from '../../../stores/view.ts';
import { Button } from '../../../ui/buttons.tsx';
import { Applications } from '../../../../core/desk/shapes/applications.ts';
import { lengthsOf } from '../../form/schema.ts';
import { FilesButton } from '../../../ui/file-button.tsx';
import { OrderedList } from '../../../ui/ordered-list.tsx';
import { Section } from '../../../ui/section.tsx';
import { readInWorker } from '../../../workers/files.ts';
import { WorkProblem } from '../../../workers/remote.ts';
import { toast } from '../../../ui/toast.ts';
import { saveBytes } from '../../pictures/download.ts';
import { editAndSay } from '../../../session/said-undo.ts';
import { ApplicationPage } from './application-page.tsx';
import { ApplicationMark } from './application-mark.tsx';

const entryFiles = () => import('../../../../core/applications/entry-files.ts');

/** The applications of the desk, or the one that is open. */
export function ApplicationsPage({ desk }: { desk: Desk }) {
  const open = useView(({ spot }) => spot);
  const application = desk.applications.find(({ id }) => id === open);
  return application ? (
    <ApplicationPage key={application.id} desk={desk} application={application} />
  ) : (
    <AllApplications desk={desk} />
  );
}

/** The applications of the desk: added, ordered, taken off, and in and out as files. */
function AllApplications({ desk }: { desk: Desk }) {
  const { applications } = desk;
  const [read, setRead] = useState<readonly FileRead[]>([]);
  function add() {
    const application = createApplication(nanoid(8), 'New application');
    if (useDesk.getState().edit(named('Add an application', edits.addApplications([application]))))
      useView.getState().goToChapter('menus', 'applications', application.id);
  }
  async function takeIn(files: File[]) {
    setRead([]);
    const { MOST_ZIP } = await entryFiles();
    const contents = await Promise.all(files.map((file) => bytesOf(file, MOST_ZIP)));
    const now = presentDesk();
    if (!now) return;
    let found: FileRead[];
    try {
      const taken = now.applications.map(({ id }) => id);
      found = await readInWorker((readers) =>
        readers.readEntryFiles(contents, [...navigator.languages], taken),
      );
    } catch (error) {
      toast.warning(
        `Nothing was taken in: ${error instanceof WorkProblem ? error.message : 'it can’t be read'}.`,
      );
      return;
    }
    const whole = found.flatMap(({ application, hidden }) => (application && !hidden ? [application] : []));
    const fresh = whole.slice(0, lengthsOf(Applications).most - now.applications.length);
    setRead(
      found.filter(({ application, hidden, problems }) => !application || hidden || problems.length > 0),
    );
    if (fresh.length < whole.length)
      toast.warning(
        `There is no room for ${whole.length - fresh.length} of them: a desk has up to ${lengthsOf(Applications).most} applications.`,
      );
    if (fresh.length === 0) {
      toast.warning('No application was taken in: see why on the page.');
      return;
    }
    const many = fresh.length === 1 ? (fresh[0]?.Name ?? '') : `${fresh.length} applications`;
    editAndSay(named(`Take in ${many}`, edits.addApplications(fresh)), `Took in ${many}.`);
  }
  return (
    <>
      <Section title="On this desk" note="drag, or arrows on the grip">
        <OrderedList
          rows={applications.map((application) => ({
            id: application.id,
            title: application.Name,
            content: <ApplicationMark application={application} canDrag />,
            onPress: () => useView.getState().goToChapter('menus', 'applications', application.id),
            onRemove: () =>
              void editAndSay(
                named(`Remove ${application.Name}`, edits.removeApplications([application.id])),
                `Removed ${application.Name}, and what started it.`,
              ),
          }))}
          onMove={(id, index) => {
            const ids = applications.map((one) => one.id);
            useDesk.getState().edit(edits.orderApplications(arrayMove(ids, ids.indexOf(id), index)));
          }}
        />
        <div className="mt-1">
          <Button onClick={add}>
            <Plus size={15} /> Add an application
          </Button>
        </div>
      </Section>
      <Section title="As files" note=".desktop, or a ZIP of them">
        <div className="flex flex-wrap gap-1.5">
          <FilesButton
            label="Desktop entry files"
            accept=".desktop,.zip"
            multiple
            onFiles={(files) => void takeIn(files)}
          >
            <FolderOpen size={15} /> Take in…
          </FilesButton>
          <Button disabled={applications.length === 0} onClick={() => void giveOut(desk)}>
            <FileDown size={15} /> Give out all
          </Button>
        </div>
        <WhatWasLeft read={read} />
      </Section>
    </>
  );
}

/** What is too large is not read. */
async function bytesOf(file: File, most: number): Promise<NamedFile> {
  return { name: file.name, bytes: file.size > most ? null : new Uint8Array(await file.arrayBuffer()) };
}

async function giveOut({ applications, name }: Desk): Promise<void> {
  const { zipEntries } = await entryFiles();
  saveBytes(zipEntries(applications), `${name} applications.zip`, 'application/zip');
}

/** Files that were not taken, or not as they stood: which line, and why. */
function WhatWasLeft({ read }: { read: readonly FileRead[] }) {
  if (read.length === 0) return null;
  return (
    <ul className="mt-2 grid gap-2" aria-label="What was left">
      {read.slice(0, 100).map(({ file, application, hidden, problems }, index) => (
        <li key={index} className="rounded-lg bg-pit px-2.5 py-2 text-[12px]">
          <span className="block truncate font-medium">{file}</span>
          <span className="block text-dust">
            {application === null ? 'Not taken.' : hidden ? `Left out: ${hidden}.` : 'Taken, but for this:'}
          </span>
          {problems.map(({ line, sentence }, at) => (
            <span key={at} className="block text-rust">
              {line > 0 ? `Line ${line} ` : 'It '}
              {sentence}.
            </span>
          ))}
        </li>
      ))}
    </ul>
  );
}
