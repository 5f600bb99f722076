import { z } from 'zod';
import { field } from '../values/field.ts';
import { Name } from '../values/name.ts';
import type { TypeOf } from '../values/types.ts';
import { mainCategories } from './categories.ts';
import { deskMenu } from './desk-menu.ts';
import type { AnyMenuFacts } from './menu.ts';
import type { DeskAct } from './acts.ts';
import { openedMenus } from './openers.ts';
import { content } from '../values/dress.ts';

/** Where applications are started and the desk is told what to do: the menus of a desk, one of each kind. */
const all = [...openedMenus, deskMenu] as const;
type AnyOfThem = (typeof all)[number];
export type MenuKey = AnyOfThem['key'];
export type MenuKind = AnyMenuFacts<MenuKey>;
export const menuKinds: readonly MenuKind[] = all;

/** What a category is called on this desk. */
export const CategoryName = z.looseObject({
  category: field(z.enum(mainCategories), { label: 'Category' }),
  name: field(Name.clone(), { label: 'Called' }),
});

/** Something of each menu by its key. */
function byKey<T>(pick: (menu: MenuKind) => T): Record<MenuKey, T> {
  return Object.fromEntries(menuKinds.map((menu) => [menu.key, pick(menu)])) as Record<MenuKey, T>;
}

/** The schema of each menu. */
const menuSchemas = byKey(({ schema }) => schema);
export const menuTitles = byKey(({ title }) => title);

export const Menus = content(
  z.looseObject({
    ...(menuSchemas as { [One in AnyOfThem as One['key']]: One['schema'] }),
    categories: z
      .array(CategoryName)
      .max(40)
      .meta({ description: 'Categories that come first, in this order, under names of their own' }),
  }),
);
export type Menus = TypeOf<typeof Menus>;

/** What opens a menu, by its keys among others. */
export function actThatOpens({ opener, act }: MenuKind): DeskAct {
  return (opener?.act ?? act) as DeskAct;
}

export const menuKeys: readonly MenuKey[] = menuKinds.map(({ key }) => key);

/** The menus of a desk that nobody has changed yet. */
export const plainMenus: Menus = {
  ...(byKey(({ plain }) => plain) as { [One in AnyOfThem as One['key']]: One['plain'] }),
  categories: [],
};
