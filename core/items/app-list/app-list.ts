import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { textWidth } from '../../text/measure.ts';
import { ITEM_PADDING, LABEL_GAP, itemText, labelSpot } from '../text.ts';

const options = z.looseObject({
  icon: z
    .enum(['view-app-grid', 'start-here', 'system-search'])
    .default('view-app-grid')
    .meta({
      label: 'Mark',
      choices: { 'view-app-grid': 'Grid', 'start-here': 'Ledge', 'system-search': 'Lens' },
    }),
  label: z.string().max(40).default('').meta({ label: 'Label', placeholder: 'none' }),
});

export interface AppListView {
  icon: string;
  label: string | null;
  fontSize: number;
  iconSize: number;
}

export const appList = defineItem({
  type: 'app-list',
  title: 'App list button',
  summary: 'Opens the list of applications',
  options,
  view(options, context): AppListView {
    return {
      icon: options.icon,
      label: options.label && !context.isVertical ? options.label : null,
      fontSize: itemText(context).size,
      iconSize: context.iconSize,
    };
  },
  length(view, context) {
    const label = view.label === null ? 0 : LABEL_GAP + textWidth(view.label, itemText(context));
    return Math.ceil(context.iconSize + label + 2 * ITEM_PADDING);
  },
  texts: ({ label, fontSize, iconSize }, context) => labelSpot(label, fontSize, iconSize, context),
});
