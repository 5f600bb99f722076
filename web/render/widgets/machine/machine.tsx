import type { FC } from 'react';
import { machineType, type Meter } from '../../../../core/widgets/machine/machine.ts';
import { setAs } from '../../type.ts';
import type { FaceOf, WidgetViewOf } from '../../../../core/widgets/list.ts';

type View = WidgetViewOf<'machine'>;

function Notice({ view }: { view: View }) {
  return (
    <div
      className="grid size-full place-items-center text-center text-[18px] leading-tight"
      style={{ color: 'var(--soft-ink)' }}
    >
      {view.notice}
    </div>
  );
}

function Rings({ view }: { view: View }) {
  const { size, gap, label } = machineType.ring;
  return (
    <div className="grid auto-cols-fr grid-flow-col" style={{ gap }}>
      {view.meters.map((meter) => (
        <figure key={meter.id} className="m-0 flex flex-col items-center" style={{ gap: 10 }}>
          <Ring meter={meter} size={size} view={view} />
          <figcaption
            className="whitespace-nowrap"
            style={{ ...setAs(view.type, 'text', { size: label, weight: 400 }), lineHeight: 1.3 }}
          >
            {meter.title}
          </figcaption>
        </figure>
      ))}
    </div>
  );
}

const STROKE = 8;

function Ring({ meter, size, view }: { meter: Meter; size: number; view: View }) {
  const radius = (size - STROKE) / 2;
  const round = 2 * Math.PI * radius;
  // From the top, clockwise.
  const ring = `M${size / 2} ${STROKE / 2}a${radius} ${radius} 0 1 1 0 ${2 * radius}a${radius} ${radius} 0 1 1 0 ${-2 * radius}`;
  const figureSize = meter.figure.length > 3 ? 22 : 32;
  return (
    <svg
      width={size}
      height={size}
      viewBox={`0 0 ${size} ${size}`}
      role="img"
      aria-label={`${meter.title} ${meter.figure} ${meter.unit}`}
    >
      <g fill="none" strokeWidth={STROKE}>
        <path d={ring} stroke="var(--ink)" strokeOpacity="0.18" />
        {meter.share !== null && (
          <path
            d={ring}
            stroke={meter.share > 0.9 ? 'var(--alert)' : view.colour}
            strokeDasharray={`${round * meter.share} ${round}`}
            strokeLinecap="round"
          />
        )}
      </g>
      <text
        x="50%"
        y="50%"
        dy={meter.unit && meter.unit !== '%' ? '0.2em' : '0.35em'}
        textAnchor="middle"
        fill="var(--ink)"
        style={{
          ...setAs(view.type, 'figures', { size: figureSize, weight: 500 }),
          fontVariantNumeric: 'tabular-nums',
        }}
      >
        {meter.figure}
      </text>
      {meter.unit && meter.unit !== '%' && (
        <text
          x="50%"
          y="72%"
          textAnchor="middle"
          fill="var(--soft-ink)"
          style={setAs(view.type, 'text', { size: 14, weight: 400 })}
        >
          {meter.unit}
        </text>
      )}
    </svg>
  );
}

function Bars({ view }: { view: View }) {
  const { row } = machineType.bars;
  return (
    <div>
      {view.meters.map((meter) => (
        <div key={meter.id} style={{ ...setAs(view.type, 'text', { size: 18, weight: 400 }), height: row }}>
          <div className="flex justify-between leading-none">
            <span>{meter.title}</span>
            <span className="tabular-nums" style={{ color: 'var(--soft-ink)' }}>
              {meter.figure} {meter.unit}
            </span>
          </div>
          <div
            className="mt-2 h-2 rounded-full"
            style={{ background: 'color-mix(in srgb, var(--ink) 18%, transparent)' }}
          >
            <div
              className="h-full rounded-full"
              style={{
                width: `${(meter.share ?? 0) * 100}%`,
                background: (meter.share ?? 0) > 0.9 ? 'var(--alert)' : view.colour,
              }}
            />
          </div>
        </div>
      ))}
    </div>
  );
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

function Graph({ view }: { view: View }) {
  const { width, plot } = machineType.graph;
  return (
    <div>
      <svg
        width="100%"
        height={plot}
        viewBox={`0 0 ${width} ${plot}`}
        preserveAspectRatio="none"
        className="block overflow-visible [&_:is(line,path)]:[vector-effect:non-scaling-stroke]"
        role="img"
        aria-label={`The last ${view.span} minutes`}
      >
        {[0, 0.5, 1].map((share) => (
          <line
            key={share}
            x1="0"
            x2={width}
            y1={plot * share}
            y2={plot * share}
            stroke="var(--ink)"
            strokeOpacity="0.16"
            strokeDasharray="1 5"
            strokeLinecap="round"
          />
        ))}
        {view.series?.map((series, row) => {
          const { stroke, dash } = lineLook(row, view.colour);
          return (
            <g key={view.meters[row]?.id ?? row}>
              {row === 0 && <path d={areaPath(series, width, plot)} fill={stroke} fillOpacity="0.18" />}
              <path
                d={linePath(series, width, plot)}
                fill="none"
                stroke={stroke}
                strokeDasharray={dash}
                strokeWidth={row === 0 ? 2.6 : 1.8}
                strokeLinejoin="round"
                strokeLinecap="round"
              />
            </g>
          );
        })}
      </svg>
      <div
        className="mt-3.5 grid grid-cols-2 gap-x-5"
        style={setAs(view.type, 'text', { size: 17, weight: 400 })}
      >
        {view.meters.map((meter, row) => {
          const { stroke, dash } = lineLook(row, view.colour);
          return (
            <div
              key={meter.id}
              className="flex items-center gap-2 whitespace-nowrap leading-none"
              style={{ height: machineType.graph.row }}
            >
              <svg width="14" height="4" aria-hidden>
                <line
                  x1="2"
                  x2="12"
                  y1="2"
                  y2="2"
                  stroke={stroke}
                  strokeDasharray={dash ? '2 4' : undefined}
                  strokeWidth="3"
                  strokeLinecap="round"
                />
              </svg>
              <span className="flex-1">{meter.title}</span>
              <span className="tabular-nums" style={{ color: 'var(--soft-ink)' }}>
                {meter.figure} {meter.unit}
              </span>
            </div>
          );
        })}
      </div>
    </div>
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

function Text({ view }: { view: View }) {
  const { size, row } = machineType.text;
  return (
    <dl className="m-0">
      {view.meters.map((meter) => (
        <div
          key={meter.id}
          className="flex justify-between whitespace-nowrap"
          style={{ height: row, gap: machineType.text.gap }}
        >
          <dt style={{ ...setAs(view.type, 'text', { size, weight: 400 }), color: 'var(--soft-ink)' }}>
            {meter.title}
          </dt>
          <dd className="m-0 tabular-nums" style={setAs(view.type, 'text', { size, weight: 500 })}>
            {meter.detail}
          </dd>
        </div>
      ))}
    </dl>
  );
}

function orNotice(Face: FC<{ view: View }>): FC<{ view: View }> {
  return function WithNotice({ view }) {
    return view.notice ? <Notice view={view} /> : <Face view={view} />;
  };
}

export const machineFaces: Record<FaceOf<'machine'>, FC<{ view: View }>> = {
  rings: orNotice(Rings),
  bars: orNotice(Bars),
  graph: orNotice(Graph),
  text: orNotice(Text),
};
