import type { BatteryLayout, BatteryView } from '../../../../core/widgets/battery/work.ts';
import { Ring } from '../../kit/gauges.tsx';
import { paint, placeOf } from '../../kit/runs.tsx';

interface Props {
  view: BatteryView;
  layout: BatteryLayout;
}

const colourOf = ({ isLow, colour }: BatteryView) => (isLow ? 'var(--alert)' : paint(colour));

/** Zigzag of what flows, in a box of 10 by 16. */
const FLOW = 'M6.2 0L0.6 9.2H4.6L3.4 16L9.4 6.4H5.2Z';

/** A cell with its pole at the right, filled from the left. */
function Cell({ view, layout: { mark } }: Props) {
  const { width, height } = mark;
  const line = Math.max(1.5, height / 34);
  const pole = height * 0.09;
  const gap = line * 2.2;
  const inside = { width: width - pole - line * 2 - gap, height: height - 2 * line - 2 * gap };
  const flow = (height / 16) * 0.62;
  return (
    <svg style={placeOf(mark)} role="img" aria-label={`Battery ${view.figure}, ${view.told}`} fill="none">
      <rect
        x={line / 2}
        y={line / 2}
        width={width - pole - line}
        height={height - line}
        rx={height * 0.2}
        stroke="var(--ink)"
        strokeOpacity="0.6"
        strokeWidth={line}
      />
      <rect
        x={width - pole * 0.8}
        y={height * 0.32}
        width={pole * 0.8}
        height={height * 0.36}
        rx={pole * 0.3}
        fill="var(--ink)"
        fillOpacity="0.6"
      />
      <rect
        x={line + gap}
        y={line + gap}
        width={Math.max(0, inside.width * (view.charge ?? 0) - gap / 2)}
        height={inside.height}
        rx={height * 0.12}
        fill={colourOf(view)}
      />
      {view.isCharging && (
        <path
          d={FLOW}
          transform={`translate(${(width - pole) / 2 - 5 * flow} ${height / 2 - 8 * flow}) scale(${flow})`}
          fill="var(--on-accent)"
          stroke={colourOf(view)}
          strokeWidth="1.2"
          strokeLinejoin="round"
        />
      )}
    </svg>
  );
}

function Round({ view, layout: { mark } }: Props) {
  const label = `Battery ${view.figure}, ${view.told}`;
  return <Ring box={mark} share={view.charge} colour={colourOf(view)} stroke={9} label={label} />;
}

export const faces = { cell: Cell, ring: Round, line: Cell };
