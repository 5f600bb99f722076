import clsx from 'clsx';
import { format } from 'date-fns/format';
import { FlipHorizontal2 } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import type { Desk } from '../../../core/desk/desk.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { named } from '../../../core/desk/edits/edit.ts';
import type { History } from '../../../core/desk/history.ts';
import type { RevisionNote } from '../../../core/wire/wire.ts';
import { api } from '../../api/client.ts';
import { Miniature } from '../../render/screen/miniature.tsx';
import { useConditions } from '../../session/conditions.ts';
import { useDesk } from '../../session/desk.ts';
import { Button } from '../../ui/buttons.tsx';
import { openCompare, type With } from '../compare/comparing.ts';
import { editAndSay } from '../../session/said-undo.ts';

/** A state that can be gone back to. */
interface Row {
  key: string;
  title: string;
  note?: string;
  isNow: boolean;
  /** It was undone, and can be done again. */
  isAhead?: boolean;
  /** What it is compared as; absent where the desk can't be compared with it. */
  compared?: With;
  look(): Promise<Desk>;
  go(): Promise<void> | void;
}

/** What was done to the desk, step by step, and what was saved of it; the one pointed at is shown. */
export function HistorySheet({ onDone }: { onDone: () => void }) {
  const history = useDesk((state) => state.history);
  const [shown, show] = useState<Row | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const revisions = useRevisions(history?.present.id, setFailure);
  const steps = useMemo(() => (history ? stepsOf(history) : []), [history]);
  const now = steps.find(({ isNow }) => isNow) ?? null;
  if (!history) return null;
  const saved = revisions.map((note, index) => revisionRow(history.present.id, note, index === 0, onDone));
  const go = (row: Row) => void Promise.resolve(row.go()).catch((error: Error) => setFailure(error.message));
  return (
    <div className="grid grid-cols-[260px_minmax(0,1fr)] gap-5 max-[700px]:grid-cols-1">
      <div className="max-h-[56vh] overflow-y-auto pr-1">
        <Rows title="Steps" rows={steps} onShow={show} onGo={go} />
        <Rows title="Saved" rows={saved} onShow={show} onGo={go} />
      </div>
      <div>
        <Picture row={shown ?? now} onError={setFailure} onLeave={onDone} />
        {failure && (
          <p role="alert" className="mt-2 text-rust">
            {failure}
          </p>
        )}
      </div>
    </div>
  );
}

/** The newest first; what is there now is one of them. */
function stepsOf({ past, present, future, gesture }: History<Desk>): Row[] {
  const here = gesture?.base ?? present;
  const states = [...past.map(({ state }) => state), here, ...future.map(({ state }) => state)];
  const labels = ['As it was opened', ...past.map(({ label }) => label), ...future.map(({ label }) => label)];
  return states
    .map((state, done): Row => ({
      key: `step ${done}`,
      title: labels[done] ?? '',
      isNow: done === past.length,
      isAhead: done > past.length,
      ...(done === 0 && past.length > 0 && { compared: { of: 'opened' } as const }),
      look: () => Promise.resolve(state),
      go: () => useDesk.getState().goTo(done),
    }))
    .reverse();
}

function revisionRow(
  id: string,
  { number, savedAt }: RevisionNote,
  isNewest: boolean,
  onDone: () => void,
): Row {
  const look = async () => (await api.revision(id, number)).desk;
  const name = format(savedAt, 'd MMM yyyy, HH:mm:ss');
  return {
    key: `revision ${number}`,
    title: name,
    compared: { of: 'saved', number, name },
    note: isNewest ? 'newest' : String(number),
    isNow: false,
    look,
    async go() {
      const back = named(`Back to revision ${number}`, edits.replace(await look()));
      if (editAndSay(back, `Back to revision ${number}.`)) onDone();
    },
  };
}

function useRevisions(id: string | undefined, onError: (sentence: string) => void): RevisionNote[] {
  const [list, setList] = useState<RevisionNote[]>([]);
  useEffect(() => {
    if (id) api.revisions(id).then(setList, (error: Error) => onError(error.message));
  }, [id, onError]);
  return list;
}

function Rows({
  title,
  rows,
  onShow,
  onGo,
}: {
  title: string;
  rows: readonly Row[];
  onShow: (row: Row | null) => void;
  onGo: (row: Row) => void;
}) {
  return (
    <section aria-label={title} className="mb-4">
      <h3 className="mb-1 font-semibold">{title}</h3>
      <ol>
        {rows.map((row) => (
          <li key={row.key}>
            <button
              type="button"
              aria-current={row.isNow}
              aria-label={row.key.startsWith('revision') ? `Go back to ${row.key}` : row.title}
              onPointerEnter={() => onShow(row)}
              onFocus={() => onShow(row)}
              onClick={() => onGo(row)}
              className={clsx(
                'flex h-8 w-full items-center justify-between gap-2 rounded-lg px-2.5 text-left',
                row.isNow ? 'bg-seam font-medium' : 'hover:bg-nap',
                row.isAhead && 'text-dust',
              )}
            >
              <span className="truncate">{row.title}</span>
              <span className="shrink-0 font-mono text-[11.5px] text-dust">
                {row.isNow ? 'now' : row.isAhead ? 'undone' : row.note}
              </span>
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** The desk as it is in a state. */
function Picture({
  row,
  onError,
  onLeave,
}: {
  row: Row | null;
  onError: (sentence: string) => void;
  onLeave: () => void;
}) {
  const minute = useConditions((state) => Math.floor(state.moment / 60_000) * 60_000);
  const half = useConditions((state) => state.half ?? undefined);
  const feeds = useConditions((state) => state.feeds);
  const [seen, setSeen] = useState<{ key: string; desk: Desk } | null>(null);
  useEffect(() => {
    let isStale = false;
    row?.look().then(
      (desk) => !isStale && setSeen({ key: row.key, desk }),
      (error: Error) => onError(error.message),
    );
    return () => {
      isStale = true;
    };
  }, [row, onError]);
  if (!row) return null;
  return (
    <figure data-history-picture={seen?.key}>
      {seen ? (
        <Miniature desk={seen.desk} moment={minute} half={half} feeds={feeds} />
      ) : (
        <div className="aspect-video rounded-lg bg-pit" />
      )}
      <figcaption className="mt-2 flex min-h-8 items-center justify-between gap-3 text-dust">
        <span className="truncate">{row.title}</span>
        {row.compared && <CompareWith other={row.compared} name={row.title} onLeave={onLeave} />}
      </figcaption>
    </figure>
  );
}

function CompareWith({ other, name, onLeave }: { other: With; name: string; onLeave: () => void }) {
  return (
    <Button
      className="shrink-0"
      aria-label={`Compare with ${name}`}
      onClick={() => {
        onLeave();
        openCompare(other);
      }}
    >
      <FlipHorizontal2 size={15} /> Compare
    </Button>
  );
}
