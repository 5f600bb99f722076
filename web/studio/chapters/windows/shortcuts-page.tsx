import type { Desk } from '../../../../core/desk/desk.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { deskActNames, deskActTitles } from '../../../../core/menus/acts.ts';
import { DeskKey, DeskKeys } from '../../../../core/menus/keys.ts';
import { useDesk } from '../../../session/desk.ts';
import { Keys } from '../../commands/key-names.tsx';
import { Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';
import { RecordList } from '../../form/record-list.tsx';
import { lengthsOf } from '../../form/schema.ts';

/** What is done by which keys while the desk is in use: menus, windows and workspaces. */
export function ShortcutsPage({ desk }: { desk: Desk }) {
  const { turn, endGesture } = useDesk.getState();
  const { least, most } = lengthsOf(DeskKeys);
  return (
    <Section title="Shortcuts" note="while the desk is in use">
      <RecordList
        label="Shortcuts"
        one="Shortcut"
        entries={desk.keys}
        least={least}
        most={most}
        told={({ act, shortcut }) => `${shortcut === '' ? 'no keys' : shortcut}  ${deskActTitles[act]}`}
        row={({ act, shortcut }) => (
          <span className="grid min-w-0">
            <span className="truncate">{deskActTitles[act]}</span>
            <span className="truncate text-[12px] leading-tight text-dust">
              {shortcut === '' ? 'no keys' : <Keys keys={shortcut} />}
            </span>
          </span>
        )}
        onTurn={(next) => turn(named('Shortcuts', edits.setKeys(next)))}
        onEnd={endGesture}
        add={(entries) => {
          const act = deskActNames.find((one) => entries.every((entry) => entry.act !== one));
          return act ? { act, shortcut: '' } : null;
        }}
        inside={(entry, title, onTurn) => (
          <Fields schema={DeskKey} values={entry} of={title} onTurn={onTurn} onEnd={endGesture} />
        )}
      />
    </Section>
  );
}
