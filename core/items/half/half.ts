import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { field } from '../../values/field.ts';
import { layIcon } from '../text.ts';

export const half = defineItem({
  type: 'half',
  title: 'Light and dark switch',
  summary: 'Looks at the other half of the desk',
  options: z.looseObject({ label: field(z.boolean().default(false), { label: 'Name of the half' }) }),
  view: ({ label }, { half: now, isVertical, room }) => ({
    half: now,
    icon: now === 'light' ? 'weather-clear' : 'weather-clear-night',
    label: label && !isVertical && room !== 'bare' ? (now === 'light' ? 'Light' : 'Dark') : null,
  }),
  layout: ({ label }, context) => layIcon(label, context),
});
