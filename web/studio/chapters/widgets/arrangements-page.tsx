import clsx from 'clsx';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import type { Desk } from '../../../../core/desk/desk.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import {
  MOST_ARRANGEMENTS,
  type Arrangement,
  type Holds,
} from '../../../../core/desk/shapes/arrangements.ts';
import { Name } from '../../../../core/values/name.ts';
import { arrangementNow } from '../../../session/arranged.ts';
import { useConditions } from '../../../session/conditions.ts';
import { useDesk } from '../../../session/desk.ts';
import { Button } from '../../../ui/buttons.tsx';
import { box } from '../../../ui/box.ts';
import { SelectField } from '../../../ui/choice.tsx';
import { OrderedList } from '../../../ui/ordered-list.tsx';
import { Row, Section } from '../../../ui/section.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { openCompare } from '../../compare/comparing.ts';
import { chooseArrangement } from '../../../session/arrangements.ts';

/** What stands where, by name: the ones there are, and one more of how the desk stands now. */
export function ArrangementsPage({ desk }: { desk: Desk }) {
  const { list } = desk.arrangements;
  // Another one is on with another moment, half or workspace.
  useConditions(({ moment, half, workspace }) => `${Math.floor(moment / 60_000)} ${half} ${workspace}`);
  const on = arrangementNow(desk);
  return (
    <>
      <p className="mb-4 text-dust">
        {list.length === 0
          ? 'Keep where things stand under a name, and again when they stand otherwise: each is a press away.'
          : 'What is moved goes to the one that is on. Of those that are on by themselves the first counts.'}
      </p>
      {list.length > 0 && (
        <Section title="Arrangements" note={`${list.length}`}>
          <OrderedList
            isTall
            rows={list.map((one) => ({
              id: one.id,
              title: one.name,
              content: (
                <span className={clsx('truncate', one.id === on && 'font-medium text-brass')}>
                  {one.name}
                  <span className="ml-1.5 font-normal text-dust">
                    {one.id === on ? 'is on' : one.id === desk.arrangements.chosen ? 'chosen' : ''}
                  </span>
                </span>
              ),
              onPress: () => chooseArrangement(one.id),
              onRemove: () =>
                useDesk
                  .getState()
                  .edit(named(`Remove the arrangement ${one.name}`, edits.removeArrangement(one.id))),
              inside: <Settings one={one} desk={desk} />,
            }))}
            onMove={(id, index) => useDesk.getState().edit(edits.moveArrangement(id, index))}
          />
        </Section>
      )}
      <NewOne count={list.length} />
    </>
  );
}

const ways: readonly { value: Holds['by']; label: string }[] = [
  { value: 'choice', label: 'When chosen' },
  { value: 'workspace', label: 'On a workspace' },
  { value: 'half', label: 'In a half' },
  { value: 'hours', label: 'By hours' },
];

function startOf(by: Holds['by'], desk: Desk): Holds {
  switch (by) {
    case 'choice':
      return { by };
    case 'workspace':
      return { by, workspace: desk.workspaces[0]?.id ?? '' };
    case 'half':
      return { by, half: 'dark' };
    case 'hours':
      return { by, from: '18:00', to: '07:00' };
  }
}

function Settings({
  one: { id, name, holds, widgets, edges, windows },
  desk,
}: {
  one: Arrangement;
  desk: Desk;
}) {
  const set = (change: Partial<Pick<Arrangement, 'name' | 'holds'>>, what: string) =>
    useDesk.getState().edit(named(`${name}: ${what}`, edits.setArrangement(id, change)));
  const holdsBy = (next: Holds) => set({ holds: next }, 'on by itself');
  const of = [widgets && 'widgets', edges && 'edges', windows && `${windows.length} windows`].filter(Boolean);
  return (
    <div className="grid gap-1 pb-2 pl-1">
      <Row label="Name">
        <TextField
          label={`Name of the arrangement ${name}`}
          value={name}
          check={(text) => (Name.safeParse(text).success ? null : 'Not taken: an arrangement has a name.')}
          onChange={(next) => set({ name: next.trim() }, 'name')}
        />
      </Row>
      <Row label="On by itself">
        <SelectField
          label={`${name} is on`}
          value={holds.by}
          choices={ways}
          onChange={(by) => holdsBy(startOf(by, desk))}
        />
      </Row>
      {holds.by === 'workspace' && (
        <Row label="Workspace">
          <SelectField
            label={`${name}: on workspace`}
            value={holds.workspace}
            choices={desk.workspaces.map((workspace) => ({ value: workspace.id, label: workspace.name }))}
            onChange={(workspace) => holdsBy({ by: 'workspace', workspace })}
          />
        </Row>
      )}
      {holds.by === 'half' && (
        <Row label="Half">
          <SelectField
            label={`${name}: in the half`}
            value={holds.half}
            choices={[
              { value: 'light', label: 'Light' },
              { value: 'dark', label: 'Dark' },
            ]}
            onChange={(half) => holdsBy({ by: 'half', half })}
          />
        </Row>
      )}
      {holds.by === 'hours' &&
        (['from', 'to'] as const).map((end) => (
          <Row key={end} label={end === 'from' ? 'From' : 'To'}>
            <input
              type="time"
              aria-label={`${name}: ${end}`}
              value={holds[end]}
              onChange={({ target: { value } }) => value && holdsBy({ ...holds, [end]: value })}
              className={`${box} flex-1`}
            />
          </Row>
        ))}
      <p className="flex justify-between gap-3 text-[12px] text-dust">
        Of {of.join(', ') || 'nothing'}.
        {id !== arrangementNow(desk) && (
          <button
            type="button"
            aria-label={`Compare with ${name}`}
            className="text-brass hover:underline"
            onClick={() => openCompare({ of: 'arrangement', id })}
          >
            compare
          </button>
        )}
      </p>
    </div>
  );
}

const kinds = [
  ['widgets', 'Widgets'],
  ['edges', 'Edges'],
  ['windows', 'Windows'],
] as const;

/** How the desk stands now, kept under a name. */
function NewOne({ count }: { count: number }) {
  const [name, setName] = useState('');
  const [of, setOf] = useState({ widgets: true, edges: true, windows: false });
  const wanted = name.trim();
  function keep(): void {
    const { windows } = useConditions.getState();
    const arrangement: Arrangement = {
      id: nanoid(8),
      name: wanted,
      holds: { by: 'choice' },
      widgets: of.widgets ? [] : null,
      edges: of.edges ? [] : null,
      windows: of.windows ? structuredClone([...windows]) : null,
    };
    if (useDesk.getState().edit(edits.keepArrangement(arrangement))) setName('');
  }
  return (
    <Section title="Keep how it stands" note={count === 0 ? undefined : `${count} of ${MOST_ARRANGEMENTS}`}>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (wanted) keep();
        }}
      >
        <input
          aria-label="Name of the new arrangement"
          placeholder="Name of an arrangement"
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
          className={box}
        />
        <div className="flex gap-4">
          {kinds.map(([key, title]) => (
            <label key={key} className="flex items-center gap-1.5">
              <input
                type="checkbox"
                checked={of[key]}
                onChange={({ target: { checked } }) => setOf({ ...of, [key]: checked })}
                className="accent-[var(--brass)]"
              />
              {title}
            </label>
          ))}
        </div>
        <Button
          type="submit"
          className="justify-self-start"
          disabled={!wanted || count >= MOST_ARRANGEMENTS || !(of.widgets || of.edges || of.windows)}
        >
          Keep as an arrangement
        </Button>
      </form>
    </Section>
  );
}
