import { z } from 'zod';
import { defineWidget, type TextContext, type TextSpot } from '../../kinds/kind.ts';
import { TypeOption, colourOption, fontOf, type TypeChoice } from '../../kinds/options.ts';
import type { MachineReading } from '../../sources/machine/machine.ts';
import { machineOrigins } from '../../sources/readings.ts';
import { setStyle, steadyWidth, textWidth, type TextStyle } from '../../text/measure.ts';
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
  type: TypeOption,
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
  type: TypeChoice;
  colour: string;
  /** Said when nothing can be shown. */
  notice: string | null;
}

const POINTS = 60;

const meterIds = ['processor', 'memory', 'disk', 'network'] as const;
const meterTitles: Record<Meter['id'], string> = {
  processor: 'Processor',
  memory: 'Memory',
  disk: 'Disk',
  network: 'Network',
};

const widestFigure: Record<Meter['id'], string> = {
  processor: '100 %',
  memory: '100 %',
  disk: '100 %',
  network: '999.9 MB/s',
};

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
    const { from, span, type, colour } = options;
    const wanted = meterIds.filter((id) => options[id]);
    const now = readings.machine(from);
    const meters = readings.once(`meters ${from}`, () => meterIds.map((id) => meterOf(id, now)));
    const series =
      face === 'graph'
        ? readings.once(`shares ${from} ${span}`, () => {
            const past = readings.machineSeries(from, POINTS, (span * 60_000) / POINTS);
            return meterIds.map((id) => past.map((reading) => shareOf(id, reading)));
          })
        : null;
    const isWanted = (_: unknown, index: number) => options[meterIds[index] as Meter['id']];
    return {
      meters: meters.filter(isWanted),
      series: series && series.filter(isWanted),
      span,
      type,
      colour: textColour(colour),
      notice:
        wanted.length === 0 ? 'Nothing chosen to show' : now === null ? 'Waiting for this machine' : null,
    };
  },
  size(view, face, { fonts }) {
    const rows = Math.max(1, view.meters.length);
    const font = fontOf(view.type, 'text', fonts);
    const width = (text: string, size: number, weight = 400) => steadyWidth(text, { font, size, weight });
    /** The widest title with its widest figure beside it. */
    const across = (size: number) =>
      Math.ceil(
        Math.max(0, ...view.meters.map(({ id, title }) => width(`${title}  ${widestFigure[id]}`, size))),
      );
    switch (face) {
      case 'rings': {
        const { size, gap, label } = machineType.ring;
        const cell = Math.max(size, ...view.meters.map(({ title }) => Math.ceil(width(title, label))));
        return { width: rows * cell + (rows - 1) * gap, height: size + 10 + label * 1.3 };
      }
      case 'bars':
        return {
          width: Math.max(machineType.bars.width, across(18)),
          height: rows * machineType.bars.row - 12,
        };
      case 'graph':
        return {
          width: Math.max(machineType.graph.width, 2 * (22 + across(17)) + 20),
          height: machineType.graph.plot + 14 + Math.ceil(rows / 2) * machineType.graph.row,
        };
      case 'text': {
        const { size, row, gap } = machineType.text;
        const titles = Math.max(...view.meters.map((meter) => width(meter.title, size, 400)), 60);
        return {
          width: Math.ceil(titles + gap + width('999.9 GB of 999 GB', size, 500)),
          height: rows * row - 4,
        };
      }
    }
  },
  texts(view, face, context) {
    if (view.notice) return [];
    return view.meters.flatMap((meter, row) => meterSpots(meter, row, face, view, context));
  },
});

/** Where the title and the figure of a meter stand. Boxes of figures are as wide as the figure. */
function meterSpots(
  meter: Meter,
  row: number,
  face: string,
  { type, meters }: MachineView,
  { fonts, surface, box }: TextContext,
): TextSpot[] {
  function spot(
    text: string,
    style: TextStyle,
    at: { x: number; y: number; align: 'start' | 'middle' | 'end' },
    colour = surface.ink,
  ): TextSpot {
    const { size, weight } = setStyle(style);
    const width = textWidth(text, style);
    const x = { start: at.x, middle: at.x - width / 2, end: at.x - width }[at.align];
    return { text, box: { x, y: at.y, width, height: size * 1.2 }, colour, size, weight };
  }
  const text = (size: number, weight = 400): TextStyle => ({
    font: fontOf(type, 'text', fonts),
    size,
    weight,
  });
  const figure = `${meter.figure} ${meter.unit}`.trim();
  switch (face) {
    case 'rings': {
      const { size, gap, label } = machineType.ring;
      const cell = (box.width + gap) / meters.length - gap;
      const middle = row * (cell + gap) + cell / 2;
      return [
        spot(
          meter.figure,
          { font: fontOf(type, 'figures', fonts), size: 32, weight: 500 },
          { x: middle, y: size / 2 - 19, align: 'middle' },
        ),
        spot(meter.title, text(label), { x: middle, y: size + 10, align: 'middle' }),
      ];
    }
    case 'bars': {
      const y = row * machineType.bars.row;
      return [
        spot(meter.title, text(18), { x: 0, y, align: 'start' }),
        spot(figure, text(18), { x: box.width, y, align: 'end' }, surface.softInk),
      ];
    }
    case 'graph': {
      const { plot, row: height } = machineType.graph;
      const column = (box.width - 20) / 2;
      const left = (row % 2) * (column + 20);
      const y = plot + 14 + Math.floor(row / 2) * height + height / 2 - 10;
      return [
        spot(meter.title, text(17), { x: left + 22, y, align: 'start' }),
        spot(figure, text(17), { x: left + column, y, align: 'end' }, surface.softInk),
      ];
    }
    default: {
      const { size, row: height } = machineType.text;
      const y = row * height;
      return [
        spot(meter.title, text(size), { x: 0, y, align: 'start' }, surface.softInk),
        spot(meter.detail, text(size, 500), { x: box.width, y, align: 'end' }),
      ];
    }
  }
}

/** A kilobyte a second is an empty meter, ten megabytes a full one; each tenfold is a quarter. */
function networkShare(bytesPerSecond: number): number {
  return Math.max(0, Math.min(1, Math.log10(Math.max(1, bytesPerSecond / 1000)) / 4));
}

/** 0 to 1; null where it can't be known. */
function shareOf(id: Meter['id'], reading: MachineReading | null): number | null {
  if (!reading) return null;
  switch (id) {
    case 'processor':
      return reading.processor === null ? null : reading.processor / 100;
    case 'memory':
    case 'disk': {
      const value = reading[id];
      return value && value.used / value.total;
    }
    case 'network':
      return reading.network && networkShare(reading.network.down);
  }
}

function meterOf(id: Meter['id'], reading: MachineReading | null): Meter {
  const share = shareOf(id, reading);
  const title = meterTitles[id];
  if (share === null || !reading) return { id, title, share, figure: '–', unit: '', detail: 'not available' };
  const percent = { id, title, share, figure: String(Math.round(share * 100)), unit: '%' };
  switch (id) {
    case 'processor':
      return { ...percent, detail: `${percent.figure} %` };
    case 'memory':
    case 'disk': {
      const { used = 0, total = 0 } = reading[id] ?? {};
      return { ...percent, detail: `${formatBytes(used)} of ${formatBytes(total)}` };
    }
    case 'network': {
      const rate = formatRate(reading.network?.down ?? 0);
      return { ...percent, ...rate, detail: `${rate.figure} ${rate.unit} down` };
    }
  }
}
