import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { textWidth } from '../../text/measure.ts';
import { ITEM_PADDING, LABEL_GAP, itemText, labelSpot } from '../text.ts';

const options = z.looseObject({
  application: z.string().max(64).default('').meta({ label: 'Application', control: 'application' }),
  label: z.boolean().default(false).meta({ label: 'Name beside the icon' }),
});

export interface ApplicationView {
  application: string;
  name: string;
  /** freedesktop icon name */
  icon: string;
  label: string | null;
  isRunning: boolean;
  fontSize: number;
  iconSize: number;
}

export const application = defineItem({
  type: 'application',
  title: 'Application',
  summary: 'Starts an application; marked while it runs',
  options,
  view(options, context): ApplicationView {
    const found = context.applications.find(({ id }) => id === options.application);
    const name = found?.Name ?? 'No application';
    return {
      application: options.application,
      name,
      icon: found?.Icon ?? 'application-x-executable',
      label: options.label && !context.isVertical ? name : null,
      isRunning: context.running.has(options.application),
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
