import { defineContent, say, line } from '../content.ts';

export const letter = defineContent({
  key: 'letter',
  tells: /mail|editor|Email|News|TextEditor|chat|web-browser/i,
  size: { width: 560, height: 480 },
  document: 'Nets on Thursday',
  menus: [
    {
      name: 'Letter',
      entries: [
        say('New letter', 'A letter would begin.'),
        say('Answer', 'An answer would begin.'),
        line,
        say('Put away', 'The letter would be put away.'),
      ],
    },
    { name: 'Write', entries: [say('Bold', 'Words would be bold.'), say('List', 'Lines would be a list.')] },
  ],
  load: () => import('./work.ts'),
});
