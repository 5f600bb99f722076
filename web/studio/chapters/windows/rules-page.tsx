import { nanoid } from 'nanoid';
import type { Desk } from '../../../../core/desk/desk.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { WindowRule, Windows } from '../../../../core/windows/schema.ts';
import { useDesk } from '../../../session/desk.ts';
import { Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';
import { RecordList } from '../../form/record-list.tsx';
import { lengthsOf } from '../../form/schema.ts';
import { OpenSomeHint } from './open-windows.tsx';
import { startable } from './open-some.ts';

type Rule = Desk['windows']['rules'][number];

/** What holds for the windows of one application: the workspace, the place, the frame. */
export function RulesPage({ desk }: { desk: Desk }) {
  const { turn, endGesture } = useDesk.getState();
  const { rules } = desk.windows;
  const { least, most } = lengthsOf(Windows.shape.rules);
  const nameOf = (id: unknown) => desk.applications.find((one) => one.id === id)?.Name ?? 'no application';
  return (
    <>
      <OpenSomeHint />
      <Section title="Rules" note="of one application each">
        {rules.length === 0 && (
          <p className="text-[12px] text-dust">
            A rule opens an application on its workspace, at its place and in its size, with less of a frame.
          </p>
        )}
        <RecordList
          one="Rule"
          entries={rules}
          least={least}
          most={most}
          told={({ application }) => nameOf(application)}
          onTurn={(next) => turn(named('Rules', edits.setWindowRules(next as unknown as Rule[])))}
          onEnd={endGesture}
          add={(entries) => {
            const free = startable(desk).find(({ id }) => entries.every((one) => one['application'] !== id));
            return free ? ruleFor(free.id) : null;
          }}
          inside={(entry, title, onTurn) => (
            <Fields schema={WindowRule} values={entry} of={title} onTurn={onTurn} onEnd={endGesture} />
          )}
        />
      </Section>
    </>
  );
}

function ruleFor(application: string): Rule {
  return {
    id: nanoid(8),
    application,
    workspace: 0,
    place: 'free',
    width: null,
    height: null,
    frame: 'desk',
    seeThrough: 0,
  };
}
