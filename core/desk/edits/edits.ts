import { arrangementEdits } from './arrangements.ts';
import { backdropEdits } from './backdrops.ts';
import { carryEdits } from './carry.ts';
import { deskEdits } from './desk.ts';
import { desktopIconEdits } from './desktop-icons.ts';
import { dressEdits } from './dress.ts';
import { edgeEdits } from './edges.ts';
import { groupEdits } from './groups.ts';
import { keyEdits } from './keys.ts';
import { kitEdits } from './kits.ts';
import { lookEdits } from './look.ts';
import { menuEdits } from './menus.ts';
import { partEdits } from './parts.ts';
import { sharedEdits } from './shared.ts';
import { sourceEdits } from './sources.ts';
import { widgetEdits } from './widgets.ts';
import { windowEdits } from './windows.ts';

/**
 * Every change of a desk has a name here. What names a part that is not there changes nothing. Positions come from the
 * scene: edits that keep a part where it stands take its solved rectangle.
 */
export const edits = {
  ...deskEdits,
  ...backdropEdits,
  ...lookEdits,
  ...kitEdits,
  ...edgeEdits,
  ...menuEdits,
  ...keyEdits,
  ...sourceEdits,
  ...widgetEdits,
  ...dressEdits,
  ...sharedEdits,
  ...groupEdits,
  ...arrangementEdits,
  ...windowEdits,
  ...desktopIconEdits,
  ...partEdits,
  ...carryEdits,
};
