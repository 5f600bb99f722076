import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { TypeOption, colourOption } from '../../kinds/options.ts';
import { field } from '../../values/field.ts';
import { buttonFaces } from '../buttons.ts';

const shown = (label: string) => field(z.boolean().default(true), { label, isContent: true });

const options = z.looseObject({
  lock: shown('Lock'),
  sleep: shown('Sleep'),
  restart: shown('Restart'),
  leave: shown('Leave'),
  size: field(z.number().min(24).max(160).default(56), { label: 'Size', unit: 'px', control: 'slider' }),
  upright: field(z.boolean().default(false), {
    label: 'One beneath another',
    when: (_, face) => face !== 'list',
  }),
  type: TypeOption,
  colour: colourOption('accent', 'Marks'),
});
export type SessionOptions = z.output<typeof options>;

export const session = defineWidget({
  type: 'session',
  title: 'Session',
  summary: 'Lock, sleep, restart or leave; it says what it would do',
  also: 'power off shutdown logout suspend reboot lock',
  faces: buttonFaces,
  options,
  startsBare: () => true,
  needs: () => [],
  load: () => import('./work.ts'),
});
