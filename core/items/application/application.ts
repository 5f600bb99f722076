import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { field } from '../../values/field.ts';
import { layIcon, type IconLayout } from '../text.ts';

const options = z.looseObject({
  application: field(z.string().max(64).default(''), { label: 'Application', control: 'application' }),
  label: field(z.boolean().default(false), { label: 'Name beside the icon' }),
});

/** Px of a dock's lit line, and how far icons stand above it. */
export const dockLine = { width: 3, stand: 12 } as const;

export const application = defineItem({
  type: 'application',
  title: 'Application',
  summary: 'Starts an application; marked while it runs',
  options,
  view(options, { applications, running, edge, isVertical, room }) {
    const found = applications.find(({ id }) => id === options.application);
    const name = found?.Name ?? 'No application';
    return {
      application: options.application,
      name,
      /** freedesktop icon name */
      icon: found?.Icon ?? 'application-x-executable',
      // On a dock the name shows itself when it is pointed at.
      label: options.label && edge === 'panel' && !isVertical && room !== 'bare' ? name : null,
      isRunning: running.has(options.application),
    };
  },
  layout(view, context): IconLayout {
    const laid = layIcon(view.label, context);
    if (context.edge === 'panel') return laid;
    // On a dock icons stand off the line, in the middle of what it leaves.
    const off = dockLine.stand / 2;
    const by = { top: [0, off], bottom: [0, -off], left: [off, 0], right: [-off, 0] }[context.side];
    return { ...laid, icon: { ...laid.icon, x: laid.icon.x + (by[0] ?? 0), y: laid.icon.y + (by[1] ?? 0) } };
  },
});
