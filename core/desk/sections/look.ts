import { roleCircle } from '../../colour/roles.ts';
import { toldIcons } from '../../icons/schema.ts';
import { Look, MOST_FONTS } from '../../look/schema.ts';
import { pointerTitles } from '../../pointer/schema.ts';
import type { OwnFont } from '../../text/schema.ts';
import { familyTitles, isOwn, type Family } from '../../values/family.ts';
import { halves } from '../../values/roles.ts';
import { defineSection } from './section.ts';

export const look = defineSection({
  key: 'look',
  title: 'Look',
  schema: Look,
  kits: [
    {
      key: 'palette',
      title: 'Palette',
      told: ({ look: { follows } }) => (follows ? `follows the backdrop: ${follows}` : 'both halves'),
      wear({ look: worn }, { look: other }) {
        const { roles, held, parted, follows, terminal } = structuredClone(other);
        Object.assign(worn, { roles, held, parted, follows, terminal });
      },
      own: ({ look: { terminal } }) =>
        (terminal.light ?? terminal.dark) ? ['the terminal’s own colours'] : [],
    },
    {
      key: 'type',
      title: 'Type',
      told: ({ look: { fonts, ownFonts } }) =>
        [...new Set([fonts.display, fonts.text].map(({ family }) => nameOfFamily(family, ownFonts)))].join(
          ', ',
        ),
      wear({ look: worn }, { look: other }) {
        worn.fonts = structuredClone(other.fonts);
        const named = new Set<string>(Object.values(worn.fonts).map(({ family }) => family));
        const known = new Set(worn.ownFonts.map(({ id }) => id));
        const come = other.ownFonts.filter(({ id }) => named.has(id) && !known.has(id));
        // Where there is no room for them, those go that nothing is set in any more.
        const room = MOST_FONTS - come.length;
        const kept = worn.ownFonts.filter(({ id }) => named.has(id));
        const rest = worn.ownFonts.filter(({ id }) => !named.has(id));
        worn.ownFonts = [
          ...rest.slice(Math.max(0, rest.length + kept.length - room)),
          ...kept,
          ...structuredClone(come),
        ];
      },
      own: ({ look: { fonts, ownFonts } }) =>
        ownFonts
          .filter(({ id }) => Object.values(fonts).some(({ family }) => family === id))
          .map(({ name }) => name),
    },
    {
      key: 'icons',
      title: 'Icons',
      told: ({ look: { icons } }) => toldIcons(icons),
      wear({ look: worn }, { look: other }) {
        worn.icons = structuredClone(other.icons);
      },
      own: ({ look: { icons } }) => [
        ...[icons.own, icons.dark?.own].flatMap((own) => own?.name ?? []),
        ...(icons.byHand.length > 0 ? ['signs of one’s own'] : []),
      ],
    },
    {
      key: 'pointer',
      title: 'Pointer',
      told: ({ look: { pointer } }) => `${pointerTitles[pointer.set]}, ${pointer.size} px`,
      wear({ look: worn }, { look: other }) {
        worn.pointer = structuredClone(other.pointer);
      },
    },
    {
      key: 'finish',
      title: 'Finish',
      told: ({ look: { finish } }) => `${finish.kind}, ${finish.radius} px`,
      wear({ look: worn }, { look: other }) {
        worn.finish = structuredClone(other.finish);
      },
    },
  ],
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

function nameOfFamily(family: Family, own: readonly OwnFont[]): string {
  return isOwn(family) ? (own.find(({ id }) => id === family)?.name ?? '') : familyTitles[family];
}
