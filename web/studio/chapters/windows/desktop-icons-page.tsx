import type { Desk } from '../../../../core/desk/desk.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { DesktopIcons } from '../../../../core/icons/desktop.ts';
import { useDesk } from '../../../session/desk.ts';
import { PickSome } from '../../../ui/pick-some.tsx';
import { Section } from '../../../ui/section.tsx';
import { GroupedFields } from '../../form/form.tsx';
import { ApplicationPicks } from '../menus/application-picks.tsx';

/** Icons on the bare desk: which, how large, on which grid and on which screens. */
export function DesktopIconsPage({ desk }: { desk: Desk }) {
  const { edit, turn, endGesture } = useDesk.getState();
  const { desktopIcons: icons, screens, applications } = desk;
  const set = (change: Partial<DesktopIcons>, label: string) =>
    named(`Desktop icons: ${label.toLowerCase()}`, edits.setDesktopIcons(change));
  return (
    <>
      <GroupedFields
        schema={DesktopIcons}
        values={icons}
        onTurn={(change, label) => turn(set(change, label))}
        onEnd={endGesture}
        rest="Desktop icons"
      />
      {screens.length > 1 && icons.shown !== 'none' && (
        <PickSome
          title="On screens"
          label="On screens"
          things={screens}
          chosen={icons.screens}
          none={{ note: 'the first', back: 'the first screen' }}
          onChange={(on) => void edit(set({ screens: on }, 'Screens'))}
        />
      )}
      {icons.shown === 'some' && (
        <Section title="Icons">
          <ApplicationPicks
            of="desktop icons"
            applications={applications}
            chosen={icons.applications}
            onChange={(chosen, label) =>
              void edit(named(label, edits.setDesktopIcons({ applications: [...chosen] })))
            }
          />
        </Section>
      )}
    </>
  );
}
