import { defineContent, say } from '../content.ts';

export const player = defineContent({
  key: 'player',
  tells: /audio|multimedia|Music|\bPlayer\b|AudioVideo/i,
  size: { width: 520, height: 380 },
  document: null,
  menus: [
    {
      name: 'Play',
      entries: [
        { by: 'act', name: 'Play or pause', act: 'sound' },
        { by: 'act', name: 'Next piece', act: 'next-piece' },
      ],
    },
    {
      name: 'List',
      entries: [say('Add…', 'Pieces would be added.'), say('By length', 'Pieces would stand by length.')],
    },
  ],
  reads: [{ source: 'sound', every: 'second' }],
  load: () => import('./work.ts'),
});
