import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { spectrumShape } from '../../sound/spectrum/settings.ts';
import { field } from '../../values/field.ts';
import { Colour } from '../../values/roles.ts';

const faces = [
  { id: 'bars', title: 'Bars' },
  { id: 'blocks', title: 'Blocks' },
  { id: 'reeds', title: 'Reeds' },
  { id: 'ribbon', title: 'Ribbon' },
  { id: 'line', title: 'Line and its image' },
  { id: 'dots', title: 'Dots' },
  { id: 'ring', title: 'Ring' },
] as const;

const isFlat = (face: string | null) => face !== 'ring';

const options = z.looseObject({
  hears: field(z.enum(['player', 'microphone', 'tab']).default('player'), {
    label: 'Listens to',
    is: 'content',
    isWide: true,
    choices: { player: 'Player', microphone: 'Microphone', tab: 'Shared tab' },
  }),
  width: field(z.number().int().min(60).max(2400).default(420), {
    label: 'Width',
    is: 'place',
    unit: 'px',
    step: 20,
  }),
  height: field(z.number().int().min(20).max(1200).default(120), {
    label: 'Height',
    is: 'place',
    unit: 'px',
    step: 10,
    when: (_, face) => isFlat(face),
  }),
  colours: field(
    z
      .array(
        z.looseObject({ colour: field(Colour.default('accent'), { label: 'Colour', control: 'colour' }) }),
      )
      .min(1)
      .max(4)
      .default(() => [{ colour: 'accent' as const }, { colour: 'second' as const }]),
    {
      label: 'Colours',
      one: 'Colour',
      starts: (entries) => ({ colour: entries.at(-1)?.['colour'] ?? 'accent' }),
      group: 'Letters and colours',
    },
  ),
  along: field(z.enum(['bands', 'level']).default('bands'), {
    label: 'Gradient',
    is: 'content',
    hint: 'Whether the colours go from low to high pitches, or from quiet to loud',
    choices: { bands: 'By band', level: 'By level' },
    group: 'Letters and colours',
  }),
  ...spectrumShape,
  gap: field(z.number().min(0).max(80).default(30), {
    label: 'Gaps',
    unit: '%',
    control: 'slider',
    group: 'Shape',
    when: (_, face) => face === 'bars' || face === 'blocks' || face === 'ring' || face === 'dots',
  }),
  mirrored: field(z.boolean().default(false), {
    label: 'Low in the middle',
    group: 'Shape',
    when: (_, face) => isFlat(face),
  }),
  turned: field(z.boolean().default(false), {
    label: 'Rotated by 90°',
    group: 'Shape',
    when: (_, face) => isFlat(face),
  }),
  flipped: field(z.boolean().default(false), { label: 'Flipped', group: 'Shape' }),
  most: field(z.number().int().min(5).max(60).default(30), {
    label: 'Frame rate',
    is: 'content',
    isSeldom: true,
    hint: 'Pictures a second at most',
    unit: 'fps',
    control: 'slider',
    group: 'Movement',
  }),
});
export type SpectrumOptions = z.output<typeof options>;
export type SpectrumFace = (typeof faces)[number]['id'];

export const spectrum = defineWidget({
  type: 'spectrum',
  title: 'Spectrum',
  summary: 'How loud each pitch is of what is on',
  also: 'music visualizer equalizer frequency bands audio analyser levels',
  faces,
  options,
  startsBare: () => true,
  needs: () => [{ source: 'sound', every: 'second' }],
  load: () => import('./work.ts'),
});
