import type { Desk } from '../../desk/desk.ts';
import type { Application } from '../../desk/shapes/applications.ts';
import { categoryTitles, mainCategories, mainCategoryOf, type MainCategory } from '../../menus/categories.ts';

export interface Group {
  /** Null for all of them as one. */
  title: string | null;
  applications: readonly Application[];
}

/** The applications of a desk under their categories: those that the desk has names for first. Empty ones are left out. */
export function groupsOf(
  { applications, menus: { categories } }: Pick<Desk, 'applications' | 'menus'>,
  by: 'categories' | 'none',
): Group[] {
  if (by === 'none') return [{ title: null, applications }];
  const names = new Map<MainCategory, string>(categories.map(({ category, name }) => [category, name]));
  const members = new Map<MainCategory, Application[]>();
  for (const application of applications) {
    const category = mainCategoryOf(application.Categories);
    members.set(category, [...(members.get(category) ?? []), application]);
  }
  return [...new Set([...names.keys(), ...mainCategories])].flatMap((category) => {
    const those = members.get(category);
    return those ? [{ title: names.get(category) ?? categoryTitles[category], applications: those }] : [];
  });
}
