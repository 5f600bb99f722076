import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { originOption } from '../../kinds/options.ts';
import type { Layout } from '../../kinds/layout.ts';
import { field } from '../../values/field.ts';
import type { Rect } from '../../values/geometry.ts';
import { paddingOf } from '../text.ts';

const options = z.looseObject({
  from: originOption('machine'),
  network: field(z.boolean().default(true), { label: 'Network' }),
  processor: field(z.boolean().default(true), { label: 'Processor' }),
  daylight: field(z.boolean().default(true), { label: 'Daylight' }),
});

export interface TraySign {
  id: 'network' | 'processor' | 'daylight';
  /** freedesktop icon name */
  icon: string;
  /** What it says to whoever asks. */
  title: string;
}

export interface TrayLayout extends Layout {
  /** Where each sign stands, in the order of the signs. */
  signs: Rect[];
}

/** Of the icons on the edge. */
const SIGN_SHARE = 0.86;
const SIGN_GAP = 12;

export const tray = defineItem({
  type: 'tray',
  title: 'Tray',
  summary: 'Small signs: network, processor, daylight',
  options,
  needs: ({ from }) => [
    { source: 'machine', origin: from, every: 'minute' },
    { source: 'sun', every: 'minute' },
  ],
  view(options, { readings }) {
    const signs: TraySign[] = [];
    const machine = readings.get('machine', options.from)?.value;
    if (options.network) {
      const down = machine?.network?.down ?? null;
      const icon =
        down === null ? 'network-offline' : down > 200_000 ? 'network-transmit-receive' : 'network-idle';
      const title = down === null ? 'Network not available' : `${Math.round(down / 1000)} kB/s down`;
      signs.push({ id: 'network', icon, title });
    }
    if (options.processor) {
      const value = machine?.processor ?? null;
      const icon =
        value === null || value < 15
          ? 'speedometer-low'
          : value < 60
            ? 'speedometer-middle'
            : 'speedometer-high';
      const title = value === null ? 'Processor not available' : `Processor ${Math.round(value)} %`;
      signs.push({ id: 'processor', icon, title });
    }
    if (options.daylight) {
      const { altitude } = readings.get('sun').value;
      const icon = altitude > 0 ? 'weather-clear' : 'weather-clear-night';
      signs.push({ id: 'daylight', icon, title: `Sun ${Math.round(altitude)}°` });
    }
    return { signs };
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
