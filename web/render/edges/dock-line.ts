import type { CSSProperties } from 'react';
import type { DockLine, DockMark } from '../../../core/arrange/schema.ts';
import { isHorizontal, type Side } from '../../../core/values/geometry.ts';

/** A dock's line and the marks on it, in the inks of the surface that they are drawn on. */
const inks: Record<DockLine['colour'], string> = {
  accent: 'var(--accent)',
  second: 'var(--second)',
  ink: 'var(--ink)',
  softInk: 'var(--soft-ink)',
  alert: 'var(--alert)',
};

/** How deep a line is drawn, px: two lines have a gap between them. */
function lineDepth({ kind, width }: DockLine): number {
  return kind === 'none' ? 0 : kind === 'double' ? width * 2 : width;
}

/** The line on which a dock's icons stand: at the side nearest the screen's. */
export function lineStyle(line: DockLine, side: Side): CSSProperties {
  const depth = lineDepth(line);
  const isFlat = isHorizontal(side);
  const along: CSSProperties = isFlat
    ? { left: 0, right: 0, height: depth }
    : { top: 0, bottom: 0, width: depth };
  const colour = inks[line.colour];
  const shine = line.glow ? `0 0 14px color-mix(in srgb, ${colour} 55%, transparent)` : undefined;
  const box = { [side]: 0, ...along } as CSSProperties;
  if (line.kind === 'whole') return { ...box, borderRadius: depth, background: colour, boxShadow: shine };
  return {
    ...box,
    background: patternOf(line, colour, isFlat),
    filter: shine ? `drop-shadow(${shine})` : undefined,
  };
}

function patternOf({ kind, width }: DockLine, colour: string, isFlat: boolean): string {
  const along = isFlat ? 'to right' : 'to bottom';
  switch (kind) {
    case 'double': {
      const bar = Math.max(0.5, width * 0.6);
      return `linear-gradient(${isFlat ? 'to bottom' : 'to right'}, ${colour} ${bar}px, transparent ${bar}px calc(100% - ${bar}px), ${colour} calc(100% - ${bar}px))`;
    }
    case 'dashes':
      return `repeating-linear-gradient(${along}, ${colour} 0 14px, transparent 14px 22px)`;
    case 'dots': {
      const step = width * 2 + 6;
      const size = isFlat ? `${step}px ${width}px` : `${width}px ${step}px`;
      return `radial-gradient(circle closest-side, ${colour} 92%, transparent) 0 0 / ${size}`;
    }
    case 'ends':
      return `linear-gradient(${along}, ${colour} 22%, transparent 22% 78%, ${colour} 78%)`;
    default:
      return 'none';
  }
}

/** A mark is as long along its edge, and as deep, px; a halo lies behind the icon. */
const marks: Record<Exclude<DockMark['shape'], 'none' | 'halo'>, { along: number | string; deep: number }> = {
  stud: { along: 22, deep: 5 },
  dot: { along: 6, deep: 6 },
  pair: { along: 18, deep: 5 },
  bar: { along: '70%', deep: 3 },
  wedge: { along: 12, deep: 7 },
};

const wedges: Record<Side, string> = {
  bottom: 'polygon(50% 0, 100% 100%, 0 100%)',
  top: 'polygon(0 0, 100% 0, 50% 100%)',
  left: 'polygon(0 0, 100% 50%, 0 100%)',
  right: 'polygon(100% 0, 100% 100%, 0 50%)',
};

/** Corners of what stands on a line, the farther ones rounded. */
const rounded: Record<Side, string> = {
  bottom: '4px 4px 0 0',
  top: '0 0 4px 4px',
  left: '0 4px 4px 0',
  right: '4px 0 0 4px',
};

/** What says that an application runs; null where nothing does. */
export function markStyle(
  { shape, colour: ink }: DockMark,
  line: DockLine,
  side: Side,
): CSSProperties | null {
  if (shape === 'none') return null;
  const colour = inks[ink];
  if (shape === 'halo')
    return {
      inset: '-6%',
      zIndex: -1,
      background: `radial-gradient(closest-side, color-mix(in srgb, ${colour} 70%, transparent), transparent)`,
    };
  const { along, deep } = marks[shape];
  const isFlat = isHorizontal(side);
  const off = lineDepth(line) + (shape === 'dot' || shape === 'pair' ? 2 : 0);
  const box: CSSProperties = {
    [side]: off,
    ...(isFlat
      ? { left: '50%', translate: '-50% 0', width: along, height: deep }
      : { top: '50%', translate: '0 -50%', height: along, width: deep }),
  };
  if (shape === 'pair') {
    const size = isFlat ? `${Number(along) / 2}px ${deep}px` : `${deep}px ${Number(along) / 2}px`;
    return {
      ...box,
      background: `radial-gradient(circle closest-side, ${colour} 92%, transparent) 0 0 / ${size}`,
    };
  }
  return {
    ...box,
    background: colour,
    borderRadius: shape === 'dot' || shape === 'bar' ? deep : shape === 'stud' ? rounded[side] : undefined,
    clipPath: shape === 'wedge' ? wedges[side] : undefined,
  };
}
