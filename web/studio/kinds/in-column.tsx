import type { ComponentType } from 'react';
import { nextSlot, type Slot } from '../../../core/arrange/lattice.ts';
import type { Widget } from '../../../core/desk/shapes/widgets.ts';
import type { SpectrumOptions } from '../../../core/widgets/spectrum/spectrum.ts';
import { Cell, type TilesFace, type TilesOptions } from '../../../core/widgets/tiles/tiles.ts';
import { sizeFor } from '../../../core/widgets/tiles/work.ts';
import { later } from '../../later.ts';
import type { Values } from '../form/control.ts';
import { anotherOf } from '../form/machine-names.ts';

type Shown = Pick<Widget, 'face' | 'options'>;

/** What the page of a widget has besides its form. */
interface ColumnTools {
  /** After the form. */
  Section?: ComponentType<Shown>;
  /** What a new one starts as in each of its lists; null where there is no room for one. */
  adders?(widget: Shown): Readonly<Record<string, (entries: readonly Values[]) => Values | null>>;
}

/** Its code knows of sounds, which few desks need. */
const HearingSection = later(async () => ({
  default: (await import('../chapters/widgets/sound/hearing-section.tsx')).HearingSection,
}));

/** By the type of the kind. */
export const columnTools: ReadonlyMap<string, ColumnTools> = new Map<string, ColumnTools>([
  ['clock', { adders: () => ({ zones: () => ({ zone: 'UTC', name: '' }) }) }],
  ['machine', { adders: () => ({ mounts: anotherOf('mounts'), interfaces: anotherOf('interfaces') }) }],
  ['switches', { adders: () => ({ acts: () => ({ act: 'workspace', number: 1 }) }) }],
  [
    'spectrum',
    {
      Section: ({ options }) => (
        <HearingSection hears={options['hears'] as SpectrumOptions['hears']} most={Number(options['most'])} />
      ),
      adders: () => ({ colours: (entries) => ({ colour: entries.at(-1)?.['colour'] ?? 'accent' }) }),
    },
  ],
  [
    'tiles',
    {
      adders: ({ face, options }) => ({
        cells: (entries) => ({
          ...Cell.parse({}),
          // What stands in the document passed the schema of its kind.
          ...nextSlot(
            entries.map((entry) => entry as Values & Slot),
            sizeFor(face as TilesFace, options as TilesOptions),
          ),
        }),
      }),
    },
  ],
]);
