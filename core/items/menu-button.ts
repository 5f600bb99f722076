import { z } from 'zod';
import { defineItem } from '../kinds/kind.ts';
import { field } from '../values/field.ts';
import { layIcon } from './text.ts';

type Mark = 'view-app-grid' | 'start-here' | 'system-search';

/** A button that opens a menu of the desk. */
export function menuButton<const Type extends string>(
  type: Type,
  title: string,
  summary: string,
  mark: Mark,
) {
  return defineItem({
    type,
    title: `${title} button`,
    summary,
    options: z.looseObject({
      icon: field(z.enum(['view-app-grid', 'start-here', 'system-search']).default(mark), {
        label: 'Mark',
        choices: { 'view-app-grid': 'Grid', 'start-here': 'Ledge', 'system-search': 'Lens' },
      }),
      label: field(z.string().max(40).default(''), { label: 'Label', placeholder: 'none' }),
    }),
    view: ({ icon, label }, { isVertical, room }) => ({
      icon,
      label: label && !isVertical && room !== 'bare' ? label : null,
    }),
    layout: ({ label }, context) => layIcon(label, context),
  });
}
