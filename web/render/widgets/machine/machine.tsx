import type { MachineLayout, MachineView } from '../../../../core/widgets/machine/layout.ts';
import type { Meter } from '../../../../core/sources/machine/meters.ts';
import type { Rect } from '../../../../core/values/geometry.ts';
import { paint, placeOf } from '../../runs.tsx';

interface Props {
  view: MachineView;
  layout: MachineLayout;
}

const STROKE = 8;
const isFull = ({ share }: Meter) => (share ?? 0) > 0.9;

function Rings({ view, layout }: Props) {
  return layout.marks.map((box, index) => {
    const meter = view.meters[index];
    return meter && <Ring key={meter.id} meter={meter} box={box} colour={paint(view.colour)} />;
  });
}

function Ring({ meter, box, colour }: { meter: Meter; box: Rect; colour: string }) {
  const size = box.width;
  const radius = (size - STROKE) / 2;
  const round = 2 * Math.PI * radius;
  // From the top, clockwise.
  const ring = `M${size / 2} ${STROKE / 2}a${radius} ${radius} 0 1 1 0 ${2 * radius}a${radius} ${radius} 0 1 1 0 ${-2 * radius}`;
  return (
    <svg
      style={placeOf(box)}
      viewBox={`0 0 ${size} ${size}`}
      role="img"
      aria-label={`${meter.title} ${meter.figure} ${meter.unit}`}
      fill="none"
      strokeWidth={STROKE}
    >
      <path d={ring} stroke="var(--ink)" strokeOpacity="0.18" />
      {meter.share !== null && (
        <path
          d={ring}
          stroke={isFull(meter) ? 'var(--alert)' : colour}
          strokeDasharray={`${round * meter.share} ${round}`}
          strokeLinecap="round"
        />
      )}
    </svg>
  );
}

function Bars({ view, layout }: Props) {
  return layout.marks.map((box, index) => {
    const meter = view.meters[index];
    return (
      meter && (
        <div
          key={meter.id}
          className="rounded-full"
          style={{ ...placeOf(box), background: 'color-mix(in srgb, var(--ink) 18%, transparent)' }}
        >
          <div
            className="h-full rounded-full"
            style={{
              width: `${(meter.share ?? 0) * 100}%`,
              background: isFull(meter) ? 'var(--alert)' : paint(view.colour),
            }}
          />
        </div>
      )
    );
  });
}

/** The first row in the widget's colour, the others told apart by role and stroke. */
function lineLook(row: number, colour: string): { stroke: string; dash?: string } {
  return (
    [
      { stroke: colour },
      { stroke: 'var(--second)' },
      { stroke: 'var(--ink)' },
      { stroke: 'var(--ink)', dash: '3 5' },
    ][row] ?? { stroke: 'var(--ink)' }
  );
}

function Graph({ view, layout }: Props) {
  const { plot } = layout;
  return (
    <>
      {plot && <Plot view={view} plot={plot} />}
      {layout.marks.map((box, row) => {
        const { stroke, dash } = lineLook(row, paint(view.colour));
        return (
          <svg key={row} style={placeOf(box)} aria-hidden strokeWidth="3" strokeLinecap="round">
            <line
              x1="1.5"
              x2={box.width - 1.5}
              y1={box.height / 2}
              y2={box.height / 2}
              stroke={stroke}
              strokeDasharray={dash ? '2 4' : undefined}
            />
          </svg>
        );
      })}
    </>
  );
}

function Plot({ view, plot: { width, height, ...at } }: { view: MachineView; plot: Rect }) {
  return (
    <svg
      style={placeOf({ ...at, width, height })}
      className="overflow-visible"
      role="img"
      aria-label={`The last ${view.span} minutes`}
      strokeLinecap="round"
    >
      {[0, 0.5, 1].map((share) => (
        <line
          key={share}
          x2={width}
          y1={height * share}
          y2={height * share}
          stroke="var(--ink)"
          strokeOpacity="0.16"
          strokeDasharray="1 5"
        />
      ))}
      {view.series?.map((series, row) => {
        const { stroke, dash } = lineLook(row, paint(view.colour));
        return (
          <g key={view.meters[row]?.id ?? row}>
            {row === 0 && <path d={areaPath(series, width, height)} fill={stroke} fillOpacity="0.18" />}
            <path
              d={linePath(series, width, height)}
              fill="none"
              stroke={stroke}
              strokeDasharray={dash}
              strokeWidth={row === 0 ? 2.6 : 1.8}
              strokeLinejoin="round"
            />
          </g>
        );
      })}
    </svg>
  );
}

/** Points of a row; a reading that is not known breaks the line. */
function linePath(series: (number | null)[], width: number, height: number): string {
  let isBroken = true;
  return series
    .map((share, index) => {
      if (share === null) {
        isBroken = true;
        return '';
      }
      const command = isBroken ? 'M' : 'L';
      isBroken = false;
      return `${command}${((index / (series.length - 1)) * width).toFixed(1)} ${((1 - share) * height).toFixed(1)}`;
    })
    .join('');
}

function areaPath(series: (number | null)[], width: number, height: number): string {
  const first = series.findIndex((share) => share !== null);
  if (first < 0) return '';
  const x = ((first / (series.length - 1)) * width).toFixed(1);
  const known = series.map((share, index) => (index < first ? null : (share ?? 0)));
  return `${linePath(known, width, height)}L${width} ${height}L${x} ${height}Z`;
}

/** From below in the colour of the marks; in alert where it is nearly full. */
function Cores({ view, layout }: Props) {
  return layout.marks.map((box, index) => {
    const share = (view.cores[index] ?? 0) / 100;
    return (
      <div
        key={index}
        className="overflow-hidden rounded-[5px]"
        style={{ ...placeOf(box), background: 'color-mix(in srgb, var(--ink) 14%, transparent)' }}
      >
        <div
          className="absolute inset-x-0 bottom-0"
          style={{ height: `${share * 100}%`, background: share > 0.9 ? 'var(--alert)' : paint(view.colour) }}
        />
      </div>
    );
  });
}

function Heat({ view, layout }: Props) {
  return layout.marks.map((box, index) => {
    const share = view.heat[index]?.share ?? 0;
    return (
      <div
        key={index}
        className="rounded-full"
        style={{ ...placeOf(box), background: 'color-mix(in srgb, var(--ink) 18%, transparent)' }}
      >
        <div
          className="h-full rounded-full"
          style={{ width: `${share * 100}%`, background: share > 0.8 ? 'var(--alert)' : paint(view.colour) }}
        />
      </div>
    );
  });
}

export const faces = { rings: Rings, bars: Bars, graph: Graph, text: null, cores: Cores, heat: Heat };
