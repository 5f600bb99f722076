import { menuButton } from '../menu-button.ts';

export const appWall = menuButton('app-wall', 'App wall', 'Opens the wall of applications', 'start-here');
