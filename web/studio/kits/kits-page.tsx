import clsx from 'clsx';
import { Check } from 'lucide-react';
import { useMemo } from 'react';
import type { Desk } from '../../../core/desk/desk.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { named } from '../../../core/desk/edits/edit.ts';
import { strayParts } from '../../../core/desk/edits/parts.ts';
import { edited } from '../../../core/desk/history.ts';
import { nameOfPart } from '../../../core/desk/part-names.ts';
import { partsOf } from '../../../core/desk/parts.ts';
import { kitKindOf, kitKinds, type Kit } from '../../../core/desk/kits/kit.ts';
import { changesBy } from '../../../core/kits/changes.ts';
import { useDeskAsItIs } from '../../session/desk-as-it-is.ts';
import { useKits } from '../../session/kits.ts';
import { useConditions } from '../../session/conditions.ts';
import { Button } from '../../ui/buttons.tsx';
import { Section } from '../../ui/section.tsx';
import { useRested } from '../../ui/use-rested.ts';
import { editAndSay } from '../../session/said-undo.ts';
import { Details, KeepDress, Manage, Newer } from './kept-kits.tsx';
import { setTicks, useWearing, wear, wornOf } from './wearing.ts';

/** Ms that a kit is pointed at before it is worked out what it would change. */
const REST = 150;

/** What a kit would change; and how this desk's dress becomes one. */
export default function KitsPage() {
  const told = useWearing((state) => state.told);
  // That the stage wears it comes before what is said of it.
  const weighed = useRested(told, REST);
  const desk = useDeskAsItIs();
  const { kept, failure } = useKits();
  if (!desk) return null;
  const isKept = kept?.some(({ id }) => id === told?.id) ?? false;
  return (
    <>
      {failure && (
        <p role="alert" className="mb-3 text-[12px] text-rust">
          {failure}
        </p>
      )}
      <Told kit={told} isKept={isKept} />
      <Ticks kit={told} desk={desk} />
      {told && (
        <div className="mb-5 mt-3 flex flex-wrap gap-2">
          <Button tone="brass" onClick={() => wear(told)}>
            Wear it
          </Button>
          {isKept && <Manage kit={told} desk={desk} />}
        </div>
      )}
      {told && isKept && <Details key={`${told.id} ${told.version}`} kit={told} />}
      <Newer desk={desk} />
      {weighed && <Consequences kit={weighed} desk={desk} />}
      <Strays kit={weighed} desk={desk} />
      <KeepDress desk={desk} />
    </>
  );
}

function Told({ kit, isKept }: { kit: Kit | null; isKept: boolean }) {
  if (!kit)
    return (
      <p className="mb-4 text-dust">
        Point at a kit on the lit line and the desk wears it while you look; press it and it stays. Nothing
        moves.
      </p>
    );
  return (
    <div className="mb-4">
      <h3 className="font-display text-[19px]">{kit.name}</h3>
      <p className="text-dust">
        {isKept ? (kit.by ? `By ${kit.by}. ` : '') : 'A kit of ours. '}
        {kit.notes}
      </p>
    </div>
  );
}

/** Which kinds are worn, of whatever kit. */
function Ticks({ kit, desk }: { kit: Kit | null; desk: Desk }) {
  const ticks = useWearing((state) => state.ticks);
  const here = kitKinds.filter(({ key }) => !kit || kit.kinds.includes(key));
  const count = here.filter(({ key }) => ticks.has(key)).length;
  function turn(key: string) {
    const next = new Set(ticks);
    if (!next.delete(key)) next.add(key);
    setTicks(next);
  }
  return (
    <Section
      title="Wear of it"
      note={
        <span className="flex gap-2">
          {count} of {here.length}
          <button
            type="button"
            className="text-brass hover:underline"
            onClick={() => setTicks(new Set(count > 0 ? [] : here.map(({ key }) => key)))}
          >
            {count > 0 ? 'none' : 'all'}
          </button>
        </span>
      }
    >
      <div className="grid">
        {here.map(({ key, title, told, own }) => {
          const covered = own?.(desk) ?? [];
          return (
            <label
              key={key}
              data-field={title}
              className="flex h-[30px] cursor-default items-center gap-2.5 rounded-md px-1 hover:bg-nap"
            >
              <input
                type="checkbox"
                checked={ticks.has(key)}
                onChange={() => turn(key)}
                className="peer sr-only"
                aria-label={`Wear: ${title.toLowerCase()}`}
              />
              <span
                aria-hidden
                className={clsx(
                  'grid size-4 shrink-0 place-items-center rounded-[4px] peer-focus-visible:outline-2 peer-focus-visible:outline-offset-2 peer-focus-visible:outline-brass',
                  ticks.has(key) ? 'bg-brass text-on-brass' : 'border border-dust',
                )}
              >
                {ticks.has(key) && <Check size={12} strokeWidth={3} />}
              </span>
              <span className="shrink-0">{title}</span>
              {kit && (
                <span
                  className={clsx(
                    'ml-auto min-w-0 truncate text-[12px]',
                    covered.length > 0 && ticks.has(key) ? 'text-rust' : 'text-dust',
                  )}
                  title={covered.length > 0 ? `Covers ${covered.join(', ')}` : undefined}
                >
                  {covered.length > 0 && ticks.has(key) ? `covers ${covered[0] ?? ''}` : told(kit.desk)}
                </span>
              )}
            </label>
          );
        })}
      </div>
    </Section>
  );
}

/** What wearing a kit would change, kind by kind, and what would be larger or stand over something. */
function Consequences({ kit, desk }: { kit: Kit; desk: Desk }) {
  const ticks = useWearing((state) => state.ticks);
  const minute = useConditions((state) => Math.floor(state.moment / 60_000) * 60_000);
  const changes = useMemo(() => changesBy(desk, kit, wornOf(kit, ticks), minute), [desk, kit, ticks, minute]);
  return (
    <Section title="It would change" note={changes.kinds.length === 0 ? 'nothing' : undefined}>
      {changes.kinds.map(({ key, count }) => (
        <p key={key} className="flex justify-between gap-2 text-dust">
          <span>{kitKindOf(key)?.title}</span>
          <span className="text-[12px]">
            {count} {count === 1 ? 'value' : 'values'}
          </span>
        </p>
      ))}
      <p className="mt-1 text-dust">
        {changes.notes.length === 0 ? 'Nothing moves.' : changes.notes.slice(0, MOST_NOTES).join(' ')}
        {changes.notes.length > MOST_NOTES && ` And ${changes.notes.length - MOST_NOTES} more.`}
      </p>
    </Section>
  );
}
const MOST_NOTES = 6;

/** Parts whose own colours or finishes don't follow, as the desk is now or would be. */
function Strays({ kit, desk }: { kit: Kit | null; desk: Desk }) {
  const ticks = useWearing((state) => state.ticks);
  const ids = useMemo(() => {
    if (!kit) return strayParts(desk);
    const put = edits.wearKit(kit, wornOf(kit, ticks));
    return strayParts(edited(desk, put.apply));
  }, [desk, kit, ticks]);
  const parts = partsOf(desk).filter(({ id }) => ids.includes(id));
  if (parts.length === 0) return null;
  const bringIn = (some: readonly string[], what: string) =>
    editAndSay(named(`Bring in ${what}`, edits.follow(some)), `${what} follows the desk.`);
  return (
    <Section
      title={kit ? 'Would stay as they are' : 'Strays'}
      note={
        <button
          type="button"
          className="text-brass hover:underline"
          onClick={() => bringIn(ids, parts.length === 1 ? 'one part' : `${parts.length} parts`)}
        >
          bring in all {parts.length}
        </button>
      }
    >
      {parts.map((part) => (
        <p key={part.id} className="flex min-h-9 items-center gap-2 rounded-lg bg-nap px-3">
          <span className="min-w-0 truncate">
            {nameOfPart(part)} <span className="text-dust">{part.finish ? 'own finish' : 'own colour'}</span>
          </span>
          <button
            type="button"
            aria-label={`Bring in ${nameOfPart(part)}`}
            className="ml-auto shrink-0 text-brass hover:underline"
            onClick={() => bringIn([part.id], nameOfPart(part))}
          >
            bring in
          </button>
        </p>
      ))}
    </Section>
  );
}
