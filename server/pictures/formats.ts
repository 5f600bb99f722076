/** Pixels of a side of a motif's surface: what draws SVG takes no longer one. */
export const LONGEST_DRAWN = 32_000;

/** Pixels of a side for which WebP has room. */
export const LONGEST_WEBP = 16_383;
