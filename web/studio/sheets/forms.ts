import type { z } from 'zod';
import { Screens } from '../../../core/desk/shapes/screens.ts';
import { Workspaces } from '../../../core/desk/shapes/workspaces.ts';
import { GeoPlace } from '../../../core/values/earth.ts';
import type { Sheet } from '../../stores/view.ts';

/** Forms that open over the studio, so that their fields are found by their names. */
export const sheetForms: readonly { sheet: Exclude<Sheet, null>; title: string; schema: z.ZodObject }[] = [
  { sheet: 'place', title: 'Place', schema: GeoPlace },
  { sheet: 'screen', title: 'Screens', schema: Screens.element },
  { sheet: 'workspaces', title: 'Workspaces', schema: Workspaces.element },
];
