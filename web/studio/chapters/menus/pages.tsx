import { LayoutGrid, SquareMenu, Tags } from 'lucide-react';
import { menuKinds } from '../../../../core/menus/schema.ts';
import { later } from '../../../later.ts';
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
    settings: kind.schema,
    Body: ({ desk }) => <MenuPage kind={kind} desk={desk} />,
  })),
  {
    id: 'applications',
    title: 'Applications',
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
