import { field, type FieldFacts } from './field.ts';
import { z } from 'zod';
import { Colour } from './roles.ts';
import type { TypeOf } from './types.ts';

export const finishKinds = ['bare', 'matte', 'sheer', 'frosted'] as const;

/** How a surface is made. */
export const Finish = z.looseObject({
  kind: field(z.enum(finishKinds), {
    label: 'Finish',
    hint: 'Bare has no surface; matte hides what lies beneath, sheer lets it through, frosted blurs it',
    isWide: true,
    choices: { bare: 'Bare', matte: 'Matte', sheer: 'Sheer', frosted: 'Frosted' },
  }),
  tint: field(Colour.clone(), {
    label: 'Tint',
    hint: 'The colour of its surface',
    control: 'colour',
    // A tint that lets something through is that of a sheer surface.
    withOpacity: (opacity, { kind }) => (kind === 'matte' ? { opacity, kind: 'sheer' } : { opacity }),
    when: isSurface,
  }),
  opacity: amount(
    100,
    '%',
    'Opacity',
    'How much of its tint there is, in percent; the rest shows through',
    showsThrough,
  ),
  blur: amount(60, 'px', 'Blur', 'px, of what lies beneath; frosted only', ({ kind }) => kind === 'frosted'),
  radius: amount(80, 'px', 'Corner radius', 'px', isSurface),
  edgeLine: field(z.number().min(0).max(8).meta({ description: 'Width of the line around, in px' }), {
    label: 'Outline',
    hint: 'The line around it',
    unit: 'px',
    control: 'slider',
    step: 0.5,
    decimals: 1,
    when: isSurface,
  }),
  shadow: field(z.number().min(0).max(100).meta({ description: 'Depth of the shadow, in percent' }), {
    label: 'Shadow',
    hint: 'Under a surface a shadow; behind what is bare, a shade that it reads on',
    labelFor: ({ kind }) => (kind === 'bare' ? 'Shade' : 'Shadow'),
    unit: '%',
    control: 'slider',
  }),
});
export type Finish = TypeOf<typeof Finish>;

type When = NonNullable<FieldFacts['when']>;

function isSurface({ kind }: Parameters<When>[0]): boolean {
  return kind !== 'bare';
}

function showsThrough({ kind }: Parameters<When>[0]): boolean {
  return kind === 'sheer' || kind === 'frosted';
}

function amount(max: number, unit: string, label: string, description: string, when: When) {
  return field(z.number().min(0).max(max).meta({ description }), {
    label,
    unit,
    control: 'slider',
    decimals: 1,
    when,
  });
}

/** A bare finish with the tint of another, so that one press makes it a surface again. */
export function bareFinish(of: Finish): Finish {
  return { ...of, kind: 'bare', shadow: 0 };
}

export const OwnFinish = Finish.nullable().meta({ description: "Null follows the desk's finish" });
