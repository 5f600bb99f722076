import { defineContent, say } from '../content.ts';

export const files = defineContent({
  key: 'files',
  tells: /file-manager|^folder|FileManager|drive/i,
  size: { width: 640, height: 420 },
  document: 'Tapes',
  menus: [
    {
      name: 'Folder',
      entries: [
        say('New folder', 'A folder would be made.'),
        say('Go up', 'The folder above would be shown.'),
      ],
    },
    {
      name: 'Look',
      entries: [
        say('By name', 'Files would stand by name.'),
        say('By size', 'Files would stand by size.'),
        say('By day', 'Files would stand by day.'),
      ],
    },
  ],
  load: () => import('./work.ts'),
});
