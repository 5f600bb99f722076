import Fuse from 'fuse.js';
import { DropdownMenu } from 'radix-ui';
import {
  Copy,
  Download,
  FileUp,
  MonitorPlay,
  MoreHorizontal,
  Pencil,
  Plus,
  Search,
  Trash2,
} from 'lucide-react';
import { format } from 'date-fns/format';
import { useEffect, useMemo, useRef, useState, type DragEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from '../ui/toast.ts';
import { bareDesk } from '../../demo/bare-desk.ts';
import { ServerProblem, api, type StoredDesk } from '../api/client.ts';
import { listen } from '../api/events.ts';
import { LedgeMark } from '../render/icons.tsx';
import { ThemeMenu } from '../studio/rail.tsx';
import { Button } from '../ui/controls.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { NameForm } from '../ui/name-form.tsx';
import { menuItem, menuLine, menuPanel } from '../ui/menu.ts';
import { prepareDrawing } from '../stores/drawing.ts';
import { Miniature } from './miniature.tsx';
import { useMinute } from './use-minute.ts';

/** From so many desks on, a search is worth its room. */
const MANY = 7;

/** The home page: the desks, as live miniatures standing on ledges. */
export function Shelf() {
  const { desks, failure, reload } = useDesks();
  const [query, setQuery] = useState('');
  const [renaming, setRenaming] = useState<StoredDesk | null>(null);
  const [isFileOver, setFileOver] = useState(false);
  const navigate = useNavigate();
  const moment = useMinute();
  const file = useRef<HTMLInputElement>(null);
  const fuse = useMemo(
    () =>
      new Fuse(desks ?? [], {
        keys: ['desk.name'],
        threshold: 0.3,
        ignoreLocation: true,
      }),
    [desks],
  );
  const shown = query.trim() ? fuse.search(query.trim()).map(({ item }) => item) : desks;

  useEffect(() => {
    document.title = 'Velvet Ledge';
  }, []);

  async function attempt(work: () => Promise<unknown>) {
    try {
      await work();
    } catch (error) {
      toast.error((error as Error).message);
    }
    await reload();
  }

  const create = () =>
    attempt(async () => {
      const { desk } = await api.create({ ...bareDesk(), name: 'New desk' });
      void navigate(`/desk/${desk.id}`);
    });

  const takeIn = (bundle: File) =>
    attempt(async () => {
      try {
        const { desk } = await api.importBundle(bundle);
        toast.success(`${desk.name} is on the shelf.`);
      } catch (error) {
        if (error instanceof ServerProblem)
          throw new Error(`${bundle.name} was not taken in: ${error.message}`, { cause: error });
        throw error;
      }
    });

  const remove = ({ desk }: StoredDesk) =>
    attempt(async () => {
      await api.remove(desk.id);
      toast(`${desk.name} is off the shelf.`, {
        action: { label: 'Undo', onClick: () => void attempt(() => api.restore(desk.id)) },
      });
    });

  function onDrop(event: DragEvent) {
    event.preventDefault();
    setFileOver(false);
    const [bundle] = event.dataTransfer.files;
    if (bundle) void takeIn(bundle);
  }

  return (
    <div
      className="h-full overflow-y-auto bg-linear-to-b from-velvet to-pit"
      onDragOver={(event) => {
        event.preventDefault();
        setFileOver(event.dataTransfer.types.includes('Files'));
      }}
      onDragLeave={() => setFileOver(false)}
      onDrop={onDrop}
    >
      <header className="mx-auto flex max-w-[1100px] min-[1700px]:max-w-[1600px] items-center gap-3 px-10 pb-2 pt-6">
        <span className="text-brass">
          <LedgeMark size={38} />
        </span>
        <h1 className="font-display text-[28px] font-medium leading-none">Velvet Ledge</h1>
        <div className="ml-auto flex items-center gap-2">
          {(desks?.length ?? 0) >= MANY && (
            <label className="flex h-8 items-center gap-2 rounded-lg bg-pit px-2.5">
              <Search size={14} className="text-dust" />
              <input
                aria-label="Search desks"
                placeholder="Search desks"
                value={query}
                onChange={(event) => setQuery(event.target.value)}
                className="w-40 bg-transparent outline-none placeholder:text-dust"
              />
            </label>
          )}
          <input
            ref={file}
            type="file"
            accept=".ledge"
            hidden
            aria-label="Desk file"
            onChange={(event) => {
              const bundle = event.target.files?.[0];
              if (bundle) void takeIn(bundle);
              event.target.value = '';
            }}
          />
          <Button onClick={() => file.current?.click()}>
            <FileUp size={15} /> Import
          </Button>
          <Button tone="brass" onClick={() => void create()}>
            <Plus size={16} /> New desk
          </Button>
          <ThemeMenu />
        </div>
      </header>
      <main className="mx-auto max-w-[1100px] min-[1700px]:max-w-[1600px] px-10 pb-16 pt-4">
        {failure && (
          <div role="alert" className="mx-auto mt-16 max-w-md text-center">
            <h2 className="font-display text-[24px]">The shelf can’t be read</h2>
            <p className="mb-4 mt-1 text-dust">{failure}</p>
            <Button onClick={() => void reload()}>Try again</Button>
          </div>
        )}
        {shown?.length === 0 && (
          <p className="mt-16 text-center text-dust">
            {query
              ? `No desk like “${query}”.`
              : 'The shelf is empty: make a new desk, or import a .ledge file.'}
          </p>
        )}
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(min(400px,100%),1fr))] gap-x-12 gap-y-10">
          {shown?.map((stored) => (
            <DeskOnLedge
              key={stored.desk.id}
              stored={stored}
              moment={moment}
              onRename={() => setRenaming(stored)}
              onDuplicate={() => void attempt(() => api.create(stored.desk))}
              onRemove={() => void remove(stored)}
            />
          ))}
        </ul>
      </main>
      {isFileOver && (
        <div className="pointer-events-none fixed inset-3 rounded-2xl outline-2 outline-brass outline-dashed" />
      )}
      {renaming && (
        <Dialog title="Rename the desk" isOpen onClose={() => setRenaming(null)}>
          <NameForm
            name={renaming.desk.name}
            onRename={(name) => void attempt(() => api.save({ ...renaming.desk, name }, renaming.revision))}
            onLeave={() => setRenaming(null)}
          />
        </Dialog>
      )}
    </div>
  );
}

/** The desks on the shelf, once their type can be measured. */
async function fetchDesks(): Promise<StoredDesk[]> {
  const list = await api.desks();
  await Promise.all(list.map(({ desk }) => prepareDrawing(desk)));
  return list;
}

function useDesks() {
  const [desks, setDesks] = useState<StoredDesk[] | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const reload = useMemo(() => {
    let newest = 0;
    return async () => {
      const mine = ++newest;
      const found = await fetchDesks().then(
        (desks) => ({ desks, failure: null }),
        (error: Error) => ({ desks: null, failure: error.message }),
      );
      // One asked for later may have been answered sooner: an older answer doesn't undo it.
      if (mine !== newest) return;
      if (found.desks) setDesks(found.desks);
      setFailure(found.failure);
    };
  }, []);
  useEffect(() => {
    void reload();
    return listen(false, {
      onSaved: () => void reload(),
      onRemoved: () => void reload(),
      onHello: () => void reload(),
    });
  }, [reload]);
  return { desks, failure, reload };
}

interface DeskOnLedgeProps {
  stored: StoredDesk;
  moment: number;
  onRename: () => void;
  onDuplicate: () => void;
  onRemove: () => void;
}

function DeskOnLedge({
  stored: { desk, savedAt },
  moment,
  onRename,
  onDuplicate,
  onRemove,
}: DeskOnLedgeProps) {
  const screens = desk.screens.map((screen) => `${screen.width} × ${screen.height}`).join(', ');
  return (
    <li className="group" data-desk={desk.id}>
      <Link
        to={`/desk/${desk.id}`}
        aria-label={`Open ${desk.name}`}
        className="block px-4 transition-transform duration-200 group-hover:-translate-y-1 motion-reduce:transform-none"
      >
        <Miniature desk={desk} moment={moment} />
      </Link>
      {/* The ledge itself: a lit edge with its shadow beneath. */}
      <div className="h-[3px] rounded-full bg-brass shadow-[0_0_16px_color-mix(in_oklab,var(--brass)_45%,transparent)]" />
      <div className="mx-1 h-3 rounded-b-lg bg-linear-to-b from-seam to-transparent opacity-60" />
      <div className="mt-1 flex items-start gap-2 px-4">
        <div className="min-w-0 flex-1">
          <h2 className="truncate font-display text-[20px] leading-tight">{desk.name}</h2>
          <p className="truncate text-dust">
            {screens} · kept {format(savedAt, 'd MMM, HH:mm')}
          </p>
        </div>
        <DropdownMenu.Root modal={false}>
          <DropdownMenu.Trigger
            aria-label={`Menu of ${desk.name}`}
            className="grid size-8 place-items-center rounded-lg text-dust hover:bg-nap hover:text-chalk"
          >
            <MoreHorizontal size={17} />
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              className={menuPanel}
              align="end"
              onCloseAutoFocus={(event) => event.preventDefault()}
            >
              <DropdownMenu.Item className={menuItem} asChild>
                <Link to={`/live/${desk.id}`}>
                  Go live <MonitorPlay size={14} />
                </Link>
              </DropdownMenu.Item>
              <DropdownMenu.Item className={menuItem} onSelect={onRename}>
                Rename <Pencil size={14} />
              </DropdownMenu.Item>
              <DropdownMenu.Item className={menuItem} onSelect={onDuplicate}>
                Duplicate <Copy size={14} />
              </DropdownMenu.Item>
              <DropdownMenu.Item className={menuItem} asChild>
                <a href={api.bundleAddress(desk.id)} download>
                  Save as a file <Download size={14} />
                </a>
              </DropdownMenu.Item>
              <DropdownMenu.Separator className={menuLine} />
              <DropdownMenu.Item className={menuItem} onSelect={onRemove}>
                Delete <Trash2 size={14} />
              </DropdownMenu.Item>
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </div>
    </li>
  );
}
