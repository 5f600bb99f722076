import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { TypeOption, colourOption, originOption } from '../../kinds/options.ts';
import { field } from '../../values/field.ts';

const faces = [
  { id: 'rings', title: 'Rings' },
  { id: 'bars', title: 'Bars' },
  { id: 'graph', title: 'Graph' },
  { id: 'text', title: 'Text' },
] as const;

const options = z.looseObject({
  from: originOption('machine'),
  processor: field(z.boolean().default(true), { label: 'Processor' }),
  memory: field(z.boolean().default(true), { label: 'Memory' }),
  disk: field(z.boolean().default(true), { label: 'Disk' }),
  network: field(z.boolean().default(false), { label: 'Network' }),
  span: field(z.number().int().min(1).max(120).default(20), {
    label: 'Graph over',
    unit: 'min',
    when: (_, face) => face === 'graph',
  }),
  type: TypeOption,
  colour: colourOption('accent', 'Marks'),
});

export type MachineOptions = z.output<typeof options>;
export type MachineFace = (typeof faces)[number]['id'];

export const machine = defineWidget({
  type: 'machine',
  title: 'Machine',
  summary: 'Processor, memory, disk and network',
  also: 'cpu ram load traffic storage monitor',
  faces,
  options,
  startsBare: () => false,
  needs: ({ from }) => [{ source: 'machine', origin: from, every: 'second' }],
  load: () => import('./work.ts'),
});
