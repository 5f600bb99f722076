import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { TypeOption, colourOption, originOption } from '../../kinds/options.ts';

const faces = [
  { id: 'cell', title: 'Cell' },
  { id: 'ring', title: 'Ring' },
  { id: 'line', title: 'Line' },
] as const;

const options = z.looseObject({
  from: originOption('machine'),
  type: TypeOption,
  colour: colourOption('accent', 'Marks'),
});
export type BatteryOptions = z.output<typeof options>;
export type BatteryFace = (typeof faces)[number]['id'];

export const battery = defineWidget({
  type: 'battery',
  title: 'Battery',
  summary: 'How full it is, and for how long',
  also: 'charge power laptop mains',
  faces,
  options,
  startsBare: (face) => face === 'line',
  needs: ({ from }) => [{ source: 'machine', origin: from, every: 'minute' }],
  load: () => import('./work.ts'),
});
