import { menuButton } from '../menu-button.ts';

export const appList = menuButton('app-list', 'App list', 'Opens the list of applications', 'view-app-grid');
