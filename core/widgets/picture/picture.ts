import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { colourOption } from '../../kinds/options.ts';
import { OwnFile } from '../../values/family.ts';
import { field } from '../../values/field.ts';
import { refers } from '../../values/references.ts';

const faces = [
  { id: 'bare', title: 'Bare' },
  { id: 'framed', title: 'In a frame' },
  { id: 'round', title: 'Round' },
  { id: 'arch', title: 'Arch' },
  { id: 'hexagon', title: 'Hexagon' },
] as const;

const MOST_PICTURES = 60;

const options = z.looseObject({
  pictures: field(z.array(refers(OwnFile.clone(), 'picture')).max(MOST_PICTURES).default([]), {
    label: 'Pictures',
    is: 'content',
    control: 'photos',
    isWide: true,
  }),
  minutes: field(z.number().int().min(1).max(10_080).default(10), {
    label: 'Change every',
    is: 'content',
    control: 'duration',
    when: ({ pictures }) => Array.isArray(pictures) && pictures.length > 1,
  }),
  width: field(z.number().int().min(40).max(3000).default(300), {
    label: 'Width',
    is: 'place',
    unit: 'px',
    step: 20,
  }),
  height: field(z.number().int().min(40).max(3000).default(220), {
    label: 'Height',
    is: 'place',
    unit: 'px',
    step: 20,
    when: (_, face) => face !== 'round' && face !== 'hexagon',
  }),
  near: field(z.number().min(100).max(400).default(100), {
    label: 'Zoom',
    is: 'content',
    unit: '%',
    control: 'slider',
    group: 'Cut',
  }),
  across: field(z.number().min(0).max(100).default(50), {
    label: 'Across',
    is: 'content',
    unit: '%',
    control: 'slider',
    group: 'Cut',
  }),
  down: field(z.number().min(0).max(100).default(50), {
    label: 'Down',
    is: 'content',
    unit: '%',
    control: 'slider',
    group: 'Cut',
  }),
  turn: field(z.number().min(-45).max(45).default(0), {
    label: 'Rotation',
    is: 'place',
    unit: '°',
    control: 'slider',
    group: 'Shape',
  }),
  radius: field(z.number().min(0).max(200).default(10), {
    label: 'Corner radius',
    unit: 'px',
    control: 'slider',
    group: 'Shape',
    when: (_, face) => face === 'bare' || face === 'framed',
  }),
  border: field(z.number().min(0).max(80).default(14), {
    label: 'Border',
    unit: 'px',
    control: 'slider',
    group: 'Shape',
    when: (_, face) => face === 'framed',
  }),
  tint: field(z.number().min(0).max(100).default(0), {
    label: 'Tinted',
    unit: '%',
    control: 'slider',
    group: 'Letters and colours',
  }),
  colour: colourOption('accent', 'Tint'),
  frame: colourOption('surface', 'Frame'),
});
export type PictureOptions = z.output<typeof options>;
export type PictureFace = (typeof faces)[number]['id'];

export const picture = defineWidget({
  type: 'picture',
  title: 'Picture',
  summary: 'A picture of yours, or some in turn',
  also: 'photo image gallery slideshow frame',
  faces,
  options,
  startsBare: () => true,
  needs: ({ pictures }) => (pictures.length > 1 ? [{ source: 'time', every: 'minute' }] : []),
  load: () => import('./work.ts'),
});
