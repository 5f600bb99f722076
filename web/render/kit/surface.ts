import { createContext, type CSSProperties } from 'react';
import type { Side } from '../../../core/values/geometry.ts';
import type { Surface } from '../../../core/colour/look.ts';
import { roles, type Role } from '../../../core/values/roles.ts';

/** Roles as text, by the names that style sheets know them by. */
export const READS = Object.fromEntries(roles.map((role) => [role, `--reads-${role}`])) as Record<
  Role,
  string
>;

/** What a part is drawn on, for those that draw outside of style sheets. */
export const OnSurface = createContext<Surface | null>(null);

/** The colours of a surface, for whatever is drawn on it. */
export function surfaceColours(surface: Surface): CSSProperties {
  return {
    '--ink': surface.ink,
    '--soft-ink': surface.softInk,
    '--accent': surface.accent,
    '--on-accent': surface.onAccent,
    '--second': surface.second,
    '--alert': surface.alert,
    ...Object.fromEntries(roles.map((role) => [READS[role], surface.reads[role]])),
    // What words that are being typed stand on.
    '--paper': surface.kind === 'bare' ? 'var(--ground)' : surface.tint,
    color: surface.ink,
  } as CSSProperties;
}

/** The box of a surface. A side that touches the screen's is not rounded. */
export function surfaceBox(surface: Surface, scale = 1, flush: Side | null = null): CSSProperties {
  if (surface.kind === 'bare') {
    // A soft shade that has no edge.
    return surface.shadow > 0
      ? {
          backgroundColor: surface.fill,
          boxShadow: `0 0 34px 26px ${surface.fill}`,
          borderRadius: 40 * scale,
        }
      : {};
  }
  const { radius } = surface;
  const depth = surface.shadow / 100;
  return {
    backgroundColor: surface.fill,
    borderRadius: flush ? flushRadius(flush, radius * scale) : radius * scale,
    backdropFilter: surface.blur > 0 ? `blur(${surface.blur}px)` : undefined,
    boxShadow: [
      surface.edgeLine > 0 ? `inset 0 0 0 ${surface.edgeLine}px ${surface.edgeColour}` : '',
      depth > 0
        ? `0 ${6 + depth * 18}px ${20 + depth * 50}px rgb(0 0 0 / ${(0.12 + depth * 0.4).toFixed(2)})`
        : '',
    ]
      .filter(Boolean)
      .join(', '),
  };
}

/** Corners in CSS order: top left, top right, bottom right, bottom left. */
function flushRadius(side: Side, radius: number): string {
  const flat: Record<Side, [boolean, boolean, boolean, boolean]> = {
    top: [true, true, false, false],
    right: [false, true, true, false],
    bottom: [false, false, true, true],
    left: [true, false, false, true],
  };
  return flat[side].map((isFlat) => `${isFlat ? 0 : radius}px`).join(' ');
}
