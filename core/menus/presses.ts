import { z } from 'zod';
import { deskActTitles, type DeskAct } from './acts.ts';
import { field } from '../values/field.ts';
import type { TypeOf } from '../values/types.ts';

/** What a press on an item can do, whatever its kind. */
export const pressActs = { own: 'What it is for', none: 'Nothing', ...deskActTitles } as const;
export type PressAct = 'own' | 'none' | DeskAct;
const acts = Object.keys(pressActs) as [PressAct, ...PressAct[]];

const press = (label: string) => field(z.enum(acts), { label, choices: pressActs });

/** What the buttons of a pointer and its wheel do on an item. */
export const Presses = z.looseObject({
  left: press('Left'),
  middle: press('Middle'),
  right: press('Right'),
  wheel: field(z.enum(['none', 'workspaces']), {
    label: 'Wheel',
    choices: { none: 'Nothing', workspaces: 'Workspaces' },
  }),
});
export type Presses = TypeOf<typeof Presses>;

export const plainPresses: Presses = { left: 'own', middle: 'none', right: 'none', wheel: 'none' };

export function isPlain({ left, middle, right, wheel }: Presses): boolean {
  return left === 'own' && middle === 'none' && right === 'none' && wheel === 'none';
}
