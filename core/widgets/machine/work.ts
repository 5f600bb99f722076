import type { Inked } from '../../kinds/layout.ts';
import type { WidgetContext } from '../../kinds/kind.ts';
import { meterIds, meterOf, networkShare, shareOf, type Meter } from '../../sources/machine/meters.ts';
import type { MachineReading } from '../../sources/machine/machine.ts';
import { formatBytes, formatRate } from '../../sources/machine/units.ts';
import { temperatureIn, told, unitOf, type Units } from '../../sources/units.ts';
import { clamp } from '../../values/geometry.ts';
import { layMachine, type MachineLayout, type MachineView } from './layout.ts';
import type { MachineFace, MachineOptions } from './machine.ts';

/** °C from which a bar of heat begins, and at which it is full. */
const COLD = 20;
const HOT = 95;
/** Letters of a name in a row. */
const MOST_NAME = 18;

/** What there is to say instead of a face; null where it can be shown. */
function noticeFor(face: MachineFace, now: MachineReading | null, wanted: number): string | null {
  if (now === null) return 'Waiting for this machine';
  if (face === 'cores') return now.cores ? null : 'This machine doesn’t tell its cores apart';
  if (face === 'heat') return now.temperatures ? null : 'This machine doesn’t tell its temperatures';
  if (face === 'disks') return now.disks ? null : 'This machine doesn’t tell its disks';
  if (face === 'links') return now.networks ? null : 'This machine doesn’t tell its networks';
  if (face === 'busiest') return now.processes ? null : 'This machine doesn’t tell what runs';
  return wanted === 0 ? 'Nothing chosen to show' : null;
}

/** Those that were chosen, in that order, with nothing where there is none of that name; the first few where none was. */
function chosenOf<One>(
  list: readonly One[] | null,
  chosen: readonly { name: string }[],
  nameOf: (one: One) => string,
  rows: number,
): { name: string; one: One | null }[] {
  const all = list ?? [];
  return chosen.length > 0
    ? chosen.map(({ name }) => ({ name, one: all.find((one) => nameOf(one) === name) ?? null }))
    : all.slice(0, rows).map((one) => ({ name: nameOf(one), one }));
}

/** What a face lists, each with its bar. */
function rowsOf(
  face: MachineFace,
  { temperatures, disks, networks, processes }: MachineReading,
  { temperatureIn: own, rows, mounts, interfaces }: MachineOptions,
  units: Units,
): MachineView['rows'] {
  const named = (name: string) => (name.length > MOST_NAME ? `${name.slice(0, MOST_NAME - 1)}…` : name);
  switch (face) {
    case 'heat':
      return (temperatures ?? []).map(({ name, celsius }) => ({
        name,
        told: told(temperatureIn(unitOf(own, units.temperature), celsius)),
        share: clamp((celsius - COLD) / (HOT - COLD), 0, 1),
      }));
    case 'disks':
      return chosenOf(disks, mounts, ({ mount }) => mount, rows).map(({ name, one }) => ({
        name: named(name),
        told: one ? `${formatBytes(one.used)} of ${formatBytes(one.total)}` : 'not there',
        share: one ? clamp(one.used / one.total, 0, 1) : 0,
      }));
    case 'links':
      return chosenOf(networks, interfaces, ({ name }) => name, rows).map(({ name, one }) => ({
        name: named(name),
        told: one ? `${told(formatRate(one.down))}, ${formatBytes(one.received)} in all` : 'not there',
        share: one ? networkShare(one.down) : 0,
      }));
    case 'busiest':
      return (processes ?? []).slice(0, rows).map(({ name, processor, memory }) => ({
        name: named(name),
        told: `${Math.round(processor)} %, ${formatBytes(memory)}`,
        share: clamp(processor / 100, 0, 1),
      }));
    default:
      return [];
  }
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
    // Each is worked out when it is asked for, and asked for where it is shown.
    cores: (face === 'cores' && now?.cores) || [],
    load: (face === 'cores' && now?.load?.map((value) => value.toFixed(2)).join('  ')) || null,
    rows: now ? rowsOf(face, now, options, units) : [],
    type,
    colour: textColour(colour),
    notice: noticeFor(face, now, wanted.length),
  };
}

export function layout(view: MachineView, face: MachineFace, { fonts }: WidgetContext): MachineLayout {
  return layMachine(view, face, fonts);
}

export const inked = ({ colour }: MachineView, { marks }: MachineLayout): Inked[] =>
  marks.map((rect) => ({ what: 'A mark', rect, colour }));
