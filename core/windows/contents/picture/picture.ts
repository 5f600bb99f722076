import { defineContent, say, line } from '../content.ts';

export const picture = defineContent({
  key: 'picture',
  tells: /camera|image|photo|maps|Graphics|Photography|Viewer|video/i,
  size: { width: 700, height: 480 },
  document: 'Low water from the hide',
  menus: [
    {
      name: 'Picture',
      entries: [
        say('Next', 'The next picture would be shown.'),
        say('Turn', 'The picture would be turned.'),
        line,
        say('As the backdrop', 'The picture would become the backdrop.'),
      ],
    },
    {
      name: 'Look',
      entries: [say('Fit', 'All of it would be shown.'), say('1 : 1', 'It would be shown px for px.')],
    },
  ],
  load: () => import('./work.ts'),
});
