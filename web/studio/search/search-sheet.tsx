import { Command as Cmdk } from 'cmdk';
import { Dialog as RadixDialog } from 'radix-ui';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useView } from '../../stores/view.ts';
import { Keys } from '../commands/key-names.tsx';
import { entriesNow, type Entry } from './entries.ts';
import { nearest, ranked } from './rank.ts';

/** How many are listed: nobody reads on. */
const MOST = 60;

/** Finds commands, parts and settings by what is typed; Enter does the best. */
export function SearchSheet({ onClose }: { onClose: () => void }) {
  // Kept outside: what is typed before this is drawn is not lost.
  const query = useView((view) => view.query);
  const entries = useMemo(entriesNow, []);
  const found = useMemo(() => ranked(entries, query).slice(0, MOST), [entries, query]);
  const isEntered = useView((view) => view.isEntered);
  const input = useRef<HTMLInputElement>(null);
  const [chosen, choose] = useState('');
  const best = found[0];
  // What was typed ahead may have ended with Enter.
  useEffect(() => {
    if (!isEntered) return;
    useView.setState({ isEntered: false });
    if (!best) return;
    onClose();
    best.run();
  }, [isEntered, best, onClose]);
  const groups = query.trim() === '' ? byGroup(found) : new Map([['', found]]);
  return (
    <RadixDialog.Root open onOpenChange={(isOpen) => !isOpen && onClose()}>
      <RadixDialog.Portal>
        <RadixDialog.Overlay className="fixed inset-0 z-40 bg-pit/70" />
        <RadixDialog.Content
          aria-describedby={undefined}
          // The caret stands behind what was typed ahead: what comes next goes on from it.
          onOpenAutoFocus={(event) => {
            event.preventDefault();
            input.current?.focus();
            input.current?.setSelectionRange(query.length, query.length);
          }}
          className="fixed left-1/2 top-[14vh] z-50 w-[520px] max-w-[94vw] -translate-x-1/2 overflow-hidden rounded-2xl border border-seam bg-velvet shadow-2xl"
        >
          <RadixDialog.Title className="sr-only">Search commands</RadixDialog.Title>
          <Cmdk loop shouldFilter={false} value={chosen || best?.id} onValueChange={choose}>
            <Cmdk.Input
              ref={input}
              value={query}
              onValueChange={(typed) => {
                choose('');
                useView.setState({ query: typed });
              }}
              placeholder="What do you want to do, or to find?"
              className="h-13 w-full border-b border-seam bg-transparent px-5 text-[16px] outline-none placeholder:text-dust"
            />
            <Cmdk.List className="max-h-[52vh] overflow-y-auto p-2">
              <Cmdk.Empty className="px-3 py-6 text-center text-dust">
                <Nothing query={query} entries={entries} onClose={onClose} />
              </Cmdk.Empty>
              {Array.from(groups, ([group, own]) => (
                <Cmdk.Group
                  key={group}
                  heading={group || undefined}
                  className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pb-1 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-[12px] [&_[cmdk-group-heading]]:text-dust"
                >
                  {own.map((entry) => (
                    <Found key={entry.id} entry={entry} hasGroup={group === ''} onClose={onClose} />
                  ))}
                </Cmdk.Group>
              ))}
            </Cmdk.List>
          </Cmdk>
        </RadixDialog.Content>
      </RadixDialog.Portal>
    </RadixDialog.Root>
  );
}

/** Where nothing is found: what lies nearest to what was typed. */
function Nothing({
  query,
  entries,
  onClose,
}: {
  query: string;
  entries: readonly Entry[];
  onClose: () => void;
}) {
  const near = nearest(entries, query);
  if (near.length === 0) return 'Nothing by that name. Try “add”, “align” or “theme”.';
  return (
    <>
      <p className="mb-2">Nothing by that name. Nearest to it:</p>
      {near.map(({ id, title, group, run }) => (
        <button
          key={id}
          type="button"
          className="mx-1 rounded-lg px-2.5 py-1 text-chalk hover:bg-nap"
          onClick={() => {
            onClose();
            run();
          }}
        >
          {title} <span className="text-dust">{group}</span>
        </button>
      ))}
    </>
  );
}

function Found({
  entry: { id, title, group, keys, run },
  hasGroup,
  onClose,
}: {
  entry: Entry;
  hasGroup: boolean;
  onClose: () => void;
}) {
  return (
    <Cmdk.Item
      value={id}
      onSelect={() => {
        onClose();
        run();
      }}
      className="flex h-9 cursor-default items-center gap-3 rounded-lg px-3 data-[selected=true]:bg-brass data-[selected=true]:text-on-brass"
    >
      <span className="truncate">{title}</span>
      {hasGroup && <span className="ml-auto shrink-0 text-[12px] opacity-70">{group}</span>}
      {keys && (
        <span className={hasGroup ? 'shrink-0' : 'ml-auto shrink-0'}>
          <Keys keys={keys} />
        </span>
      )}
    </Cmdk.Item>
  );
}

function byGroup(entries: readonly Entry[]): Map<string, Entry[]> {
  const groups = new Map<string, Entry[]>();
  for (const entry of entries) groups.set(entry.group, [...(groups.get(entry.group) ?? []), entry]);
  return groups;
}
