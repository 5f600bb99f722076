import {
  middleBaseline,
  putLine,
  setLine,
  wrap,
  type Fonts,
  type Layout,
  type LineStyle,
  type Paint,
  type Run,
} from '../../kinds/layout.ts';
import { chosenFont, type TypeChoice } from '../../kinds/options.ts';
import type { Rect, Size } from '../../values/geometry.ts';
import type { Meter } from '../../sources/machine/meters.ts';
import type { MachineFace } from './machine.ts';

/** What the faces of a machine show. */
export interface MachineView {
  meters: Meter[];
  /** For the graph: one row of shares for each meter, oldest first. */
  series: (number | null)[][] | null;
  span: number;
  /** The whole of it, percent of each core, and how many wanted to run at once over 1, 5 and 15 minutes. */
  processor: Meter | null;
  cores: readonly number[];
  load: string | null;
  /** Each over a bar: temperatures, disks, networks, programs. */
  rows: { name: string; told: string; share: number }[];
  type: TypeChoice;
  colour: Paint;
  /** Said when nothing can be shown. */
  notice: string | null;
}

export interface MachineLayout extends Layout {
  /** For each meter its ring, its bar, or its mark in the graph's legend, for each core or temperature its bar; none with a notice. */
  marks: Rect[];
  /** Where the curves of the graph run. */
  plot: Rect | null;
}

/** A face before it is known whether there is anything to show: its size holds either way. */
interface Laid {
  size: Size;
  runs: Run[];
  marks: Rect[];
  plot?: Rect;
}

/** The widest that each figure may become. */
const widest: Record<Meter['id'], { figure: string; detail: string }> = {
  processor: { figure: '100 %', detail: '100 %' },
  memory: { figure: '100 %', detail: '999.9 GB of 999 GB' },
  disk: { figure: '100 %', detail: '999.9 GB of 999 GB' },
  network: { figure: '999.9 MB/s', detail: '999.9 MB/s down' },
};

const figureOf = ({ figure, unit }: Meter) => `${figure} ${unit}`.trim();

/** Sets lines of a face. */
interface Setter {
  line(
    text: string,
    style: Omit<LineStyle, 'font'> & { font?: LineStyle['font'] },
  ): ReturnType<typeof setLine>;
  /** The most that some texts come to, px. */
  room(texts: readonly string[], style: Omit<LineStyle, 'font'>): number;
}

function setter({ type }: MachineView, fonts: Fonts): Setter {
  const line: Setter['line'] = (text, style) =>
    setLine(text, { font: chosenFont(type, 'text'), ...style }, fonts);
  return {
    line,
    room: (texts, style) => Math.ceil(Math.max(0, ...texts.map((text) => line(text, style).room))),
  };
}

/** How a face sets its meters; or, in the same size, what there is to say instead. */
export function layMachine(view: MachineView, face: MachineFace, fonts: Fonts): MachineLayout {
  const laid = layouts[face](view, setter(view, fonts));
  if (view.notice === null) return { plot: null, ...laid };
  return { size: laid.size, runs: layNotice(view.notice, laid.size, fonts), marks: [], plot: null };
}

function layNotice(notice: string, { width, height }: Size, fonts: Fonts): Run[] {
  const pitch = 23;
  const lines = wrap(notice, { font: 'text', size: 18, weight: 400, colour: 'softInk' }, fonts, width);
  return lines.map((line, index) =>
    putLine(
      line,
      { centre: width / 2 },
      middleBaseline(line, height / 2 + (index - lines.length / 2) * pitch, pitch),
    ),
  );
}

const RING = { size: 104, gap: 28, label: 18, figure: 32, longFigure: 22, unit: 14 } as const;

/** A ring for each meter with its figure in it, and its name below. */
function layRings({ meters, type }: MachineView, { line, room }: Setter): Laid {
  const figures = chosenFont(type, 'figures');
  const style = { size: RING.label, weight: 400 };
  const cell = Math.max(
    RING.size,
    room(
      meters.map(({ title }) => title),
      style,
    ),
  );
  const label = line('Hp', style);
  const middle = (index: number) => index * (cell + RING.gap) + cell / 2;
  const runs = meters.flatMap((meter, index) => {
    const size = meter.figure.length > 3 ? RING.longFigure : RING.figure;
    const figure = line(meter.figure, { font: figures, size, weight: 500 });
    const across = { centre: middle(index) };
    const title = putLine(line(meter.title, style), across, RING.size + 10 + label.ink.top);
    // A percent sign goes without saying; another unit stands below the figure.
    if (!meter.unit || meter.unit === '%')
      return [putLine(figure, across, middleBaseline(figure, 0, RING.size)), title];
    const unit = line(meter.unit, { size: RING.unit, weight: 400, colour: 'softInk' });
    const baseline = middleBaseline(figure, 0, RING.size) - 7;
    return [putLine(figure, across, baseline), putLine(unit, across, baseline + 9 + unit.cap), title];
  });
  const count = Math.max(1, meters.length);
  return {
    size: {
      width: count * cell + (count - 1) * RING.gap,
      height: Math.ceil(RING.size + 10 + label.ink.top + label.ink.bottom),
    },
    runs,
    marks: meters.map((_, index) => ({
      x: middle(index) - RING.size / 2,
      y: 0,
      width: RING.size,
      height: RING.size,
    })),
  };
}

const BAR = { width: 300, thick: 8, above: 10, between: 20 } as const;

/** A name and a figure over each bar; `widest` is what the figure may become. */
function layRows(
  rows: readonly { name: string; told: string; widest: string }[],
  { line, room }: Setter,
): Laid {
  const style = { size: 18, weight: 400 };
  const across = room(
    rows.map(({ name, widest: most }) => `${name}  ${most}`),
    style,
  );
  const width = Math.max(BAR.width, across);
  // Names of mounts have signs in them that stand higher than letters.
  const { top, bottom } = line(['Hp', ...rows.map(({ name }) => name)].join(''), style).ink;
  const row = Math.ceil(top + bottom) + BAR.above + BAR.thick;
  const start = (index: number) => index * (row + BAR.between);
  return {
    size: { width, height: start(Math.max(1, rows.length)) - BAR.between },
    runs: rows.flatMap(({ name, told }, index) => [
      putLine(line(name, style), { left: 0 }, start(index) + top),
      putLine(line(told, { ...style, colour: 'softInk' }), { right: width }, start(index) + top),
    ]),
    marks: rows.map((_, index) => ({
      x: 0,
      y: start(index) + row - BAR.thick,
      width,
      height: BAR.thick,
    })),
  };
}

const layBars = ({ meters }: MachineView, set: Setter) =>
  layRows(
    meters.map((meter) => ({ name: meter.title, told: figureOf(meter), widest: widest[meter.id].figure })),
    set,
  );

/** What is listed, each over its bar; `widest` is the most that may be told of one. */
const layListed =
  (widest: string) =>
  ({ rows }: MachineView, set: Setter) =>
    layRows(
      rows.map(({ name, told }) => ({ name, told, widest })),
      set,
    );

const GRAPH = { width: 340, plot: 96, below: 14, row: 30, between: 20, mark: 10, beside: 12 } as const;

/** Curves, and under them two columns that say which is which. */
function layGraph({ meters }: MachineView, { line, room }: Setter): Laid {
  const style = { size: 17, weight: 400 };
  const before = GRAPH.mark + GRAPH.beside;
  const texts = meters.map(({ id, title }) => `${title}  ${widest[id].figure}`);
  const width = Math.max(GRAPH.width, 2 * (before + room(texts, style)) + GRAPH.between);
  const column = (width - GRAPH.between) / 2;
  const cell = (index: number) => ({
    x: (index % 2) * (column + GRAPH.between),
    y: GRAPH.plot + GRAPH.below + Math.floor(index / 2) * GRAPH.row,
  });
  const rows = Math.max(1, Math.ceil(meters.length / 2));
  return {
    size: { width, height: GRAPH.plot + GRAPH.below + rows * GRAPH.row },
    runs: meters.flatMap((meter, index) => {
      const { x, y } = cell(index);
      const title = line(meter.title, style);
      const figure = line(figureOf(meter), { ...style, colour: 'softInk' });
      const baseline = middleBaseline(title, y, GRAPH.row);
      return [
        putLine(title, { left: x + before }, baseline),
        putLine(figure, { right: x + column }, baseline),
      ];
    }),
    marks: meters.map((_, index) => {
      const { x, y } = cell(index);
      return { x, y: y + GRAPH.row / 2 - 2, width: GRAPH.mark, height: 4 };
    }),
    plot: { x: 0, y: 0, width, height: GRAPH.plot },
  };
}

const TEXT = { size: 20, pitch: 32, gap: 28, names: 60 } as const;

/** Names and what of how much, in two columns. */
function layText({ meters }: MachineView, { line, room }: Setter): Laid {
  const { size, pitch } = TEXT;
  const names = Math.max(
    TEXT.names,
    room(
      meters.map(({ title }) => title),
      { size, weight: 400 },
    ),
  );
  const details = room(['999.9 GB of 999 GB', ...meters.map(({ id }) => widest[id].detail)], {
    size,
    weight: 500,
  });
  const width = names + TEXT.gap + details;
  const { top, bottom } = line('Hp', { size, weight: 500 }).ink;
  const rows = Math.max(1, meters.length);
  return {
    size: { width, height: Math.ceil((rows - 1) * pitch + top + bottom) },
    runs: meters.flatMap((meter, index) => [
      putLine(line(meter.title, { size, weight: 400, colour: 'softInk' }), { left: 0 }, index * pitch + top),
      putLine(line(meter.detail, { size, weight: 500 }), { right: width }, index * pitch + top),
    ]),
    marks: [],
  };
}

const CORES = { bar: 26, high: 92, gap: 10, inRow: 12, head: 34, below: 18 } as const;

/** A bar for each core, under the whole of them. */
function layCores({ cores, load, processor, type }: MachineView, { line }: Setter): Laid {
  const count = Math.max(1, cores.length);
  const inRow = Math.min(count, CORES.inRow);
  const width = Math.max(300, inRow * (CORES.bar + CORES.gap) - CORES.gap);
  const step = width / inRow;
  const top = CORES.head + CORES.below;
  const marks = cores.map((_, index) => ({
    x: (index % inRow) * step + (step - CORES.bar) / 2,
    y: top + Math.floor(index / inRow) * (CORES.high + CORES.gap),
    width: CORES.bar,
    height: CORES.high,
  }));
  const rows = Math.ceil(count / inRow);
  const figure = line(processor ? figureOf(processor) : `${cores.length} cores`, {
    font: chosenFont(type, 'figures'),
    size: 30,
    weight: 500,
  });
  const runs = [putLine(figure, { left: 0 }, middleBaseline(figure, 0, CORES.head))];
  if (load) {
    const beside = line(load, { font: 'figures', size: 17, weight: 400, colour: 'softInk' });
    runs.push(putLine(beside, { right: width }, middleBaseline(figure, 0, CORES.head)));
  }
  return { size: { width, height: top + rows * (CORES.high + CORES.gap) - CORES.gap }, runs, marks };
}

const layouts: Record<MachineFace, (view: MachineView, set: Setter) => Laid> = {
  cores: layCores,
  heat: layListed('188°'),
  disks: layListed('888.8 GB of 888.8 GB'),
  links: layListed('888.8 MB/s, 888.8 GB in all'),
  busiest: layListed('100 %, 888.8 GB'),
  rings: layRings,
  bars: layBars,
  graph: layGraph,
  text: layText,
};
