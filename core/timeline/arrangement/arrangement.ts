import type { Desk } from '../../desk/desk.ts';
import type { Holds } from '../../desk/shapes/arrangements.ts';
import type { HalfBy } from '../../look/schema.ts';
import type { GeoPlace } from '../../values/earth.ts';
import type { Half } from '../../values/roles.ts';
import { halfAt, turnsBetween } from '../half/half.ts';
import { defineTrigger, type TimelineChange } from '../trigger.ts';

/** Under what an arrangement is on by itself. */
interface Under {
  moment: number;
  half: Half;
  /** Id of the workspace in front. */
  workspace: string;
}

/** Hours as what turns light and dark by hours: also on the days on which the clocks are set. */
const hoursOf = ({ from, to }: Extract<Holds, { by: 'hours' }>): HalfBy => ({
  by: 'hours',
  light: from,
  dark: to,
});

function holdsUnder(holds: Holds, { moment, half, workspace }: Under, place: GeoPlace): boolean {
  switch (holds.by) {
    case 'choice':
      return false;
    case 'workspace':
      return holds.workspace === workspace;
    case 'half':
      return holds.half === half;
    case 'hours':
      return halfAt(hoursOf(holds), moment, place) === 'light';
  }
}

/** Id of the arrangement that is on: the first that is by itself, or else the one that was chosen; null where there is none. */
function arrangementOn(
  { arrangements: { list, chosen }, place }: Pick<Desk, 'arrangements' | 'place'>,
  under: Under,
): string | null {
  if (list.length === 0) return null;
  return list.find(({ holds }) => holdsUnder(holds, under, place))?.id ?? chosen;
}

/** The arrangement that is on at a moment, on a workspace (by its number), in a half that is looked at or the desk's own. */
export function arrangementAt(
  desk: Desk,
  under: { moment: number; workspace: number; half: Half | null; isDarkBehind: boolean | null },
): string | null {
  if (desk.arrangements.list.length === 0) return null;
  const { moment, workspace, isDarkBehind } = under;
  const half = under.half ?? halfAt(desk.look.half, moment, desk.place, isDarkBehind);
  const at = Math.min(workspace, desk.workspaces.length - 1);
  return arrangementOn(desk, { moment, half, workspace: desk.workspaces[at]?.id ?? '' });
}

/** As a desk is seen by whoever does nothing to it. */
const onAtRest = (desk: Desk, moment: number) =>
  arrangementAt(desk, { moment, workspace: 0, half: null, isDarkBehind: null });

/** Another arrangement is on. */
export const arrangement = defineTrigger({
  key: 'arrangement',
  title: 'Arrangement',
  subject: (desk) =>
    desk.arrangements.list.some(({ holds }) => holds.by === 'half' || holds.by === 'hours') ? desk : null,
  stateAt: (desk: Desk, { place }, moment) => onAtRest({ ...desk, place }, moment) ?? '',
  changesBetween(desk: Desk, { place }, start, end) {
    const at = (moment: number) => onAtRest({ ...desk, place }, moment);
    const turns = desk.arrangements.list.flatMap(({ holds }) => {
      if (holds.by === 'hours') return turnsBetween(hoursOf(holds), start, end, place);
      return holds.by === 'half' ? turnsBetween(desk.look.half, start, end, place) : [];
    });
    return [...new Set(turns)]
      .sort((one, other) => one - other)
      .flatMap((moment): TimelineChange[] => {
        const [before, now] = [at(moment - AROUND), at(moment + AROUND)];
        const name = desk.arrangements.list.find(({ id }) => id === now)?.name;
        return moment >= start && moment < end && before !== now && name
          ? [{ at: moment, told: `${name} is arranged` }]
          : [];
      });
  },
});

/** A second is enough on either side of what was reckoned. */
const AROUND = 1000;
