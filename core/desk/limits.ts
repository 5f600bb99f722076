const MIB = 1024 * 1024;

/** What a desk and its files may come to: a save, a file that leaves and one that comes in are held to the same. */
export const DESK_LIMITS = {
  /** Bytes of the desk as JSON. */
  json: 8 * MIB,
  /** Pictures of one's own. */
  pictures: 400,
  /** Bytes of one picture. */
  picture: 60 * MIB,
  /** Bytes of one font. */
  font: 10 * MIB,
  /** Bytes of one sound. */
  sound: 60 * MIB,
  /** Bytes of all files together. */
  files: 180 * MIB,
};
