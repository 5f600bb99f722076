// Writes core/text/metrics.json: advance widths of the shipped fonts as Chromium sets them, so that the core
// can measure text without a browser. Run it again when a font is added: node tools/font-metrics.mjs
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { chromium } from 'playwright-core';

const require = createRequire(import.meta.url);
const WEIGHTS = [200, 400, 700];
const FONTS = {
  fraunces: { file: 'fraunces/files/fraunces-latin-opsz-normal.woff2', settings: '"opsz" 144' },
  figtree: { file: 'figtree/files/figtree-latin-wght-normal.woff2', settings: 'normal' },
  'spline-sans-mono': {
    file: 'spline-sans-mono/files/spline-sans-mono-latin-wght-normal.woff2',
    settings: 'normal',
  },
};
const characters = [];
for (let code = 0x20; code <= 0x7e; code++) characters.push(String.fromCodePoint(code));
for (let code = 0xa0; code <= 0xff; code++) characters.push(String.fromCodePoint(code));
characters.push(...'–—‘’“”…−');

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await browser.newPage();
const metrics = {};
for (const [id, { file, settings }] of Object.entries(FONTS)) {
  const data = readFileSync(require.resolve('@fontsource-variable/' + file)).toString('base64');
  metrics[id] = await page.evaluate(
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
      const canvas = document.createElement('canvas').getContext('2d');
      canvas.font = '1000px measured';
      const box = canvas.measureText('0H');
      return {
        weights,
        ascent: box.fontBoundingBoxAscent / 1000,
        descent: box.fontBoundingBoxDescent / 1000,
        capHeight: box.actualBoundingBoxAscent / 1000,
        advances,
      };
    },
    { data, settings, weights: WEIGHTS, characters },
  );
}
await browser.close();
writeFileSync(new URL('../core/text/metrics.json', import.meta.url), JSON.stringify(metrics) + '\n');
