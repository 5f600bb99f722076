import { useMemo } from 'react';
import type { MachineLayout, MachineView } from '../../../../core/widgets/machine/layout.ts';
import type { Meter } from '../../../../core/sources/machine/meters.ts';
import type { Rect } from '../../../../core/values/geometry.ts';
import { Bar, Ring } from '../../kit/gauges.tsx';
import { paint, placeOf } from '../../kit/runs.tsx';

interface Props {
  view: MachineView;
  layout: MachineLayout;
}

const STROKE = 8;
const isFull = ({ share }: Meter) => (share ?? 0) > 0.9;
const colourOf = (meter: Meter, view: MachineView) => (isFull(meter) ? 'var(--alert)' : paint(view.colour));

function Rings({ view, layout }: Props) {
  return layout.marks.map((box, index) => {
    const meter = view.meters[index];
    return (
      meter && (
        <Ring
          key={meter.id}
          box={box}
          share={meter.share}
          colour={colourOf(meter, view)}
          stroke={STROKE}
          label={`${meter.title} ${meter.figure} ${meter.unit}`}
        />
      )
    );
  });
}

function Bars({ view, layout }: Props) {
  return layout.marks.map((box, index) => {
    const meter = view.meters[index];
    return meter && <Bar key={meter.id} box={box} share={meter.share} colour={colourOf(meter, view)} />;
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
          <Line
            key={view.meters[row]?.id ?? row}
            series={series}
            width={width}
            height={height}
            stroke={stroke}
            dash={dash}
            isFirst={row === 0}
          />
        );
      })}
    </svg>
  );
}

function Line({
  series,
  width,
  height,
  stroke,
  dash,
  isFirst,
}: {
  series: (number | null)[];
  width: number;
  height: number;
  stroke: string;
  dash: string | undefined;
  /** It has the area beneath it. */
  isFirst: boolean;
}) {
  // Another colour leaves the points where they are.
  const line = useMemo(() => linePath(series, width, height), [series, width, height]);
  const area = useMemo(() => isFirst && areaPath(series, width, height), [series, width, height, isFirst]);
  return (
    <>
      {area !== false && <path d={area} fill={stroke} fillOpacity="0.18" />}
      <path
        d={line}
        fill="none"
        stroke={stroke}
        strokeDasharray={dash}
        strokeWidth={isFirst ? 2.6 : 1.8}
        strokeLinejoin="round"
      />
    </>
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

/** A bar for each of some shares; in alert from one on. */
function Shares({
  view,
  layout,
  shares,
  alertFrom,
}: Props & { shares: readonly number[]; alertFrom: number }) {
  return layout.marks.map((box, index) => {
    const share = shares[index] ?? 0;
    const colour = share > alertFrom ? 'var(--alert)' : paint(view.colour);
    return <Bar key={index} box={box} share={share} colour={colour} radius={5} />;
  });
}

const Cores = (props: Props) => (
  <Shares {...props} shares={props.view.cores.map((percent) => percent / 100)} alertFrom={0.9} />
);
const listed = (alertFrom: number) =>
  function Listed(props: Props) {
    return <Shares {...props} shares={props.view.rows.map(({ share }) => share)} alertFrom={alertFrom} />;
  };
const Heat = listed(0.8);
const Disks = listed(0.9);
const Listed = listed(1);

export const faces = {
  rings: Rings,
  bars: Bars,
  graph: Graph,
  text: null,
  cores: Cores,
  heat: Heat,
  disks: Disks,
  links: Listed,
  busiest: Listed,
};
