import type { FC } from 'react';
import { machineType, type Meter } from '../../../../core/widgets/machine/machine.ts';
import { setIn } from '../../type.ts';
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
    <div className="flex" style={{ gap }}>
      {view.meters.map((meter) => (
        <figure key={meter.id} className="m-0 flex flex-col items-center" style={{ width: size, gap: 10 }}>
          <Ring meter={meter} size={size} colour={view.colour} />
          <figcaption
            className="whitespace-nowrap"
            style={{ ...setIn('text', { size: label, weight: 400 }), lineHeight: 1.3 }}
          >
            {meter.title}
          </figcaption>
        </figure>
      ))}
    </div>
  );
}

const STROKE = 8;

function Ring({ meter, size, colour }: { meter: Meter; size: number; colour: string }) {
  const radius = (size - STROKE) / 2;
  const round = 2 * Math.PI * radius;
  const figureSize = meter.figure.length > 3 ? 22 : 32;
  return (
    <svg
      width={size}
      height={size}
      viewBox={`0 0 ${size} ${size}`}
      role="img"
      aria-label={`${meter.title} ${meter.figure} ${meter.unit}`}
    >
      <g fill="none" strokeWidth={STROKE} transform={`rotate(-90 ${size / 2} ${size / 2})`}>
        <circle cx={size / 2} cy={size / 2} r={radius} stroke="var(--ink)" opacity="0.18" />
        {meter.share !== null && (
          <circle
            cx={size / 2}
            cy={size / 2}
            r={radius}
            stroke={meter.share > 0.9 ? 'var(--alert)' : colour}
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
          ...setIn('figures', { size: figureSize, weight: 500 }),
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
          style={setIn('text', { size: 14, weight: 400 })}
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
        <div key={meter.id} style={{ ...setIn('text', { size: 18, weight: 400 }), height: row }}>
          <div className="flex justify-between leading-none">
            <span>{meter.title}</span>
            <span className="tabular-nums" style={{ color: 'var(--soft-ink)' }}>
              {meter.figure} {meter.unit}
            </span>
          </div>
          <div className="relative mt-2 h-2 overflow-hidden rounded-full">
            <div className="absolute inset-0" style={{ background: 'var(--ink)', opacity: 0.18 }} />
            <div
              className="absolute inset-y-0 left-0 rounded-full"
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
        width={width}
        height={plot}
        viewBox={`0 0 ${width} ${plot}`}
        className="block overflow-visible"
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
            opacity="0.16"
            strokeDasharray="1 5"
            strokeLinecap="round"
          />
        ))}
        {view.series?.map((series, row) => {
          const { stroke, dash } = lineLook(row, view.colour);
          return (
            <g key={view.meters[row]?.id ?? row}>
              {row === 0 && <path d={areaPath(series, width, plot)} fill={stroke} opacity="0.18" />}
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
      <div className="mt-3.5 grid grid-cols-2 gap-x-5" style={setIn('text', { size: 17, weight: 400 })}>
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
    <dl className="m-0" style={setIn('text', { size, weight: 400 })}>
      {view.meters.map((meter) => (
        <div
          key={meter.id}
          className="flex justify-between whitespace-nowrap"
          style={{ height: row, gap: machineType.text.gap }}
        >
          <dt style={{ color: 'var(--soft-ink)' }}>{meter.title}</dt>
          <dd className="m-0 tabular-nums" style={{ fontWeight: 'calc(500 + var(--text-weight))' }}>
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
