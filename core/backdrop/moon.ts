import { n } from './draw.ts';

/**
 * The moon with the lit part that its phase has: the outer arc is half a circle, the terminator half an ellipse.
 * Phase 0 is new, 0.25 the first quarter (right side lit), 0.5 full.
 */
export function moon({ x, y, r, phase }: { x: number; y: number; r: number; phase: number }): string {
  const lit = (1 - Math.cos(phase * 2 * Math.PI)) / 2;
  if (lit < 0.01) return '';
  const isWaxing = phase < 0.5;
  const across = Math.abs(1 - 2 * lit) * r;
  const outer = isWaxing ? 1 : 0;
  const inner = lit > 0.5 ? outer : 1 - outer;
  const disc = `M${n(x)} ${n(y - r)}A${n(r)} ${n(r)} 0 0 ${outer} ${n(x)} ${n(y + r)}A${n(across)} ${n(r)} 0 0 ${inner} ${n(x)} ${n(y - r)}Z`;
  const halo = [3.4, 2.3, 1.5]
    .map(
      (size) =>
        `<circle cx="${n(x)}" cy="${n(y)}" r="${n(r * size)}" fill="#dfe8f5" fill-opacity="${n(0.03 * lit + 0.01)}"/>`,
    )
    .join('');
  return `${halo}<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="#8fa3bd" fill-opacity=".12"/><path d="${disc}" fill="#f6f1e2"/>`;
}
