import type { CSSProperties } from 'react';
import { uses, type Use } from '../../core/text/schema.ts';
import { isOwn, type Family } from '../../core/values/family.ts';
import type { Fonts } from '../../core/kinds/kind.ts';
import type { TypeChoice } from '../../core/kinds/options.ts';

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

/** The desk's type as variables, for everything that is drawn below. */
export function typeVariables(fonts: Fonts): CSSProperties {
  return Object.fromEntries(
    uses.flatMap((use) => {
      const { family, size, weight, spacing } = fonts[use];
      return [
        [`--font-desk-${use}`, fontStack(family)],
        [`--${use}-size`, size / 100],
        [`--${use}-weight`, weight],
        [`--${use}-spacing`, `${spacing / 100}em`],
      ];
    }),
  ) as CSSProperties;
}

interface Setting {
  /** px */
  size: number;
  weight: number;
  /** em */
  spacing?: number;
}

/** Sets text in one of the desk's uses, as the core measures it; or in a family of its own, untouched. */
export function setIn(
  use: Exclude<TypeChoice, 'face'>,
  { size, weight, spacing = 0 }: Setting,
): CSSProperties {
  if (!isUse(use))
    return { fontFamily: fontStack(use), fontSize: size, fontWeight: weight, letterSpacing: `${spacing}em` };
  return {
    fontFamily: `var(--font-desk-${use})`,
    fontSize: `calc(${size}px * var(--${use}-size))`,
    fontWeight: `calc(${weight} + var(--${use}-weight))` as unknown as number,
    letterSpacing: `calc(${spacing}em + var(--${use}-spacing))`,
  };
}

/** The same for text of which a widget may choose the type: `ofFace` unless it does. */
export function setAs(choice: TypeChoice, ofFace: Use, setting: Setting): CSSProperties {
  return setIn(choice === 'face' ? ofFace : choice, setting);
}

function isUse(use: string): use is Use {
  return (uses as readonly string[]).includes(use);
}
