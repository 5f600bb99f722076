import { z } from 'zod';

/** The variable families that are shipped, by what they are good for. */
export const familyTitles = {
  fraunces: 'Fraunces',
  newsreader: 'Newsreader',
  petrona: 'Petrona',
  'bricolage-grotesque': 'Bricolage Grotesque',
  unbounded: 'Unbounded',
  figtree: 'Figtree',
  'hanken-grotesk': 'Hanken Grotesk',
  commissioner: 'Commissioner',
  outfit: 'Outfit',
  recursive: 'Recursive',
  'spline-sans-mono': 'Spline Sans Mono',
  'martian-mono': 'Martian Mono',
} as const;
export type ShippedFamily = keyof typeof familyTitles;
export const families = Object.keys(familyTitles) as ShippedFamily[];

/** Names a file of one's own by the SHA-256 of its bytes. */
const OWN = /^own:[0-9a-f]{64}$/;
export const OwnFile = z
  .string()
  .regex(OWN)
  .transform((text) => text as `own:${string}`)
  .meta({ description: 'A file of one’s own, as own: and the SHA-256 of its bytes' });

/** A shipped family, or one of one's own. */
export const Family = z.union([z.enum(families as [ShippedFamily, ...ShippedFamily[]]), OwnFile]);
export type Family = z.infer<typeof Family>;

export function isOwn(name: string): name is `own:${string}` {
  return OWN.test(name);
}
