import { mix } from '../values/colour.ts';

/** Colours of the sky near the horizon by the sun's altitude in degrees, from deep night to full day. */
const tones: readonly [altitude: number, colour: string][] = [
  [-18, '#1d1a33'],
  [-12, '#2a2347'],
  [-7, '#54406f'],
  [-4, '#8f5c86'],
  [-1, '#d98b80'],
  [1.5, '#f0b287'],
  [5, '#f6d8a2'],
  [12, '#f9e6bb'],
  [40, '#fdf3d8'],
];

/** The sky's colour as hex when the sun stands at an altitude in degrees. */
export function skyColour(altitude: number): string {
  const above = tones.findIndex(([at]) => at > altitude);
  const low = tones[above < 0 ? tones.length - 1 : Math.max(0, above - 1)];
  const high = tones[above < 0 ? tones.length - 1 : above];
  if (!low || !high || low === high) return low?.[1] ?? '#000000';
  return mix(low[1], high[1], Math.max(0, (altitude - low[0]) / (high[0] - low[0])));
}
