import { confusions, eyesTitles, otherEyes } from '../../colour/eyes.ts';
import { resolveRoles } from '../../colour/roles.ts';
import { halvesIn } from '../../timeline/half/half.ts';
import { roleTitles } from '../../values/roles.ts';
import type { Rule } from '../finding.ts';

export const colours: Rule = {
  id: 'colours',
  title: 'Colours that mean different things differ',
  fine: 'They are told apart, by whatever eyes.',
  page: ['palette', 'eyes'],
  find: ({ desk: { look } }) =>
    halvesIn(look.half).flatMap((half) => {
      const roles = resolveRoles(look.roles[half]);
      return otherEyes.flatMap((eyes) =>
        confusions(roles, eyes).map(([a, b]) => ({
          key: `${half} ${eyes} ${a} ${b}`,
          told: `${roleTitles[a]} and ${roleTitles[b].toLowerCase()} look alike in the ${half} half (${eyesTitles[eyes].toLowerCase()})`,
          part: null,
          mends: [],
        })),
      );
    }),
};
