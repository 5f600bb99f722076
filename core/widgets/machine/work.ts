import type { WidgetContext } from '../../kinds/kind.ts';
import { meterIds, meterOf, shareOf, type Meter } from '../../sources/machine/meters.ts';
import { layMachine, type MachineLayout, type MachineView } from './layout.ts';
import type { MachineFace, MachineOptions } from './machine.ts';

/** Of a graph, whatever it reaches over. */
const POINTS = 60;

export function view(
  options: MachineOptions,
  face: MachineFace,
  { readings, textColour }: WidgetContext,
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
    type,
    colour: textColour(colour),
    notice: wanted.length === 0 ? 'Nothing chosen to show' : now === null ? 'Waiting for this machine' : null,
  };
}

export function layout(view: MachineView, face: MachineFace, { fonts }: WidgetContext): MachineLayout {
  return layMachine(view, face, fonts);
}
