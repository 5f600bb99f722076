import { z } from 'zod';
import { Gradient, GradientPoint } from '../../../../core/backdrop/schema.ts';
import { paletteOf, type Palette } from '../../../../core/colour/look.ts';
import { mix } from '../../../../core/values/colour.ts';
import { useDesk } from '../../../session/desk.ts';
import { useHalfRoles } from '../../../session/scene.ts';
import { Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';
import type { EditedSource } from './use-backdrop.ts';

/** A gradient of several points, mixed through OKLab. */
export function GradientEditor({ edited, gradient }: { edited: EditedSource; gradient: Gradient }) {
  const roles = useHalfRoles();
  if (!roles) return null;
  const palette = paletteOf(roles);
  return (
    <Section title="Gradient" note="mixed so that it stays clear">
      <Fields
        schema={Gradient}
        values={gradient}
        onTurn={(change) => edited.turn('Gradient', { ...gradient, ...change })}
        onEnd={useDesk.getState().endGesture}
        adders={{ points: (points) => another(z.array(GradientPoint).parse(points), palette) }}
      />
    </Section>
  );
}

/** One more point: in the middle of the widest gap, in the colour that is there already. */
function another(points: readonly GradientPoint[], palette: Palette): GradientPoint | null {
  const sorted = [...points].sort((a, b) => a.at - b.at);
  const gaps = sorted.slice(1).map((point, index) => point.at - (sorted[index]?.at ?? 0));
  const widest = gaps.indexOf(Math.max(...gaps));
  const [low, high] = [sorted[widest], sorted[widest + 1]];
  if (!low || !high) return null;
  const colour = mix(palette.colour(low.colour), palette.colour(high.colour), 0.5);
  return { at: (low.at + high.at) / 2, colour };
}
