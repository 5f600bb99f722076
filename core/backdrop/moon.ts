import { n } from './draw.ts';

interface Moon {
  x: number;
  y: number;
  r: number;
  /** 0 is new, 0.25 the first quarter (right side lit), 0.5 full. */
  phase: number;
}

/** How much of the disc is lit, 0 to 1. */
const litOf = (phase: number) => (1 - Math.cos(phase * 2 * Math.PI)) / 2;

/** The lit part as an SVG path: the outer arc is half a circle, the terminator half an ellipse. */
export function litPath({ x, y, r, phase }: Moon): string {
  const lit = litOf(phase);
  const across = Math.abs(1 - 2 * lit) * r;
  const outer = phase < 0.5 ? 1 : 0;
  const inner = lit > 0.5 ? outer : 1 - outer;
  return `M${n(x)} ${n(y - r)}A${n(r)} ${n(r)} 0 0 ${outer} ${n(x)} ${n(y + r)}A${n(across)} ${n(r)} 0 0 ${inner} ${n(x)} ${n(y - r)}Z`;
}

/** The moon with the lit part that its phase has, in its halo; nothing of it when it is new. */
export function moon({ x, y, r, phase }: Moon): string {
  const lit = litOf(phase);
  if (lit < 0.01) return '';
  const halo = [3.4, 2.3, 1.5]
    .map(
      (size) =>
        `<circle cx="${n(x)}" cy="${n(y)}" r="${n(r * size)}" fill="#dfe8f5" fill-opacity="${n(0.03 * lit + 0.01)}"/>`,
    )
    .join('');
  return `${halo}<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="#8fa3bd" fill-opacity=".12"/><path d="${litPath({ x, y, r, phase })}" fill="#f6f1e2"/>`;
}
