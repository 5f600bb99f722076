import { families, isOwn, type Family, type ShippedFamily } from '../values/family.ts';
import { ownLibrary, type Library } from '../values/library.ts';
import { fontBook, type ShippedMetrics } from './cuts.ts';

type Loaded = Promise<{ default: ShippedMetrics }>;

/** What measuring starts with: it stands in for a family that is not there yet. */
const KNOWN = 'figtree';

/** The widths of each family come when a desk needs them: together they are as large as the rest of the core. */
const loaders: Record<Exclude<ShippedFamily, typeof KNOWN>, () => Loaded> = {
  fraunces: () => import('./metrics/fraunces.json', { with: { type: 'json' } }),
  newsreader: () => import('./metrics/newsreader.json', { with: { type: 'json' } }),
  petrona: () => import('./metrics/petrona.json', { with: { type: 'json' } }),
  'bricolage-grotesque': () => import('./metrics/bricolage-grotesque.json', { with: { type: 'json' } }),
  unbounded: () => import('./metrics/unbounded.json', { with: { type: 'json' } }),
  'hanken-grotesk': () => import('./metrics/hanken-grotesk.json', { with: { type: 'json' } }),
  commissioner: () => import('./metrics/commissioner.json', { with: { type: 'json' } }),
  outfit: () => import('./metrics/outfit.json', { with: { type: 'json' } }),
  recursive: () => import('./metrics/recursive.json', { with: { type: 'json' } }),
  'spline-sans-mono': () => import('./metrics/spline-sans-mono.json', { with: { type: 'json' } }),
  'martian-mono': () => import('./metrics/martian-mono.json', { with: { type: 'json' } }),
};

/** Makes sure that text in these families can be measured. */
export async function learnFamilies(
  wanted: readonly Family[] = families,
  library: Library = ownLibrary,
): Promise<void> {
  const fonts = library.on(fontBook);
  await Promise.all(
    wanted.map(async (family) => {
      if (family !== KNOWN && !isOwn(family) && !fonts.knows(family))
        fonts.learn(family, (await loaders[family]()).default);
    }),
  );
}

/** Learns what letters and signs are measured by that a family lacks. */
export async function learnOthers(library: Library = ownLibrary): Promise<void> {
  const { default: metrics } = await import('./metrics/fallback.json', { with: { type: 'json' } });
  library.on(fontBook).learnFallback(metrics);
}

/** Letters and signs that every shipped family has. */
const USUAL =
  /^[\0-~\xa0-\xa3\xa5-\xac\xae-\xb4\xb6-\u0107\u010a-\u0113\u0116-\u011b\u011e-\u0123\u012e-\u0131\u0139-\u013e\u0141-\u0148\u0150-\u015b\u015e-\u0161\u016a-\u017e\u0218-\u021b\u2013\u2014\u2018-\u201a\u201c-\u201e\u2022\u2026\u2039\u203a\u2044\u20ac\u2122\u2212]*$/;

/** Whether a text can be measured in every family without what letters and signs are measured by that it lacks. */
export function isUsual(text: string): boolean {
  return USUAL.test(text);
}
