import { Download, FolderOpen } from 'lucide-react';
import { nanoid } from 'nanoid';
import {
  Headlines,
  isAddress,
  MOST_HEADLINES,
  originAt,
  standIns,
  type Headlines as HeadlinesValue,
  type Outside,
} from '../../../../../core/sources/outside.ts';
import { Button } from '../../../../ui/buttons.tsx';
import { FileButton } from '../../../../ui/file-button.tsx';
import { readInWorker } from '../../../../workers/files.ts';
import { WorkProblem } from '../../../../workers/remote.ts';
import type { ListedSource } from '../../../../../core/sources/headlines/source-list.ts';
import { toast } from '../../../../ui/toast.ts';
import { saveBytes } from '../../../pictures/download.ts';
import { AllowedHosts } from './allowed-hosts.tsx';
import { OutsideList, setOutside } from './outside-list.tsx';
import { FeedState, useWanted } from './state.tsx';

const MOST_OPML = 1_000_000;

/** Where the desk's headlines come from. */
export function HeadlinesPage({ outside: { headlines } }: { outside: Outside }) {
  useWanted('headlines');
  return (
    <>
      <p className="mb-3 text-dust">
        RSS, Atom and JSON Feed. The server reads them, never from your own network unless you allow a host.
      </p>
      <OutsideList
        list="headlines"
        one="Source"
        schema={Headlines}
        entries={headlines}
        most={MOST_HEADLINES}
        fresh={() => ({
          id: nanoid(8),
          title: '',
          from: { by: 'address', address: standIns.bulletins, every: 60 },
        })}
        more={({ from }) => from.by === 'address' && <FeedState source="headlines" origin={originAt(from)} />}
      />
      <div className="mt-4 flex flex-wrap gap-1.5">
        <FileButton
          label="List of sources"
          accept=".opml,.xml,text/x-opml"
          onFile={(file) => void takeList(file, headlines)}
        >
          <FolderOpen size={15} /> From an OPML list…
        </FileButton>
        <Button onClick={() => void giveList(headlines)}>
          <Download size={15} /> As OPML
        </Button>
      </div>
      <AllowedHosts />
    </>
  );
}

async function takeList(file: File, before: readonly HeadlinesValue[]): Promise<void> {
  const refuse = (why: string) => void toast.warning(`“${file.name}” was not taken: ${why}.`);
  if (file.size > MOST_OPML) return refuse('a list may have 1 MB');
  let found: ListedSource[] | null;
  try {
    const text = await file.text();
    found = await readInWorker((readers) => readers.readSourceList(text));
  } catch (error) {
    return refuse(error instanceof WorkProblem ? error.message : 'it can’t be read');
  }
  if (!found) return refuse('it is no OPML');
  const known = new Set(before.map(({ from }) => (from.by === 'address' ? from.address : '')));
  const added: HeadlinesValue[] = [];
  let unread = 0;
  for (const { title, address } of found) {
    if (known.has(address)) continue;
    if (!isAddress(address)) {
      unread++;
      continue;
    }
    known.add(address);
    added.push({
      id: nanoid(8),
      title: title.slice(0, 60),
      from: { by: 'address', address, every: 60 },
    });
  }
  const room = MOST_HEADLINES - before.length;
  if (added.length === 0)
    return refuse(unread > 0 ? 'none of its addresses can be read' : 'it has no source that is not here');
  if (
    setOutside('headlines', [...before, ...added.slice(0, room)], `Sources from ${file.name}`.slice(0, 80))
  ) {
    const left = added.length - Math.min(room, added.length) + unread;
    toast(
      `${Math.min(room, added.length)} sources came from “${file.name}”${left > 0 ? `, ${left} were left out` : ''}.`,
    );
  }
}

async function giveList(headlines: readonly HeadlinesValue[]): Promise<void> {
  const { generateOpml } = await import('feedsmith');
  const outlines = headlines.flatMap(({ title, from }) =>
    from.by === 'address' && from.address.startsWith('http')
      ? [{ text: title || from.address, type: 'rss', xmlUrl: from.address }]
      : [],
  );
  if (outlines.length === 0) {
    toast.warning('There is nothing to write out: no source has an address on the web.');
    return;
  }
  saveBytes(
    generateOpml({ head: { title: 'Headlines' }, body: { outlines } }),
    'headlines.opml',
    'text/x-opml',
  );
}
