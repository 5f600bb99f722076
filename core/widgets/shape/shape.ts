import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { TypeOption, colourOption } from '../../kinds/options.ts';
import { field, fieldWhen } from '../../values/field.ts';

const faces = [
  { id: 'line', title: 'Line', isApart: true },
  { id: 'box', title: 'Box', isApart: true },
  { id: 'ring', title: 'Ring', isApart: true },
  { id: 'arc', title: 'Arc', isApart: true },
  { id: 'brackets', title: 'Brackets', isApart: true },
  { id: 'words', title: 'Words', isApart: true },
] as const;

const isOf =
  (...some: string[]) =>
  (_: unknown, face: string | null) =>
    face !== null && some.includes(face);

/** Percent: fainter than that nobody sees it. */
const LEAST_OPACITY = 5;

const options = z.looseObject({
  text: field(z.string().max(200).default('Marrow Point'), {
    label: 'Text',
    is: 'content',
    isWide: true,
    when: isOf('words'),
  }),
  width: field(z.number().int().min(1).max(4000).default(220), {
    label: 'Width',
    is: 'place',
    unit: 'px',
    step: 10,
    when: (_, face) => face !== 'words',
  }),
  height: field(z.number().int().min(1).max(4000).default(140), {
    label: 'Height',
    is: 'place',
    unit: 'px',
    step: 10,
    when: isOf('box', 'brackets'),
  }),
  thick: field(z.number().min(0.5).max(200).default(4), {
    label: 'Thickness',
    unit: 'px',
    control: 'slider',
    step: 0.5,
    decimals: 1,
    when: (_, face) => face !== 'words',
  }),
  radius: field(z.number().min(0).max(400).default(12), {
    label: 'Corner radius',
    unit: 'px',
    control: 'slider',
    when: isOf('box'),
  }),
  filled: field(z.boolean().default(false), { label: 'Filled', when: isOf('box', 'ring') }),
  begins: field(z.number().min(0).max(360).default(220), {
    label: 'From',
    is: 'place',
    unit: '°',
    control: 'slider',
    when: isOf('arc'),
  }),
  ends: field(z.number().min(0).max(720).default(500), {
    label: 'To',
    is: 'place',
    unit: '°',
    control: 'slider',
    when: isOf('arc'),
  }),
  dashed: field(z.number().min(0).max(100).default(0), {
    label: 'Dashes',
    unit: 'px',
    control: 'slider',
    when: isOf('line', 'box', 'ring', 'arc'),
  }),
  size: field(z.number().min(8).max(400).default(64), {
    label: 'Size',
    unit: 'px',
    control: 'slider',
    when: isOf('words'),
  }),
  spacing: field(z.number().min(-10).max(100).default(0), {
    label: 'Spacing',
    unit: '%',
    control: 'slider',
    when: isOf('words'),
  }),
  turn: field(z.number().min(-180).max(180).default(0), {
    label: 'Rotation',
    is: 'place',
    unit: '°',
    control: 'slider',
    when: isOf('line', 'box', 'brackets'),
  }),
  opacity: field(z.number().min(LEAST_OPACITY).max(100).default(100), {
    label: 'Opacity',
    unit: '%',
    control: 'slider',
    group: 'Letters and colours',
    when: (_, face) => face !== 'words',
  }),
  type: fieldWhen(TypeOption, isOf('words')),
  colour: colourOption('ink', undefined, {
    withOpacity: (percent) => ({ opacity: Math.max(LEAST_OPACITY, percent) }),
  }),
});
export type ShapeOptions = z.output<typeof options>;
export type ShapeFace = (typeof faces)[number]['id'];

export const shape = defineWidget({
  type: 'shape',
  title: 'Shape',
  summary: 'A line, a box, a ring, brackets or words that tie things together',
  also: 'line rectangle circle divider frame text title decoration',
  faces,
  options,
  startsBare: () => true,
  typed: 'text',
  needs: () => [],
  load: () => import('./work.ts'),
});
