import { LayoutGrid, SquareMenu, Tags } from 'lucide-react';
import { DeskKey } from '../../../../core/menus/keys.ts';
import { Application } from '../../../../core/desk/shapes/applications.ts';
import { menuKinds } from '../../../../core/menus/schema.ts';
import { Finish } from '../../../../core/values/finish.ts';
import { later } from '../../../later.ts';
import { followsTitle } from './follows-title.ts';
import type { Page } from '../chapter.ts';

const MenuPage = later(async () => ({ default: (await import('./menu-page.tsx')).MenuPage }));
const ApplicationsPage = later(async () => ({
  default: (await import('./applications-page.tsx')).ApplicationsPage,
}));
const CategoriesPage = later(async () => ({
  default: (await import('./categories-page.tsx')).CategoriesPage,
}));

export const pages: readonly Page[] = [
  // Their cards lead to them.
  ...menuKinds.map((kind): Page => ({
    id: kind.key,
    title: kind.title,
    icon: SquareMenu,
    under: null,
    settings: [kind.schema, DeskKey, Finish],
    fields: [followsTitle(kind)],
    Body: ({ desk }) => <MenuPage kind={kind} desk={desk} />,
  })),
  {
    id: 'applications',
    title: 'Applications',
    settings: [Application],
    icon: LayoutGrid,
    under: 'What stands on them',
    also: 'programs apps launchers desktop entries',
    Body: ApplicationsPage,
    note: ({ applications }) => applications.length,
  },
  {
    id: 'categories',
    title: 'Categories',
    icon: Tags,
    under: 'What stands on them',
    also: 'groups of applications',
    Body: CategoriesPage,
    note: ({ menus: { categories } }) =>
      categories.length === 0 ? 'as they come' : `${categories.length} named`,
  },
];
