import { mix } from '../../values/colour.ts';
import {
  HEIGHT,
  WIDTH,
  n,
  ridgePath,
  round,
  sheet,
  upright,
  type MotifDrawing,
  type MotifInput,
} from '../draw.ts';

const sheets = ['#f3d9b8', '#e6a583', '#c8707a', '#8f4f7d', '#563d72', '#2b2a55', '#161a3a'];

/** Sheets of cut paper, one before the other, each with the shadow that it throws on the one behind it. */
export function strata({ seed, control }: MotifInput): MotifDrawing {
  const count = Math.round(4 + 8 * control('layers'));
  const relief = 40 + 320 * control('relief');
  const deep = 4 + 34 * control('depth');
  const tone = (share: number) => {
    const at = share * (sheets.length - 1);
    const index = Math.min(sheets.length - 2, Math.floor(at));
    return mix(sheets[index] ?? '#000000', sheets[index + 1] ?? '#000000', at - index);
  };
  let defs =
    upright('air', [
      [0, '#fbeed9'],
      [1, tone(0)],
    ]) +
    round('sun', [
      [0, '#fffaf0', 1],
      [0.92, '#fff3df', 1],
      [1, '#fff3df', 0],
    ]);
  let body = sheet('url(#air)') + `<circle cx="1310" cy="250" r="128" fill="url(#sun)"/>`;
  for (let index = 0; index < count; index++) {
    const share = (index + 1) / count;
    const path = ridgePath(
      {
        seed: seed + index * 29,
        level: 330 + 700 * ((index + 0.3) / count),
        relief: relief * (1 - 0.35 * share),
        stretch: 700 - 260 * share,
        octaves: 3,
        gain: 0.34,
        bend: (x) => 120 * Math.sin(x * 3.4 + index * 1.7 + seed),
      },
      6,
      HEIGHT + 80,
    );
    const colour = tone(share);
    defs += upright(`sheet${index}`, [
      [0, mix(colour, '#fff6e6', 0.12)],
      [1, mix(colour, '#0c0a1c', 0.12)],
    ]);
    // A soft shadow without a blur: the same edge, a few times, each fainter and further.
    for (let step = 4; step >= 1; step--) {
      body += `<path d="${path}" transform="translate(${n(-deep * 0.12 * step)} ${n(-deep * 0.3 * step)})" fill="#120a24" fill-opacity=".055"/>`;
    }
    body += `<path d="${path}" fill="url(#sheet${index})"/><path d="${path}" fill="none" stroke="#fff3dd" stroke-opacity=".16" stroke-width="1.6"/>`;
  }
  return {
    defs,
    body: `<g><clipPath id="all"><rect width="${WIDTH}" height="${HEIGHT}"/></clipPath></g><g clip-path="url(#all)">${body}</g>`,
  };
}
