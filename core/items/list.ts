import { byType, type AnyItemKind } from '../kinds/kind.ts';
import { application } from './application/application.ts';
import { clock } from './clock/clock.ts';
import { date } from './date/date.ts';
import { divider } from './divider/divider.ts';
import { gap } from './gap/gap.ts';
import { half } from './half/half.ts';
import { label } from './label/label.ts';
import { daylight } from './daylight/daylight.ts';
import { picture } from './picture/picture.ts';
import { menuButtons } from './menu-button.ts';
import { overview } from './overview/overview.ts';
import { playing } from './playing/playing.ts';
import { reading } from './reading/reading.ts';
import { session } from './session/session.ts';
import { spring } from './spring/spring.ts';
import { tray } from './tray/tray.ts';
import { volume } from './volume/volume.ts';
import { clearView } from './clear-view/clear-view.ts';
import { frontMenus } from './front-menus/front-menus.ts';
import { frontTitle } from './front-title/front-title.ts';
import { openWindows } from './open-windows/open-windows.ts';
import { workspaces } from './workspaces/workspaces.ts';

/** Every kind of item. Add a new one here. */
export const itemKinds = [
  ...menuButtons,
  application,
  workspaces,
  openWindows,
  frontTitle,
  frontMenus,
  clearView,
  overview,
  tray,
  clock,
  date,
  daylight,
  reading,
  playing,
  volume,
  half,
  session,
  label,
  picture,
  gap,
  spring,
  divider,
] as const;

export type ItemType = (typeof itemKinds)[number]['type'];
type KindOf<Type extends ItemType> = Extract<(typeof itemKinds)[number], { type: Type }>;
export type ItemFaceOf<Type extends ItemType> = KindOf<Type>['faces'][number]['id'];
export type ItemViewOf<Type extends ItemType> = ReturnType<KindOf<Type>['view']>;
export type ItemLayoutOf<Type extends ItemType> = ReturnType<KindOf<Type>['layout']>;

/** The kind of a type; throws on one that is not listed. */
export const itemKindOf = byType<AnyItemKind>('Item type', itemKinds);
