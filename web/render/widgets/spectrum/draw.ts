import type { SpectrumView } from '../../../../core/widgets/spectrum/work.ts';

/** What a face draws from: heights and peaks from 0 to 1, in the order in which they stand. */
export interface Picture {
  values: ArrayLike<number>;
  peaks: ArrayLike<number> | null;
  width: number;
  height: number;
  gap: number;
  /** The colour at a share along the bands or of the level. */
  colourAt(share: number): string;
  /** A fill for everything at once, along the bands or with the level. */
  fill: CanvasGradient | string;
  along: 'bands' | 'level';
}

type Draw = (context: CanvasRenderingContext2D, picture: Picture) => void;

const bars: Draw = (context, { values, peaks, width, height, gap, fill, colourAt, along }) => {
  const pitch = width / values.length;
  const thick = Math.max(1, pitch * (1 - gap));
  const round = Math.min(thick / 2, 4);
  // A plain colour is filled in far less time than one that runs.
  const paint = (band: number) => {
    context.fillStyle = along === 'bands' ? colourAt((band + 0.5) / values.length) : fill;
  };
  for (let band = 0; band < values.length; band++) {
    const high = Math.max(2, (values[band] ?? 0) * height);
    paint(band);
    // One by one: together they are one outline of many corners, which takes far longer to fill.
    context.beginPath();
    context.roundRect(band * pitch + (pitch - thick) / 2, height - high, thick, high, [round, round, 0, 0]);
    context.fill();
  }
  if (!peaks) return;
  context.globalAlpha = 0.75;
  for (let band = 0; band < values.length; band++) {
    const at = (peaks[band] ?? 0) * height;
    paint(band);
    if (at > 3) context.fillRect(band * pitch + (pitch - thick) / 2, height - at - 2, thick, 2);
  }
  context.globalAlpha = 1;
};

/** Px of a block and its gap. */
const BLOCK = 7;

const blocks: Draw = (context, { values, peaks, width, height, gap, fill, colourAt, along }) => {
  const pitch = width / values.length;
  const thick = Math.max(1, pitch * (1 - gap));
  const rows = Math.max(2, Math.floor(height / BLOCK));
  const tall = height / rows;
  context.fillStyle = fill;
  const column = (band: number, from: number, to: number) => {
    // A plain colour is filled in far less time than one that runs.
    if (along === 'bands') context.fillStyle = colourAt((band + 0.5) / values.length);
    context.fillRect(band * pitch + (pitch - thick) / 2, height - to * tall, thick, (to - from) * tall);
  };
  // Whole columns, from which what lies between the rows is taken: block by block takes three times as long.
  context.globalAlpha = 0.1;
  for (let band = 0; band < values.length; band++) column(band, 0, rows);
  context.globalAlpha = 1;
  for (let band = 0; band < values.length; band++) {
    const lit = Math.round((values[band] ?? 0) * rows);
    const peak = peaks ? Math.round((peaks[band] ?? 0) * rows) : 0;
    if (lit > 0) column(band, 0, lit);
    if (peak > lit) column(band, peak - 1, peak);
  }
  for (let row = 0; row < rows; row++) context.clearRect(0, height - (row + 0.28) * tall, width, tall * 0.28);
};

/** Stalks that lean with the wind of their neighbours and bear heads where their peaks are. */
const reeds: Draw = (context, { values, peaks, width, height, colourAt, along }) => {
  const count = values.length;
  const pitch = width / count;
  const thin = Math.max(1, Math.min(3, pitch * 0.28));
  context.lineCap = 'round';
  for (let band = 0; band < count; band++) {
    const value = values[band] ?? 0;
    const lean = ((values[band - 1] ?? value) - (values[band + 1] ?? value)) * pitch * 3;
    const foot = (band + 0.5) * pitch;
    const top = Math.max(2, value * (height - 10));
    const head = Math.max(top, (peaks?.[band] ?? value) * (height - 10));
    const colour = colourAt(along === 'bands' ? (band + 0.5) / count : value);
    const tip = foot + lean * (top / height);
    context.strokeStyle = colour;
    context.lineWidth = thin;
    context.globalAlpha = 0.85;
    context.beginPath();
    context.moveTo(foot, height);
    context.quadraticCurveTo(foot, height - top * 0.6, tip, height - top);
    context.stroke();
    if (head < 6) continue;
    context.globalAlpha = 1;
    context.fillStyle = colour;
    context.beginPath();
    context.ellipse(
      foot + lean * (head / height),
      height - head - 3,
      thin * 0.95,
      thin * 2.4,
      lean * 0.02,
      0,
      2 * Math.PI,
    );
    context.fill();
  }
  context.globalAlpha = 1;
};

/** A smooth curve through the tops, from the first to the last. */
function curve(
  context: CanvasRenderingContext2D,
  values: ArrayLike<number>,
  width: number,
  y: (value: number) => number,
): void {
  const step = width / Math.max(1, values.length - 1);
  context.moveTo(0, y(values[0] ?? 0));
  for (let band = 1; band < values.length; band++) {
    const [before, here] = [y(values[band - 1] ?? 0), y(values[band] ?? 0)];
    const middle = (band - 0.5) * step;
    context.bezierCurveTo(middle, before, middle, here, band * step, here);
  }
}

const ribbon: Draw = (context, { values, peaks, width, height, fill }) => {
  context.fillStyle = fill;
  context.beginPath();
  curve(context, values, width, (value) => height - 2 - value * (height - 4));
  context.lineTo(width, height);
  context.lineTo(0, height);
  context.closePath();
  context.globalAlpha = 0.8;
  context.fill();
  context.globalAlpha = 1;
  if (!peaks) return;
  context.strokeStyle = fill;
  context.lineWidth = 1.5;
  context.beginPath();
  curve(context, peaks, width, (value) => height - 2 - value * (height - 4));
  context.stroke();
};

const line: Draw = (context, { values, width, height, fill }) => {
  const middle = height / 2;
  context.strokeStyle = fill;
  context.fillStyle = fill;
  context.lineWidth = 2;
  context.lineJoin = 'round';
  for (const side of [-1, 1]) {
    context.beginPath();
    curve(context, values, width, (value) => middle + side * (1 + value * (middle - 3)));
    context.globalAlpha = side < 0 ? 1 : 0.45;
    context.stroke();
  }
  context.globalAlpha = 1;
};

const dots: Draw = (context, { values, peaks, width, height, gap, colourAt, along }) => {
  const count = values.length;
  const pitch = width / count;
  const size = Math.max(0.8, (pitch * (1 - gap)) / 2);
  for (let band = 0; band < count; band++) {
    const value = values[band] ?? 0;
    const x = (band + 0.5) * pitch;
    context.fillStyle = colourAt(along === 'bands' ? (band + 0.5) / count : value);
    context.beginPath();
    context.arc(x, height - size - value * (height - 2 * size), size, 0, 2 * Math.PI);
    context.fill();
    if (!peaks) continue;
    context.globalAlpha = 0.5;
    context.beginPath();
    context.arc(x, height - size - (peaks[band] ?? 0) * (height - 2 * size), size * 0.55, 0, 2 * Math.PI);
    context.fill();
    context.globalAlpha = 1;
  }
};

/** From the lowest at the foot up both sides to the highest at the head. */
const ring: Draw = (context, { values, peaks, width, height, gap, colourAt, along }) => {
  const [x, y] = [width / 2, height / 2];
  const most = Math.min(x, y) - 2;
  const hole = most * 0.52;
  const count = values.length;
  const step = Math.PI / count;
  context.lineCap = 'butt';
  context.lineWidth = Math.max(1, step * hole * (1 - gap));
  const ray = (angle: number, from: number, to: number) => {
    context.beginPath();
    context.moveTo(x + Math.sin(angle) * from, y + Math.cos(angle) * from);
    context.lineTo(x + Math.sin(angle) * to, y + Math.cos(angle) * to);
    context.stroke();
  };
  for (let band = 0; band < count; band++) {
    const value = values[band] ?? 0;
    context.strokeStyle = colourAt(along === 'bands' ? (band + 0.5) / count : value);
    for (const side of [-1, 1]) {
      const angle = side * (band + 0.5) * step;
      ray(angle, hole, hole + Math.max(2, value * (most - hole)));
      const peak = hole + (peaks?.[band] ?? 0) * (most - hole);
      if (peaks && peak > hole + 4) ray(angle, peak - 1.5, peak + 1);
    }
  }
};

export const draws: Record<SpectrumView['face'], Draw> = { bars, blocks, reeds, ribbon, line, dots, ring };
