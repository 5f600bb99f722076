import type { CSSProperties } from 'react';
import type { Scene } from '../../../core/scene/scene.ts';
import { uses } from '../../../core/text/schema.ts';
import { isOwn, type Family } from '../../../core/values/family.ts';

/** What stands in for letters and signs that a family lacks: shipped too, so that the core can measure it. */
const FALLBACK = "'Commissioner Variable', 'Noto Sans Symbols Variable', 'Noto Sans Symbols 2', sans-serif";

/** How families are called in style sheets; those of one's own by their file. */
export function fontStack(family: Family): string {
  if (isOwn(family)) return `'${ownFontName(family)}', ${FALLBACK}`;
  const words = family.split('-').map((word) => (word[0] ?? '').toUpperCase() + word.slice(1));
  return `'${words.join(' ')} Variable', ${FALLBACK}`;
}

export function ownFontName(family: string): string {
  return `Own ${family.slice(4, 16)}`;
}

/** The families of the desk as variables, for everything that is drawn below. */
export function typeVariables(fonts: Scene['fonts']): CSSProperties {
  return Object.fromEntries(
    uses.map((use) => [`--font-desk-${use}`, fontStack(fonts[use].family)]),
  ) as CSSProperties;
}
