import { defineContent, say, line } from '../content.ts';

export const sheet = defineContent({
  key: 'sheet',
  // All that nothing else tells.
  tells: null,
  size: { width: 620, height: 420 },
  document: 'Dawn tally, week 48',
  menus: [
    {
      name: 'Sheet',
      entries: [
        say('New tally', 'A new tally would begin.'),
        say('Open…', 'A tally would be chosen.'),
        line,
        say('Print', 'The sheet would be printed.'),
      ],
    },
    {
      name: 'Count',
      entries: [
        say('Add a species', 'A row would be added.'),
        say('By hundreds', 'Counts would go by hundreds.'),
        say('Close the day', 'The day’s count would be closed.'),
      ],
    },
    {
      name: 'Look up',
      entries: [
        say('Same week last year', 'Last year’s week would stand beside it.'),
        say('The tide at the time', 'The tide would stand beside each count.'),
      ],
    },
  ],
  load: () => import('./work.ts'),
});
