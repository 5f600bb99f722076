import { memo, type CSSProperties } from 'react';
import type { Paint, Run } from '../../../core/kinds/layout.ts';
import { isUse } from '../../../core/kinds/layout.ts';
import type { Rect } from '../../../core/values/geometry.ts';
import { isRole } from '../../../core/values/roles.ts';
import { READS } from './surface.ts';
import { fontStack } from './type.ts';

/** The texts of a part, where the core laid them. */
export const Runs = memo(function Runs({ runs }: { runs: readonly Run[] }) {
  return runs.map((run, index) => <RunText key={index} run={run} />);
});

const RunText = memo(function RunText({ run }: { run: Run }) {
  return (
    <span className="run" style={runStyle(run)}>
      {run.text}
    </span>
  );
});

/** A run stands on its line of writing, whatever its font keeps above and below (see .run in tokens.css). */
function runStyle({ x, baseline, font, size, weight, spacing, colour }: Run): CSSProperties {
  return {
    left: x,
    top: baseline,
    fontFamily: familyOf(font),
    fontSize: size,
    fontWeight: weight,
    letterSpacing: spacing === 0 ? undefined : `${spacing}em`,
    color: paint(colour),
  };
}

/** The font of a use or a family, for style sheets. */
export function familyOf(font: Run['font']): string {
  return isUse(font) ? `var(--font-desk-${font})` : fontStack(font);
}

/** A colour of the layout for style sheets. */
export function paint(colour: Paint): string {
  return isRole(colour) ? `var(${READS[colour]})` : colour;
}

/** A rectangle of the layout as a place in the part. */
export function placeOf({ x, y, width, height }: Rect): CSSProperties {
  return { position: 'absolute', left: x, top: y, width, height };
}
