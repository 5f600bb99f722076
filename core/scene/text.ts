import type { Desk } from '../desk/desk.ts';
import { learnFamilies, learnOthers } from '../text/families.ts';
import { knowsFamily, wantsFallback } from '../text/cuts.ts';
import { families, isOwn, type Family, type ShippedFamily } from '../values/family.ts';

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
