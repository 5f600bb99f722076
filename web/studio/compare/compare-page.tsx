import clsx from 'clsx';
import { format } from 'date-fns/format';
import { useEffect, useMemo, useState, type KeyboardEvent } from 'react';
import {
  compare,
  takeCompared,
  type Compared,
  type ComparedGroup,
} from '../../../core/desk/compare/compare.ts';
import type { Told } from '../../../core/desk/compare/told.ts';
import type { Desk } from '../../../core/desk/desk.ts';
import { isRole } from '../../../core/values/roles.ts';
import type { ListedDesk } from '../../../core/desk/summary.ts';
import type { RevisionNote } from '../../../core/wire/wire.ts';
import { api } from '../../api/client.ts';
import { arrangementNow } from '../../session/arranged.ts';
import { useDeskAsItIs } from '../../session/desk-as-it-is.ts';
import { useDesk } from '../../session/desk.ts';
import { matchesKeys } from '../../session/keys/key-match.ts';
import { useScene } from '../../session/scene.ts';
import { useView } from '../../stores/view.ts';
import { Segmented, SelectField } from '../../ui/choice.tsx';
import { Row, Section } from '../../ui/section.tsx';
import {
  HOLD_KEY,
  compareWith,
  nameOfWith,
  useComparing,
  useNameOfOther,
  useOther,
  type Way,
  type With,
} from './comparing.ts';

/** With what the desk is compared, how that is seen, and what differs: each to be taken by itself. */
export default function ComparePage() {
  const desk = useDeskAsItIs();
  const other = useComparing((state) => state.with);
  const failure = useComparing((state) => state.failure);
  if (!desk) return null;
  return (
    <>
      <Choosing desk={desk} />
      {failure && (
        <p role="alert" className="mt-3 text-rust">
          {failure}
        </p>
      )}
      {!other && (
        <p className="mt-4 text-dust">
          Two states of the desk over one another, at the same moment, and what differs between them: each
          difference is taken by a press, and given back by another.
        </p>
      )}
      {other && <Seeing />}
      {other && <Differences desk={desk} />}
    </>
  );
}

type Of = With['of'];
const titles: Record<Of, string> = {
  opened: 'As it was opened',
  keep: 'A keep',
  arrangement: 'An arrangement',
  saved: 'An earlier save',
  desk: 'Another desk',
};
const kinds = ['opened', 'keep', 'arrangement', 'saved', 'desk'] as const satisfies readonly Of[];

/** What of each kind there is. */
function useThere(desk: Desk): Record<Of, readonly With[]> {
  const [saved, setSaved] = useState<readonly RevisionNote[]>([]);
  const [desks, setDesks] = useState<readonly ListedDesk[]>([]);
  const { id } = desk;
  // Another save, and a sheet that was left, may have brought a save or a keep.
  const revision = useDesk(({ saving }) => (saving.state === 'kept' ? saving.revision : null));
  const sheet = useView((view) => view.sheet);
  useEffect(() => asked(api.revisions(id), setSaved), [id, revision, sheet]);
  useEffect(() => asked(api.desks(), setDesks), [id]);
  const on = arrangementNow(desk);
  const { list } = desk.arrangements;
  return useMemo(() => {
    return {
      opened: [{ of: 'opened' }],
      keep: saved
        .filter(({ keptAs }) => keptAs !== null)
        .map(({ number, keptAs }) => ({ of: 'keep', number, name: keptAs ?? '' })),
      arrangement: list
        .filter((one) => one.id !== on)
        .map((one): With => ({ of: 'arrangement', id: one.id })),
      saved: saved.map(({ number, savedAt }) => ({
        of: 'saved',
        number,
        name: format(savedAt, 'd MMM yyyy, HH:mm:ss'),
      })),
      desk: desks
        .filter((one) => one.id !== id)
        .map((one): With => ({ of: 'desk', id: one.id, name: one.name })),
    };
  }, [saved, desks, list, on, id]);
}

/** Asks the server for a list, however long that takes; gives back what stops waiting for it. */
function asked<List>(list: Promise<List>, take: (list: List) => void): () => void {
  let isWanted = true;
  // What can't be asked for now is asked for with the next save.
  list.then(
    (come) => isWanted && take(come),
    () => undefined,
  );
  return () => {
    isWanted = false;
  };
}

const keyOf = (other: With): string =>
  other.of === 'opened' ? '' : 'number' in other ? String(other.number) : other.id;

/** A closed list that has the focus takes letters for names in it: the key that shows the other is none. */
function holdFromList(event: KeyboardEvent<HTMLElement>): void {
  const isClosed = event.target instanceof HTMLElement && event.target.ariaExpanded === 'false';
  if (!isClosed || !matchesKeys(event.nativeEvent, HOLD_KEY) || !useComparing.getState().with) return;
  event.preventDefault();
  event.stopPropagation();
  useComparing.setState({ isHeld: true });
}

function Choosing({ desk }: { desk: Desk }) {
  const other = useComparing((state) => state.with);
  const there = useThere(desk);
  const list = other ? there[other.of] : [];
  // What is compared may have gone from its list meanwhile.
  const listed = other && !list.some((one) => keyOf(one) === keyOf(other)) ? [other, ...list] : list;
  const put = (of: Of, key?: string) => {
    const next = there[of].find((one) => key === undefined || keyOf(one) === key);
    if (next) compareWith(next);
  };
  return (
    <div className="grid gap-1" onKeyDownCapture={holdFromList}>
      <Row label="With">
        <SelectField
          label="Compare with"
          value={other?.of ?? ''}
          placeholder="Choose"
          choices={kinds
            .filter((of) => there[of].length > 0 || other?.of === of)
            .map((of) => ({ value: of, label: titles[of] }))}
          onChange={(of) => put(of)}
        />
      </Row>
      {other && other.of !== 'opened' && (
        <Row label="Which">
          <SelectField
            label="Which to compare with"
            value={keyOf(other)}
            choices={(isOpen) =>
              (isOpen ? listed : [other]).map((one) => ({ value: keyOf(one), label: nameOfWith(one, desk) }))
            }
            onChange={(key) => put(other.of, key)}
          />
        </Row>
      )}
    </div>
  );
}

const wayChoices: readonly { value: Way; label: string }[] = [
  { value: 'line', label: 'Line' },
  { value: 'side', label: 'Side by side' },
  { value: 'held', label: 'In turn' },
];

function Seeing() {
  const way = useComparing((state) => state.way);
  const isHeld = useComparing((state) => state.isHeld);
  const hold = (next: boolean) => useComparing.setState({ isHeld: next });
  return (
    <>
      <div data-field="Seen" className="mt-2">
        <Segmented
          label="How the two are seen"
          value={way}
          choices={wayChoices}
          onChange={(next) => useComparing.setState({ way: next })}
        />
      </div>
      <button
        type="button"
        aria-pressed={isHeld}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          hold(true);
        }}
        onPointerUp={() => hold(false)}
        onPointerCancel={() => hold(false)}
        onKeyDown={({ key }) => (key === ' ' || key === 'Enter') && hold(true)}
        onKeyUp={() => hold(false)}
        onBlur={() => hold(false)}
        className={clsx(
          'mt-2 flex h-8 w-full items-center justify-center gap-2 rounded-lg border border-seam',
          isHeld ? 'bg-brass text-on-brass' : 'bg-nap text-chalk hover:border-dust',
        )}
      >
        Hold to see the other <kbd className="font-mono text-[12px] font-semibold">{HOLD_KEY}</kbd>
      </button>
    </>
  );
}

/** Groups, and differences of one, that are shown at first. */
const FIRST_GROUPS = 30;
const FIRST_ENTRIES = 8;

function Differences({ desk }: { desk: Desk }) {
  const other = useOther();
  const base = useComparing((state) => state.base);
  const name = useNameOfOther();
  const told = other?.told;
  const groups = useMemo(() => (told ? compare(base ?? desk, desk, told) : null), [base, desk, told]);
  const [isAll, setAll] = useState(false);
  if (!groups) return null;
  const all = groups.flatMap(({ entries }) => entries);
  const open = all.filter(({ isTaken }) => !isTaken);
  if (all.length === 0) return <p className="mt-4 text-dust">Nothing differs.</p>;
  const shown = isAll ? groups : groups.slice(0, FIRST_GROUPS);
  return (
    <div className="mt-5" data-differences={open.length}>
      <header className="mb-1 flex items-baseline justify-between gap-3">
        <h3 className="font-display text-[17px]">
          {open.length === 0
            ? 'All is taken'
            : `${open.length} ${open.length === 1 ? 'difference' : 'differences'}`}
        </h3>
        <TakeAll entries={all} what="all" />
      </header>
      <p className="mb-1 grid grid-cols-2 gap-2 text-[12px] text-dust">
        <span>Now</span>
        <span className="truncate" title={name}>
          {name}
        </span>
      </p>
      {shown.map((group) => (
        <Group key={group.key} group={group} />
      ))}
      {shown.length < groups.length && (
        <button type="button" className="mt-4 text-brass hover:underline" onClick={() => setAll(true)}>
          and {groups.length - shown.length} more parts
        </button>
      )}
    </div>
  );
}

function take(entries: readonly Compared[], what: string): void {
  const isBack = entries.every(({ isTaken }) => isTaken);
  useDesk.getState().edit(takeCompared(`${isBack ? 'Give back' : 'Take'} ${what}`, entries));
}

/** Takes what is open of some; gives all back once all is taken. */
function TakeAll({ entries, what }: { entries: readonly Compared[]; what: string }) {
  const open = entries.filter(({ isTaken }) => !isTaken);
  const word = open.length > 0 ? 'take' : 'give back';
  return (
    <button
      type="button"
      aria-label={`${word === 'take' ? 'Take' : 'Give back'} ${what === 'all' ? 'all' : `all of ${what.toLowerCase()}`}`}
      className="shrink-0 text-[12px] text-brass hover:underline"
      onClick={() =>
        take(open.length > 0 ? open : entries, what === 'all' ? 'all that differs' : what.toLowerCase())
      }
    >
      {word} {entries.length > 1 ? 'all' : 'it'}
    </button>
  );
}

function Group({ group: { title, entries } }: { group: ComparedGroup }) {
  const [isAll, setAll] = useState(false);
  const shown = isAll ? entries : entries.slice(0, FIRST_ENTRIES);
  return (
    <Section title={title} note={entries.length > 1 && <TakeAll entries={entries} what={title} />}>
      {shown.map((entry) => (
        <Difference key={entry.key} entry={entry} of={title} />
      ))}
      {shown.length < entries.length && (
        <button
          type="button"
          className="justify-self-start text-[12px] text-brass hover:underline"
          onClick={() => setAll(true)}
        >
          and {entries.length - shown.length} more
        </button>
      )}
    </Section>
  );
}

/** One thing that differs: what it is on each side, the one that is in force chosen. */
function Difference({ entry, of }: { entry: Compared; of: string }) {
  const { title, within, here, there, isTaken } = entry;
  return (
    <div className="mb-1.5" data-difference={title}>
      <p className="truncate text-[12.5px]">
        {title}
        {within && <span className="ml-1.5 text-dust">{within}</span>}
      </p>
      <Segmented
        label={`${title}${within ? `, ${within}` : ''}: ${of.toLowerCase()}`}
        value={isTaken ? 'there' : 'here'}
        areHalves
        choices={[
          { value: 'here', label: `Now: ${here.text}`, icon: <Value told={here} /> },
          { value: 'there', label: `Other: ${there.text}`, icon: <Value told={there} /> },
        ]}
        onChange={(side) => {
          if ((side === 'there') !== isTaken) take([entry], title.toLowerCase());
        }}
      />
    </div>
  );
}

function Value({ told: { text, colour } }: { told: Told }) {
  const roles = useScene(({ scene }) => scene?.roles);
  const paint = colour && isRole(colour) ? roles?.[colour] : colour;
  return (
    <>
      {paint && (
        <span
          className="size-3 shrink-0 rounded-full border border-seam"
          style={{ background: paint }}
          aria-hidden
        />
      )}
      <span className="truncate">{text}</span>
    </>
  );
}
