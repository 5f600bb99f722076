import { defineContent, say } from '../content.ts';

export const terminal = defineContent({
  key: 'terminal',
  tells: /terminal/i,
  size: { width: 600, height: 360 },
  document: null,
  menus: [
    {
      name: 'Session',
      entries: [
        say('New session', 'A session would begin.'),
        say('Clear', 'What was written would be cleared.'),
      ],
    },
    {
      name: 'Text',
      entries: [say('Larger', 'Letters would be larger.'), say('Smaller', 'Letters would be smaller.')],
    },
  ],
  load: () => import('./work.ts'),
});
