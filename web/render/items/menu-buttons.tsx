import { openedMenus, type OpenedMenu, type OpenerAct } from '../../../core/menus/openers.ts';
import type { ItemDrawing } from '../edges/item-drawing.ts';
import { IconPress } from './icon-press.tsx';

/** A button that opens a menu of the desk. */
const opening =
  ({ key, opener }: OpenedMenu): ItemDrawing<OpenerAct> =>
  ({ id, view, layout }) => (
    <IconPress
      label={spoken(view.label, opener.does)}
      icon={view.icon}
      layout={layout}
      onPress={(actions) => actions.turnMenu(key, { item: id })}
    />
  );

/** What it is called to whoever speaks or hears it begins with the words that stand on it. */
function spoken(words: string | null, does: string): string {
  return words && !does.toLowerCase().includes(words.toLowerCase())
    ? `${words}: ${does.charAt(0).toLowerCase()}${does.slice(1)}`
    : does;
}

export const menuButtons = Object.fromEntries(
  openedMenus.map((menu) => [menu.opener.act, opening(menu)]),
) as Record<OpenerAct, ItemDrawing<OpenerAct>>;
