// Writes core/text/metrics/: advance widths of the shipped fonts as Chromium sets them, one file for each family, so
// that the core can measure text without a browser. Run it again when a font is added: node tools/font-metrics.mjs
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { chromium } from 'playwright-core';

const require = createRequire(import.meta.url);
const WEIGHTS = [200, 400, 700];
const OPTICAL = '"opsz" 144';
/** The axis file of each family, and the settings under which it is measured. */
const FONTS = {
  fraunces: ['opsz', OPTICAL],
  newsreader: ['opsz', OPTICAL],
  petrona: ['wght'],
  'bricolage-grotesque': ['opsz', OPTICAL],
  unbounded: ['wght'],
  figtree: ['wght'],
  'hanken-grotesk': ['wght'],
  commissioner: ['wght'],
  outfit: ['wght'],
  recursive: ['wght'],
  'spline-sans-mono': ['wght'],
  'martian-mono': ['wght'],
};
const characters = [];
for (let code = 0x20; code <= 0x7e; code++) characters.push(String.fromCodePoint(code));
for (let code = 0xa0; code <= 0xff; code++) characters.push(String.fromCodePoint(code));
characters.push(...'–—‘’“”…−');

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await browser.newPage();
const folder = new URL('../core/text/metrics/', import.meta.url);
mkdirSync(folder, { recursive: true });
for (const [id, [axis, settings = 'normal']] of Object.entries(FONTS)) {
  const file = require.resolve(`@fontsource-variable/${id}/files/${id}-latin-${axis}-normal.woff2`);
  const data = readFileSync(file).toString('base64');
  const metrics = await page.evaluate(
    async ({ data, settings, weights, characters }) => {
      const face = new FontFace('measured', `url(data:font/woff2;base64,${data})`, { weight: '100 900' });
      await face.load();
      document.fonts.add(face);
      const span = document.createElement('span');
      span.style.cssText = 'font:1000px measured;white-space:pre;position:absolute;font-kerning:none;';
      span.style.fontVariantNumeric = 'tabular-nums';
      span.style.fontVariationSettings = settings;
      document.body.replaceChildren(span);
      const advances = {};
      for (const character of characters) {
        span.textContent = character.repeat(10);
        advances[character] = weights.map((weight) => {
          span.style.fontWeight = String(weight);
          return Math.round(span.getBoundingClientRect().width / 10) / 1000;
        });
      }
      return { weights, advances };
    },
    { data, settings, weights: WEIGHTS, characters },
  );
  writeFileSync(new URL(`${id}.json`, folder), JSON.stringify(metrics) + '\n');
}
await browser.close();
