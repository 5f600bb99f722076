/** The formats in which a backdrop leaves. Apart from the baking, which loads what the server itself does without. */
export const bakeFormats = ['png', 'webp', 'avif', 'jpeg'] as const;
export type BakeFormat = (typeof bakeFormats)[number];
