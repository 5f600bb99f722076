import type { Desk } from '../../core/desk/schema.ts';
import { isOwn } from '../../core/desk/values.ts';
import { familiesOf, learnFamilies } from '../../core/text/families.ts';
import { knowsFamily } from '../../core/text/measure.ts';
import { ownFontAddress } from '../api/addresses.ts';
import { persist } from '../later.ts';
import { loadIconSet } from '../render/icons.tsx';
import { ownFontName } from '../render/type.ts';

/** Fonts of one's own that this page has asked for. */
const asked = new Set<string>();

/** Fetches what a desk is drawn with besides its picture, before it is shown. */
export async function prepareDrawing(desk: Desk): Promise<void> {
  await Promise.all([prepareType(desk), loadIconSet(desk.look.icons.set)]);
}

/** Makes a desk's type ready: its widths are learned, fonts of one's own are fetched. Null when all is there. */
export function prepareType(desk: Desk): Promise<void> | null {
  for (const { id } of desk.look.ownFonts) {
    if (asked.has(id)) continue;
    asked.add(id);
    const face = new FontFace(ownFontName(id), `url(${ownFontAddress(id)})`, { weight: '1 1000' });
    document.fonts.add(face);
    // The browser checks a font too; one that it refuses leaves the fallback in its place.
    face.load().catch(() => asked.delete(id));
  }
  const missing = familiesOf(desk).filter((family) => !isOwn(family) && !knowsFamily(family));
  return missing.length > 0 ? persist(() => learnFamilies(missing)) : null;
}
