import { appList } from './app-list.ts';
import { appWall } from './app-wall.ts';
import { quickFind } from './quick-find.ts';

/** The menus that an act of the desk opens, and a button on an edge. Add a new one here. */
export const openedMenus = [appList, appWall, quickFind] as const;
export type OpenedMenu = (typeof openedMenus)[number];
export type OpenerAct = OpenedMenu['opener']['act'];

/** The menu that an act opens, or a button of that type; null for any other. */
export function menuOpenedBy(act: string): OpenedMenu | null {
  return openedMenus.find(({ opener }) => opener.act === act) ?? null;
}
