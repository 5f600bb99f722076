/** The formats in which a backdrop leaves. Apart from the baking, which loads what the server itself does without. */
export const bakeFormats = ['png', 'webp', 'avif', 'jpeg'] as const;
export type BakeFormat = (typeof bakeFormats)[number];

/** Pixels of a side of a motif's surface: what draws SVG takes no longer one. */
export const LONGEST_DRAWN = 32_000;

/** Pixels of a side for which WebP has room. */
export const LONGEST_WEBP = 16_383;
