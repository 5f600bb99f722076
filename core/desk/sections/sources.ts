import { Sources } from '../shapes/sources.ts';
import { defineSection } from './section.ts';

export const sources = defineSection({
  key: 'sources',
  title: 'Sources',
  schema: Sources,
  kits: [
    {
      key: 'covers',
      title: 'Colours of covers',
      told: ({ sources: { sound } }) => (sound.coversColour ? 'while a piece is heard' : 'not used'),
      wear(desk, from) {
        desk.sources.sound.coversColour = from.sources.sound.coversColour;
      },
    },
  ],
  check({ sources: { outside, sound } }, _known, say) {
    const lists = [
      [['outside', 'calendars'], outside.calendars],
      [['outside', 'headlines'], outside.headlines],
      [['sound', 'tracks'], sound.tracks],
    ] as const;
    for (const [path, list] of lists) {
      const seen = new Set<string>();
      list.forEach(({ id }, index) => {
        if (seen.has(id)) say(['sources', ...path, index, 'id'], `is used twice: "${id}"`);
        seen.add(id);
      });
    }
  },
});
