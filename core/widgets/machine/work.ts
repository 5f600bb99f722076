import type { WidgetContext } from '../../kinds/kind.ts';
import { meterIds, meterOf, shareOf, type Meter } from '../../sources/machine/meters.ts';
import type { MachineReading } from '../../sources/machine/machine.ts';
import { temperatureIn, told, unitOf } from '../../sources/units.ts';
import { clamp } from '../../values/geometry.ts';
import { layMachine, type MachineLayout, type MachineView } from './layout.ts';
import type { MachineFace, MachineOptions } from './machine.ts';

/** °C from which a bar of heat begins, and at which it is full. */
const COLD = 20;
const HOT = 95;

/** What there is to say instead of a face; null where it can be shown. */
function noticeFor(face: MachineFace, now: MachineReading | null, wanted: number): string | null {
  if (now === null) return 'Waiting for this machine';
  if (face === 'cores') return now.cores ? null : 'This machine doesn’t tell its cores apart';
  if (face === 'heat') return now.temperatures ? null : 'This machine doesn’t tell its temperatures';
  return wanted === 0 ? 'Nothing chosen to show' : null;
}

/** Of a graph, whatever it reaches over. */
const POINTS = 60;

export function view(
  options: MachineOptions,
  face: MachineFace,
  { readings, textColour, units }: WidgetContext,
): MachineView {
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
    processor: meters.find(({ id }) => id === 'processor') ?? null,
    cores: now?.cores ?? [],
    load: now?.load?.map((value) => value.toFixed(2)).join('  ') ?? null,
    heat: (now?.temperatures ?? []).map(({ name, celsius }) => ({
      name,
      told: told(temperatureIn(unitOf(options.temperatureIn, units.temperature), celsius)),
      share: clamp((celsius - COLD) / (HOT - COLD), 0, 1),
    })),
    type,
    colour: textColour(colour),
    notice: noticeFor(face, now, wanted.length),
  };
}

export function layout(view: MachineView, face: MachineFace, { fonts }: WidgetContext): MachineLayout {
  return layMachine(view, face, fonts);
}
