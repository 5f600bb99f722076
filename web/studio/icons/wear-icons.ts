import { edits } from '../../../core/desk/edits/edits.ts';
import { named } from '../../../core/desk/edits/edit.ts';
import type { Edit } from '../../../core/desk/edits/edit.ts';
import { stylesOf, type Icons, type IconSetName, type WornIcons } from '../../../core/icons/schema.ts';
import type { Half } from '../../../core/values/roles.ts';
import type { ListedIconSet } from '../../../core/wire/wire.ts';

/** What is drawn in a half. */
export function wornIn(icons: Icons, half: Half): WornIcons {
  return half === 'dark' && icons.dark ? icons.dark : icons;
}

/** A change of what is drawn: of both halves, unless the dark one has something of its own. */
export function wearing(icons: Icons, half: Half, change: Partial<WornIcons>, label = 'Icons'): Edit {
  const changed: Partial<Icons> =
    half === 'dark' && icons.dark ? { dark: { ...icons.dark, ...change } } : change;
  return named(label, edits.setLook({ icons: { ...icons, ...changed } }));
}

/** One of our sets, in the style that is worn where it has that. */
export function ourSet(set: IconSetName, { style }: Pick<WornIcons, 'style'>): Partial<WornIcons> {
  const [first] = stylesOf[set];
  return { set, own: null, style: stylesOf[set].includes(style) || !first ? style : first };
}

/** A set of one's own. One of mostly one colour would be black on dark: it takes the ink of what it stands on. */
export function ownSet(set: ListedIconSet, { ink }: Pick<WornIcons, 'ink'>): Partial<WornIcons> {
  const isInked = set.oneColour > set.pictures / 2;
  return {
    own: { set: `own:${set.id}`, name: set.name, style: set.styles[0] ?? '' },
    ...(ink.way === 'plain' && isInked ? { ink: { way: 'one', ink: 'ink' } } : {}),
  };
}
