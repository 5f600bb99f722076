import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { TypeOption, colourOption, originOption } from '../../kinds/options.ts';
import { OwnTemperature } from '../../sources/units.ts';
import { field, fieldWhen } from '../../values/field.ts';

const faces = [
  { id: 'rings', title: 'Rings' },
  { id: 'bars', title: 'Bars' },
  { id: 'graph', title: 'Graph' },
  { id: 'text', title: 'Text' },
  { id: 'cores', title: 'Cores', isApart: true },
  { id: 'heat', title: 'Temperatures', isApart: true },
  { id: 'disks', title: 'Disks', isApart: true },
  { id: 'links', title: 'Networks', isApart: true },
  { id: 'busiest', title: 'Busiest', isApart: true },
] as const;

const ofMeters = new Set<string | null>(['rings', 'bars', 'graph', 'text']);

/** Whether a meter is shown, on the faces that show several. */
const meter = (start: boolean, label: string) =>
  field(z.boolean().default(start), { label, is: 'content', when: (_, face) => ofMeters.has(face) });

/** Which of a list are shown, in the order of choice; all that there are where none is chosen. */
const chosen = (label: string, one: string, control: 'mount' | 'interface', ofFace: string) =>
  field(
    z
      .array(z.looseObject({ name: field(z.string().max(200).default(''), { label: 'Which', control }) }))
      .max(12)
      .default([]),
    { label, one, is: 'content', when: (_, face) => face === ofFace },
  );
const isEmpty = (list: unknown) => !Array.isArray(list) || list.length === 0;

const options = z.looseObject({
  from: originOption('machine'),
  processor: meter(true, 'Processor'),
  memory: meter(true, 'Memory'),
  disk: meter(true, 'Disk'),
  network: meter(false, 'Network'),
  span: field(z.number().int().min(1).max(1440).default(20), {
    label: 'Graph over',
    is: 'content',
    unit: 'min',
    when: (_, face) => face === 'graph',
  }),
  mounts: chosen('Disks', 'Disk', 'mount', 'disks'),
  interfaces: chosen('Networks', 'Network', 'interface', 'links'),
  rows: field(z.number().int().min(1).max(12).default(5), {
    label: 'Rows',
    is: 'content',
    control: 'slider',
    when: ({ mounts, interfaces }, face) =>
      face === 'busiest' ||
      (face === 'disks' && isEmpty(mounts)) ||
      (face === 'links' && isEmpty(interfaces)),
  }),
  temperatureIn: fieldWhen(OwnTemperature, (_, face) => face === 'heat'),
  type: TypeOption,
  colour: colourOption('accent', 'Marks'),
});

export type MachineOptions = z.output<typeof options>;
export type MachineFace = (typeof faces)[number]['id'];

export const machine = defineWidget({
  type: 'machine',
  title: 'Machine',
  summary: 'Processor, memory, disk and network',
  also: 'cpu ram load traffic storage monitor cores temperature heat mount partition process task top interface',
  faces,
  options,
  startsBare: () => false,
  needs: ({ from }) => [{ source: 'machine', origin: from, every: 'second' }],
  load: () => import('./work.ts'),
});
