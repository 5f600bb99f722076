import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { originOption } from '../../kinds/options.ts';
import type { Layout } from '../../kinds/layout.ts';
import { field } from '../../values/field.ts';
import type { OriginOf } from '../../sources/list.ts';
import type { Readings } from '../../sources/readings.ts';
import type { Rect } from '../../values/geometry.ts';
import { paddingOf } from '../text.ts';

export const signIds = ['network', 'processor', 'daylight'] as const;
export type SignId = (typeof signIds)[number];
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
    { label: 'Signs', one: 'Sign' },
  ),
});

export interface TraySign {
  id: SignId;
  /** freedesktop icon name */
  icon: string;
  /** What it says to whoever asks. */
  title: string;
  /** It has something to say: much goes over the network, the processor is at work, the sun is about to rise or set. */
  isBusy: boolean;
}

export interface TrayLayout extends Layout {
  /** Where each sign stands, in the order of the signs. */
  signs: Rect[];
}

/** Of the icons on the edge. */
const SIGN_SHARE = 0.86;
const SIGN_GAP = 12;

type Maker = (readings: Readings, from: OriginOf<'machine'>) => TraySign;

/** Degrees about the horizon within which the sun is about to rise or set. */
const LOW_SUN = 6;

const makers: Record<SignId, Maker> = {
  network(readings, from) {
    const down = readings.get('machine', from)?.value.network?.down ?? null;
    const isBusy = down !== null && down > 200_000;
    const icon = down === null ? 'network-offline' : isBusy ? 'network-transmit-receive' : 'network-idle';
    const title = down === null ? 'Network not available' : `${Math.round(down / 1000)} kB/s down`;
    return { id: 'network', icon, title, isBusy };
  },
  processor(readings, from) {
    const value = readings.get('machine', from)?.value.processor ?? null;
    const level = value === null || value < 15 ? 'low' : value < 60 ? 'middle' : 'high';
    const title = value === null ? 'Processor not available' : `Processor ${Math.round(value)} %`;
    return { id: 'processor', icon: `speedometer-${level}`, title, isBusy: level === 'high' };
  },
  daylight(readings) {
    const { altitude } = readings.get('sun').value;
    const icon = altitude > 0 ? 'weather-clear' : 'weather-clear-night';
    return {
      id: 'daylight',
      icon,
      title: `Sun ${Math.round(altitude)}°`,
      isBusy: Math.abs(altitude) < LOW_SUN,
    };
  },
};

export const tray = defineItem({
  type: 'tray',
  title: 'Tray',
  summary: 'Small signs: network, processor, daylight',
  options,
  needs: ({ from }) => [
    { source: 'machine', origin: from, every: 'minute' },
    { source: 'sun', every: 'minute' },
  ],
  view({ from, signs }, { readings }) {
    const made = signs
      .filter(({ shows }) => shows !== 'never')
      .map(({ sign, shows }) => ({ ...makers[sign](readings, from), shows }))
      .filter(({ shows, isBusy }) => shows === 'always' || isBusy);
    return { signs: made.map(({ shows: _, ...sign }): TraySign => sign) };
  },
  layout({ signs }, context): TrayLayout {
    const { iconSize, thickness, isVertical, room } = context;
    const padding = paddingOf(context);
    const gap = room === 'full' ? SIGN_GAP : SIGN_GAP / 2;
    const size = Math.round(iconSize * SIGN_SHARE);
    const along = (index: number) => padding + index * (size + gap);
    const across = (thickness - size) / 2;
    const length = along(signs.length) - (signs.length > 0 ? gap : 0) + padding;
    return {
      size: isVertical ? { width: thickness, height: length } : { width: length, height: thickness },
      runs: [],
      signs: signs.map((_, index) =>
        isVertical
          ? { x: across, y: along(index), width: size, height: size }
          : { x: along(index), y: across, width: size, height: size },
      ),
    };
  },
});
