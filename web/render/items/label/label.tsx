import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { Runs, placeOf } from '../../kit/runs.tsx';

export const LabelItem: ItemDrawing<'label'> = ({ layout: { tag, runs } }) => (
  <>
    {tag && (
      <span
        style={{
          ...placeOf(tag),
          borderRadius: 5,
          boxShadow: 'inset 0 0 0 1.5px color-mix(in srgb, var(--ink) 55%, transparent)',
        }}
      />
    )}
    <Runs runs={runs} />
  </>
);
