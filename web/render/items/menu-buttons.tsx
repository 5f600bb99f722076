import type { MenuKey } from '../../../core/menus/schema.ts';
import type { ItemDrawing } from '../item-drawing.ts';
import { IconPress } from './icon-press.tsx';

/** Buttons that open a menu of the desk. */
const opening =
  (menu: MenuKey, label: string): ItemDrawing<'app-list' | 'app-wall' | 'quick-find'> =>
  ({ id, view, layout }) => (
    <IconPress
      label={label}
      icon={view.icon}
      layout={layout}
      onPress={(actions) => actions.turnMenu(menu, { item: id })}
    />
  );

export const AppListItem = opening('appList', 'Open the app list');
export const AppWallItem = opening('appWall', 'Open the app wall');
export const QuickFindItem = opening('quickFind', 'Open quick find');
