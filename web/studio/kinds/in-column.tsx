import type { ComponentType } from 'react';
import type { Widget } from '../../../core/desk/shapes/widgets.ts';
import type { SpectrumOptions } from '../../../core/widgets/spectrum/spectrum.ts';
import { later } from '../../later.ts';
import type { Values } from '../form/control.ts';
import { anotherOf } from '../form/machine-names.ts';

type Shown = Pick<Widget, 'face' | 'options'>;

/** What the page of a widget has besides its form. */
interface ColumnTools {
  /** After the form. */
  Section?: ComponentType<Shown>;
  /** What is added to its lists, where that follows from more than stands in the document. */
  adders?: Readonly<Record<string, (entries: readonly Values[]) => Values | null>>;
}

/** Its code knows of sounds, which few desks need. */
const HearingSection = later(async () => ({
  default: (await import('../chapters/widgets/sound/hearing-section.tsx')).HearingSection,
}));

/** By the type of the kind. */
export const columnTools: ReadonlyMap<string, ColumnTools> = new Map<string, ColumnTools>([
  ['machine', { adders: { mounts: anotherOf('mounts'), interfaces: anotherOf('interfaces') } }],
  [
    'spectrum',
    {
      Section: ({ options }) => (
        <HearingSection hears={options['hears'] as SpectrumOptions['hears']} most={Number(options['most'])} />
      ),
    },
  ],
]);
