import type { ReadingView } from '../../../../core/items/reading/reading.ts';
import type { Rect } from '../../../../core/values/geometry.ts';
import { Bar, Ring } from '../../kit/gauges.tsx';
import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { Runs, paint, placeOf } from '../../kit/runs.tsx';

export const ReadingItem: ItemDrawing<'reading'> = ({ view, layout }) => (
  <span
    role="img"
    aria-label={`${view.meter.title}: ${view.meter.detail}`}
    title={`${view.meter.title}: ${view.meter.detail}`}
    className="absolute inset-0 block"
  >
    {layout.mark && <Mark view={view} box={layout.mark} />}
    <Runs runs={layout.runs} />
  </span>
);

function Mark({ view, box }: { view: ReadingView; box: Rect }) {
  const { share } = view.meter;
  const colour = (share ?? 0) > 0.9 ? 'var(--alert)' : paint(view.colour);
  if (view.face === 'ring')
    return <Ring box={box} share={share} colour={colour} stroke={Math.max(2, box.width / 7)} />;
  if (view.face === 'graph') return <Graph series={view.series} box={box} colour={colour} />;
  return <Bar box={box} share={share} colour={colour} />;
}

/** Where nothing is known the curve has a gap. */
function Graph({ series, box, colour }: { series: ReadingView['series']; box: Rect; colour: string }) {
  const step = box.width / Math.max(1, series.length - 1);
  let path = '';
  series.forEach((share, index) => {
    if (share === null) return;
    const begins = index === 0 || series[index - 1] === null;
    path += `${begins ? 'M' : 'L'}${(index * step).toFixed(1)} ${(box.height * (1 - share)).toFixed(1)}`;
  });
  return (
    <svg style={placeOf(box)} className="overflow-visible" fill="none" aria-hidden>
      <line x2={box.width} y1={box.height} y2={box.height} stroke="var(--ink)" strokeOpacity="0.25" />
      <path d={path} stroke={colour} strokeWidth="1.6" strokeLinejoin="round" strokeLinecap="round" />
    </svg>
  );
}
