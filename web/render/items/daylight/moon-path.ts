/**
 * The lit part of the moon about 0, 0: half a circle on the lit side, and the terminator, half an ellipse. Phase 0 is new,
 * 0.25 the first quarter (right side lit, as seen from the north), 0.5 full.
 */
export function moonPath(phase: number, radius: number): string {
  const lit = (1 - Math.cos(phase * 2 * Math.PI)) / 2;
  const across = Math.abs(1 - 2 * lit) * radius;
  const outer = phase < 0.5 ? 1 : 0;
  const inner = lit > 0.5 ? outer : 1 - outer;
  return `M0 ${-radius}A${radius} ${radius} 0 0 ${outer} 0 ${radius}A${across} ${radius} 0 0 ${inner} 0 ${-radius}Z`;
}
