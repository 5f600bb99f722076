import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { setStyle, textWidth } from '../../text/measure.ts';
import { ITEM_PADDING, LINE_HEIGHT, itemText, lineSpots } from '../text.ts';

const options = z.looseObject({
  style: z
    .enum(['bars', 'numbers', 'names'])
    .default('bars')
    .meta({ label: 'Shown as', choices: { bars: 'Bars', numbers: 'Numbers', names: 'Names' } }),
});

/** Px: a bar along the edge, the longer one in front, and what lies between two. A bar with its gap can be pressed: 24. */
export const workspaceMarks = { bar: 16, current: 28, gap: 8, pad: 12 } as const;

export interface WorkspacesView {
  style: 'bars' | 'numbers' | 'names';
  marks: { id: string; name: string; label: string; isCurrent: boolean; length: number }[];
  fontSize: number;
  isVertical: boolean;
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
      isVertical: context.isVertical,
      marks: context.workspaces.map(({ id, name }, index) => {
        const isCurrent = index === context.workspace;
        const label = style === 'names' && !context.isVertical ? name : String(index + 1);
        const textLength = context.isVertical ? setStyle(text).size * LINE_HEIGHT : textWidth(label, text);
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
  texts({ style, marks, fontSize, isVertical }, context) {
    if (style === 'bars') return [];
    const whole = marks.reduce((sum, mark) => sum + mark.length + workspaceMarks.gap, -workspaceMarks.gap);
    let at = ((isVertical ? context.box.height : context.box.width) - whole) / 2;
    return marks.flatMap(({ label, length }) => {
      const box = isVertical
        ? { width: context.box.width, height: length }
        : { width: length, height: context.box.height };
      const spots = lineSpots([label], fontSize, { ...context, box });
      const from = at;
      at += length + workspaceMarks.gap;
      return spots.map((spot) => ({
        ...spot,
        box: isVertical ? { ...spot.box, y: spot.box.y + from } : { ...spot.box, x: spot.box.x + from },
      }));
    });
  },
});
