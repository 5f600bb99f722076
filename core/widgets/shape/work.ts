import type { WidgetContext } from '../../kinds/kind.ts';
import type { Inked, Layout, Paint } from '../../kinds/layout.ts';
import { chosenFont, type TypeChoice } from '../../kinds/options.ts';
import { createSheet } from '../../kinds/sheet.ts';
import type { Point } from '../../values/geometry.ts';
import type { ShapeFace, ShapeOptions } from './shape.ts';

type Drawn =
  | 'text'
  | 'width'
  | 'height'
  | 'thick'
  | 'radius'
  | 'filled'
  | 'begins'
  | 'ends'
  | 'dashed'
  | 'size'
  | 'spacing'
  | 'turn'
  | 'opacity';

export interface ShapeView extends Pick<ShapeOptions, Drawn> {
  type: TypeChoice;
  colour: Paint;
}

export interface ShapeLayout extends Layout {
  /** Outlines as SVG paths; none where there are words. */
  paths: string[];
  isFilled: boolean;
  thick: number;
  dashed: number;
}

export function view(options: ShapeOptions, _face: ShapeFace, { textColour }: WidgetContext): ShapeView {
  return { ...options, colour: textColour(options.colour) };
}

const at = ({ x, y }: Point) => `${x.toFixed(2)} ${y.toFixed(2)}`;

/** Straight outlines around the middle, before they are turned. */
function straight(
  { width, height, radius }: ShapeView,
  face: ShapeFace,
): { paths: ((turned: (x: number, y: number) => Point) => string)[]; half: Point } {
  const [w, h] = [width / 2, face === 'line' ? 0 : height / 2];
  const r = Math.min(radius, w, h);
  const arm = Math.min(w * 0.6, h * 0.4, 40);
  switch (face) {
    case 'line':
      return { paths: [(p) => `M${at(p(-w, 0))}L${at(p(w, 0))}`], half: { x: w, y: 0 } };
    case 'brackets':
      return {
        paths: [-1, 1].map(
          (side) => (p: (x: number, y: number) => Point) =>
            `M${at(p(side * (w - arm), -h))}L${at(p(side * w, -h))}L${at(p(side * w, h))}L${at(p(side * (w - arm), h))}`,
        ),
        half: { x: w, y: h },
      };
    default:
      return {
        paths: [
          (p) => {
            const corners = [
              [w, -h, -1, 0, 0, 1],
              [w, h, 0, -1, -1, 0],
              [-w, h, 1, 0, 0, -1],
              [-w, -h, 0, 1, 1, 0],
            ] as const;
            const parts = corners.map(
              ([x, y, fx, fy, tx, ty]) =>
                `L${at(p(x + fx * r, y + fy * r))}Q${at(p(x, y))} ${at(p(x + tx * r, y + ty * r))}`,
            );
            return `M${at(p(-w + r, -h))}${parts.join('')}Z`;
          },
        ],
        half: { x: w, y: h },
      };
  }
}

function arcPath(middle: Point, radius: number, from: number, to: number): string {
  const sweep = Math.min(360, Math.abs(to - from));
  const on = (degrees: number) => {
    const angle = ((degrees - 90) * Math.PI) / 180;
    return { x: middle.x + radius * Math.cos(angle), y: middle.y + radius * Math.sin(angle) };
  };
  const start = Math.min(from, to);
  // By halves: an arc whose ends nearly meet says too little about where its middle is.
  const by = (degrees: number) => `A${radius} ${radius} 0 0 1 ${at(on(start + degrees))}`;
  return `M${at(on(start))}${by(sweep / 2)}${by(sweep)}`;
}

export function layout(seen: ShapeView, face: ShapeFace, { fonts }: WidgetContext): ShapeLayout {
  const sheet = createSheet(fonts);
  const {
    width,
    height,
    opacity,
    thick,
    filled,
    begins,
    ends,
    turn,
    dashed,
    text,
    size,
    spacing,
    type,
    colour,
  } = seen;
  const drawn = (paths: string[], isFilled: boolean, stroke = thick) =>
    sheet.lay({ paths, isFilled, thick: stroke, dashed });
  if (face === 'words') {
    const style = { font: chosenFont(type, 'display'), size, weight: 400, spacing: spacing / 100, colour };
    sheet.under(sheet.line(text || 'Nothing written yet', style), { left: 0 }, 0);
    return drawn([], false);
  }
  if (face === 'ring' || face === 'arc') {
    sheet.keep({ x: 0, y: 0, width, height: width });
    // A ring has no more than its radius to be thick in.
    const stroke = Math.min(thick, width / 2);
    const isFull = filled && face === 'ring';
    const radius = (width - (isFull ? 0 : stroke)) / 2;
    const middle = { x: width / 2, y: width / 2 };
    // What stands on a disc is taken to stand within it.
    const side = width * Math.SQRT1_2;
    const inner = { x: (width - side) / 2, y: (width - side) / 2, width: side, height: side };
    if (isFull) sheet.back(inner, colour, opacity / 100);
    const path =
      face === 'ring' ? `${arcPath(middle, radius, 0, 360)}Z` : arcPath(middle, radius, begins, ends);
    return drawn([path], isFull, stroke);
  }
  const angle = (turn * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const { paths, half } = straight(seen, face);
  // What is drawn reaches half its thickness beyond the outline.
  const reach = { x: half.x + (face === 'line' ? 0 : thick / 2), y: half.y + thick / 2 };
  const wide = Math.max(1, Math.abs(reach.x * cos) + Math.abs(reach.y * sin));
  const high = Math.max(1, Math.abs(reach.x * sin) + Math.abs(reach.y * cos));
  sheet.keep({ x: 0, y: 0, width: 2 * wide, height: 2 * high });
  const isFilled = filled && face === 'box';
  // A box on its corner is no ground that is known by its sides.
  if (isFilled && turn % 180 === 0)
    sheet.back({ x: wide - width / 2, y: high - height / 2, width, height }, colour, opacity / 100);
  const turned = (x: number, y: number): Point => ({
    x: wide + x * cos - y * sin,
    y: high + x * sin + y * cos,
  });
  return drawn(
    paths.map((path) => path(turned)),
    isFilled,
  );
}

/** What is meant to be faint is decoration. */
export const inked = ({ colour, opacity }: ShapeView, { size, paths }: ShapeLayout): Inked[] =>
  paths.length > 0 && opacity === 100 ? [{ what: 'Its line', rect: { x: 0, y: 0, ...size }, colour }] : [];
