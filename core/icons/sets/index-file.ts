import { z } from 'zod';
import { MOST_NAME, Name } from '../../values/name.ts';
import type { TypeOf } from '../../values/types.ts';

/** What a set may have: files of an archive, pictures drawn from them, and names for these (a link is one more name). */
export const SET_LIMITS = {
  files: 5000,
  /** Bytes of the archive, of all that is in it unpacked, and of the set that is made of it. */
  bytes: 64 * 1024 * 1024,
  /** Bytes of one file. */
  file: 2 * 1024 * 1024,
  icons: 20_000,
  styles: 24,
  /** Letters of an icon's name. */
  name: 120,
  /** Px: what an icon may be drawn for. */
  size: 4096,
};

const Px = z.number().int().min(1).max(SET_LIMITS.size);

/** A picture that stands for a name in a style, and for which sizes it was drawn. */
const SetIcon = z.looseObject({
  name: z.string().min(1).max(SET_LIMITS.name),
  /** Index of its style. */
  style: z.number().int().min(0).max(SET_LIMITS.styles),
  least: Px,
  most: Px,
  isVector: z.boolean(),
  /** Index of its picture. */
  picture: z.number().int().min(0).max(SET_LIMITS.files),
});
export type SetIcon = TypeOf<typeof SetIcon>;

/** An icon set as it is kept: which pictures it has, and for what. The pictures lie beside it, as PNG, by their index. */
export const IconSetIndex = z
  .looseObject({
    name: Name,
    styles: z.array(z.string().min(1).max(MOST_NAME)).min(1).max(SET_LIMITS.styles),
    /** The set that it was cut from, to travel; null for a whole one. */
    cutFrom: z
      .string()
      .regex(/^[0-9a-f]{64}$/)
      .nullable(),
    /** Sets that it builds upon and that did not come with it. */
    lacks: z.array(z.string().max(MOST_NAME)).max(20),
    /** Of each picture, whether all of it has one colour. */
    pictures: z
      .array(z.looseObject({ isOneColour: z.boolean() }))
      .min(1)
      .max(SET_LIMITS.files),
    icons: z.array(SetIcon).min(1).max(SET_LIMITS.icons),
  })
  .refine(
    ({ styles, pictures, icons }) =>
      icons.every(({ style, picture }) => style < styles.length && picture < pictures.length),
    { message: 'names a style or a picture that it does not have' },
  );
export type IconSetIndex = TypeOf<typeof IconSetIndex>;
