import { z } from 'zod';
import type { Drawn } from '../../core/backdrop/drawn.ts';
import { motifNames } from '../../core/backdrop/names.ts';
import { fits, towards } from '../../core/backdrop/schema.ts';
import { HttpProblem } from '../http/problem.ts';

const Share = z.number().min(0).max(1);
const Percent = z.number().min(0).max(100);
const Around = z.number().min(-100).max(100);
const Hex = z.string().regex(/^#[0-9a-f]{6}$/i);
const Length = z.number().min(1).max(131072);
const Focal = z.object({ x: Share, y: Share });

const Source = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('motif'),
    motif: z.enum(motifNames),
    seed: z
      .number()
      .int()
      .min(0)
      .max(2 ** 31),
    controls: z.record(z.string().max(40), Percent),
    colours: z.array(Hex).min(1).max(16).nullable(),
    sky: z
      .object({
        sun: z.number().min(-90).max(90),
        isRising: z.boolean(),
        moon: z.number().min(-90).max(90),
        phase: Share,
      })
      .nullable(),
  }),
  z.object({
    kind: z.literal('picture'),
    picture: z.string().regex(/^[0-9a-f]{64}$/),
    fit: z.enum(fits),
    focal: Focal,
    turn: z.union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)]),
    mirror: z.boolean(),
  }),
  z.object({
    kind: z.literal('gradient'),
    shape: z.enum(['linear', 'radial']),
    angle: z.number().min(0).max(360),
    centre: Focal,
    points: z
      .array(z.object({ at: Share, colour: Hex }))
      .min(2)
      .max(12),
  }),
]);

const DrawnSchema = z.object({
  source: Source,
  adjust: z
    .object({
      blur: z.number().min(0).max(80),
      brightness: Around,
      contrast: Around,
      saturation: Around,
      temperature: Around,
      // Pages that were opened before there were negatives don't say it.
      negative: Percent.default(0),
      twoTone: z.object({ dark: Hex, light: Hex, strength: Percent }),
      tint: z.object({ colour: Hex, strength: Percent }),
      darken: z.object({ toward: z.enum(towards), strength: Percent }),
      grain: Percent,
    })
    .nullable(),
  whole: z.object({ width: Length, height: Length }),
  part: z.object({ x: z.number().min(0), y: z.number().min(0), width: Length, height: Length }),
  ground: Hex,
}) satisfies z.ZodType<Drawn>;

/** What a page wants to have drawn, from the text in an address. Throws HttpProblem. */
export function readDrawn(text: unknown): Drawn {
  let json: unknown;
  try {
    json = JSON.parse(String(text));
  } catch {
    throw new HttpProblem(400, 'Not a backdrop', 'The address does not say what to draw.');
  }
  const parsed = DrawnSchema.safeParse(json);
  if (!parsed.success) {
    const [issue] = parsed.error.issues;
    throw new HttpProblem(
      400,
      'Not a backdrop',
      `The backdrop can't be drawn: ${issue?.path.join('.') ?? ''} ${issue?.message ?? 'is wrong'}.`,
    );
  }
  return parsed.data;
}
