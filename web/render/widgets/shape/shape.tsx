import type { ShapeLayout, ShapeView } from '../../../../core/widgets/shape/work.ts';
import { paint } from '../../kit/runs.tsx';

function Shape({
  view,
  layout: { size, paths, isFilled, thick, dashed },
}: {
  view: ShapeView;
  layout: ShapeLayout;
}) {
  const colour = paint(view.colour);
  return (
    <svg
      className="absolute inset-0 overflow-visible"
      width={size.width}
      height={size.height}
      viewBox={`0 0 ${size.width} ${size.height}`}
      opacity={view.opacity / 100}
      aria-hidden
    >
      {paths.map((path, index) => (
        <path
          key={index}
          d={path}
          fill={isFilled ? colour : 'none'}
          stroke={isFilled ? 'none' : colour}
          strokeWidth={thick}
          strokeDasharray={dashed > 0 ? `${dashed} ${dashed}` : undefined}
        />
      ))}
    </svg>
  );
}

export const faces = { line: Shape, box: Shape, ring: Shape, arc: Shape, brackets: Shape, words: null };
