import { otherEyes, seenBy, type OtherEyes } from '../colour/eyes.ts';
import type { Palette } from '../colour/look.ts';
import { deltaE, mix } from '../values/colour.ts';
import type { Windows } from './schema.ts';

/** By how much the front window differs from the others, as usual eyes and others see it. */

/** ΔE OK × 100: from here on it is told at a glance, and below this not at all. */
export const AT_A_GLANCE = 20;
export const ALIKE = 8;

export interface Difference {
  eyes: 'usual' | OtherEyes;
  /** ΔE OK × 100 of what differs most. */
  by: number;
  /** What that is. */
  cue: Cue;
}

export const cueTitles = {
  line: 'the line',
  border: 'the border',
  title: 'the title',
  body: 'the whole window',
} as const;
type Cue = keyof typeof cueTitles;

interface Pair {
  cue: Cue;
  front: string;
  behind: string;
}

/** What is seen of the front window and of others, in the colours of one half; what neither has is left out. */
function cuesOf({ title, lines, behind }: Windows, { roles, colour, textOn }: Palette): Pair[] {
  const ink = textOn('ink', roles.ground);
  const through = (hex: string) => mix(hex, roles.ground, 1 - behind.opacity / 100);
  const darker = (hex: string) => mix(hex, '#000000', behind.shade / 100);
  return [
    ...(lines.line > 0
      ? [{ cue: 'line' as const, front: colour(lines.front), behind: through(colour(lines.behind)) }]
      : []),
    ...(lines.border > 0
      ? [
          {
            cue: 'border' as const,
            front: colour(lines.borderFront),
            behind: through(colour(lines.borderBehind)),
          },
        ]
      : []),
    ...(title.shown === 'never'
      ? []
      : [{ cue: 'title' as const, front: ink, behind: through(mix(ink, roles.ground, behind.dims / 100)) }]),
    { cue: 'body', front: roles.surface, behind: darker(through(roles.surface)) },
  ];
}

/** For usual eyes first, then for each of the others. */
export function differences(windows: Windows, palette: Palette): Difference[] {
  const cues = cuesOf(windows, palette);
  return (['usual', ...otherEyes] as const).map((eyes) => {
    const see = (hex: string) => (eyes === 'usual' ? hex : seenBy(eyes, hex));
    const told = cues.map(({ cue, front, behind }) => ({ cue, by: deltaE(see(front), see(behind)) }));
    const most = told.reduce((best, one) => (one.by > best.by ? one : best), { cue: 'body' as Cue, by: 0 });
    return { eyes, ...most };
  });
}

/** The least that all eyes are given. */
export function leastDifference(windows: Windows, palettes: readonly Palette[]): number {
  return Math.min(...palettes.flatMap((palette) => differences(windows, palette).map(({ by }) => by)));
}

/** The same windows with the others' titles dimmed as little as tells the front one apart; null where it is told already. */
export function toldApart(windows: Windows, palettes: readonly Palette[]): Windows['behind'] | null {
  if (leastDifference(windows, palettes) >= AT_A_GLANCE) return null;
  for (let dims = windows.behind.dims; dims <= 80; dims += 5) {
    const behind = { ...windows.behind, dims };
    if (leastDifference({ ...windows, behind }, palettes) >= AT_A_GLANCE) return behind;
  }
  for (let opacity = windows.behind.opacity; opacity >= 20; opacity -= 5) {
    const behind = { ...windows.behind, dims: 80, opacity };
    if (leastDifference({ ...windows, behind }, palettes) >= AT_A_GLANCE) return behind;
  }
  return null;
}
