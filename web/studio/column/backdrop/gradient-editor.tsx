import { Minus, Plus } from 'lucide-react';
import { mix } from '../../../../core/values/colour.ts';
import { paletteOf } from '../../../../core/colour/look.ts';
import type { Gradient } from '../../../../core/backdrop/schema.ts';
import { useDesk } from '../../../session/desk.ts';
import { useHalfRoles } from '../../../session/scene.ts';
import { ColourField } from '../../../ui/colour-field.tsx';
import { Button, IconButton, Row, Section, Segmented, SliderField } from '../../../ui/controls.tsx';
import type { EditedSource } from './use-backdrop.ts';

const MOST_POINTS = 12;

/** A gradient of several points, mixed through OKLab. */
export function GradientEditor({ edited, gradient }: { edited: EditedSource; gradient: Gradient }) {
  const { endGesture } = useDesk.getState();
  const roles = useHalfRoles();
  if (!roles) return null;
  const { points, shape, angle, centre } = gradient;
  const palette = paletteOf(roles);
  const turn = (change: Partial<Gradient>) => edited.turn('Gradient', { ...gradient, ...change });
  const setPoint = (index: number, change: Partial<Gradient['points'][number]>) =>
    turn({ points: points.map((point, at) => (at === index ? { ...point, ...change } : point)) });
  const percent = (label: string, value: number, onTurn: (value: number) => void) => (
    <Row label={label}>
      <SliderField
        label={label}
        value={Math.round(value * 100)}
        min={0}
        max={100}
        unit="%"
        onTurn={(next) => onTurn(next / 100)}
        onEnd={endGesture}
      />
    </Row>
  );

  function add() {
    const sorted = [...points].sort((a, b) => a.at - b.at);
    // In the widest gap, in the colour that is there already.
    const gaps = sorted.slice(1).map((point, index) => point.at - (sorted[index]?.at ?? 0));
    const at = gaps.indexOf(Math.max(...gaps));
    const [low, high] = [sorted[at], sorted[at + 1]];
    if (!low || !high) return;
    const colour = mix(palette.colour(low.colour), palette.colour(high.colour), 0.5);
    edited.set('Add a colour', { ...gradient, points: [...points, { at: (low.at + high.at) / 2, colour }] });
  }
  return (
    <Section title="Gradient" note="mixed so that it stays clear">
      <Row label="Shape">
        <Segmented
          label="Shape"
          value={shape}
          choices={[
            { value: 'linear', label: 'Linear' },
            { value: 'radial', label: 'Radial' },
          ]}
          onChange={(next) => edited.set('Gradient', { ...gradient, shape: next })}
        />
      </Row>
      {shape === 'linear' ? (
        <Row label="Angle">
          <SliderField
            label="Angle"
            value={angle}
            min={0}
            max={360}
            unit="°"
            onTurn={(next) => turn({ angle: next })}
            onEnd={endGesture}
          />
        </Row>
      ) : (
        <>
          {percent('Middle across', centre.x, (x) => turn({ centre: { ...centre, x } }))}
          {percent('Middle down', centre.y, (y) => turn({ centre: { ...centre, y } }))}
        </>
      )}
      {points.map((point, index) => (
        <div
          key={index}
          role="group"
          aria-label={`Colour ${index + 1}`}
          className="grid gap-1 border-t border-seam/60 pt-2"
        >
          <div className="flex items-center gap-1">
            <ColourField
              label={`Colour ${index + 1}`}
              value={point.colour}
              roles={roles}
              onTurn={(colour) => setPoint(index, { colour })}
              onEnd={endGesture}
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
          {percent('Stands at', point.at, (at) => setPoint(index, { at }))}
        </div>
      ))}
      <div>
        <Button disabled={points.length >= MOST_POINTS} onClick={add}>
          <Plus size={15} /> Colour
        </Button>
      </div>
    </Section>
  );
}
