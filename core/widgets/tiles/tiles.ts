import { z } from 'zod';
import { nextSlot, type LatticeSize, type lattices } from '../../arrange/lattice.ts';
import { defineWidget } from '../../kinds/kind.ts';
import { TypeOption, colourOption } from '../../kinds/options.ts';
import { linkUpTo } from '../../values/link.ts';
import { field, fieldWhen } from '../../values/field.ts';
import { refers } from '../../values/references.ts';

const titles = {
  diamonds: 'Diamonds',
  hexagons: 'Hexagons',
  squares: 'Squares',
  triangles: 'Triangles',
  circles: 'Circles',
} as const;
const order = [
  'diamonds',
  'hexagons',
  'squares',
  'triangles',
  'circles',
] as const satisfies readonly (typeof lattices)[number][];
const faces = order.map((id) => ({ id, title: titles[id] }));

const MOST_CELLS = 120;

/** One cell: what it starts or opens, what it shows, and its place in the lattice. */
export const Cell = z.looseObject({
  application: refers(
    field(z.string().max(64).default(''), { label: 'Starts', control: 'application' }),
    'application',
    'holder',
  ),
  folder: refers(
    field(z.string().max(64).default(''), {
      label: 'Folder',
      control: 'wall-folder',
      when: ({ application }) => application === '',
    }),
    'folder',
    'name',
  ),
  link: field(linkUpTo(300).default(''), {
    label: 'Opens',
    placeholder: 'https://… where it starts nothing',
    isWide: true,
    when: ({ application, folder }) => application === '' && !folder,
  }),
  name: field(z.string().max(60).default(''), { label: 'Name', placeholder: 'as the application' }),
  icon: field(z.string().max(120).default(''), { label: 'Picture', control: 'own-picture' }),
  fills: field(z.boolean().default(false), { label: 'It fills the cell' }),
  a: z.number().int().min(-200).max(200).default(0),
  b: z.number().int().min(-200).max(200).default(0),
});
export type Cell = z.output<typeof Cell>;

const starters: Cell[] = [
  'tallybook',
  'chart-table',
  'wavebox',
  'postbag',
  'field-camera',
  'files',
  'terminal',
].map((application, index) => ({
  application,
  folder: '',
  link: '',
  name: '',
  icon: '',
  fills: false,
  // Around the first.
  a: [0, 0, -1, -1, 0, 1, -1][index] ?? 0,
  b: [0, 1, 1, -1, -1, 0, 0][index] ?? 0,
}));

/** How large a cell is, and how far off the next. */
const Spacing = z.looseObject({
  size: field(z.number().min(24).max(400).default(96), {
    label: 'Size',
    is: 'place',
    unit: 'px',
    control: 'slider',
    group: 'Shape',
  }),
  gap: field(z.number().min(0).max(60).default(8), {
    label: 'Gap',
    unit: 'px',
    control: 'slider',
    group: 'Shape',
  }),
});

const options = z.looseObject({
  cells: field(
    z
      .array(Cell)
      .max(MOST_CELLS)
      .default(() => starters.map((cell) => ({ ...cell }))),
    {
      label: 'Cells',
      one: 'Cell',
      is: 'content',
      // In the free place that is nearest to the others.
      starts(entries, { values, face }) {
        const lattice = order.find((one) => one === face) ?? order[0];
        const size = sizeFor(lattice, Spacing.parse(values));
        return { ...Cell.parse({}), ...nextSlot(z.array(Cell).parse(entries), size) };
      },
    },
  ),
  ...Spacing.shape,
  rounded: field(z.number().min(0).max(100).default(20), {
    label: 'Corner radius',
    unit: '%',
    control: 'slider',
    group: 'Shape',
    when: (_, face) => face !== 'circles',
  }),
  turn: field(z.number().min(-180).max(180).default(0), {
    label: 'Rotation',
    unit: '°',
    control: 'slider',
    group: 'Shape',
  }),
  labels: field(z.boolean().default(false), { label: 'Names', group: 'Letters and colours' }),
  icons: field(z.number().min(20).max(100).default(58), {
    label: 'Icon size',
    unit: '%',
    control: 'slider',
    group: 'Letters and colours',
  }),
  type: fieldWhen(TypeOption, ({ labels }) => labels === true),
  cell: colourOption('surface', 'Cells', { withOpacity: (opacity) => ({ opacity }) }),
  opacity: field(z.number().min(0).max(100).default(88), {
    label: 'Opacity',
    unit: '%',
    control: 'slider',
    group: 'Letters and colours',
  }),
  line: field(z.number().min(0).max(3).default(0), {
    label: 'Outline',
    unit: 'px',
    control: 'slider',
    step: 0.5,
    decimals: 1,
    group: 'Letters and colours',
  }),
});
export type TilesOptions = z.output<typeof options>;
export type TilesFace = (typeof order)[number];

export const tiles = defineWidget({
  type: 'tiles',
  title: 'Tiles',
  summary: 'Applications, folders and links as cells that lock together',
  also: 'launcher icons shortcuts hexagon diamond comb grid cells folder',
  faces,
  options,
  startsBare: () => true,
  needs: () => [],
  load: () => import('./work.ts'),
});

/** Of a triangle the circle within is small beside it. */
const RADIUS: Record<TilesFace, number> = {
  squares: 0.5,
  hexagons: 0.5,
  circles: 0.5,
  diamonds: 0.44,
  triangles: 0.36,
};

export function sizeFor(face: TilesFace, { size, gap }: z.output<typeof Spacing>): LatticeSize {
  return { lattice: face, radius: size * RADIUS[face], gap };
}
