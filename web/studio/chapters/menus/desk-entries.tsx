import { arrayMove } from '@dnd-kit/sortable';
import { nanoid } from 'nanoid';
import type { Desk } from '../../../../core/desk/desk.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { DeskEntry } from '../../../../core/menus/desk-menu.ts';
import { deskActNames, deskActs } from '../../../../core/menus/acts.ts';
import { useDesk } from '../../../session/desk.ts';
import { Button } from '../../../ui/buttons.tsx';
import { SelectField } from '../../../ui/choice.tsx';
import { OrderedList } from '../../../ui/ordered-list.tsx';
import { Section } from '../../../ui/section.tsx';
import { Minus } from 'lucide-react';

/** The lines of the desk menu: chosen, dragged into order, and taken off. */
export function DeskEntries({ desk }: { desk: Desk }) {
  const { entries } = desk.menus.deskMenu;
  const set = (next: readonly DeskEntry[], label: string) =>
    useDesk.getState().edit(named(label, edits.setMenu('deskMenu', { entries: [...next] })));
  const add = (entry: DeskEntry) => set([...entries, entry], `Add ${titleOf(entry, desk).toLowerCase()}`);
  const acts = deskActNames.filter(
    (act) => !entries.some((entry) => entry.by === 'act' && entry.act === act),
  );
  const starts = desk.applications.filter(
    ({ id }) => !entries.some((entry) => entry.by === 'start' && entry.application === id),
  );
  return (
    <Section title="Lines" note="drag, or arrows on the grip">
      <OrderedList
        rows={entries.map((entry) => {
          const title = titleOf(entry, desk);
          return {
            id: entry.id,
            title,
            content:
              entry.by === 'line' ? (
                <span aria-hidden className="h-px flex-1 bg-seam" />
              ) : (
                <span className="truncate">{title}</span>
              ),
            onRemove: () =>
              set(
                entries.filter(({ id }) => id !== entry.id),
                `Take off ${title.toLowerCase()}`,
              ),
          };
        })}
        onMove={(id, index) =>
          set(
            arrayMove(
              [...entries],
              entries.findIndex((entry) => entry.id === id),
              index,
            ),
            'Order of the desk menu',
          )
        }
      />
      <div className="mt-1 grid gap-1">
        <SelectField
          label="Add what can be done"
          value=""
          placeholder="Add an act"
          choices={acts.map((act) => ({ value: act, label: deskActs[act].title }))}
          onChange={(act) => add({ id: nanoid(8), by: 'act', act })}
        />
        <SelectField
          label="Add an application"
          value=""
          placeholder="Add an application"
          choices={starts.map(({ id, Name }) => ({ value: id, label: Name }))}
          onChange={(application) => add({ id: nanoid(8), by: 'start', application })}
        />
      </div>
      <Button onClick={() => add({ id: nanoid(8), by: 'line' })}>
        <Minus size={15} /> Add a line between
      </Button>
    </Section>
  );
}

function titleOf(entry: DeskEntry, { applications }: Desk): string {
  switch (entry.by) {
    case 'act':
      return deskActs[entry.act].title;
    case 'start':
      return applications.find(({ id }) => id === entry.application)?.Name ?? 'An application that is gone';
    case 'line':
      return 'A line between';
  }
}
