import { clamp, type Point, type Rect, type Size } from '../../../../core/values/geometry.ts';

/** How the stage shows what stands on it: a point p of the desk is drawn at `at + p × scale`, px of the stage. */
export interface Camera {
  scale: number;
  at: Point;
}

const LEAST_SCALE = 0.05;
export const MOST_SCALE = 8;
/** Px of the stage around what is shown whole. */
export const ROOM = 22;
/** From here on the small things on an edge can be worked on. */
export const NEAR_SCALE = 1;

/** All of `bounds`, in the middle. */
export function fit(bounds: Rect, area: Size, room = ROOM): Camera {
  const scale = clamp(
    Math.min((area.width - 2 * room) / bounds.width, (area.height - 2 * room) / bounds.height),
    LEAST_SCALE,
    MOST_SCALE,
  );
  return centredOn(middleOf(bounds), scale, area);
}

/** A point of the desk in the middle of the stage. */
export function centredOn(point: Point, scale: number, area: Size): Camera {
  return { scale, at: { x: area.width / 2 - point.x * scale, y: area.height / 2 - point.y * scale } };
}

/** The same, nearer or further, with what is under `fixed` (px of the stage) staying there. */
export function zoomed(camera: Camera, scale: number, fixed: Point): Camera {
  const to = clamp(scale, LEAST_SCALE, MOST_SCALE);
  const grown = to / camera.scale;
  return {
    scale: to,
    at: { x: fixed.x - (fixed.x - camera.at.x) * grown, y: fixed.y - (fixed.y - camera.at.y) * grown },
  };
}

/** What is larger than the stage can be moved until its sides show; what is smaller stays in the middle. */
export function held(camera: Camera, bounds: Rect, area: Size): Camera {
  const axis = (at: number, start: number, length: number, room: number) => {
    const drawn = length * camera.scale;
    const first = -start * camera.scale;
    if (drawn + 2 * ROOM <= room) return first + (room - drawn) / 2;
    return clamp(at, first + room - ROOM - drawn, first + ROOM);
  };
  return {
    scale: camera.scale,
    at: {
      x: axis(camera.at.x, bounds.x, bounds.width, area.width),
      y: axis(camera.at.y, bounds.y, bounds.height, area.height),
    },
  };
}

/**
 * Near enough to work on `rect`, and no further away than `least`; of one that is too long for that, the part
 * that is nearest to what is seen.
 */
export function near(camera: Camera, rect: Rect, area: Size, least = camera.scale): Camera {
  const whole = fit(rect, area, 60).scale;
  const scale = clamp(whole, Math.max(NEAR_SCALE, least), MOST_SCALE / 2);
  const seen = {
    x: (area.width / 2 - camera.at.x) / camera.scale,
    y: (area.height / 2 - camera.at.y) / camera.scale,
  };
  const along = (at: number, start: number, length: number, room: number) =>
    length * scale + 2 * ROOM <= room
      ? start + length / 2
      : clamp(at, start + room / 2 / scale - ROOM / scale, start + length - room / 2 / scale + ROOM / scale);
  return centredOn(
    { x: along(seen.x, rect.x, rect.width, area.width), y: along(seen.y, rect.y, rect.height, area.height) },
    scale,
    area,
  );
}

/** Where a point of the stage lies on the desk. */
export function toDesk({ scale, at }: Camera, point: Point): Point {
  return { x: (point.x - at.x) / scale, y: (point.y - at.y) / scale };
}

function middleOf({ x, y, width, height }: Rect): Point {
  return { x: x + width / 2, y: y + height / 2 };
}
