import { format } from 'date-fns/format';
import { FlipHorizontal2, Trash2 } from 'lucide-react';
import { useCallback, useEffect, useState } from 'react';
import type { Desk } from '../../../core/desk/desk.ts';
import { named } from '../../../core/desk/edits/edit.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import type { RevisionNote } from '../../../core/wire/wire.ts';
import { api } from '../../api/client.ts';
import { Miniature } from '../../render/screen/miniature.tsx';
import { useConditions } from '../../session/conditions.ts';
import { useDesk } from '../../session/desk.ts';
import { keepNow } from '../../session/keeps.ts';
import { Button, IconButton } from '../../ui/buttons.tsx';
import { box } from '../../ui/box.ts';
import { openCompare } from '../compare/comparing.ts';
import { editAndSay } from '../../session/said-undo.ts';

/** Named states of the desk, kept for good: one more, and those there are, each a press away. */
export function KeepsSheet({ onDone }: { onDone: () => void }) {
  const id = useDesk((state) => state.history?.present.id);
  const [failure, setFailure] = useState<string | null>(null);
  const { keeps, load } = useKeeps(id, setFailure);
  const [name, setName] = useState(() => `As it was, ${format(Date.now(), 'd MMM yyyy, HH:mm')}`);
  const [note, setNote] = useState('');
  if (id === undefined) return null;

  const attempt = (work: Promise<unknown>) =>
    void work.then(load, (error: Error) => setFailure(error.message));
  return (
    <div className="grid gap-4">
      <form
        className="mt-3 grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto] gap-2 max-[700px]:grid-cols-1"
        onSubmit={(event) => {
          event.preventDefault();
          setFailure(null);
          if (name.trim()) attempt(keepNow(id, { name: name.trim(), note }).then(() => setNote('')));
        }}
      >
        <input
          autoFocus
          aria-label="Name of the keep"
          value={name}
          maxLength={120}
          onFocus={(event) => event.target.select()}
          onChange={(event) => setName(event.target.value)}
          className={box}
        />
        <input
          aria-label="Note to the keep"
          placeholder="A note"
          value={note}
          maxLength={2000}
          onChange={(event) => setNote(event.target.value)}
          className={box}
        />
        <Button tone="brass" type="submit" disabled={!name.trim()}>
          Keep it
        </Button>
      </form>
      {failure && (
        <p role="alert" className="text-rust">
          {failure}
        </p>
      )}
      {keeps?.length === 0 && (
        <p className="text-dust">Nothing is kept yet. What is kept stays, however much is changed since.</p>
      )}
      <ul className="grid max-h-[52vh] grid-cols-3 gap-4 overflow-y-auto p-1 max-[700px]:grid-cols-1">
        {keeps?.map((keep) => (
          <KeepCard
            key={keep.number}
            desk={id}
            keep={keep}
            onGo={onDone}
            onError={setFailure}
            onLetGo={() => attempt(api.letGoOfKeep(id, keep.number))}
          />
        ))}
      </ul>
    </div>
  );
}

function KeepCard({
  desk: id,
  keep: { number, keptAs, note, savedAt },
  onGo,
  onError,
  onLetGo,
}: {
  desk: string;
  keep: RevisionNote;
  onGo: () => void;
  onError: (sentence: string) => void;
  onLetGo: () => void;
}) {
  const minute = useConditions((state) => Math.floor(state.moment / 60_000) * 60_000);
  const half = useConditions((state) => state.half ?? undefined);
  const [seen, setSeen] = useState<Desk | null>(null);
  useEffect(() => {
    let isStale = false;
    api.revision(id, number).then(
      ({ desk }) => !isStale && setSeen(desk),
      (error: Error) => onError(error.message),
    );
    return () => {
      isStale = true;
    };
  }, [id, number, onError]);
  const name = keptAs ?? '';
  function goBack(): void {
    if (!seen) return;
    const back = named(`Back to ${name}`, edits.replace(seen));
    if (editAndSay(back, `The desk is as it was kept: ${name}.`)) onGo();
  }
  return (
    <li className="group min-w-0">
      <button
        type="button"
        aria-label={`Go back to ${name}`}
        disabled={!seen}
        onClick={goBack}
        className="block w-full rounded-[5px] hover:outline-2 hover:outline-brass hover:outline"
      >
        {seen ? (
          <Miniature desk={seen} moment={minute} half={half} />
        ) : (
          <span className="block aspect-video rounded-[5px] bg-pit" />
        )}
      </button>
      <div className="mt-1.5 flex items-start gap-1">
        <div className="min-w-0 flex-1">
          <p className="truncate font-medium" title={name}>
            {name}
          </p>
          <p className="truncate text-[12px] text-dust" title={note ?? undefined}>
            {note || format(savedAt, 'd MMM yyyy, HH:mm')}
          </p>
        </div>
        <IconButton
          label={`Compare with ${name}`}
          className="!size-7"
          onClick={() => {
            onGo();
            openCompare({ of: 'keep', number, name });
          }}
        >
          <FlipHorizontal2 size={14} />
        </IconButton>
        <IconButton label={`Let go of ${name}`} className="!size-7 hover:!text-rust" onClick={onLetGo}>
          <Trash2 size={14} />
        </IconButton>
      </div>
    </li>
  );
}

/** What is kept of a desk, the newest first; null until it is known. */
function useKeeps(id: string | undefined, onError: (sentence: string) => void) {
  const [keeps, setKeeps] = useState<RevisionNote[] | null>(null);
  const load = useCallback(() => {
    if (id === undefined) return;
    api.revisions(id).then(
      (all) => setKeeps(all.filter(({ keptAs }) => keptAs !== null)),
      (error: Error) => onError(error.message),
    );
  }, [id, onError]);
  useEffect(load, [load]);
  return { keeps, load };
}
