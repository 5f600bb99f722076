// Adds to each file of core/text/metrics/ where the ink of its letters ends: how far in from the pen on the left and
// from the advance on the right, how far above the line of writing and below it, in thousandths of an em. Run it after
// font-metrics.mjs: node tools/font-ink.mjs
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { create } from 'fontkit';
import woff2 from 'wawoff2';

const require = createRequire(import.meta.url);
const folder = new URL('../core/text/metrics/', import.meta.url);
const LETTERS = Array.from({ length: 0x5e }, (_, index) => String.fromCodePoint(0x21 + index));
/** The ink changes less than the advance: it is measured at fewer weights and sizes. */
const WEIGHTS = [100, 400, 900];
const SIZES = {
  fraunces: [9, 36, 144],
  newsreader: [6, 18, 72],
  'bricolage-grotesque': [12, 36, 96],
};
/** How text is set on a desk. */
const FEATURES = ['tnum', 'lnum'];

const sides = {
  left: ({ bbox }) => bbox.minX,
  right: ({ bbox, advance }) => advance - bbox.maxX,
  top: ({ bbox }) => bbox.maxY,
  bottom: ({ bbox }) => -bbox.minY,
};

/** Only multiples of two are kept; what is the same at all cuts is listed once. */
function packed(values) {
  const kept = values.map((value) => Math.round(value / 2) * 2 || 0);
  return kept.every((value) => value === kept[0]) ? kept.slice(0, 1) : kept;
}

async function inkOf(family) {
  const kind = SIZES[family] ? 'opsz' : 'wght';
  const file = require.resolve(`@fontsource-variable/${family}/files/${family}-latin-${kind}-normal.woff2`);
  const font = create(Buffer.from(await woff2.decompress(readFileSync(file))));
  const { wght } = font.variationAxes;
  const cuts = WEIGHTS.flatMap((weight) =>
    (SIZES[family] ?? [null]).map((opsz) =>
      font.getVariation({
        wght: Math.max(wght.min, Math.min(wght.max, weight)),
        ...(opsz === null ? {} : { opsz }),
      }),
    ),
  );
  const boxes = LETTERS.map((letter) =>
    cuts.map((cut) => {
      const { glyphs, positions } = cut.layout(letter, FEATURES);
      return { bbox: glyphs[0].bbox, advance: positions[0].xAdvance };
    }),
  );
  const perEm = 1000 / font.unitsPerEm;
  return {
    weights: WEIGHTS,
    ...(SIZES[family] ? { sizes: SIZES[family] } : {}),
    ...Object.fromEntries(
      Object.entries(sides).map(([side, of]) => [
        side,
        boxes.map((letter) => packed(letter.map((cut) => of(cut) * perEm))),
      ]),
    ),
  };
}

for (const name of readdirSync(folder)) {
  const family = name.replace('.json', '');
  // What is fallen back to is given the room of the family that it stands in.
  if (family === 'fallback') continue;
  const address = new URL(name, folder);
  const metrics = JSON.parse(readFileSync(address, 'utf8'));
  writeFileSync(address, JSON.stringify({ ...metrics, ink: await inkOf(family) }) + '\n');
}
