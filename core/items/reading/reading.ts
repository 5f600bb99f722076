import { z } from 'zod';
import { defineItem, type ItemContext } from '../../kinds/kind.ts';
import { middleBaseline, putLine, setLine, type Layout, type Paint } from '../../kinds/layout.ts';
import { colourOption, originOption } from '../../kinds/options.ts';
import { meterOf, shareOf, type Meter } from '../../sources/machine/meters.ts';
import { field, fieldWhen } from '../../values/field.ts';
import { expressionWork } from '../../expressions/learn.ts';
import { expression } from '../../expressions/options.ts';
import { originsOf, tellingOf } from '../../expressions/telling.ts';
import { needsOf } from '../../expressions/text.ts';
import { clamp, type Rect } from '../../values/geometry.ts';
import { itemText, layLines, paddingOf } from '../text.ts';

const isOwn = ({ meter }: Readonly<Record<string, unknown>>) => meter === 'own';

const options = z.looseObject({
  meter: field(z.enum(['processor', 'memory', 'disk', 'network', 'own']).default('processor'), {
    label: 'Reading',
    is: 'content',
    choices: {
      processor: 'Processor',
      memory: 'Memory',
      disk: 'Disk',
      network: 'Network',
      own: 'An expression',
    },
  }),
  own: fieldWhen(expression('Expression', 'tide.height'), isOwn),
  unit: field(z.string().max(12).default(''), {
    label: 'Unit',
    is: 'content',
    placeholder: 'none',
    when: isOwn,
  }),
  full: field(z.number().min(0.001).max(1e12).default(100), {
    label: 'Full at',
    is: 'content',
    when: (values, face) => isOwn(values) && face !== 'number',
  }),
  from: originOption('machine'),
  span: field(z.number().int().min(1).max(60).default(5), {
    label: 'Graph over',
    is: 'content',
    unit: 'min',
    when: (_, face) => face === 'graph',
  }),
  colour: fieldWhen(colourOption('accent', 'Marks'), (_, face) => face !== 'number'),
});

/** A meter of the machine, or what an expression says. */
type ItemMeter = Omit<Meter, 'id'> & { id: Meter['id'] | 'own' };

export interface ReadingView {
  face: 'number' | 'bar' | 'ring' | 'graph';
  meter: ItemMeter;
  /** Shares, oldest first. */
  series: readonly (number | null)[];
  colour: Paint;
}

export interface ReadingLayout extends Layout {
  /** Where the bar, the ring or the graph stands. */
  mark: Rect | null;
}

/** The widest that each figure may become. */
const widest = {
  processor: '100 %',
  memory: '100 %',
  disk: '100 %',
  network: '999.9 MB/s',
  own: '',
} as const;

/** Px along a flat edge: a bar and a graph; how thick a bar is, and what of the depth a graph takes. */
const BAR = { long: 52, thick: 6 } as const;
const GRAPH = { long: 72, share: 0.6, points: 36 } as const;

export const reading = defineItem({
  type: 'reading',
  title: 'Machine reading',
  summary: 'One reading as a number, a bar, a ring or a small graph',
  faces: [
    { id: 'number', title: 'Number' },
    { id: 'bar', title: 'Bar' },
    { id: 'ring', title: 'Ring' },
    { id: 'graph', title: 'Graph' },
  ],
  options,
  needs: ({ meter, from, own }) =>
    meter === 'own'
      ? needsOf([own], originsOf({ from }))
      : [{ source: 'machine', origin: from, every: 'second' }],
  view(chosen, face, context): ReadingView {
    const { meter, from, span, colour } = chosen;
    const { readings, textColour } = context;
    const step = (span * 60_000) / GRAPH.points;
    if (meter === 'own')
      return { face, ...ownReading(chosen, face, step, context), colour: textColour(colour) };
    const past = face === 'graph' ? readings.series('machine', from, GRAPH.points, step) : [];
    return {
      face,
      meter: meterOf(meter, readings.get('machine', from)?.value ?? null),
      series: past.map((one) => shareOf(meter, one)),
      colour: textColour(colour),
    };
  },
  layout(view, face, context): ReadingLayout {
    return face === 'number' ? layNumber(view.meter, context) : layMark(face, context);
  },
  inked: ({ colour }, { mark }) => (mark ? [{ what: 'Its mark', rect: mark, colour }] : []),
});

/** What an expression says, now and before. */
function ownReading(
  { own, unit, full, from }: z.output<typeof options>,
  face: ReadingView['face'],
  step: number,
  context: ItemContext,
): Pick<ReadingView, 'meter' | 'series'> {
  const { moment, library } = context.readings;
  const work = expressionWork(library);
  const numberAt = (at: number) => work?.numberOf(own, tellingOf(context, { from }, at)) ?? null;
  const shareAt = (at: number) => {
    const value = numberAt(at);
    return value === null ? null : clamp(value / full, 0, 1);
  };
  const value = own.trim() === '' ? null : numberAt(moment);
  const figure = value === null ? '–' : (work?.shown(value, tellingOf(context, { from })) ?? '–');
  const newest = Math.floor(moment / step) * step;
  return {
    meter: {
      id: 'own',
      title: own,
      share: value === null ? null : clamp(value / full, 0, 1),
      figure,
      unit,
      detail: `${figure} ${unit}`.trim(),
    },
    series:
      face === 'graph'
        ? Array.from({ length: GRAPH.points }, (_, index) =>
            shareAt(newest - (GRAPH.points - 1 - index) * step),
          )
        : [],
  };
}

/** As much room as the widest figure needs: what stands beside it keeps still. */
function layNumber({ id, figure, unit }: ItemMeter, context: ItemContext): ReadingLayout {
  const { thickness, isVertical, fonts } = context;
  // Upright the unit stands under the figure.
  if (isVertical) return { ...layLines([figure, unit].filter(Boolean), context), mark: null };
  const style = { ...itemText(context), font: 'figures' as const };
  const line = setLine(`${figure} ${unit}`.trim(), style, fonts);
  const room = Math.ceil(Math.max(line.room, setLine(widest[id], style, fonts).room));
  const padding = paddingOf(context);
  return {
    size: { width: room + 2 * padding, height: thickness },
    runs: [putLine(line, { right: padding + room }, middleBaseline(line, 0, thickness))],
    mark: null,
  };
}

function layMark(face: 'bar' | 'ring' | 'graph', context: ItemContext): ReadingLayout {
  const { thickness, isVertical, iconSize } = context;
  const padding = paddingOf(context);
  const along = face === 'ring' ? iconSize : face === 'bar' ? BAR.long : GRAPH.long;
  const across = face === 'ring' ? iconSize : face === 'bar' ? BAR.thick : thickness * GRAPH.share;
  // A graph stays flat, as deep as the edge lets it; a bar turns with the edge.
  const [long, deep] = isVertical && face === 'graph' ? [thickness * 0.5, thickness * 0.8] : [along, across];
  const start = (thickness - deep) / 2;
  const mark = isVertical
    ? { x: start, y: padding, width: deep, height: long }
    : { x: padding, y: start, width: long, height: deep };
  const length = long + 2 * padding;
  return {
    size: isVertical ? { width: thickness, height: length } : { width: length, height: thickness },
    runs: [],
    mark,
  };
}
