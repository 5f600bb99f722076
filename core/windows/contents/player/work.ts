import { hash } from '../../../sources/noise.ts';
import {
  AROUND,
  createPage,
  figures,
  row,
  text,
  type Content,
  type ContentContext,
  type Page,
} from '../page.ts';

const HEAD = 128;
const ROW = 32;
const BUTTON = 30;

/** What is on, and what else is on the desk's list. */
export function lay(context: ContentContext): Content {
  const page = createPage(context);
  const { width, height } = context.size;
  const { sound, position, tracks } = context;
  const { track } = sound;
  const inside = width - 2 * AROUND;
  const accent = page.plainColour('accent');
  page.text(
    track?.title ?? 'Nothing is on',
    { font: 'display', size: 23, weight: 500 },
    { left: AROUND },
    12,
    34,
    inside - 120,
  );
  page.text(
    track ? `${clock(position)} / ${clock(track.seconds)}` : '',
    figures(14, { colour: 'softInk' }),
    { right: width - AROUND },
    12,
    34,
  );
  page.text(track?.album ?? '', text(14, { colour: 'softInk' }), { left: AROUND }, 44, 22, inside);
  const share = track ? position / track.seconds : 0;
  drawWave(page, { x: AROUND, y: 72, width: inside - 3 * BUTTON - 28, height: 40 }, share, track?.id ?? '');
  const y = 76;
  const left = width - AROUND - 3 * BUTTON;
  const isPaused = !sound.isHeard || sound.paused !== null;
  signs(left, y, isPaused).forEach(([label, act, path], index) => {
    page.outline(path, index === 1 ? accent : 'ink', { stroke: index === 1 ? null : 2 });
    page.press({ x: left + index * BUTTON, y, width: BUTTON, height: BUTTON }, label, { by: 'sound', act });
  });
  page.box({ x: AROUND, y: HEAD - 4, width: inside, height: 1 }, 'ink', { opacity: 0.14 });
  const rows = Math.min(tracks.length, Math.floor((height - HEAD - 8) / ROW));
  tracks.slice(0, rows).forEach(({ id, title, seconds }, index) => {
    const top = HEAD + index * ROW;
    const isOn = id === track?.id;
    const rect = { x: AROUND, y: top, width: inside, height: ROW };
    row(page, index, rect, title || 'Without a title', index === context.chosen);
    page.text(
      title || 'Without a title',
      text(15, { weight: isOn ? 600 : 400 }),
      { left: AROUND + 26 },
      top,
      ROW,
      inside - 110,
    );
    if (isOn) page.outline(`M${AROUND + 9} ${top + 11}v10l8 -5z`, accent);
    page.text(clock(seconds), figures(14, { colour: 'softInk' }), { right: width - AROUND - 8 }, top, ROW);
  });
  return page.lay(rows);
}

type Sign = readonly [label: string, act: 'before' | 'turn' | 'next', path: string];

function signs(left: number, top: number, isPaused: boolean): Sign[] {
  const x = (index: number) => left + index * BUTTON + 8;
  const y = top + 8;
  return [
    ['Piece before', 'before', `M${x(0)} ${y}v14M${x(0) + 13} ${y}l-9 7l9 7`],
    [
      isPaused ? 'Play' : 'Pause',
      'turn',
      isPaused ? `M${x(1)} ${y}v14l13 -7z` : `M${x(1)} ${y}h4v14h-4zM${x(1) + 9} ${y}h4v14h-4z`,
    ],
    ['Next piece', 'next', `M${x(2) + 13} ${y}v14M${x(2)} ${y}l9 7l-9 7`],
  ];
}

/** A wave that stands for the piece, as far as it has been played in the accent. */
function drawWave(
  page: Page,
  rect: { x: number; y: number; width: number; height: number },
  share: number,
  id: string,
): void {
  const bars = Math.max(1, Math.floor(rect.width / 5));
  const seed = [...id].reduce((sum, letter) => sum * 31 + (letter.codePointAt(0) ?? 0), 7) % 100_000;
  for (let index = 0; index < bars; index++) {
    const swell = 0.35 + 0.45 * Math.sin((index / bars) * Math.PI) * (0.4 + 0.6 * hash(seed, index >> 2));
    const high = Math.max(3, rect.height * swell * (0.5 + 0.5 * hash(seed + 1, index)));
    const isPlayed = index / bars < share;
    page.box(
      { x: rect.x + index * 5, y: rect.y + (rect.height - high) / 2, width: 3, height: high },
      isPlayed ? page.plainColour('accent') : 'softInk',
      { opacity: isPlayed ? 1 : 0.45, radius: 1.5 },
    );
  }
}

function clock(seconds: number): string {
  const whole = Math.max(0, Math.floor(seconds));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
