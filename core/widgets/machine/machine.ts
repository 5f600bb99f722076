import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { TypeOption, colourOption, originOption } from '../../kinds/options.ts';
import { field } from '../../values/field.ts';
import { layMachine, type MachineView } from './layout.ts';
import { meterIds, meterOf, shareOf, type Meter } from '../../sources/machine/meters.ts';

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

/** Of a graph, whatever it reaches over. */
const POINTS = 60;

export const machine = defineWidget({
  type: 'machine',
  title: 'Machine',
  summary: 'Processor, memory, disk and network',
  faces,
  options,
  startsBare: () => false,
  needs: ({ from }) => [{ source: 'machine', origin: from, every: 'second' }],
  view(options, face, { readings, textColour }): MachineView {
    const { from, span, type, colour } = options;
    const now = readings.get('machine', from)?.value ?? null;
    const meters = readings.once(`meters ${from}`, () => meterIds.map((id) => meterOf(id, now)));
    const series =
      face === 'graph'
        ? readings.once(`shares ${from} ${span}`, () => {
            const past = readings.series('machine', from, POINTS, (span * 60_000) / POINTS);
            return meterIds.map((id) => past.map((reading) => shareOf(id, reading)));
          })
        : null;
    const isWanted = (_: unknown, index: number) => options[meterIds[index] as Meter['id']];
    const wanted = meters.filter(isWanted);
    return {
      meters: wanted,
      series: series && series.filter(isWanted),
      span,
      type,
      colour: textColour(colour),
      notice:
        wanted.length === 0 ? 'Nothing chosen to show' : now === null ? 'Waiting for this machine' : null,
    };
  },
  layout: (view, face, { fonts }) => layMachine(view, face, fonts),
});
