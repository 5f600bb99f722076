import { z } from 'zod';
import { field } from '../../values/field.ts';

/** What a spectrum is measured and moved by; the shape of the options of everything that shows one. */
export const spectrumShape = {
  bands: field(z.number().int().min(4).max(160).default(48), {
    label: 'Bands',
    control: 'slider',
    group: 'Range',
  }),
  low: field(z.number().min(20).max(8000).default(40), {
    label: 'From',
    unit: 'Hz',
    group: 'Range',
    step: 10,
  }),
  high: field(z.number().min(200).max(20_000).default(10_000), {
    label: 'To',
    unit: 'Hz',
    group: 'Range',
    step: 100,
  }),
  scale: field(z.enum(['linear', 'logarithmic', 'mel']).default('logarithmic'), {
    label: 'Scale',
    group: 'Range',
    choices: { linear: 'Even', logarithmic: 'Octaves', mel: 'Ear' },
  }),
  tilt: field(z.number().min(-12).max(12).default(3), {
    label: 'Tilt',
    unit: 'dB/oct',
    control: 'slider',
    step: 0.5,
    decimals: 1,
    group: 'Level',
  }),
  window: field(z.enum(['hann', 'blackman', 'hamming', 'none']).default('hann'), {
    label: 'Window',
    group: 'Level',
    choices: { hann: 'Hann', blackman: 'Blackman', hamming: 'Hamming', none: 'None' },
  }),
  isAutomatic: field(z.boolean().default(true), { label: 'Gain by itself', group: 'Level' }),
  gain: field(z.number().min(-30).max(60).default(20), {
    label: 'Gain',
    unit: 'dB',
    control: 'slider',
    group: 'Level',
    when: ({ isAutomatic }) => isAutomatic === false,
  }),
  attack: field(z.number().min(0).max(1000).default(20), {
    label: 'Rises in',
    unit: 'ms',
    control: 'slider',
    step: 5,
    group: 'Movement',
  }),
  decay: field(z.number().min(0).max(3000).default(280), {
    label: 'Falls in',
    unit: 'ms',
    control: 'slider',
    step: 10,
    group: 'Movement',
  }),
  peaks: field(z.boolean().default(true), { label: 'Peaks', group: 'Movement' }),
  hold: field(z.number().min(0).max(5000).default(700), {
    label: 'Hold for',
    unit: 'ms',
    control: 'slider',
    step: 50,
    group: 'Movement',
    when: ({ peaks }) => peaks === true,
  }),
  fall: field(z.number().min(1).max(120).default(24), {
    label: 'Then fall by',
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
