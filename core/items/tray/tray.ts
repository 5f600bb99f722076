import { z } from 'zod';
import { defineItem, type ItemContext } from '../../kinds/kind.ts';
import { originOption } from '../../kinds/options.ts';
import { cutLine, middleBaseline, putLine, setLine, type Layout, type Run } from '../../kinds/layout.ts';
import { field } from '../../values/field.ts';
import type { OriginOf } from '../../sources/list.ts';
import type { Readings } from '../../sources/readings.ts';
import { formatRate } from '../../sources/machine/units.ts';
import type { Rect, Size } from '../../values/geometry.ts';
import { itemText, paddingOf } from '../text.ts';

const signIds = ['network', 'processor', 'daylight'] as const;
type SignId = (typeof signIds)[number];
const signTitles = { network: 'Network', processor: 'Processor', daylight: 'Daylight' } as const;

const options = z.looseObject({
  from: originOption('machine'),
  signs: field(
    z
      .array(
        z.looseObject({
          sign: field(z.enum(signIds), { label: 'Sign', choices: signTitles }),
          shows: field(z.enum(['always', 'busy', 'never']), {
            label: 'Shows',
            choices: { always: 'Always', busy: 'When busy', never: 'Never' },
          }),
        }),
      )
      .max(12)
      .default(() => signIds.map((sign) => ({ sign, shows: 'always' as const }))),
    {
      label: 'Signs',
      one: 'Sign',
      is: 'content',
      // One that is not there yet.
      starts(entries) {
        const sign = signIds.find((id) => entries.every((entry) => entry['sign'] !== id));
        return sign ? { sign, shows: 'always' } : null;
      },
    },
  ),
});

export interface TraySign {
  id: SignId;
  /** freedesktop icon name */
  icon: string;
  /** What stands beside it where figures are shown. */
  figure: string;
  /** What it says to whoever asks. */
  title: string;
  /** It has something to say: much goes over the network, the processor is at work, the sun is about to rise or set. */
  isBusy: boolean;
}

export interface TrayLayout extends Layout {
  /** Where each sign stands, in the order of the signs. */
  signs: Rect[];
  /** What they stand in; null on other faces. */
  well: Rect | null;
}

/** Of the icons on the edge. */
const SIGN_SHARE = 0.86;
const SIGN_GAP = 12;
/** Px between a sign and its figure, and the smallest size of one on an upright edge. */
const FIGURE_GAP = 5;
const LEAST = 8;
/** Px between a well's side and the signs in it. */
const WELL = { inside: 6 } as const;
/** The widest that each figure may become. */
const widest: Record<SignId, string> = { network: '999 MB', processor: '100 %', daylight: '-90°' };

/** Bytes a second in few letters. */
function rateText(bytesPerSecond: number): string {
  const { figure, unit } = formatRate(bytesPerSecond);
  return `${figure} ${unit.replace('/s', '')}`;
}

type Maker = (readings: Readings, from: OriginOf<'machine'>) => TraySign;

/** Degrees about the horizon within which the sun is about to rise or set. */
const LOW_SUN = 6;

const makers: Record<SignId, Maker> = {
  network(readings, from) {
    const down = readings.get('machine', from)?.value.network?.down ?? null;
    const isBusy = down !== null && down > 200_000;
    const icon = down === null ? 'network-offline' : isBusy ? 'network-transmit-receive' : 'network-idle';
    const title = down === null ? 'Network not available' : `${Math.round(down / 1000)} kB/s down`;
    const figure = down === null ? '–' : rateText(down);
    return { id: 'network', icon, figure, title, isBusy };
  },
  processor(readings, from) {
    const value = readings.get('machine', from)?.value.processor ?? null;
    const level = value === null || value < 15 ? 'low' : value < 60 ? 'middle' : 'high';
    const title = value === null ? 'Processor not available' : `Processor ${Math.round(value)} %`;
    const figure = value === null ? '–' : `${Math.round(value)} %`;
    return { id: 'processor', figure, icon: `speedometer-${level}`, title, isBusy: level === 'high' };
  },
  daylight(readings) {
    const { altitude } = readings.get('sun').value;
    const icon = altitude > 0 ? 'weather-clear' : 'weather-clear-night';
    return {
      id: 'daylight',
      icon,
      figure: `${Math.round(altitude)}°`,
      title: `Sun ${Math.round(altitude)}°`,
      isBusy: Math.abs(altitude) < LOW_SUN,
    };
  },
};

export const tray = defineItem({
  type: 'tray',
  title: 'Tray',
  summary: 'Small signs: network, processor, daylight',
  faces: [
    { id: 'row', title: 'In a row' },
    { id: 'figures', title: 'With figures' },
    { id: 'well', title: 'In a well' },
  ],
  options,
  needs: ({ from }) => [
    { source: 'machine', origin: from, every: 'minute' },
    { source: 'sun', every: 'minute' },
  ],
  view({ from, signs }, face, { readings, room }) {
    const made = signs
      .filter(({ shows }) => shows !== 'never')
      .map(({ sign, shows }) => ({ ...makers[sign](readings, from), shows }))
      .filter(({ shows, isBusy }) => shows === 'always' || isBusy);
    return {
      signs: made.map(({ shows: _, ...sign }): TraySign => sign),
      isTold: face === 'figures' && room !== 'bare',
    };
  },
  layout({ signs, isTold }, face, context): TrayLayout {
    const { iconSize, thickness, isVertical, room } = context;
    const padding = paddingOf(context) + (face === 'well' ? WELL.inside : 0);
    const gap = room === 'full' ? SIGN_GAP : SIGN_GAP / 2;
    const size = Math.round(iconSize * SIGN_SHARE);
    const across = (thickness - size) / 2;
    const boxes: Rect[] = [];
    const runs: Run[] = [];
    let at = padding;
    for (const sign of signs) {
      const box = isVertical
        ? { x: across, y: at, width: size, height: size }
        : { x: at, y: across, width: size, height: size };
      boxes.push(box);
      const told = isTold ? figureBeside(sign, box, context) : null;
      if (told) runs.push(told.run);
      at += size + (told?.long ?? 0) + gap;
    }
    const length = Math.ceil(at - (signs.length > 0 ? gap : 0) + padding);
    const whole = isVertical ? { width: thickness, height: length } : { width: length, height: thickness };
    return { size: whole, runs, signs: boxes, well: face === 'well' ? wellIn(whole, size, context) : null };
  },
  inked: ({ signs }, { signs: boxes }) =>
    boxes.map((rect, index) => ({ what: signs[index]?.title ?? 'A sign', rect, colour: 'ink' })),
});

/** What a sign says, beside it or, upright, under it; with the px along the edge that it takes. */
function figureBeside(
  { id, figure }: TraySign,
  sign: Rect,
  context: ItemContext,
): { run: Run; long: number } {
  const { thickness, isVertical, fonts } = context;
  const style = { ...itemText(context), font: 'figures' as const };
  if (isVertical) {
    const size = Math.min(style.size, Math.max(LEAST, thickness * 0.24));
    const line = cutLine(figure, { ...style, size }, fonts, thickness - 2);
    const long = size * 1.3;
    const baseline = middleBaseline(line, sign.y + sign.height, long);
    return { run: putLine(line, { centre: thickness / 2 }, baseline), long };
  }
  // As much room as it may need: what stands beside it keeps still.
  const line = setLine(figure, style, fonts);
  const room = Math.max(line.room, setLine(widest[id], style, fonts).room);
  const left = sign.x + sign.width + FIGURE_GAP;
  return {
    run: putLine(line, { left }, middleBaseline(line, 0, thickness)),
    long: Math.ceil(room) + FIGURE_GAP,
  };
}

function wellIn({ width, height }: Size, sign: number, context: ItemContext): Rect {
  const { thickness, isVertical } = context;
  const deep = Math.min(thickness - 2, sign + 2 * WELL.inside);
  const out = paddingOf(context) - 2;
  const across = (thickness - deep) / 2;
  return isVertical
    ? { x: across, y: out, width: deep, height: height - 2 * out }
    : { x: out, y: across, width: width - 2 * out, height: deep };
}
