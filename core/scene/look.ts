import type { Palettes } from '../backdrop/tones.ts';
import type { Palette } from '../colour/look.ts';
import { drawnOver } from '../colour/roles.ts';
import { tilesOf } from '../icons/tiles.ts';
import type { Desk } from '../desk/desk.ts';
import { wordsOfApplication } from '../icons/words-of-application.ts';
import { stylesOf, type Ink } from '../icons/schema.ts';
import type { FontMetrics, FontUse } from '../text/schema.ts';
import type { Look } from '../look/schema.ts';
import type { Fonts } from '../kinds/layout.ts';
import { ownLibrary, type Library } from '../values/library.ts';
import { fontBook, type DeskFont, type FontInUse } from '../text/cuts.ts';
import type { Conditions } from './conditions.ts';
import type { Half } from '../values/roles.ts';
import type { Scene, SceneIcons, SceneInk } from './scene.ts';

const following = new WeakMap<Look, { palettes: Palettes; roles: Look['roles'] }>();

/**
 * The roles of a desk as they are: its own, or drawn from what lies behind its first screen where they follow that and it is
 * known; the same object for the same.
 */
export function rolesNow(
  { look, screens }: Pick<Desk, 'look' | 'screens'>,
  { roles = null, tones }: Pick<Conditions, 'roles' | 'tones'>,
): Look['roles'] {
  const palettes = look.follows && tones?.get(screens[0]?.id ?? '')?.palettes;
  if (roles || !look.follows || !palettes) return roles ?? look.roles;
  let known = following.get(look);
  if (known?.palettes !== palettes)
    following.set(
      look,
      (known = { palettes, roles: { ...look.roles, ...drawnOver(palettes[look.follows], look) } }),
    );
  return known.roles;
}

const fontCache = new WeakMap<Look['fonts'], { ownFonts: Look['ownFonts']; fonts: Fonts }>();

/** The fonts of a look with the widths of one's own; the same object for the same ones. */
export function fontsOf({ fonts: uses, ownFonts }: Look, library: Library = ownLibrary): Fonts {
  const book = library.on(fontBook);
  const known = fontCache.get(uses);
  if (known?.ownFonts === ownFonts && known.fonts.text.book === book) return known.fonts;
  const own = new Map<string, FontMetrics>(ownFonts.map(({ id, metrics }) => [id, metrics]));
  const font = (use: FontUse): DeskFont => ({ ...use, metrics: own.get(use.family) ?? null, book });
  const { display, text, figures } = uses;
  const fonts = { display: font(display), text: font(text), figures: font(figures) };
  fontCache.set(uses, { ownFonts, fonts });
  return fonts;
}

const plain = new WeakMap<Fonts, Scene['fonts']>();

/** Fonts as they are drawn, for which nobody measures; the same object for the same ones. */
export function drawnFonts(fonts: Fonts): Scene['fonts'] {
  let drawn = plain.get(fonts);
  if (!drawn) {
    const { display, text, figures } = fonts;
    const without = ({ book: _, ...font }: DeskFont): FontInUse => font;
    plain.set(fonts, (drawn = { display: without(display), text: without(text), figures: without(figures) }));
  }
  return drawn;
}

/** How icons are drawn in a half. */
export function iconsOf({ look: { icons }, applications }: Desk, half: Half, palette: Palette): SceneIcons {
  const { tile, byHand } = icons;
  const { set, own, ink, ...worn } = half === 'dark' && icons.dark ? icons.dark : icons;
  // A set that is not drawn in the wanted style gives its first.
  const style = stylesOf[set].includes(worn.style) ? worn.style : (stylesOf[set][0] ?? 'line');
  return {
    ...{ set, style, own, byHand, tile },
    ink: inkOf(ink, palette),
    tiles: tilesOf(icons, palette, applications),
    words: own ? wordsOf(applications) : noWords,
  };
}

/** The colours of an ink; the ink of the very part stays open. */
function inkOf(ink: Ink, palette: Palette): SceneInk {
  switch (ink.way) {
    case 'plain':
      return { way: 'plain' };
    case 'tint':
      return { way: 'tint', colour: palette.colour(ink.colour), amount: ink.amount };
    case 'two':
      return { way: 'two', dark: palette.colour(ink.dark), light: palette.colour(ink.light) };
    case 'one':
      return { way: 'one', colour: ink.ink === 'ink' ? null : palette.colour(ink.ink) };
  }
}

const noWords: SceneIcons['words'] = {};
const saidBy = new WeakMap<Desk['applications'], SceneIcons['words']>();

function wordsOf(applications: Desk['applications']): SceneIcons['words'] {
  let said = saidBy.get(applications);
  if (!said) {
    said = Object.fromEntries(
      applications.map((application) => [application.id, wordsOfApplication(application)]),
    );
    saidBy.set(applications, said);
  }
  return said;
}

export function pointerOf({ pointer: { set, size, colour } }: Look, palette: Palette): Scene['pointer'] {
  const fill = palette.colour(colour);
  return { set, size, colour: fill, line: palette.textOn('ground', fill) };
}
