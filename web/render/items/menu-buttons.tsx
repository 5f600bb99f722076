import { openedMenus, type OpenedMenu, type OpenerAct } from '../../../core/menus/openers.ts';
import type { ItemDrawing } from '../edges/item-drawing.ts';
import { IconPress } from './icon-press.tsx';

/** A button that opens a menu of the desk. */
const opening =
  ({ key, opener }: OpenedMenu): ItemDrawing<OpenerAct> =>
  ({ id, view, layout }) => (
    <IconPress
      label={opener.does}
      icon={view.icon}
      layout={layout}
      onPress={(actions) => actions.turnMenu(key, { item: id })}
    />
  );

export const menuButtons = Object.fromEntries(
  openedMenus.map((menu) => [menu.opener.act, opening(menu)]),
) as Record<OpenerAct, ItemDrawing<OpenerAct>>;
