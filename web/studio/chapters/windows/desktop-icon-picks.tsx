import type { Desk } from '../../../../core/desk/desk.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { useDesk } from '../../../session/desk.ts';
import { Section } from '../../../ui/section.tsx';
import { ApplicationPicks } from '../menus/application-picks.tsx';

/** Which applications have an icon on the bare desk. */
export function DesktopIconPicks({ desk }: { desk: Desk }) {
  return (
    <Section title="Shown">
      <ApplicationPicks
        of="desktop icons"
        applications={desk.applications}
        chosen={desk.windows.icons.applications}
        onChange={(applications, label) =>
          void useDesk
            .getState()
            .edit(named(label, edits.setWindows('icons', { applications: [...applications] })))
        }
      />
    </Section>
  );
}
