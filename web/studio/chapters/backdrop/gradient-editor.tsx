import { Minus, Plus } from 'lucide-react';
import { Gradient, GradientPoint } from '../../../../core/backdrop/schema.ts';
import { paletteOf, type Palette } from '../../../../core/colour/look.ts';
import { mix } from '../../../../core/values/colour.ts';
import { useDesk } from '../../../session/desk.ts';
import { useHalfRoles } from '../../../session/scene.ts';
import { Button, IconButton } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';
import type { EditedSource } from './use-backdrop.ts';

const MOST_POINTS = 12;

interface GradientProps {
  edited: EditedSource;
  gradient: Gradient;
}

/** A gradient of several points, mixed through OKLab. */
export function GradientEditor({ edited, gradient }: GradientProps) {
  const { endGesture } = useDesk.getState();
  const roles = useHalfRoles();
  if (!roles) return null;
  const { points } = gradient;
  return (
    <Section title="Gradient" note="mixed so that it stays clear">
      <Fields
        schema={Gradient}
        values={gradient}
        onTurn={(change) => edited.turn('Gradient', { ...gradient, ...change })}
        onEnd={endGesture}
      />
      {points.map((_, index) => (
        <PointFields key={index} index={index} edited={edited} gradient={gradient} />
      ))}
      <div>
        <Button
          disabled={points.length >= MOST_POINTS}
          onClick={() => edited.set('Add a colour', withAnother(gradient, paletteOf(roles)))}
        >
          <Plus size={15} /> Colour
        </Button>
      </div>
    </Section>
  );
}

function PointFields({ index, edited, gradient }: GradientProps & { index: number }) {
  const { points } = gradient;
  const point = points[index];
  if (!point) return null;
  const turn = (change: Partial<GradientPoint>) =>
    edited.turn('Gradient', {
      ...gradient,
      points: points.map((one, at) => (at === index ? { ...one, ...change } : one)),
    });
  return (
    <div
      role="group"
      aria-label={`Colour ${index + 1}`}
      className="relative grid gap-1 border-t border-seam/60 pt-2"
    >
      <Fields
        schema={GradientPoint}
        values={point}
        of={`Colour ${index + 1}`}
        onTurn={turn}
        onEnd={useDesk.getState().endGesture}
      />
      <IconButton
        label={`Remove colour ${index + 1}`}
        className="!size-6"
        disabled={points.length <= 2}
        onClick={() =>
          edited.set('Remove a colour', { ...gradient, points: points.filter((_, at) => at !== index) })
        }
      >
        <Minus size={14} />
      </IconButton>
    </div>
  );
}

/** With one more point: in the middle of the widest gap, in the colour that is there already. */
function withAnother(gradient: Gradient, palette: Palette): Gradient {
  const sorted = [...gradient.points].sort((a, b) => a.at - b.at);
  const gaps = sorted.slice(1).map((point, index) => point.at - (sorted[index]?.at ?? 0));
  const widest = gaps.indexOf(Math.max(...gaps));
  const [low, high] = [sorted[widest], sorted[widest + 1]];
  if (!low || !high) return gradient;
  const colour = mix(palette.colour(low.colour), palette.colour(high.colour), 0.5);
  return { ...gradient, points: [...gradient.points, { at: (low.at + high.at) / 2, colour }] };
}
