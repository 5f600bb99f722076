import type { z } from 'zod';
import { lookUp } from '../../../core/values/look-up.ts';
import { presentDesk } from '../../session/desk.ts';
import type { Values } from './control.ts';
import { controlOf, fieldsOf } from './schema.ts';

/** What tells a record from others: the first words that stand in it, by the name of what they are the id of. */
export function toldOf(schema: z.ZodObject, entry: Values): string {
  const desk = presentDesk();
  for (const [key, shape] of fieldsOf(schema)) {
    const value = lookUp(entry, key);
    if (typeof value !== 'string' || value === '') continue;
    switch (controlOf(shape)) {
      case 'application':
        return desk?.applications.find(({ id }) => id === value)?.Name ?? value;
      case 'wall-folder':
        return desk?.menus.appWall.folders.find(({ id }) => id === value)?.name ?? value;
      default:
        return value;
    }
  }
  return '';
}
