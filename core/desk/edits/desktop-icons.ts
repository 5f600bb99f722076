import type { DesktopIcons } from '../../icons/desktop.ts';
import { editOf } from './edit.ts';

/** Changes of the icons on the bare desk. */
export const desktopIconEdits = {
  setDesktopIcons: (change: Partial<DesktopIcons>) =>
    editOf('Desktop icons', (desk) => void Object.assign(desk.desktopIcons, change)),
};
