import { z } from 'zod';
import { defineWidget } from '../../kinds.ts';
import { colourOption } from '../../options.ts';
import type { MachineReading } from '../../sources/machine/machine.ts';
import { machineOrigins } from '../../sources/readings.ts';
import { textWidth } from '../../text/measure.ts';
import { formatBytes, formatRate } from './units.ts';

const faces = [
  { id: 'rings', title: 'Rings' },
  { id: 'bars', title: 'Bars' },
  { id: 'graph', title: 'Graph' },
  { id: 'text', title: 'Text' },
] as const;

/** Sizes in px, shared by the measuring and the drawing half. */
export const machineType = {
  ring: { size: 104, gap: 28, label: 18 },
  bars: { width: 300, row: 46 },
  graph: { width: 340, plot: 96, row: 30 },
  text: { size: 20, row: 32, gap: 28 },
} as const;

const options = z.looseObject({
  from: z
    .enum(machineOrigins)
    .default('simulated')
    .meta({ label: 'Readings', choices: { simulated: 'Simulated', 'this-machine': 'This machine' } }),
  processor: z.boolean().default(true).meta({ label: 'Processor' }),
  memory: z.boolean().default(true).meta({ label: 'Memory' }),
  disk: z.boolean().default(true).meta({ label: 'Disk' }),
  network: z.boolean().default(false).meta({ label: 'Network' }),
  span: z
    .number()
    .int()
    .min(1)
    .max(120)
    .default(20)
    .meta({ label: 'Graph over', unit: 'min', faces: ['graph'] }),
  colour: colourOption('accent', 'Marks'),
});

export interface Meter {
  id: 'processor' | 'memory' | 'disk' | 'network';
  title: string;
  /** 0 to 1; null where it can't be known. */
  share: number | null;
  /** The figure to read; a dash where there is none. */
  figure: string;
  unit: string;
  /** A second figure: what of how much. */
  detail: string;
}

export interface MachineView {
  meters: Meter[];
  /** For the graph: one row of shares for each meter, oldest first. */
  series: (number | null)[][] | null;
  span: number;
  colour: string;
  /** Said when nothing can be shown. */
  notice: string | null;
}

const POINTS = 60;

export const machine = defineWidget({
  type: 'machine',
  title: 'Machine',
  summary: 'Processor, memory, disk and network',
  faces,
  options,
  startsBare: () => false,
  tick: () => 'second',
  machineOrigin: ({ from }) => from,
  view(options, face, { readings, textColour }): MachineView {
    const wanted = (['processor', 'memory', 'disk', 'network'] as const).filter((id) => options[id]);
    const now = readings.machine(options.from);
    const series =
      face === 'graph'
        ? readings
            .machineSeries(options.from, POINTS, (options.span * 60_000) / POINTS)
            .map((reading) => wanted.map((id) => meterOf(id, reading).share))
        : null;
    return {
      meters: wanted.map((id) => meterOf(id, now)),
      series: series && wanted.map((_, row) => series.map((shares) => shares[row] ?? null)),
      span: options.span,
      colour: textColour(options.colour),
      notice:
        wanted.length === 0 ? 'Nothing chosen to show' : now === null ? 'Waiting for this machine' : null,
    };
  },
  size(view, face, { fonts }) {
    const rows = Math.max(1, view.meters.length);
    switch (face) {
      case 'rings': {
        const { size, gap, label } = machineType.ring;
        return { width: rows * size + (rows - 1) * gap, height: size + 10 + label * 1.3 };
      }
      case 'bars':
        return { width: machineType.bars.width, height: rows * machineType.bars.row - 12 };
      case 'graph':
        return {
          width: machineType.graph.width,
          height: machineType.graph.plot + 14 + Math.ceil(rows / 2) * machineType.graph.row,
        };
      case 'text': {
        const { size, row, gap } = machineType.text;
        const width = (text: string, weight: number) => textWidth(text, { family: fonts.text, size, weight });
        const titles = Math.max(...view.meters.map((meter) => width(meter.title, 400)), 60);
        return { width: Math.ceil(titles + gap + width('999.9 GB of 999 GB', 500)), height: rows * row - 4 };
      }
    }
  },
});

const NONE = { share: null, figure: '–', unit: '', detail: 'not available' };

function meterOf(id: Meter['id'], reading: MachineReading | null): Meter {
  const percent = (share: number) => ({ share, figure: String(Math.round(share * 100)), unit: '%' });
  switch (id) {
    case 'processor': {
      const value = reading?.processor ?? null;
      const shown = value === null ? NONE : { ...percent(value / 100), detail: `${Math.round(value)} %` };
      return { id, title: 'Processor', ...shown };
    }
    case 'memory':
    case 'disk': {
      const value = reading?.[id] ?? null;
      const shown =
        value === null
          ? NONE
          : {
              ...percent(value.used / value.total),
              detail: `${formatBytes(value.used)} of ${formatBytes(value.total)}`,
            };
      return { id, title: id === 'memory' ? 'Memory' : 'Disk', ...shown };
    }
    case 'network': {
      const value = reading?.network ?? null;
      if (value === null) return { id, title: 'Network', ...NONE };
      const { figure, unit } = formatRate(value.down);
      // A kilobyte a second is an empty meter, ten megabytes a full one; each tenfold is a quarter.
      const share = Math.max(0, Math.min(1, Math.log10(Math.max(1, value.down / 1000)) / 4));
      return { id, title: 'Network', share, figure, unit, detail: `${figure} ${unit} down` };
    }
  }
}
