import type { WidgetContext } from '../../kinds/kind.ts';
import type { Inked, Layout, LineStyle, Paint } from '../../kinds/layout.ts';
import { chosenFont, type TypeChoice } from '../../kinds/options.ts';
import { createSheet } from '../../kinds/sheet.ts';
import { lengthTold } from '../../sources/units.ts';
import { right, type Rect } from '../../values/geometry.ts';
import type { BatteryFace, BatteryOptions } from './battery.ts';

export interface BatteryView {
  /** 0 to 1; null where it can't be known. */
  charge: number | null;
  figure: string;
  isCharging: boolean;
  /** Nearly empty. */
  isLow: boolean;
  told: string;
  type: TypeChoice;
  colour: Paint;
}

export interface BatteryLayout extends Layout {
  /** The cell, or the ring. */
  mark: Rect;
}

/** The share below which it is nearly empty. */
const LOW = 0.2;

export function view(options: BatteryOptions, _face: BatteryFace, context: WidgetContext): BatteryView {
  const { from, type, colour } = options;
  const taken = context.readings.get('machine', from);
  const battery = taken?.value.battery ?? null;
  const charge = battery?.charge ?? null;
  return {
    charge,
    figure: charge === null ? '–' : `${Math.round(charge * 100)} %`,
    isCharging: battery?.isCharging ?? false,
    isLow: charge !== null && charge < LOW && !battery?.isCharging,
    told: !taken ? 'Waiting for this machine' : !battery ? 'This machine has no battery' : toldOf(battery),
    type,
    colour: context.textColour(colour),
  };
}

function toldOf({
  isCharging,
  left,
  charge,
}: {
  isCharging: boolean;
  left: number | null;
  charge: number;
}): string {
  if (left === null) return charge > 0.99 ? 'Full' : isCharging ? 'Charging' : 'On battery';
  const time = lengthTold(Math.max(60, left));
  return isCharging ? `Full in ${time}` : `${time} left`;
}

const WIDEST = ['100 %', '–'];
const TOLD = ['Full in 88 h 88 min', 'This machine has no battery'];

type Lay = (view: BatteryView, context: WidgetContext) => BatteryLayout;

const CELL = { width: 190, height: 84, gap: 16 } as const;

/** A cell that is filled as far as the battery is, and under it for how long. */
const layCell: Lay = ({ figure, told, type }, { fonts }) => {
  const sheet = createSheet(fonts);
  const soft: LineStyle = { font: 'text', size: 18, weight: 400, colour: 'softInk' };
  const large: LineStyle = { font: chosenFont(type, 'figures'), size: 44, weight: 500 };
  const mark = sheet.keep({ x: 0, y: 0, width: CELL.width, height: CELL.height });
  const left = right(mark) + 22;
  sheet.middle(sheet.line(figure, large), { left }, 0, CELL.height);
  sheet.keep({ x: left, y: 0, width: sheet.room(WIDEST, large), height: 1 });
  sheet.under(sheet.line(told, soft), { left: 0 }, CELL.height + CELL.gap);
  return sheet.lay({ mark });
};

const RING = { size: 132, gap: 14 } as const;

const layRing: Lay = ({ figure, told, type }, { fonts }) => {
  const sheet = createSheet(fonts);
  const soft: LineStyle = { font: 'text', size: 17, weight: 400, colour: 'softInk' };
  const width = Math.max(RING.size, sheet.room([told, TOLD[0] ?? ''], soft));
  const mark = sheet.keep({ x: (width - RING.size) / 2, y: 0, width: RING.size, height: RING.size });
  const large: LineStyle = { font: chosenFont(type, 'figures'), size: 34, weight: 500 };
  sheet.middle(sheet.line(figure, large), { centre: width / 2 }, 0, RING.size);
  sheet.under(sheet.line(told, soft), { centre: width / 2 }, RING.size + RING.gap);
  sheet.keep({ x: 0, y: 0, width, height: 1 });
  return sheet.lay({ mark });
};

const LINE = { width: 44, height: 22, row: 38, gap: 14 } as const;

const layLine: Lay = ({ figure, told, type }, { fonts }) => {
  const sheet = createSheet(fonts);
  const mark = sheet.keep({ x: 0, y: (LINE.row - LINE.height) / 2, width: LINE.width, height: LINE.height });
  const large: LineStyle = { font: chosenFont(type, 'figures'), size: 30, weight: 500 };
  const left = right(mark) + LINE.gap;
  const { baseline } = sheet.middle(sheet.line(figure, large), { left }, 0, LINE.row);
  const beside = left + sheet.room([figure, '88 %'], large) + LINE.gap;
  sheet.put(sheet.line(told, { font: 'text', size: 20, weight: 400 }), { left: beside }, baseline);
  return sheet.lay({ mark });
};

const layouts: Record<BatteryFace, Lay> = { cell: layCell, ring: layRing, line: layLine };

export function layout(seen: BatteryView, face: BatteryFace, context: WidgetContext): BatteryLayout {
  return layouts[face](seen, context);
}

export const inked = ({ isLow, colour }: BatteryView, { mark }: BatteryLayout): Inked[] => [
  { what: 'Its mark', rect: mark, colour: isLow ? 'alert' : colour },
];
