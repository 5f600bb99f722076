import type { GeoPlace } from '../../values/earth.ts';
import type { Desk } from '../desk.ts';
import type { Screen } from '../shapes/screens.ts';
import { byId, editOf } from './edit.ts';

/** Changes of the desk as a whole: its name and place, its screens and workspaces. */
export const deskEdits = {
  rename: (name: string) => editOf('Rename', (desk) => void (desk.name = name)),

  setPlaceOnEarth: (place: GeoPlace) => editOf('Place', (desk) => void (desk.place = place)),

  /** Another state of the same desk, from its history. */
  replace: (state: Desk) => editOf('Go back', (desk) => void Object.assign(desk, state, { id: desk.id })),

  setScreen: (id: string, change: Partial<Omit<Screen, 'id'>>) =>
    editOf('Screen', (desk) => {
      const screen = byId(desk.screens, id);
      if (screen) Object.assign(screen, change);
    }),

  addScreen: (screen: Screen) => editOf('Add screen', (desk) => void desk.screens.push(screen)),

  addWorkspace: (id: string, name: string) =>
    editOf('Add workspace', (desk) => void desk.workspaces.push({ id, name })),

  renameWorkspace: (id: string, name: string) =>
    editOf('Rename workspace', (desk) => {
      const workspace = byId(desk.workspaces, id);
      if (workspace) workspace.name = name;
    }),
};
