import { expect } from 'chai';
import { families, type Family } from '../../core/values/family.ts';
import { learnFamilies, learnOthers } from '../../core/text/families.ts';
import { steadyWidth, textWidth } from '../../core/text/measure.ts';
import { fontStack } from '../../web/render/kit/type.ts';
import { withApp } from '../support/app.ts';
import { plainFont } from '../support/fonts.ts';

/** Texts of the kinds that stand on desks: names, dates, times, readings, accents, other scripts, signs. */
const texts = [
  'Thursday 26 November',
  'AVATAR Type Yonder To Fjord',
  'Tallybook, Wavebox & Postbag',
  'processor 47 % 128.5 GB of 512 GB',
  '11:11',
  '07:12:48 pm',
  'Çà et là: Ångström, Łódź, Žižek, Őrség, ğış',
  'Hide “the dark room”… – 12 °C',
  'WAVES & WIND',
];
/** In scripts and signs that not every family has; the page falls back to what is shipped for them. */
const shipped = [
  'Θάλασσα και αέρας',
  'Прилив и ветер',
  '★ ← ☀ ♪ ✓ ● ↑ ↗ ↓',
  '№ 14',
  'Ĉu ŝi ĝin',
  'Việt một hai',
  '«Où?» ‹là› „low“ § ¶ †',
];
/** What nobody ships a font for, and by how much its room may be more than what this system sets. */
const unshipped = [
  ['10 ≤ 12 ≠ 14 ≈ 14 ‰', 0.02],
  ['⅓ ⅔ ⅞', 0.06],
  ['שלום וברוך הבא', 0.1],
  ['مرحبا بكم في المرصد', 0.3],
  // Squares, where this system has no such letters at all.
  ['潮の満ち引き', 0.8],
  ['안녕하세요 세계', 1],
] as const;
const sizes = [9, 11, 14, 17, 20, 32, 56, 120];
const weights = [200, 340, 400, 500, 620, 700, 850];

withApp('text as the core measures it', ({ open }) => {
  before(async () => {
    await learnFamilies();
    await learnOthers();
  });

  /** Widths of texts as the page sets them under a desk's settings. */
  async function drawn(page: Awaited<ReturnType<typeof open>>, cases: Case[]): Promise<number[]> {
    return page.evaluate(async (list) => {
      const box = document.createElement('div');
      box.style.cssText = 'position:absolute;left:0;top:0;white-space:pre;text-rendering:geometricPrecision';
      document.body.append(box);
      box.append(
        ...list.map(({ text, stack, size, weight, spacing }) => {
          const span = document.createElement('span');
          span.style.cssText = `position:absolute;font:${weight} ${size}px ${stack};letter-spacing:${spacing}em;font-variant-numeric:tabular-nums lining-nums`;
          span.textContent = text;
          return span;
        }),
      );
      await Promise.all(
        list.map(({ text, stack, size, weight }) =>
          document.fonts.load(`${weight} ${size}px ${stack}`, text),
        ),
      );
      await document.fonts.ready;
      const widths = [...box.children].map((span) => span.getBoundingClientRect().width);
      box.remove();
      return widths;
    }, cases);
  }

  interface Case {
    family: Family;
    text: string;
    stack: string;
    size: number;
    weight: number;
    spacing: number;
  }

  const measured = ({ family, text, size, weight, spacing }: Case) => {
    return textWidth(text, { font: plainFont(family), size, weight, spacing });
  };

  it('is as wide as the page sets it, within 2 %, in every family, weight and size', async () => {
    const page = await open('/desk/bare-desk');
    await page.locator('[data-stage] [data-screen]').first().waitFor();
    for (const family of families) {
      const cases = texts.flatMap((text) =>
        sizes.flatMap((size) =>
          weights.map((weight) => ({ family, text, stack: fontStack(family), size, weight, spacing: 0 })),
        ),
      );
      const widths = await drawn(page, cases);
      const worst = cases
        .map((one, index) => ({ ...one, off: measured(one) / (widths[index] ?? 1) - 1 }))
        .sort((a, b) => Math.abs(b.off) - Math.abs(a.off))[0];
      expect(
        Math.abs(worst?.off ?? 1),
        `${family}: "${worst?.text}" at ${worst?.size} px, ${worst?.weight}`,
      ).to.be.below(0.02);
    }
  });

  it('is as wide in scripts and signs that a family lacks, by what is shipped for them, and gives room to the rest', async () => {
    const page = await open('/desk/bare-desk');
    await page.locator('[data-stage] [data-screen]').first().waitFor();
    const limits = [...shipped.map((text) => [text, 0.02] as const), ...unshipped];
    for (const family of families) {
      const cases = limits.flatMap(([text, limit]) =>
        [400, 700].map((weight) => ({
          family,
          text,
          limit,
          stack: fontStack(family),
          size: 24,
          weight,
          spacing: 0.02,
        })),
      );
      const widths = await drawn(page, cases);
      cases.forEach((one, index) => {
        const off = measured(one) / (widths[index] ?? 1) - 1;
        expect(off, `${family}, ${one.weight}: ${one.text}`).to.be.within(-0.02, one.limit);
      });
    }
  });

  it('has room for every time that a clock may show', () => {
    for (const family of families) {
      const style = { font: plainFont(family), size: 40, weight: 400 };
      const room = steadyWidth('00:00', style);
      for (let minute = 0; minute < 1440; minute++) {
        const two = (value: number) => String(value).padStart(2, '0');
        const width = textWidth(`${two(Math.floor(minute / 60))}:${two(minute % 60)}`, style);
        expect(width, family).to.be.at.most(room * 1.02);
      }
      expect(steadyWidth('11:11', style)).to.equal(room);
    }
  });
});
