import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { placeOf } from '../../kit/runs.tsx';

const INK = 'color-mix(in srgb, var(--ink) 34%, transparent)';

export const DividerItem: ItemDrawing<'divider'> = ({ view: { face, thick }, layout: { line } }) => {
  const isUpright = line.height >= line.width;
  const along = isUpright ? 'to bottom' : 'to right';
  const look = {
    line: { background: INK, borderRadius: line.width },
    fade: { background: `linear-gradient(${along}, transparent, ${INK} 35% 65%, transparent)` },
    // Dots as wide as the line is thick, as many as go into it.
    dots: {
      backgroundImage: `radial-gradient(circle closest-side, ${INK} 92%, transparent)`,
      backgroundSize: isUpright
        ? `${thick}px ${dotPitch(line.height, thick)}px`
        : `${dotPitch(line.width, thick)}px ${thick}px`,
      backgroundPosition: 'center',
    },
  }[face];
  return <div style={{ ...placeOf(line), ...look }} />;
};

/** Px from one dot to the next, so that a whole number of them is as long as the line. */
function dotPitch(long: number, thick: number): number {
  return long / Math.max(1, Math.round(long / (2.6 * thick)));
}
