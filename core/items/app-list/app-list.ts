import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { field } from '../../values/field.ts';
import { layIcon } from '../text.ts';

const options = z.looseObject({
  icon: field(z.enum(['view-app-grid', 'start-here', 'system-search']).default('view-app-grid'), {
    label: 'Mark',
    choices: { 'view-app-grid': 'Grid', 'start-here': 'Ledge', 'system-search': 'Lens' },
  }),
  label: field(z.string().max(40).default(''), { label: 'Label', placeholder: 'none' }),
});

export const appList = defineItem({
  type: 'app-list',
  title: 'App list button',
  summary: 'Opens the list of applications',
  options,
  view: ({ icon, label }, { isVertical, room }) => ({
    icon,
    label: label && !isVertical && room !== 'bare' ? label : null,
  }),
  layout: ({ label }, context) => layIcon(label, context),
});
