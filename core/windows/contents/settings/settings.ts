import { defineContent, say } from '../content.ts';

export const settings = defineContent({
  key: 'settings',
  tells: /preferences|system|Settings|control|weather/i,
  size: { width: 520, height: 420 },
  document: null,
  menus: [{ name: 'Settings', entries: [say('As they were', 'All would be as it was at first.')] }],
  load: () => import('./work.ts'),
});
