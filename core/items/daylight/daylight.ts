import { z } from 'zod';
import { defineItem, type ItemContext } from '../../kinds/kind.ts';
import { HourStyle, timePattern } from '../../kinds/options.ts';
import { unitOf } from '../../sources/units.ts';
import { formatMoment } from '../../sources/time/time.ts';
import { field } from '../../values/field.ts';
import { clamp, type Point, type Rect } from '../../values/geometry.ts';
import { signFaces, wordsOf } from '../faces.ts';
import { laySign, paddingOf, type IconLayout } from '../text.ts';

const options = z.looseObject({
  shows: field(z.enum(['next', 'height', 'moon']).default('next'), {
    label: 'Shows',
    is: 'content',
    choices: { next: 'Rise, set', height: 'Height', moon: 'Moon' },
    when: (_, face) => face !== 'arc',
  }),
  hours: HourStyle,
});

/** The sun's way over the horizon, and where it stands on it. */
export interface Arc {
  /** Where the arc stands: its chord is the horizon. */
  box: Rect;
  radius: number;
  sun: Point;
}

export interface DaylightLayout extends IconLayout {
  arc: Arc | null;
}

export interface DaylightView {
  /** How much of the day has passed, 0 to 1; null while the sun is down. */
  share: number | null;
  /** freedesktop icon name; null where the moon itself is drawn. */
  icon: string | null;
  /** 0 new, 0.5 full. */
  phase: number;
  label: string | null;
  /** What it says to whoever asks. */
  title: string;
}

export const daylight = defineItem({
  type: 'daylight',
  title: 'Sun and moon',
  summary: 'When the sun rises or sets, how high it is, or the moon',
  faces: [...signFaces, { id: 'arc', title: 'Way of the sun' }],
  options,
  needs: ({ shows }, face) =>
    shows === 'moon' && face !== 'arc'
      ? [{ source: 'moon', every: 'minute' }]
      : [
          { source: 'sun', every: 'minute' },
          { source: 'time', every: 'minute' },
        ],
  view({ shows, hours }, face, context): DaylightView {
    const { readings, units } = context;
    if (shows === 'moon' && face !== 'arc') {
      const { phase, lit, name } = readings.get('moon').value;
      const text = `${Math.round(lit * 100)} %`;
      const title = `${name}, ${text} lit`;
      return { icon: null, phase, share: null, label: wordsOf(text, face, context), title };
    }
    const { altitude, isUp, sunrise, sunset } = readings.get('sun').value;
    const icon = isUp ? 'weather-clear' : 'weather-clear-night';
    const { moment, place } = readings;
    const share =
      sunrise !== null && sunset !== null && isUp ? (moment - sunrise) / (sunset - sunrise) : null;
    const said = (text: string, title: string) => ({
      icon,
      phase: 0,
      share: isUp ? clamp(share ?? 0.5, 0, 1) : null,
      label: face === 'arc' ? null : wordsOf(text, face, context),
      title,
    });
    if (shows === 'height') return said(`${Math.round(altitude)}°`, `Sun ${Math.round(altitude)}° high`);
    const next = [sunrise, sunset].find((at) => at !== null && at > moment) ?? null;
    const at = next === null ? '–' : formatMoment(next, place.zone, timePattern(unitOf(hours, units.hours)));
    const what = next === null ? 'No more today' : next === sunrise ? `Sunrise ${at}` : `Sunset ${at}`;
    return said(at, what);
  },
  layout({ label, share }, face, context): DaylightLayout {
    if (face !== 'arc') return { ...laySign(label, face, context), arc: null };
    return layArc(share, context);
  },
});

/** Of the edge's depth: how high the arc is, at most as high as icons are. */
function layArc(share: number | null, context: ItemContext): DaylightLayout {
  const { thickness, iconSize, isVertical } = context;
  const padding = paddingOf(context);
  const radius = Math.min(iconSize, (thickness - 8) / 2);
  const [along, across] = [padding, (thickness - (isVertical ? 2 * radius : radius)) / 2];
  const box = isVertical
    ? { x: across, y: along, width: 2 * radius, height: radius }
    : { x: along, y: across, width: 2 * radius, height: radius };
  const turn = Math.PI * (1 - (share ?? 0));
  const middle = { x: box.x + radius, y: box.y + radius };
  // While it is down the sun stands under the middle of the horizon.
  const sun =
    share === null
      ? { x: middle.x, y: middle.y + 3 }
      : { x: middle.x + radius * Math.cos(turn), y: middle.y - radius * Math.sin(turn) };
  const length = Math.ceil((isVertical ? radius : 2 * radius) + 2 * padding);
  return {
    size: isVertical ? { width: thickness, height: length } : { width: length, height: thickness },
    runs: [],
    icon: null,
    arc: { box, radius, sun },
  };
}
