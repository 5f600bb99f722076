import type { AnyMenu, OpenMenu } from '../conditions.ts';
import type { SceneMenu } from '../scene.ts';
import type { Solving } from '../solving.ts';
import { solveAppList } from './app-list.ts';
import { solveAppWall } from './app-wall.ts';
import { solveDeskMenu } from './desk-menu.ts';
import { solveFrontMenu } from './front-menu.ts';
import type { MenuContext } from './hanging.ts';
import { solveQuickFind } from './quick-find.ts';

type Solve = (open: OpenMenu, context: MenuContext, solving: Solving) => SceneMenu;

/** How each menu is worked out. */
export const solvers: Record<AnyMenu, Solve> = {
  appList: solveAppList,
  appWall: solveAppWall,
  quickFind: solveQuickFind,
  deskMenu: solveDeskMenu,
  frontMenu: solveFrontMenu,
};
