import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { machineOrigins } from '../../sources/readings.ts';
import { ITEM_PADDING } from '../text.ts';

const options = z.looseObject({
  from: z
    .enum(machineOrigins)
    .default('simulated')
    .meta({ label: 'Readings', choices: { simulated: 'Simulated', 'this-machine': 'This machine' } }),
  network: z.boolean().default(true).meta({ label: 'Network' }),
  processor: z.boolean().default(true).meta({ label: 'Processor' }),
  daylight: z.boolean().default(true).meta({ label: 'Daylight' }),
});

export interface TraySign {
  id: 'network' | 'processor' | 'daylight';
  /** freedesktop icon name */
  icon: string;
  /** What it says to whoever asks. */
  title: string;
}

export interface TrayView {
  signs: TraySign[];
  iconSize: number;
}

const SIGN_GAP = 12;

export const tray = defineItem({
  type: 'tray',
  title: 'Tray',
  summary: 'Small signs: network, processor, daylight',
  options,
  tick: () => 'minute',
  machineOrigin: ({ from }) => from,
  view(options, { readings, iconSize }): TrayView {
    const signs: TraySign[] = [];
    const machine = readings.machine(options.from);
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
      const { altitude } = readings.get('sun');
      const icon = altitude > 0 ? 'weather-clear' : 'weather-clear-night';
      signs.push({ id: 'daylight', icon, title: `Sun ${Math.round(altitude)}°` });
    }
    return { signs, iconSize: Math.round(iconSize * 0.86) };
  },
  length: ({ signs, iconSize }) =>
    signs.length * iconSize + Math.max(0, signs.length - 1) * SIGN_GAP + 2 * ITEM_PADDING,
});
