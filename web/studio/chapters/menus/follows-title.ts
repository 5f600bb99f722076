import type { MenuKind } from '../../../../core/menus/schema.ts';

/** What the switch is called by which a menu has no finish of its own. */
export function followsTitle({ comesWith }: MenuKind): string {
  return comesWith ? 'As it comes' : 'As the desk’s';
}
