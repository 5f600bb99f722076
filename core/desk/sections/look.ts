import { roleCircle } from '../../colour/roles.ts';
import { Look } from '../../look/schema.ts';
import { isOwn } from '../../values/family.ts';
import { halves } from '../../values/roles.ts';
import { defineSection } from './section.ts';

export const look = defineSection({
  key: 'look',
  schema: Look,
  check({ look: { roles, fonts, ownFonts } }, _, say) {
    for (const half of halves) {
      const role = roleCircle(roles[half]);
      if (role) say(['look', 'roles', half, role], 'is a step, in a circle, from itself');
    }
    const own = new Set<string>(ownFonts.map((font) => font.id));
    for (const [use, { family }] of Object.entries(fonts)) {
      if (isOwn(family) && !own.has(family))
        say(['look', 'fonts', use, 'family'], 'names a font of one’s own that is not there');
    }
  },
});
