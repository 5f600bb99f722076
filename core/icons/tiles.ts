import type { Icons } from './schema.ts';
import { toHex, toLch } from '../values/colour.ts';
import type { Palette } from '../colour/look.ts';

/** The tile under an application's icon and the icon on it, as #rrggbb. */
export interface Tile {
  tile: string;
  onTile: string;
}

/** Hues this far apart, one after another, spread evenly however many there are. */
const GOLDEN_ANGLE = 137.508;

const none: Readonly<Record<string, Tile>> = {};
const known = new WeakMap<Palette, WeakMap<object, Readonly<Record<string, Tile>>>>();

/** Tiles by the id of their application; the same object for the same palette, icons and applications. */
export function tilesOf(
  icons: Icons,
  palette: Palette,
  applications: readonly { id: string }[],
): Readonly<Record<string, Tile>> {
  if (icons.tile === 'none') return none;
  let ofPalette = known.get(palette);
  if (!ofPalette) known.set(palette, (ofPalette = new WeakMap()));
  const cached = ofPalette.get(icons);
  if (cached && applications.every(({ id }) => id in cached)) return cached;
  const accent = toLch(palette.colour('accent'));
  const tiles = Object.fromEntries(
    applications.map(({ id }, index): [string, Tile] => {
      const tile =
        icons.tileColour === 'application'
          ? toHex({ l: accent.l, c: Math.max(0.06, accent.c), h: (accent.h + index * GOLDEN_ANGLE) % 360 })
          : palette.colour(icons.tileColour);
      return [id, { tile, onTile: palette.textOn('ink', tile) }];
    }),
  );
  ofPalette.set(icons, tiles);
  return tiles;
}
