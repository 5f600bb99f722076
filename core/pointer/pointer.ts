import type { PointerSetName } from './schema.ts';

/** Our own pointers, as shapes in a square of 32 units. The hot spot is where the tip is. */
export const pointerShapes = ['arrow', 'hand', 'text', 'busy', 'move', 'stretch'] as const;
export type PointerShape = (typeof pointerShapes)[number];

interface Drawing {
  /** Filled with the colour, with a line around it. */
  body: string;
  hotSpot: readonly [number, number];
}

const beam =
  'M12 3.5c2.2 0 3.3.6 4 1.8.7-1.2 1.8-1.8 4-1.8v3c-1.8 0-2.4.8-2.4 2.6v13.8c0 1.8.6 2.6 2.4 2.6v3c-2.2 0-3.3-.6-4-1.8-.7 1.2-1.8 1.8-4 1.8v-3c1.8 0 2.4-.8 2.4-2.6V9.1c0-1.8-.6-2.6-2.4-2.6z';
const cross =
  'M16 2l4.6 5.2h-3v7.2h7.2v-3L30 16l-5.2 4.6v-3h-7.2v7.2h3L16 30l-4.6-5.2h3v-7.2H7.2v3L2 16l5.2-4.6v3h7.2V7.2h-3z';
const lane = 'M5 5h9l-3.2 3.2 13 13L27 18v9h-9l3.2-3.2-13-13L5 14z';

const drawings: Record<PointerSetName, Record<PointerShape, Drawing>> = {
  // A cut feather: the tip writes, the vane leans away from it.
  quill: {
    arrow: {
      body: 'M3 2.5C12 5 22 10.5 25 21c.6 2.4.4 4.6-.6 7.5-3.4-1-6-2.2-8.2-4.4l2-1.2-4-.6C8.600 17.500 5 10 3 2.500z',
      hotSpot: [3, 2],
    },
    hand: {
      body: 'M10 2.500c6 1.500 12.500 5.500 15.500 12 2.200 5 1.700 10-1.500 15-5-.8-10-3.500-12.500-8l3-.4-4.200-2.600C8 13.500 8.500 7.500 10 2.500zM5 20l3.500 2.500L5.500 26z',
      hotSpot: [10, 2],
    },
    text: { body: beam, hotSpot: [16, 16] },
    busy: {
      body: 'M8 3h16c0 6-3 8.500-6 13 3 4.500 6 7 6 13H8c0-6 3-8.500 6-13-3-4.500-6-7-6-13z',
      hotSpot: [16, 16],
    },
    move: { body: cross, hotSpot: [16, 16] },
    stretch: { body: lane, hotSpot: [16, 16] },
  },
  // A worn stone with one pointed end.
  pebble: {
    arrow: {
      body: 'M3 3c6-1.500 14 .5 19.500 6 5 5 6.500 11.500 3.500 15.500-3.500 4.500-11 3.500-16-1.500C4.500 17.500 1.800 9.500 3 3z',
      hotSpot: [3, 3],
    },
    hand: {
      body: 'M11 3c5-1 11 2 14 8.500 3 6.500 2 14-3 16.500-5 2.500-11-1-13.500-7.500C6 14 7 5 11 3zM4.500 8.500l3 1.500-2.500 3z',
      hotSpot: [11, 3],
    },
    text: { body: beam, hotSpot: [16, 16] },
    busy: { body: 'M16 4a12 12 0 1 1-8.500 3.500l4.200 4.300A6 6 0 1 0 16 10z', hotSpot: [16, 16] },
    move: { body: cross, hotSpot: [16, 16] },
    stretch: { body: lane, hotSpot: [16, 16] },
  },
  // A ring around the very point.
  ring: {
    arrow: {
      body: 'M16 3a13 13 0 1 1 0 26 13 13 0 0 1 0-26zm0 3.500a9.500 9.500 0 1 0 0 19 9.500 9.500 0 0 0 0-19zm0 7.500a2 2 0 1 1 0 4 2 2 0 0 1 0-4z',
      hotSpot: [16, 16],
    },
    hand: {
      body: 'M16 3a13 13 0 1 1 0 26 13 13 0 0 1 0-26zm0 3.500a9.500 9.500 0 1 0 0 19 9.500 9.500 0 0 0 0-19zm0 4a5.500 5.500 0 1 1 0 11 5.500 5.500 0 0 1 0-11z',
      hotSpot: [16, 16],
    },
    text: { body: beam, hotSpot: [16, 16] },
    busy: {
      body: 'M16 3a13 13 0 0 1 13 13h-3.500A9.500 9.500 0 0 0 16 6.500zM3 16h3.500a9.500 9.500 0 0 0 9.500 9.500V29A13 13 0 0 1 3 16z',
      hotSpot: [16, 16],
    },
    move: { body: cross, hotSpot: [16, 16] },
    stretch: { body: lane, hotSpot: [16, 16] },
  },
};

export interface PointerLook {
  set: PointerSetName;
  /** px */
  size: number;
  /** #rrggbb */
  colour: string;
  /** Of the line around it, #rrggbb */
  line: string;
}

/** A pointer as an SVG document, and its hot spot in px. */
export function drawPointer(
  shape: PointerShape,
  { set, size, colour, line }: PointerLook,
): { svg: string; hotSpot: [number, number] } {
  const { body, hotSpot } = drawings[set][shape];
  const px = (units: number) => Math.round((units / 32) * size);
  return {
    svg:
      `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}" viewBox="0 0 32 32">` +
      `<path d="${body}" fill="${colour}" fill-rule="evenodd" stroke="${line}" stroke-width="1.4" stroke-linejoin="round" paint-order="stroke"/></svg>`,
    hotSpot: [px(hotSpot[0]), px(hotSpot[1])],
  };
}
