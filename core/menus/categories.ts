import { lookUp } from '../values/look-up.ts';

/** The main categories of the freedesktop Desktop Menu specification, in the order in which menus show them. */
export const mainCategories = [
  'Office',
  'Science',
  'Education',
  'Network',
  'Graphics',
  'AudioVideo',
  'Game',
  'Development',
  'Utility',
  'Settings',
  'System',
  'Other',
] as const;
export type MainCategory = (typeof mainCategories)[number];

export const categoryTitles: Record<MainCategory, string> = {
  Office: 'Paperwork',
  Science: 'Science',
  Education: 'Learning',
  Network: 'Net',
  Graphics: 'Pictures',
  AudioVideo: 'Sound and film',
  Game: 'Games',
  Development: 'Making programs',
  Utility: 'Tools',
  Settings: 'Settings',
  System: 'System',
  Other: 'All else',
};

/** Names that the specification lets stand for a main one. */
const also: Record<string, MainCategory> = { Audio: 'AudioVideo', Video: 'AudioVideo' };

/** The category under which an application stands: the first of its own that is a main one. */
export function mainCategoryOf(categories: readonly string[]): MainCategory {
  for (const category of categories) {
    const main = mainCategories.find((one) => one === category) ?? lookUp(also, category);
    if (main) return main;
  }
  return 'Other';
}
