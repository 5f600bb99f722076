import { z } from 'zod';
import { defineItem, type ItemContext } from '../../kinds/kind.ts';
import { middleBaseline, putLine, setLine, type Run } from '../../kinds/layout.ts';
import { field } from '../../values/field.ts';
import { refers } from '../../values/references.ts';
import type { Rect, Size } from '../../values/geometry.ts';
import { signFaces, wordsOf } from '../faces.ts';
import { laySign, type IconLayout } from '../text.ts';

const options = z.looseObject({
  application: refers(
    field(z.string().max(64).default(''), { label: 'Application', is: 'content', control: 'application' }),
    'application',
    'holder',
  ),
});

/** How large names are that are told, px. */
const TOLD = 17;

/** How far off a dock's line icons stand, px; whatever that is like, they stand where they stood. */
export const dockLine = { stand: 12 } as const;

export const application = defineItem({
  type: 'application',
  title: 'Application',
  summary: 'Starts an application; marked while it runs',
  faces: signFaces,
  options,
  view(options, face, context) {
    const { applications, running } = context;
    const found = applications.find(({ id }) => id === options.application);
    const name = found?.Name ?? 'No application';
    return {
      application: options.application,
      name,
      /** freedesktop icon name */
      icon: found?.Icon ?? 'application-x-executable',
      label: wordsOf(name, face, context),
      isRunning: running.has(options.application),
    };
  },
  layout(view, face, context): IconLayout {
    const { size, icon, runs } = laySign(view.label, face, context);
    if (context.edge === 'panel') return { size, icon, runs };
    const told = view.label === null && context.tellsAt !== null ? toldName(view.name, size, context) : null;
    // On a dock they stand off the line, in the middle of what it leaves.
    const off = dockLine.stand / 2;
    const by = { top: [0, off], bottom: [0, -off], left: [off, 0], right: [-off, 0] }[context.side];
    const [x, y] = [by[0] ?? 0, by[1] ?? 0];
    return {
      size,
      told,
      icon: icon && movedBy(icon, x, y),
      runs: runs.map((run) => ({
        ...run,
        x: run.x + x,
        baseline: run.baseline + y,
        ink: movedBy(run.ink, x, y),
      })),
    };
  },
});

/** The name of what is pointed at, off the edge. */
function toldName(name: string, { width, height }: Size, { side, tellsAt, fonts }: ItemContext): Run {
  const off = tellsAt ?? 0;
  const line = setLine(name, { font: 'text', size: TOLD, weight: 500 }, fonts);
  const level = middleBaseline(line, 0, height);
  switch (side) {
    case 'bottom':
      return putLine(line, { centre: width / 2 }, -off - line.ink.bottom);
    case 'top':
      return putLine(line, { centre: width / 2 }, height + off + line.ink.top);
    case 'left':
      return putLine(line, { left: width + off }, level);
    case 'right':
      return putLine(line, { right: -off }, level);
  }
}

function movedBy(rect: Rect, x: number, y: number): Rect {
  return { ...rect, x: rect.x + x, y: rect.y + y };
}
