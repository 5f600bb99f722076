import { menuButton } from '../menu-button.ts';

export const quickFind = menuButton(
  'quick-find',
  'Quick find',
  'Opens the line that finds, starts and works out',
  'system-search',
);
