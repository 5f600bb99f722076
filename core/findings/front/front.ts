import { paletteOf, type Palette } from '../../colour/look.ts';
import type { Desk } from '../../desk/desk.ts';
import { named } from '../../desk/edits/edit.ts';
import { edits } from '../../desk/edits/edits.ts';
import { halves } from '../../values/roles.ts';
import { AT_A_GLANCE, leastDifference, toldApart } from '../../windows/difference.ts';
import type { Rule } from '../finding.ts';

/** What it is told in: both halves, since windows are dressed for both at once. */
export function palettesOf({ look }: Pick<Desk, 'look'>): Palette[] {
  return halves.map((half) => paletteOf(look.roles[half]));
}

export const front: Rule = {
  id: 'front',
  title: 'The front window is told from the others',
  fine: 'It is told at a glance, by whatever eyes.',
  page: ['windows', 'behind'],
  find({ desk }) {
    const palettes = palettesOf(desk);
    if (leastDifference(desk.windows, palettes) >= AT_A_GLANCE) return [];
    const behind = toldApart(desk.windows, palettes);
    const title = 'Tell it apart at a glance';
    return [
      {
        key: 'front',
        told: 'The front window looks much like the others',
        part: null,
        mends: behind
          ? [{ title, edit: named('Tell the front window apart', edits.setWindows('behind', behind)) }]
          : [],
      },
    ];
  },
};
