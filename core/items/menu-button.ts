import { z } from 'zod';
import { openedMenus, type OpenedMenu, type OpenerAct } from '../menus/openers.ts';
import { defineItem } from '../kinds/kind.ts';
import { field } from '../values/field.ts';
import { signFaces, wordsOf } from './faces.ts';
import { laySign } from './text.ts';

/** A button that opens a menu of the desk. */
function menuButton<const Type extends OpenerAct>(
  type: Type,
  { title, opener: { summary, mark } }: OpenedMenu,
) {
  return defineItem({
    type,
    title: `${title} button`,
    summary,
    faces: signFaces,
    options: z.looseObject({
      icon: field(z.enum(['view-app-grid', 'start-here', 'system-search']).default(mark), {
        label: 'Icon',
        choices: { 'view-app-grid': 'Grid', 'start-here': 'Ledge', 'system-search': 'Lens' },
        when: (_, face) => face !== 'words',
      }),
      label: field(z.string().max(40).default(''), {
        label: 'Label',
        is: 'content',
        placeholder: title,
        when: (_, face) => face !== 'sign',
      }),
    }),
    view: ({ icon, label }, face, context) => ({ icon, label: wordsOf(label || title, face, context) }),
    layout: ({ label }, face, context) => laySign(label, face, context),
  });
}

type MenuButton = { [Type in OpenerAct]: ReturnType<typeof menuButton<Type>> }[OpenerAct];

/** One for each menu that is opened by one. */
export const menuButtons = openedMenus.map((menu) => menuButton(menu.opener.act, menu)) as MenuButton[];
