import type { ReadingView } from '../../../../core/items/reading/reading.ts';
import type { Rect } from '../../../../core/values/geometry.ts';
import type { ItemDrawing } from '../../item-drawing.ts';
import { Runs, paint, placeOf } from '../../runs.tsx';

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

const TRACK = 'color-mix(in srgb, var(--ink) 20%, transparent)';

function Mark({ view, box }: { view: ReadingView; box: Rect }) {
  const share = view.meter.share ?? 0;
  const colour = share > 0.9 ? 'var(--alert)' : paint(view.colour);
  if (view.face === 'ring') return <Ring share={share} box={box} colour={colour} />;
  if (view.face === 'graph') return <Graph series={view.series} box={box} colour={colour} />;
  const isUpright = box.height > box.width;
  return (
    <span className="block rounded-full" style={{ ...placeOf(box), background: TRACK }}>
      <span
        className="absolute bottom-0 left-0 rounded-full"
        style={{
          background: colour,
          width: isUpright ? '100%' : `${share * 100}%`,
          height: isUpright ? `${share * 100}%` : '100%',
        }}
      />
    </span>
  );
}

function Ring({ share, box, colour }: { share: number; box: Rect; colour: string }) {
  const stroke = Math.max(2, box.width / 7);
  const radius = (box.width - stroke) / 2;
  const round = 2 * Math.PI * radius;
  const middle = box.width / 2;
  const ring = `M${middle} ${stroke / 2}a${radius} ${radius} 0 1 1 0 ${2 * radius}a${radius} ${radius} 0 1 1 0 ${-2 * radius}`;
  return (
    <svg style={placeOf(box)} fill="none" strokeWidth={stroke} aria-hidden>
      <path d={ring} stroke="var(--ink)" strokeOpacity="0.2" />
      <path d={ring} stroke={colour} strokeDasharray={`${round * share} ${round}`} />
    </svg>
  );
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
