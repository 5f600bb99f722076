import type { Desk } from '../../core/desk/desk.ts';
import { learnMissing, learnTextOf } from '../../core/scene/text.ts';
import { ownFontAddress } from '../api/addresses.ts';
import { persist } from '../later.ts';
import { loadIconSet } from '../render/icons.tsx';
import { ownFontName } from '../render/type.ts';

/** Fonts of one's own that this page has asked for. */
const asked = new Set<string>();

/** Fetches what a desk is drawn with besides its picture, before it is shown. */
export async function prepareDrawing(desk: Desk): Promise<void> {
  askForOwnFonts(desk);
  await Promise.all([persist(() => learnTextOf(desk)), loadIconSet(desk.look.icons.set)]);
}

/** Makes the type of a desk that was changed ready: widths are learned, fonts of one's own fetched. Null when all is there. */
export function prepareType(desk: Desk): Promise<unknown> | null {
  askForOwnFonts(desk);
  const learn = learnMissing(desk);
  return learn && persist(learn);
}

function askForOwnFonts(desk: Desk): void {
  for (const { id } of desk.look.ownFonts) {
    if (asked.has(id)) continue;
    asked.add(id);
    const face = new FontFace(ownFontName(id), `url(${ownFontAddress(id)})`, { weight: '1 1000' });
    document.fonts.add(face);
    // The browser checks a font too; one that it refuses leaves the fallback in its place.
    face.load().catch(() => asked.delete(id));
  }
}
