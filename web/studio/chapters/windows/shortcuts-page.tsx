import type { Desk } from '../../../../core/desk/desk.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { deskActNames, deskActTitles } from '../../../../core/menus/acts.ts';
import { DeskShortcut, Windows, type DeskShortcut as Shortcut } from '../../../../core/windows/schema.ts';
import { useDesk } from '../../../session/desk.ts';
import { Keys } from '../../commands/key-names.tsx';
import { Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';
import { RecordList } from '../../form/record-list.tsx';
import { lengthsOf } from '../../form/schema.ts';

/** Keys that work windows and workspaces while the desk is in use. */
export function ShortcutsPage({ desk }: { desk: Desk }) {
  const { turn, endGesture } = useDesk.getState();
  const { shortcuts } = desk.windows;
  const { least, most } = lengthsOf(Windows.shape.shortcuts);
  return (
    <Section title="Shortcuts" note="while the desk is in use">
      <RecordList
        one="Shortcut"
        entries={shortcuts}
        least={least}
        most={most}
        told={({ act, shortcut }) =>
          `${shortcut === '' ? 'no keys' : String(shortcut)}  ${deskActTitles[act as Shortcut['act']]}`
        }
        row={({ act, shortcut }) => (
          <span className="grid min-w-0">
            <span className="truncate">{deskActTitles[act as Shortcut['act']]}</span>
            <span className="truncate text-[12px] leading-tight text-dust">
              {shortcut === '' ? 'no keys' : <Keys keys={String(shortcut)} />}
            </span>
          </span>
        )}
        onTurn={(next) => turn(named('Shortcuts', edits.setDeskShortcuts(next as unknown as Shortcut[])))}
        onEnd={endGesture}
        add={(entries) => {
          const act = deskActNames.find((one) => entries.every((entry) => entry['act'] !== one));
          return act ? { act, shortcut: '' } : null;
        }}
        inside={(entry, title, onTurn) => (
          <Fields schema={DeskShortcut} values={entry} of={title} onTurn={onTurn} onEnd={endGesture} />
        )}
      />
    </Section>
  );
}
