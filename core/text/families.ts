import type { Desk } from '../desk/schema.ts';
import { families, isOwn, type Family, type ShippedFamily } from '../desk/values.ts';
import { knowsFamily, learnFallback, learnFamily, wantsFallback, type ShippedMetrics } from './measure.ts';

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
export async function learnFamilies(wanted: readonly Family[] = families): Promise<void> {
  await Promise.all(
    wanted.map(async (family) => {
      if (family !== KNOWN && !isOwn(family) && !knowsFamily(family))
        learnFamily(family, (await loaders[family]()).default);
    }),
  );
}

/** Learns what letters and signs are measured by that a family lacks. */
export async function learnOthers(): Promise<void> {
  learnFallback((await import('./metrics/fallback.json', { with: { type: 'json' } })).default);
}

/** Letters and signs that every family has, or that are as wide as one that it has. */
const USUAL = /^[\0-\u024f\u2010-\u2027\u2032\u2033\u20ac\u2122\u2212]*$/;

/** Makes sure that everything on a desk can be measured, before it is solved. */
export async function learnTextOf(desk: Desk): Promise<void> {
  const hasOthers = !USUAL.test(JSON.stringify(desk));
  await Promise.all([learnFamilies(familiesOf(desk)), hasOthers ? learnOthers() : null]);
}

/** What is missing for measuring a desk's text, as it turned out when it was solved; null when nothing is. */
export function learnMissing(desk: Desk): (() => Promise<unknown>) | null {
  const missing = familiesOf(desk).filter((family) => !isOwn(family) && !knowsFamily(family));
  if (missing.length === 0 && !wantsFallback()) return null;
  return () => Promise.all([learnFamilies(missing), wantsFallback() ? learnOthers() : null]);
}

/** The families that a desk sets text in. */
export function familiesOf({ look, widgets }: Desk): Family[] {
  const chosen = widgets
    .map(({ options }) => options['type'])
    .filter((type) => families.includes(type as never));
  return [
    ...new Set([...Object.values(look.fonts).map(({ family }) => family), ...(chosen as ShippedFamily[])]),
  ];
}
