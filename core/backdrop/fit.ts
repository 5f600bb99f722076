import type { Point, Rect, Size } from '../values/geometry.ts';
import type { Fit } from './schema.ts';

/** The size of a picture once it is turned. */
export function turnedSize({ width, height }: Size, turn: number): Size {
  return turn % 180 === 0 ? { width, height } : { width: height, height: width };
}

/**
 * Where a picture (already turned) lies on a surface, in the surface's px: once, or as tiles. `density` is how many
 * px of the surface one px of the screen has; a picture that is not scaled to fit lies pixel on pixel of the screen.
 */
export function fitPicture(fit: Fit, picture: Size, surface: Size, focal: Point, density = 1): Rect[] {
  const own = { width: picture.width * density, height: picture.height * density };
  const scaled = (factor: number): Rect => {
    const width = picture.width * factor;
    const height = picture.height * factor;
    return { x: (surface.width - width) * focal.x, y: (surface.height - height) * focal.y, width, height };
  };
  const across = surface.width / picture.width;
  const down = surface.height / picture.height;
  switch (fit) {
    case 'cover':
      return [scaled(Math.max(across, down))];
    case 'contain':
      return [scaled(Math.min(across, down))];
    case 'stretch':
      return [{ x: 0, y: 0, ...surface }];
    case 'centre':
      return [scaled(density)];
    case 'tile':
      return tiles(own, surface, focal);
  }
}

const MOST_TILES = 4000;

/** Tiles with one corner at the focal point; a tiny picture is laid in larger steps rather than without end. */
function tiles({ width, height }: Size, surface: Size, focal: Point): Rect[] {
  const many = Math.ceil(surface.width / width + 1) * Math.ceil(surface.height / height + 1);
  const grow = many > MOST_TILES ? Math.sqrt(many / MOST_TILES) : 1;
  const tile = { width: width * grow, height: height * grow };
  const start = (length: number, size: number, share: number) => ((length * share) % size) - size;
  const rects: Rect[] = [];
  for (let y = start(surface.height, tile.height, focal.y); y < surface.height; y += tile.height) {
    for (let x = start(surface.width, tile.width, focal.x); x < surface.width; x += tile.width) {
      if (x + tile.width > 0 && y + tile.height > 0) rects.push({ x, y, ...tile });
    }
  }
  return rects;
}

/** How many times larger the picture is drawn than it is: above 1 its pixels are stretched. */
export function stretchOf(fit: Fit, picture: Size, surface: Size): number {
  if (fit === 'tile' || fit === 'centre') return 1;
  const across = surface.width / picture.width;
  const down = surface.height / picture.height;
  return fit === 'contain' ? Math.min(across, down) : Math.max(across, down);
}
