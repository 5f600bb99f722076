import type { ReadoutLayout, ReadoutView } from '../../../../core/widgets/readout/work.ts';
import { paint, placeOf } from '../../kit/runs.tsx';

interface Props {
  view: ReadoutView;
  layout: ReadoutLayout;
}

function Rule({ layout: { rule, colour } }: Props) {
  return (
    rule && <div style={{ ...placeOf(rule), background: paint(colour), borderRadius: rule.width / 2 }} />
  );
}

export const faces = { plain: null, headline: null, ruled: Rule, plate: null };
