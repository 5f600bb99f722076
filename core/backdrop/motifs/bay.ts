import { mix } from '../../values/colour.ts';
import { createRandom } from '../../sources/noise.ts';
import { moon } from '../moon.ts';
import {
  HEIGHT,
  WIDTH,
  birds,
  glitter,
  n,
  ridgePath,
  round,
  sheet,
  upright,
  type MotifDrawing,
  type MotifInput,
} from '../draw.ts';

/** Colours of the sky at the top, in the middle and at the horizon, and of the light, by the sun's height. */
const tones: readonly [sun: number, top: string, middle: string, low: string, light: string][] = [
  [-18, '#070b1a', '#0d1530', '#18264a', '#9fb4dd'],
  [-10, '#101737', '#1f2a58', '#3d4379', '#b7b2dd'],
  [-5, '#1e2853', '#4a4580', '#a5677f', '#f0a78a'],
  [-1, '#34477d', '#8a6a98', '#f0956c', '#ffbf85'],
  [3, '#4a6ba3', '#b694ac', '#fbc58b', '#ffe0ae'],
  [10, '#4d87bd', '#93bcd5', '#f2e3c4', '#fff3d8'],
  [25, '#3f83c4', '#83bbe0', '#d9ecef', '#fffdf2'],
  [60, '#3478c2', '#74b3e4', '#cfe9f3', '#ffffff'],
];

function tonesAt(sun: number) {
  const above = tones.findIndex(([at]) => at > sun);
  const high = tones[above < 0 ? tones.length - 1 : above];
  const low = tones[above < 0 ? tones.length - 1 : Math.max(0, above - 1)];
  if (!high || !low) throw new Error('The sky has no tones');
  const share = high[0] === low[0] ? 0 : Math.max(0, Math.min(1, (sun - low[0]) / (high[0] - low[0])));
  return {
    top: mix(low[1], high[1], share),
    middle: mix(low[2], high[2], share),
    low: mix(low[3], high[3], share),
    light: mix(low[4], high[4], share),
  };
}

/** What the bay is drawn from: the sun's height gives every colour, the moon stands where it is. */
function setBay({ seed, control, sky }: MotifInput) {
  const sun = sky ? sky.sun : -18 + control('hour') * 60;
  const isRising = sky?.isRising ?? true;
  const horizon = 690 + (0.5 - control('horizon')) * 240;
  const colours = tonesAt(sun);
  const dark = Math.max(0, Math.min(1, (2 - sun) / 14));
  return {
    seed,
    sun,
    isRising,
    phase: sky ? sky.phase : control('moon') / 2,
    moonHeight: sky ? sky.moon : 34,
    horizon,
    ...colours,
    dark,
    sunX: isRising ? 560 : 1360,
    moonX: isRising ? 1400 : 480,
    cloud: control('cloud'),
    land: (far: number) => mix(mix('#20323c', '#070b16', dark), mix(colours.low, colours.middle, 0.5), far),
  };
}

type Bay = ReturnType<typeof setBay>;

/** One bay from night to noon and back. */
export function bay(input: MotifInput): MotifDrawing {
  const set = setBay(input);
  return { defs: colourDefs(set), body: skyOf(set) + shoresOf(set) + seaOf(set) + nearOf(set) };
}

function colourDefs({ top, middle, low, light, dark, horizon }: Bay): string {
  const cloud = (tone: number) =>
    round(`cloud${tone}`, [
      [0, mix(mix(light, '#ffffff', 0.3), middle, tone / 3 + 0.25 * dark), 0.62],
      [0.6, mix(light, middle, tone / 3 + 0.25 * dark), 0.2],
      [1, middle, 0],
    ]);
  return (
    upright('sky', [
      [0, top],
      [0.36, middle],
      [horizon / HEIGHT, low],
    ]) +
    round('glow', [
      [0, light, 0.85],
      [0.2, light, 0.42],
      [1, low, 0],
    ]) +
    upright('sea', [
      [0, mix(low, middle, 0.35)],
      [0.25, mix(middle, top, 0.55)],
      [1, mix(top, '#050914', 0.35 + 0.3 * dark)],
    ]) +
    [0, 1, 2].map(cloud).join('') +
    upright('haze', [
      [0, low, 0],
      [0.5, low, 0.6],
      [1, low, 0],
    ])
  );
}

/** The sky with what stands in it. */
function skyOf({ seed, sun, sunX, moonX, moonHeight, phase, horizon, dark, light, cloud }: Bay): string {
  const sunY = horizon - 24 - (sun / 60) * 640;
  const moonY = horizon - 90 - (Math.min(60, moonHeight) / 60) * 480;
  return (
    sheet('url(#sky)') +
    stars(seed + 2, horizon, dark) +
    (moonHeight > 0 ? moon({ x: moonX, y: moonY, r: 40, phase }) : '') +
    (sun > -9 ? `<ellipse cx="${sunX}" cy="${n(sunY)}" rx="980" ry="560" fill="url(#glow)"/>` : '') +
    (sun > -2 ? `<circle cx="${sunX}" cy="${n(sunY)}" r="36" fill="${mix(light, '#ffffff', 0.7)}"/>` : '') +
    clouds(seed + 40, horizon, cloud)
  );
}

/** The land beyond the water. */
function shoresOf({ seed, horizon, land }: Bay): string {
  return [0, 1, 2]
    .map((index) => {
      const shape = {
        seed: seed + index * 17,
        level: horizon - 52 + index * 24,
        relief: 46 + index * 14,
        stretch: 420 - index * 40,
        gain: 0.43,
        bend: (share: number) => (index === 2 ? 60 : 26) * Math.cos(share * 5 + index * 2 + seed),
      };
      return `<path d="${ridgePath(shape, 6, horizon + 8)}" fill="${land(0.74 - index * 0.26)}"/>`;
    })
    .join('');
}

/** The water, with haze over its far end, and what glitters on it. */
function seaOf({ seed, horizon, sun, sunX, moonX, light, dark, land }: Bay): string {
  return (
    `<rect y="${n(horizon - 80)}" width="${WIDTH}" height="130" fill="url(#haze)"/>` +
    `<rect y="${n(horizon)}" width="${WIDTH}" height="${n(HEIGHT - horizon)}" fill="url(#sea)"/>` +
    glitter(
      seed + 5,
      170,
      { x: sun > -6 ? sunX : moonX, y: horizon + 8, width: 330, height: 300 },
      mix(light, '#ffffff', 0.4),
    ) +
    (dark < 0.6
      ? birds({
          seed: seed + 9,
          count: 24,
          x: 1050,
          y: 260,
          spreadX: 260,
          spreadY: 70,
          size: 14,
          colour: land(0.1),
        })
      : '')
  );
}

/** The land on this side. */
function nearOf({ seed, dark, land }: Bay): string {
  return [0, 1]
    .map((index) => {
      const shape = {
        seed: seed + 71 + index * 23,
        level: 950 + index * 70,
        relief: 90 - index * 14,
        stretch: 700 - index * 120,
        gain: 0.38,
        bend: (share: number) => (index === 0 ? 170 * (share - 0.28) : 90 * Math.abs(share - 0.62)) + 10,
      };
      return `<path d="${ridgePath(shape, 6)}" fill="${mix(land(0.02), '#02040a', index * 0.35 * (0.4 + dark))}"/>`;
    })
    .join('');
}

function stars(seed: number, horizon: number, dark: number): string {
  if (dark < 0.35) return '';
  const random = createRandom(seed);
  return Array.from({ length: 420 }, () => {
    const y = random() ** 1.3 * horizon;
    const opacity = (dark - 0.3) * (0.2 + 0.8 * random()) * (1 - (y / horizon) ** 2);
    return `<circle cx="${n(random() * WIDTH)}" cy="${n(y)}" r="${n(0.5 + random() ** 8 * 1.8)}" fill="#e5edff" fill-opacity="${n(opacity)}"/>`;
  }).join('');
}

/** Long low veils, nearer together toward the horizon. */
function clouds(seed: number, horizon: number, amount: number): string {
  const random = createRandom(seed);
  return Array.from({ length: Math.round(70 * amount) }, () => {
    const depth = random() ** 0.7;
    const y = 60 + depth * (horizon - 120);
    const long = 180 + random() * 520;
    return `<ellipse cx="${n(random() * WIDTH)}" cy="${n(y)}" rx="${n(long)}" ry="${n(6 + random() * 34 * (1.15 - depth))}" fill="url(#cloud${Math.floor(random() * 3)})" fill-opacity="${n(0.25 + random() * 0.55)}"/>`;
  }).join('');
}
