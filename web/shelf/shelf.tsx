import { FileButton } from '../ui/file-button.tsx';
import Fuse from 'fuse.js';
import { FileUp, Plus, Search } from 'lucide-react';
import { useEffect, useMemo, useState, type DragEvent, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { toast } from '../ui/toast.ts';
import { BUNDLE_ENDING, KIT_ENDING } from '../../core/bundle/bundle.ts';
import { renewKits } from '../session/kits.ts';
import { bareDesk } from '../../demo/bare-desk.ts';
import type { ListedDesk } from '../../core/desk/summary.ts';
import { ServerProblem, api } from '../api/client.ts';
import { LedgeMark } from '../render/kit/icons.tsx';
import { ThemeMenu } from '../stores/theme-menu.tsx';
import { HeardNow } from '../session/sound/heard-now.tsx';
import { Button } from '../ui/buttons.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { NameForm } from '../ui/name-form.tsx';
import { DeskOnLedge } from './desk-on-ledge.tsx';
import { useDesks } from './use-desks.ts';
import { KitsOnLedge } from './kits-on-ledge.tsx';
import { useMinute } from './use-minute.ts';

/** From so many desks on, a search is worth its room. */
const MANY = 7;

/** The home page: the desks, as live miniatures standing on ledges. */
export function Shelf() {
  const { desks, failure, reload } = useDesks();
  const acts = useShelfActs(reload);
  const [renaming, setRenaming] = useState<ListedDesk | null>(null);
  const [isFileOver, setFileOver] = useState(false);
  const { query, setQuery, shown } = useSearch(desks);
  const moment = useMinute();
  useEffect(() => {
    document.title = 'Velvet Ledge';
  }, []);

  function onDrop(event: DragEvent) {
    event.preventDefault();
    setFileOver(false);
    const [bundle] = event.dataTransfer.files;
    if (bundle) void acts.takeIn(bundle);
  }

  return (
    <div
      data-shelf
      className="h-full overflow-y-auto bg-linear-to-b from-velvet to-pit"
      onDragOver={(event) => {
        event.preventDefault();
        setFileOver(event.dataTransfer.types.includes('Files'));
      }}
      onDragLeave={() => setFileOver(false)}
      onDrop={onDrop}
    >
      <ShelfHeader acts={acts}>
        {(desks?.length ?? 0) >= MANY && <SearchDesks query={query} onQuery={setQuery} />}
      </ShelfHeader>
      <main className="mx-auto max-w-[1100px] min-[1700px]:max-w-[1600px] px-10 pb-16 pt-4">
        {failure && <Failure sentence={failure} onAgain={() => void reload()} />}
        {shown?.length === 0 && <Nothing query={query} />}
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(min(400px,100%),1fr))] gap-x-12 gap-y-10">
          {shown?.map((listed) => (
            <DeskOnLedge
              key={listed.id}
              listed={listed}
              moment={moment}
              onRename={() => setRenaming(listed)}
              onDuplicate={() => void acts.copy(listed)}
              onRemove={() => void acts.remove(listed)}
            />
          ))}
        </ul>
        <KitsOnLedge moment={moment} />
      </main>
      {isFileOver && (
        <div className="pointer-events-none fixed inset-3 rounded-2xl outline-2 outline-brass outline-dashed" />
      )}
      {renaming && (
        <Dialog title="Rename the desk" isOpen onClose={() => setRenaming(null)}>
          <NameForm
            name={renaming.name}
            onRename={(name) => void acts.rename(renaming, name)}
            onLeave={() => setRenaming(null)}
          />
        </Dialog>
      )}
    </div>
  );
}

type Acts = ReturnType<typeof useShelfActs>;

/** What can be done on the shelf; each ends with the shelf as it is then. */
function useShelfActs(reload: () => Promise<unknown>) {
  const navigate = useNavigate();

  async function attempt(work: () => Promise<unknown>) {
    try {
      await work();
    } catch (error) {
      toast.error((error as Error).message);
    }
    await reload();
  }

  return {
    create: () =>
      attempt(async () => {
        // A dark picture makes a dark desk.
        const bare = bareDesk();
        const look = { ...bare.look, half: { by: 'backdrop' as const } };
        const { desk } = await api.create({ ...bare, look, name: 'New desk' });
        void navigate(`/desk/${desk.id}`, { state: { chapter: 'backdrop' } });
      }),
    takeIn: (bundle: File) =>
      attempt(async () => {
        try {
          const { name } = bundle.name.endsWith(KIT_ENDING)
            ? await api.importKit(bundle)
            : (await api.importBundle(bundle)).desk;
          await renewKits();
          toast.success(`${name} is on the shelf.`);
        } catch (error) {
          if (error instanceof ServerProblem)
            throw new Error(`${bundle.name} was not taken in: ${error.message}`, { cause: error });
          throw error;
        }
      }),
    copy: ({ id }: ListedDesk) => attempt(() => api.copy(id)),
    remove: ({ id, name }: ListedDesk) =>
      attempt(async () => {
        await api.remove(id);
        toast(`${name} is off the shelf.`, {
          action: { label: 'Undo', onClick: () => void attempt(() => api.restore(id)) },
        });
      }),
    rename: ({ id }: ListedDesk, name: string) =>
      attempt(async () => {
        const { desk, revision } = await api.desk(id);
        await api.save({ ...desk, name }, revision);
      }),
  };
}

/** The desks whose names are like what is typed. */
function useSearch(desks: ListedDesk[] | null) {
  const [query, setQuery] = useState('');
  const fuse = useMemo(
    () => new Fuse(desks ?? [], { keys: ['name'], threshold: 0.3, ignoreLocation: true }),
    [desks],
  );
  const words = query.trim();
  return { query, setQuery, shown: words ? fuse.search(words).map(({ item }) => item) : desks };
}

function SearchDesks({ query, onQuery }: { query: string; onQuery: (query: string) => void }) {
  return (
    <label className="flex h-8 items-center gap-2 rounded-lg bg-pit px-2.5">
      <Search size={14} className="text-dust" />
      <input
        aria-label="Search desks"
        placeholder="Search desks"
        value={query}
        onChange={(event) => onQuery(event.target.value)}
        className="w-40 bg-transparent outline-none placeholder:text-dust"
      />
    </label>
  );
}

function ShelfHeader({ acts, children }: { acts: Acts; children: ReactNode }) {
  return (
    <header className="mx-auto flex max-w-[1100px] min-[1700px]:max-w-[1600px] items-center gap-3 px-10 pb-2 pt-6">
      <span className="text-brass">
        <LedgeMark size={38} />
      </span>
      <h1 className="font-display text-[28px] font-medium leading-none">Velvet Ledge</h1>
      <div className="ml-auto flex items-center gap-2">
        <HeardNow />
        {children}
        <FileButton
          label="Desk file"
          accept={`${BUNDLE_ENDING},${KIT_ENDING}`}
          onFile={(bundle) => void acts.takeIn(bundle)}
        >
          <FileUp size={15} /> Import
        </FileButton>
        <Button tone="brass" onClick={() => void acts.create()}>
          <Plus size={16} /> New desk
        </Button>
        <ThemeMenu />
      </div>
    </header>
  );
}

function Failure({ sentence, onAgain }: { sentence: string; onAgain: () => void }) {
  return (
    <div role="alert" className="mx-auto mt-16 max-w-md text-center">
      <h2 className="font-display text-[24px]">The shelf can’t be read</h2>
      <p className="mb-4 mt-1 text-dust">{sentence}</p>
      <Button onClick={onAgain}>Try again</Button>
    </div>
  );
}

function Nothing({ query }: { query: string }) {
  return (
    <p className="mt-16 text-center text-dust">
      {query ? `No desk like “${query}”.` : 'The shelf is empty: make a new desk, or import a .ledge file.'}
    </p>
  );
}
