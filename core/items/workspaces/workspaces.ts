import { z } from 'zod';
import { defineItem } from '../../kinds.ts';
import { textWidth } from '../../text/measure.ts';
import { ITEM_PADDING, LINE_HEIGHT, itemText } from '../text.ts';

const options = z.looseObject({
  style: z
    .enum(['bars', 'numbers', 'names'])
    .default('bars')
    .meta({ label: 'Shown as', choices: { bars: 'Bars', numbers: 'Numbers', names: 'Names' } }),
});

/** Px: a bar along the edge, the longer one in front, and what lies between two. */
export const workspaceMarks = { bar: 16, current: 28, gap: 6, pad: 12 } as const;

export interface WorkspacesView {
  style: 'bars' | 'numbers' | 'names';
  marks: { id: string; name: string; label: string; isCurrent: boolean; length: number }[];
  fontSize: number;
}

export const workspaces = defineItem({
  type: 'workspaces',
  title: 'Workspaces',
  summary: "The desk's workspaces; press one to go there",
  options,
  view({ style }, context): WorkspacesView {
    const text = itemText(context);
    return {
      style,
      fontSize: text.size,
      marks: context.workspaces.map(({ id, name }, index) => {
        const isCurrent = index === context.workspace;
        const label = style === 'names' && !context.isVertical ? name : String(index + 1);
        const textLength = context.isVertical ? text.size * LINE_HEIGHT : textWidth(label, text);
        const bar = isCurrent ? workspaceMarks.current : workspaceMarks.bar;
        return {
          id,
          name,
          label,
          isCurrent,
          length: style === 'bars' ? bar : Math.ceil(textLength + workspaceMarks.pad),
        };
      }),
    };
  },
  length: ({ marks }) =>
    marks.reduce((sum, mark) => sum + mark.length, 0) +
    Math.max(0, marks.length - 1) * workspaceMarks.gap +
    2 * ITEM_PADDING,
});
