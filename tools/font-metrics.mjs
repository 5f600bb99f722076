// Writes core/text/metrics/: advance widths and kerning of the shipped fonts as Chromium sets them, one file for each
// family, so that the core can measure text without a browser. Run it again when a font is added or the way text is set
// on a desk changes: node tools/font-metrics.mjs
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { create } from 'fontkit';
import { chromium } from 'playwright-core';
import woff2 from 'wawoff2';

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

const stack = FALLBACK.map(([name]) => `"${name}"`).join(', ');

const range = (from, to) => {
  const found = [];
  for (let code = from; code <= to; code++) found.push(String.fromCodePoint(code));
  return found;
};
const isSign = (text) => /[\p{L}\p{N}\p{P}\p{S}]/u.test(text);
const latin = [...range(0x20, 0x7e), ...range(0xa0, 0xff), ...'–—‘’“”…−•€™′″‰'];
/** Letters of Europe and Vietnam, what stands between words, money, small figures, fractions, sums. */
const extended = [
  ...range(0x100, 0x24f),
  ...range(0x1e00, 0x1eff),
  ...range(0x2010, 0x205e),
  ...range(0x2070, 0x209c),
  ...range(0x20a0, 0x20c0),
  ...range(0x2100, 0x218b),
  ...range(0x2200, 0x22ff),
  ...range(0xfb00, 0xfb06),
].filter((text) => isSign(text) && !latin.includes(text));
const scripts = [...range(0x386, 0x3ce), ...range(0x400, 0x4ff)].filter(isSign);
const signs = [
  ...range(0x2190, 0x21ff),
  ...range(0x2300, 0x23ff),
  ...range(0x2460, 0x27bf),
  ...range(0x2b00, 0x2bff),
];
/** What nobody ships a font for: each system has its own, most of them about as wide as these. */
const USUAL = '"Liberation Sans", "DejaVu Sans"';
const elsewhere = [
  ...range(0x250, 0x2ff),
  ...range(0x531, 0x58f),
  ...range(0x5d0, 0x5ea),
  ...range(0x621, 0x6d5),
  ...range(0x10d0, 0x10f0),
  ...range(0x1f00, 0x1fff),
].filter(isSign);

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

/** The letters that a style sheet brings: those its fonts have, within what each is asked for. */
async function lettersOf(sheet) {
  const path = require.resolve(sheet);
  const found = new Set();
  for (const [, file, ranges] of readFileSync(path, 'utf8').matchAll(
    /url\((\.\/[^)]+\.woff2)\)[^}]*?unicode-range: ([^;]+);/g,
  )) {
    const asked = ranges.split(',').map((range) =>
      range
        .replace('U+', '')
        .split('-')
        .map((code) => parseInt(code, 16)),
    );
    const font = create(Buffer.from(await woff2.decompress(readFileSync(join(dirname(path), file)))));
    for (const code of font.characterSet)
      if (asked.some(([from, to = from]) => code >= from && code <= to))
        found.add(String.fromCodePoint(code));
  }
  return found;
}

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

/** What is the same at all cuts is listed once. */
const packed = (widths) => (widths.every((width) => width === widths[0]) ? widths.slice(0, 1) : widths);

async function measure(family) {
  const sheet = `@fontsource-variable/${family}/${SIZES[family] ? 'opsz' : 'wght'}.css`;
  const letters = await lettersOf(sheet);
  const page = await pageWith([
    sheet,
    ...FALLBACK.filter(([, other]) => !other.includes(`/${family}/`)).map(([, sheet]) => sheet),
  ]);
  const name = `"${nameOf(family)}"`;
  const sizes = SIZES[family] ?? [null];
  const texts = [...latin, ...extended, ...scripts, ...signs];
  const set = await widthsOf(page, `${name}, ${stack}, ${USUAL}`, texts, WEIGHTS, sizes);
  const advances = {};
  let lacks = '';
  texts.forEach((text, index) => {
    // A letter with an accent is nearly always as wide as the letter alone, and is measured as it.
    const base = text.normalize('NFD')[0];
    const isMarked = base !== text && advances[base] !== undefined;
    if (isMarked && isNear(set[index], advances[base])) return;
    if (letters.has(text)) advances[text] = set[index];
    else if (isMarked) lacks += text;
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
    advances: Object.fromEntries(Object.entries(advances).map(([text, widths]) => [text, packed(widths)])),
    ...(lacks ? { lacks } : {}),
    ...(kerning ? { kerning: { ...kerning, ...(kerningSizes ? { sizes: kerningSizes } : {}) } } : {}),
  };
}

for (const family of FAMILIES)
  writeFileSync(new URL(`${family}.json`, folder), JSON.stringify(await measure(family)) + '\n');

const page = await pageWith(FALLBACK.map(([, sheet]) => sheet));
const texts = [...latin, ...extended, ...scripts, ...signs, ...elsewhere];
const widths = await widthsOf(page, `${stack}, ${USUAL}`, texts, WEIGHTS, [null]);
/** A letter of Arabic is narrower where it is joined to others, which most are on both sides. */
const joined = await widthsOf(
  page,
  `${stack}, ${USUAL}`,
  texts.map((text) => (/\p{Script=Arabic}/u.test(text) ? `\u200d${text}\u200d` : text)),
  WEIGHTS,
  [null],
);
const mean = (index) =>
  widths[index].map((alone, cut) => Math.round(1000 * (0.3 * alone + 0.7 * joined[index][cut])) / 1000);
const advances = Object.fromEntries(texts.map((text, index) => [text, packed(mean(index))]));
writeFileSync(new URL('fallback.json', folder), JSON.stringify({ weights: WEIGHTS, advances }) + '\n');
await browser.close();
