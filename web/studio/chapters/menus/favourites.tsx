import type { Desk } from '../../../../core/desk/desk.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { useDesk } from '../../../session/desk.ts';
import { Section } from '../../../ui/section.tsx';
import { ApplicationPicks } from './application-picks.tsx';

/** Applications that stand first on the list. */
export function Favourites({ desk }: { desk: Desk }) {
  const set = (favourites: readonly string[], label: string) =>
    useDesk.getState().edit(named(label, edits.setMenu('appList', { favourites: [...favourites] })));
  return (
    <Section title="At hand" note="they stand first">
      <ApplicationPicks
        of="At hand"
        applications={desk.applications}
        chosen={desk.menus.appList.favourites}
        onChange={set}
      />
    </Section>
  );
}
