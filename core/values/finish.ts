import { z } from 'zod';
import { Colour } from './roles.ts';
import type { TypeOf } from './types.ts';

export const finishKinds = ['bare', 'matte', 'sheer', 'frosted'] as const;
export type FinishKind = (typeof finishKinds)[number];

/** How a surface is made. */
export const Finish = z.looseObject({
  kind: z.enum(finishKinds),
  tint: Colour,
  sheerness: z.number().min(0).max(100).meta({ description: 'How much shows through, in percent' }),
  blur: z.number().min(0).max(60).meta({ description: 'px, of what lies beneath; frosted only' }),
  radius: z.number().min(0).max(80).meta({ description: 'Corner radius in px' }),
  edgeLine: z.number().min(0).max(8).meta({ description: 'Width of the line around, in px' }),
  shadow: z.number().min(0).max(100).meta({ description: 'Depth of the shadow, in percent' }),
});
export type Finish = TypeOf<typeof Finish>;
