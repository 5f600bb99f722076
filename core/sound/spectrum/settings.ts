import { z } from 'zod';
import { field } from '../../values/field.ts';

/** What a spectrum is measured and moved by; the shape of the options of everything that shows one. */
export const spectrumShape = {
  bands: field(z.number().int().min(4).max(160).default(48), {
    label: 'Bands',
    is: 'content',
    control: 'slider',
    group: 'Shape',
  }),
  low: field(z.number().min(20).max(8000).default(40), {
    label: 'From',
    is: 'content',
    isSeldom: true,
    unit: 'Hz',
    group: 'Range',
    step: 10,
  }),
  high: field(z.number().min(200).max(20_000).default(10_000), {
    label: 'To',
    is: 'content',
    isSeldom: true,
    unit: 'Hz',
    group: 'Range',
    step: 100,
  }),
  scale: field(z.enum(['linear', 'logarithmic', 'mel']).default('logarithmic'), {
    label: 'Scale',
    is: 'content',
    isSeldom: true,
    hint: 'How pitches lie side by side: evenly, by octaves, or as the ear hears them',
    group: 'Range',
    choices: { linear: 'Even', logarithmic: 'Octaves', mel: 'Ear' },
  }),
  tilt: field(z.number().min(-12).max(12).default(3), {
    label: 'Tilt',
    is: 'content',
    isSeldom: true,
    hint: 'How much louder high pitches are drawn than they are',
    unit: 'dB/oct',
    control: 'slider',
    step: 0.5,
    decimals: 1,
    group: 'Level',
  }),
  window: field(z.enum(['hann', 'blackman', 'hamming', 'none']).default('hann'), {
    label: 'Window',
    is: 'content',
    isSeldom: true,
    hint: 'How the sound is faded at the ends of each stretch that is measured',
    group: 'Level',
    choices: { hann: 'Hann', blackman: 'Blackman', hamming: 'Hamming', none: 'None' },
  }),
  isAutomatic: field(z.boolean().default(true), {
    label: 'Automatic gain',
    is: 'content',
    group: 'Level',
    isSeldom: true,
  }),
  gain: field(z.number().min(-30).max(60).default(20), {
    label: 'Gain',
    is: 'content',
    isSeldom: true,
    unit: 'dB',
    control: 'slider',
    group: 'Level',
    when: ({ isAutomatic }) => isAutomatic === false,
  }),
  attack: field(z.number().min(0).max(1000).default(20), {
    label: 'Rises in',
    is: 'content',
    isSeldom: true,
    unit: 'ms',
    control: 'slider',
    step: 5,
    group: 'Movement',
  }),
  decay: field(z.number().min(0).max(3000).default(280), {
    label: 'Falls in',
    is: 'content',
    isSeldom: true,
    unit: 'ms',
    control: 'slider',
    step: 10,
    group: 'Movement',
  }),
  peaks: field(z.boolean().default(true), { label: 'Peaks', group: 'Shape' }),
  hold: field(z.number().min(0).max(5000).default(700), {
    label: 'Hold for',
    is: 'content',
    isSeldom: true,
    hint: 'How long a peak stands before it falls',
    unit: 'ms',
    control: 'slider',
    step: 50,
    group: 'Movement',
    when: ({ peaks }) => peaks === true,
  }),
  fall: field(z.number().min(1).max(120).default(24), {
    label: 'Then fall by',
    is: 'content',
    isSeldom: true,
    unit: 'dB/s',
    control: 'slider',
    group: 'Movement',
    when: ({ peaks }) => peaks === true,
  }),
} as const;

const Shape = z.object(spectrumShape);
export type SpectrumSettings = z.output<typeof Shape>;
export type WindowName = SpectrumSettings['window'];

export const plainSpectrum: SpectrumSettings = Shape.parse({});
