import { mix } from '../../values/colour.ts';
import { createRandom } from '../../sources/noise.ts';
import {
  HEIGHT,
  WIDTH,
  birds,
  n,
  ridgePath,
  round,
  sheet,
  upright,
  type MotifDrawing,
  type MotifInput,
} from '../draw.ts';

/** Still water and reeds under a pale green morning. */
export function marsh({ seed, control }: MotifInput): MotifDrawing {
  const water = 640;
  const defs =
    upright('sky', [
      [0, '#3f6d73'],
      [0.25, '#76a096'],
      [0.45, '#c3cfae'],
      [0.6, '#f3e3b6'],
    ]) +
    upright('water', [
      [0, '#ecdcb0'],
      [0.2, '#a9bfa4'],
      [0.55, '#4f8079'],
      [1, '#173f45'],
    ]) +
    round('glow', [
      [0, '#fffbe4', 0.9],
      [0.4, '#fbeab9', 0.4],
      [1, '#fbeab9', 0],
    ]) +
    upright('mist', [
      [0, '#f4edd0', 0],
      [0.5, '#f4edd0', Math.min(1, 0.2 + control('mist'))],
      [1, '#f4edd0', 0],
    ]);
  const shores = [0, 1, 2]
    .map((index) => {
      const shape = {
        seed: seed + index * 7,
        level: water - 34 + index * 15,
        relief: 20 + index * 5,
        stretch: 240 + 70 * index,
        octaves: 6,
        gain: 0.55,
      };
      return `<path d="${ridgePath(shape, 4, water + 8 + index * 7)}" fill="${mix('#8fb09e', '#3f6b64', index / 2)}" fill-opacity="${0.55 + index * 0.2}"/>`;
    })
    .join('');
  return {
    defs,
    body:
      sheet('url(#sky)') +
      `<ellipse cx="620" cy="${water - 40}" rx="820" ry="420" fill="url(#glow)"/>` +
      `<circle cx="620" cy="${water - 150}" r="34" fill="#fffdf0" fill-opacity=".92"/>` +
      birds({
        seed: seed + 3,
        count: Math.round(52 * control('birds')),
        x: 1240,
        y: 250,
        spreadX: 260,
        spreadY: 60,
        size: 17,
        colour: '#23484b',
        opacity: 0.7,
      }) +
      shores +
      `<rect y="${water}" width="${WIDTH}" height="${HEIGHT - water}" fill="url(#water)"/>` +
      `<g transform="translate(0 ${2 * water + 10}) scale(1 -1)" opacity=".22">${shores}</g>` +
      `<rect y="${water - 70}" width="${WIDTH}" height="150" fill="url(#mist)"/>` +
      ripples(seed + 11, water) +
      reeds(
        seed + 21,
        Math.round(500 * control('reeds')),
        { from: 0, to: WIDTH, base: 1100, height: 260, colour: '#1d4a4b', width: 3, bend: 34 },
        0.5,
      ) +
      reeds(
        seed + 22,
        Math.round(420 * control('reeds')),
        { from: -40, to: 980, base: 1100, height: 430, colour: '#0d2c30', width: 4.4, bend: 60 },
        1,
      ) +
      reeds(
        seed + 23,
        Math.round(180 * control('reeds')),
        { from: 1380, to: 1980, base: 1100, height: 330, colour: '#0d2c30', width: 4.4, bend: 50 },
        1,
      ),
  };
}

function ripples(seed: number, water: number): string {
  const random = createRandom(seed);
  return Array.from({ length: 70 }, () => {
    const depth = random() ** 1.6;
    const y = water + 30 + depth * 330;
    const x = random() * WIDTH;
    const length = 40 + depth * 260 * random();
    return `<path d="M${n(x)} ${n(y)}q${n(length / 2)} ${n(2 + depth * 3)} ${n(length)} 0" stroke="#fff6d8" stroke-width="${n(0.8 + depth * 1.6)}" stroke-opacity="${n(0.1 + random() * 0.22)}" fill="none"/>`;
  }).join('');
}

interface Bed {
  from: number;
  to: number;
  base: number;
  height: number;
  colour: string;
  width: number;
  bend: number;
}

/** Stems that thin out toward the bed's right end, some with a seed head. */
function reeds(seed: number, count: number, bed: Bed, opacity: number): string {
  const random = createRandom(seed);
  const stems: string[] = [];
  const heads: string[] = [];
  for (let index = 0; index < count; index++) {
    const share = random() ** 1.5;
    const x = bed.from + share * (bed.to - bed.from);
    const tall = bed.height * (0.35 + 0.65 * random()) * (1.05 - 0.6 * share);
    const lean = (random() - 0.35) * bed.bend;
    const top = bed.base - tall;
    stems.push(
      `M${n(x)} ${bed.base}Q${n(x + lean * 0.15)} ${n(bed.base - tall * 0.6)} ${n(x + lean)} ${n(top)}`,
    );
    if (random() < 0.34) {
      heads.push(
        `<path d="M${n(x + lean)} ${n(top - 8)}q${n(bed.width * 2.1 + lean * 0.06)} ${n(24)} ${n(-lean * 0.12)} ${n(46)}q${n(-bed.width * 2.1)} -22 ${n(lean * 0.12)} -46Z"/>`,
      );
    } else if (random() < 0.5) {
      stems.push(
        `M${n(x + lean * 0.3)} ${n(bed.base - tall * 0.55)}q${n((random() - 0.5) * 70)} -60 ${n((random() - 0.5) * 150)} -${n(tall * 0.24)}`,
      );
    }
  }
  return `<g opacity="${opacity}"><path d="${stems.join('')}" fill="none" stroke="${bed.colour}" stroke-width="${bed.width}" stroke-linecap="round"/><g fill="${bed.colour}">${heads.join('')}</g></g>`;
}
