import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { deskActNames, deskActTitles } from '../../menus/acts.ts';
import { field } from '../../values/field.ts';
import { buttonFaces, buttonShape } from '../buttons.ts';

const options = z.looseObject({
  acts: field(
    z
      .array(
        z.looseObject({
          act: field(z.enum([...deskActNames, 'workspace']).default('half'), {
            label: 'Does',
            choices: { ...deskActTitles, workspace: 'Go to a workspace' },
            isWide: true,
          }),
          number: field(z.number().int().min(1).max(32).default(1), {
            label: 'Number',
            when: ({ act }) => act === 'workspace',
          }),
        }),
      )
      .max(24)
      .default(() => [
        { act: 'half' as const, number: 1 },
        { act: 'next-backdrop' as const, number: 1 },
        { act: 'effects' as const, number: 1 },
        { act: 'quiet' as const, number: 1 },
      ]),
    { label: 'Switches', one: 'Switch', starts: () => ({ act: 'workspace', number: 1 }), is: 'content' },
  ),
  ...buttonShape(48),
});
export type SwitchesOptions = z.output<typeof options>;

export const switches = defineWidget({
  type: 'switches',
  title: 'Switches',
  summary: 'Light and dark, backdrop, effects, quiet, workspaces',
  also: 'toggle buttons night mode quiet wallpaper effects power quick settings',
  faces: buttonFaces,
  options,
  startsBare: () => false,
  needs: () => [],
  load: () => import('./work.ts'),
});
