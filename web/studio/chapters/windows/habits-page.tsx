import { nanoid } from 'nanoid';
import type { Desk } from '../../../../core/desk/desk.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { WindowHabit, Windows } from '../../../../core/windows/schema.ts';
import { useDesk } from '../../../session/desk.ts';
import { Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';
import { RecordList } from '../../form/record-list.tsx';
import { lengthsOf } from '../../form/schema.ts';
import { OpenSomeHint } from './open-windows.tsx';
import { startable } from './open-some.ts';

type Habit = Desk['windows']['habits'][number];

/** What holds for the windows of one application: the workspace, the place, the frame. */
export function HabitsPage({ desk }: { desk: Desk }) {
  const { turn, endGesture } = useDesk.getState();
  const { habits } = desk.windows;
  const { least, most } = lengthsOf(Windows.shape.habits);
  const nameOf = (id: string) => desk.applications.find((one) => one.id === id)?.Name ?? 'no application';
  return (
    <>
      <OpenSomeHint />
      <Section title="Habits" note="of one application each">
        {habits.length === 0 && (
          <p className="text-[12px] text-dust">
            A habit opens an application on its workspace, at its place and in its size, with less of a frame.
          </p>
        )}
        <RecordList
          label="Habits"
          one="Habit"
          entries={habits}
          least={least}
          most={most}
          told={({ application }) => nameOf(application)}
          onTurn={(next) => turn(named('Habits', edits.setHabits([...next])))}
          onEnd={endGesture}
          add={(entries) => {
            const free = startable(desk).find(({ id }) => entries.every((one) => one.application !== id));
            return free ? habitFor(free.id) : null;
          }}
          inside={(entry, title, onTurn) => (
            <Fields schema={WindowHabit} values={entry} of={title} onTurn={onTurn} onEnd={endGesture} />
          )}
        />
      </Section>
    </>
  );
}

function habitFor(application: string): Habit {
  return {
    id: nanoid(8),
    application,
    workspace: 0,
    place: 'free',
    width: null,
    height: null,
    frame: 'desk',
    opacity: 100,
  };
}
