import { DropdownMenu } from 'radix-ui';
import { Copy, Download, MonitorPlay, MoreHorizontal, Pencil, Trash2 } from 'lucide-react';
import { format } from 'date-fns/format';
import { useRef, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { ListedDesk } from '../../core/desk/summary.ts';
import { api } from '../api/client.ts';
import { menuItem, menuLine, menuPanel } from '../ui/menu.ts';
import { Miniature } from '../render/screen/miniature.tsx';
import { useShelvedDesk, type Shelved } from './use-shelved-desk.ts';

interface DeskOnLedgeProps {
  listed: ListedDesk;
  moment: number;
  onRename: () => void;
  onDuplicate: () => void;
  onRemove: () => void;
}

/** One desk on the shelf: as a miniature that stands on a lit ledge, with its name and what can be done with it. */
export function DeskOnLedge({ listed, moment, onRename, onDuplicate, onRemove }: DeskOnLedgeProps) {
  const { id, name, savedAt, summary } = listed;
  const place = useRef<HTMLLIElement>(null);
  const shelved = useShelvedDesk(listed, place);
  const isReadable = shelved.state !== 'unreadable';
  const screens = summary?.screens.map(({ width, height }) => `${width} × ${height}`).join(', ');
  const inside = <Inside shelved={shelved} listed={listed} moment={moment} />;
  return (
    <li ref={place} className="group" data-desk={id} data-shelved={shelved.state}>
      {isReadable ? (
        <Link
          to={`/desk/${id}`}
          aria-label={`Open ${name}`}
          className="block px-4 transition-transform duration-200 group-hover:-translate-y-1 motion-reduce:transform-none"
        >
          {inside}
        </Link>
      ) : (
        <div className="px-4">{inside}</div>
      )}
      {/* The ledge itself: a lit edge with its shadow beneath. */}
      <div
        className={
          isReadable
            ? 'h-[3px] rounded-full bg-brass shadow-[0_0_16px_color-mix(in_oklab,var(--brass)_45%,transparent)]'
            : 'h-[3px] rounded-full bg-seam'
        }
      />
      <div className="mx-1 h-3 rounded-b-lg bg-linear-to-b from-seam to-transparent opacity-60" />
      <div className="mt-1 flex items-start gap-2 px-4">
        <div className="min-w-0 flex-1">
          <h2 className="truncate font-display text-[20px] leading-tight" title={name}>
            {name}
          </h2>
          <p className="truncate text-dust">
            {screens && `${screens} · `}kept {format(savedAt, 'd MMM, HH:mm')}
          </p>
        </div>
        <DropdownMenu.Root modal={false}>
          <DropdownMenu.Trigger
            aria-label={`Menu of ${name}`}
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
              {isReadable && (
                <>
                  <DropdownMenu.Item className={menuItem} asChild>
                    <Link to={`/live/${id}`}>
                      Go live <MonitorPlay size={14} />
                    </Link>
                  </DropdownMenu.Item>
                  <DropdownMenu.Item className={menuItem} onSelect={onRename}>
                    Rename <Pencil size={14} />
                  </DropdownMenu.Item>
                  <DropdownMenu.Item className={menuItem} onSelect={onDuplicate}>
                    Duplicate <Copy size={14} />
                  </DropdownMenu.Item>
                </>
              )}
              <DropdownMenu.Item className={menuItem} asChild>
                <a href={isReadable ? api.bundleAddress(id) : api.rawAddress(id)} download>
                  {isReadable ? 'Save as a file' : 'Save what is there'} <Download size={14} />
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

function Inside({ shelved, listed, moment }: { shelved: Shelved; listed: ListedDesk; moment: number }) {
  switch (shelved.state) {
    case 'there':
      return (
        <Miniature desk={shelved.desk} moment={moment} feeds={shelved.feeds} isBare={!shelved.isLearned} />
      );
    case 'waiting':
      return <Blank />;
    case 'large':
      return (
        <Blank>
          <p className="font-display text-[19px]">A large desk</p>
          <p className="text-dust">
            {(listed.summary?.widgets ?? 0).toLocaleString('en')} widgets: drawn when it is opened.
          </p>
        </Blank>
      );
    case 'unreadable':
      return (
        <Blank>
          <p className="font-display text-[19px]">This one can’t be read</p>
          <p className="line-clamp-4 text-dust [overflow-wrap:anywhere]">{shelved.sentence}</p>
          <a
            className="mt-2 inline-flex h-8 items-center gap-2 rounded-lg bg-nap px-3 hover:bg-seam"
            href={api.rawAddress(listed.id)}
            download
          >
            <Download size={14} /> Save what is there
          </a>
        </Blank>
      );
  }
}

/** Where a miniature would stand. */
function Blank({ children }: { children?: ReactNode }) {
  return (
    <div className="relative grid aspect-video w-full place-items-center rounded-[5px] bg-nap/40 p-6 text-center">
      <div>{children}</div>
    </div>
  );
}
