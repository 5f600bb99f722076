import { paletteOf } from '../../colour/look.ts';
import { named } from '../../desk/edits/edit.ts';
import { edits } from '../../desk/edits/edits.ts';
import { halvesIn } from '../../timeline/half/half.ts';
import { AT_A_GLANCE, leastDifference, toldApart } from '../../windows/difference.ts';
import type { Rule } from '../finding.ts';

export const front: Rule = {
  id: 'front',
  title: 'The front window is told from the others',
  fine: 'It is told at a glance, by whatever eyes.',
  page: ['windows', 'behind'],
  find({ desk }) {
    const palettes = halvesIn(desk.look.half).map((half) => paletteOf(desk.look.roles[half]));
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
