import type { MenuKey, Menus } from '../../menus/schema.ts';
import { prune } from '../../values/references.ts';
import { sections } from '../sections/list.ts';
import type { Application } from '../shapes/applications.ts';
import { byId, editOf } from './edit.ts';

/** Changes of the menus, and of the applications that stand on them. */
export const menuEdits = {
  setMenu: <Key extends MenuKey>(key: Key, change: Partial<Menus[Key]>) =>
    editOf('Menu', (desk) => void Object.assign(desk.menus[key], change)),

  setCategories: (categories: Menus['categories']) =>
    editOf('Categories', (desk) => void (desk.menus.categories = categories)),

  setApplication: (id: string, change: Partial<Omit<Application, 'id'>>) =>
    editOf('Application', (desk) => {
      const application = byId(desk.applications, id);
      if (application) Object.assign(application, change);
    }),

  addApplications: (added: readonly Application[]) =>
    editOf('Add applications', (desk) => void desk.applications.push(...structuredClone([...added]))),

  orderApplications: (ids: readonly string[]) =>
    editOf('Order of applications', (desk) => {
      const at = new Map(ids.map((id, index) => [id, index]));
      desk.applications.sort((a, b) => (at.get(a.id) ?? Infinity) - (at.get(b.id) ?? Infinity));
    }),

  /** Takes applications away, and whatever names them. */
  removeApplications: (ids: readonly string[]) =>
    editOf('Remove applications', (desk) => {
      const gone = new Set(ids);
      desk.applications = desk.applications.filter(({ id }) => !gone.has(id));
      for (const { key, schema } of sections) prune(schema, desk[key], 'application', gone);
    }),
};
