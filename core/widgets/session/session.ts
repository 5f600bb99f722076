import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { field } from '../../values/field.ts';
import { buttonFaces, buttonShape } from '../buttons.ts';

const shown = (label: string) => field(z.boolean().default(true), { label, is: 'content' });

const options = z.looseObject({
  lock: shown('Lock'),
  sleep: shown('Sleep'),
  restart: shown('Restart'),
  leave: shown('Leave'),
  ...buttonShape(56),
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
