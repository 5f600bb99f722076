// Writes core/text/metrics/: advance widths and kerning of the shipped fonts as Chromium sets them, one file for each
// family, so that the core can measure text without a browser. Run it again when a font is added or the way text is set
// on a desk changes: node tools/font-metrics.mjs
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { chromium } from 'playwright-core';

const require = createRequire(import.meta.url);
const WEIGHTS = [100, 200, 400, 700, 900];
/** Families whose letters change with their size, and the sizes (px) at which each is measured. */
const SIZES = {
  fraunces: [9, 12, 18, 24, 36, 60, 84, 108, 144],
  newsreader: [6, 8, 10, 12, 14, 16, 18, 20, 24, 36, 72],
  'bricolage-grotesque': [12, 14, 17, 22, 36, 60, 96],
};
/** Kerning changes less: it is measured at fewer weights and sizes. */
const KERNING_WEIGHTS = [100, 400, 900];
const KERNING_SIZES = {
  fraunces: [9, 36, 144],
  newsreader: [6, 18, 72],
  'bricolage-grotesque': [12, 36, 96],
};
const FAMILIES = [
  'fraunces',
  'newsreader',
  'petrona',
  'bricolage-grotesque',
  'unbounded',
  'figtree',
  'hanken-grotesk',
  'commissioner',
  'outfit',
  'recursive',
  'spline-sans-mono',
  'martian-mono',
];
/** What the page falls back to for letters and signs that a family lacks, in this order. */
const FALLBACK = [
  ['Commissioner Variable', '@fontsource-variable/commissioner/wght.css'],
  ['Noto Sans Symbols Variable', '@fontsource-variable/noto-sans-symbols/wght.css'],
  ['Noto Sans Symbols 2', '@fontsource/noto-sans-symbols-2/symbols.css'],
];

const range = (from, to) => {
  const found = [];
  for (let code = from; code <= to; code++) found.push(String.fromCodePoint(code));
  return found;
};
const latin = [...range(0x20, 0x7e), ...range(0xa0, 0xff), ...'–—‘’“”…−•€™′″‰'];
const extended = range(0x100, 0x17f);
const scripts = [...range(0x386, 0x3ce), ...range(0x400, 0x45f), 'Ґ', 'ґ'];
const signs = [...range(0x2190, 0x21ff), ...range(0x2300, 0x23ff), ...range(0x25a0, 0x27bf)];

/** The style sheet of a font package with its files inside. */
function inlined(sheet) {
  const path = require.resolve(sheet);
  return readFileSync(path, 'utf8').replace(/url\((\.\/[^)]+\.woff2)\)/g, (_, file) => {
    const data = readFileSync(join(dirname(path), file)).toString('base64');
    return `url(data:font/woff2;base64,${data})`;
  });
}

const nameOf = (family) =>
  `${family
    .split('-')
    .map((word) => word[0].toUpperCase() + word.slice(1))
    .join(' ')} Variable`;

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const folder = new URL('../core/text/metrics/', import.meta.url);
mkdirSync(folder, { recursive: true });

/** Opens a page on which text is set as on a desk, in these families, with nothing to fall back to but `Blank`. */
async function pageWith(sheets) {
  const page = await browser.newPage();
  await page.setContent(
    `<style>${sheets.map(inlined).join('\n')}
    @font-face { font-family: Blank; src: url(data:font/woff2;base64,${blank}) format('woff2'); }
    body { font-size: 1000px; font-variant-numeric: tabular-nums lining-nums; text-rendering: geometricPrecision;
      white-space: pre }
    span { position: absolute; left: 0; top: 0 }</style><body></body>`,
  );
  return page;
}
// Any font serves to tell whether a family has a letter: widths that follow another fallback are not its own.
const blank = readFileSync(
  require.resolve('@fontsource-variable/martian-mono/files/martian-mono-latin-wght-normal.woff2'),
).toString('base64');

/** Widths in em of texts, each at the given weights and sizes: `[text][weight * sizes + size]`. */
async function widthsOf(page, family, texts, weights, sizes, isKerned = false) {
  return page.evaluate(
    async ({ family, texts, weights, sizes, isKerned }) => {
      const body = document.body;
      body.style.fontKerning = isKerned ? 'normal' : 'none';
      const all = texts.map(() => []);
      // Fetches what the texts need.
      body.style.fontFamily = family;
      await Promise.all(
        weights.map((weight) => document.fonts.load(`${weight} 20px ${family}`, texts.join(''))),
      );
      await document.fonts.ready;
      for (const weight of weights) {
        body.style.fontWeight = String(weight);
        for (const size of sizes) {
          body.style.fontVariationSettings = size === null ? 'normal' : `"opsz" ${size}`;
          body.replaceChildren(
            ...texts.map((text) => {
              const span = document.createElement('span');
              span.textContent = text;
              return span;
            }),
          );
          [...body.children].forEach((span, index) =>
            all[index].push(Math.round(span.getBoundingClientRect().width) / 1000),
          );
        }
      }
      return all;
    },
    { family, texts, weights, sizes, isKerned },
  );
}

/** Distances below this (thousandths of an em) are not kept, and others only as multiples of two. */
const LEAST = 4;
const kept = (distance) => (Math.abs(distance) < LEAST ? 0 : Math.round(distance / 2) * 2);

/**
 * Pairs whose distance is changed, as tables of classes: letters that keep the same distances at every weight and size
 * share a row or a column.
 */
async function kerningOf(page, family, sizes) {
  const letters = range(0x21, 0x7e);
  const alone = await widthsOf(page, family, letters, KERNING_WEIGHTS, sizes);
  const pairs = await widthsOf(
    page,
    family,
    letters.flatMap((a) => letters.map((b) => a + b)),
    KERNING_WEIGHTS,
    sizes,
    true,
  );
  const cuts = KERNING_WEIGHTS.length * sizes.length;
  /** For each letter, what follows it at all cuts, one after another. */
  const by = letters.map((_, a) =>
    letters.map((__, b) =>
      Array.from({ length: cuts }, (___, cut) =>
        kept((pairs[a * letters.length + b][cut] - alone[a][cut] - alone[b][cut]) * 1000),
      ),
    ),
  );
  if (by.flat(2).every((distance) => distance === 0)) return undefined;
  const classes = (lines) => {
    const seen = new Map();
    const indices = lines.map((line) => {
      const key = line.join();
      if (!seen.has(key)) seen.set(key, { index: seen.size, line });
      return seen.get(key).index;
    });
    return { indices, lines: [...seen.values()].map(({ line }) => line) };
  };
  const left = classes(by);
  const right = classes(letters.map((_, b) => left.lines.map((line) => line[b])));
  const tables = Array.from({ length: cuts }, (_, cut) =>
    left.lines.map((__, row) => right.lines.map((column) => column[row][cut])),
  );
  return { weights: KERNING_WEIGHTS, left: left.indices, right: right.indices, tables };
}

const isNear = (a, b) => a.every((width, index) => Math.abs(width - b[index]) <= 0.004);

async function measure(family) {
  const page = await pageWith([
    SIZES[family] ? `@fontsource-variable/${family}/opsz.css` : `@fontsource-variable/${family}/wght.css`,
  ]);
  const name = `"${nameOf(family)}"`;
  const sizes = SIZES[family] ?? [null];
  const texts = [...latin, ...extended, ...scripts];
  const [own, other] = [
    await widthsOf(page, `${name}, Blank`, texts, WEIGHTS, sizes),
    await widthsOf(page, `${name}, serif`, texts, WEIGHTS, sizes),
  ];
  const advances = {};
  texts.forEach((text, index) => {
    // The width follows the fallback: the family has no such letter.
    if (!isNear(own[index], other[index])) return;
    // A letter with an accent is nearly always as wide as the letter alone, and is measured as it.
    const base = text.normalize('NFD')[0];
    if (base !== text && advances[base] && isNear(own[index], advances[base])) return;
    advances[text] = own[index];
  });
  const kerningSizes = KERNING_SIZES[family];
  const kerning = await kerningOf(page, `${name}, Blank`, kerningSizes ?? [null]);
  await page.close();
  // A family may end before the lightest weight: from there on all is as it ends.
  let lightest = 0;
  const isSameAs = (weight) =>
    Object.values(advances).every((widths) =>
      sizes.every(
        (_, size) => widths[weight * sizes.length + size] === widths[(weight + 1) * sizes.length + size],
      ),
    );
  while (lightest + 2 < WEIGHTS.length && isSameAs(lightest)) lightest++;
  for (const letter of Object.keys(advances))
    advances[letter] = advances[letter].slice(lightest * sizes.length);
  return {
    weights: WEIGHTS.slice(lightest),
    ...(SIZES[family] ? { sizes: SIZES[family] } : {}),
    advances,
    ...(kerning ? { kerning: { ...kerning, ...(kerningSizes ? { sizes: kerningSizes } : {}) } } : {}),
  };
}

for (const family of FAMILIES)
  writeFileSync(new URL(`${family}.json`, folder), JSON.stringify(await measure(family)) + '\n');

const page = await pageWith(FALLBACK.map(([, sheet]) => sheet));
const stack = FALLBACK.map(([name]) => `"${name}"`).join(', ');
const texts = [...scripts, ...signs];
const own = await widthsOf(page, `${stack}, Blank`, texts, WEIGHTS, [null]);
const other = await widthsOf(page, `${stack}, serif`, texts, WEIGHTS, [null]);
const advances = {};
texts.forEach((text, index) => {
  if (!isNear(own[index], other[index])) return;
  const isSame = own[index].every((width) => width === own[index][0]);
  advances[text] = isSame ? own[index].slice(0, 1) : own[index];
});
writeFileSync(new URL('fallback.json', folder), JSON.stringify({ weights: WEIGHTS, advances }) + '\n');
await browser.close();
