import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { Runs, placeOf } from '../../kit/runs.tsx';

export const DateItem: ItemDrawing<'date'> = ({ layout: { leaf, runs } }) => (
  <>
    {leaf && (
      <span
        className="overflow-hidden"
        style={{
          ...placeOf(leaf.sheet),
          borderRadius: leaf.sheet.width / 6,
          boxShadow: 'inset 0 0 0 1.5px color-mix(in srgb, var(--ink) 60%, transparent)',
        }}
      >
        <span
          className="absolute inset-x-0 top-0"
          style={{ height: leaf.bar.height, background: 'var(--accent)' }}
        />
      </span>
    )}
    <Runs runs={runs} />
  </>
);
