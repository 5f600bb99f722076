import { named } from '../../../../core/desk/edits/edit.ts';
import { Eye, RotateCcw } from 'lucide-react';
import { isNeutral } from '../../../../core/backdrop/drawn.ts';
import { towards, type Adjust } from '../../../../core/backdrop/schema.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { Backdrop } from '../../../../core/backdrop/schema.ts';
import { useDesk } from '../../../session/desk.ts';
import { useHalfRoles } from '../../../session/scene.ts';
import { useView } from '../../../stores/view.ts';
import { ColourField } from '../../../ui/colour-field.tsx';
import { Button, Row, Section, SelectField, SliderField } from '../../../ui/controls.tsx';

const around = { min: -100, max: 100 };
const amount = { min: 0, max: 100 };

const light = [
  { key: 'brightness', label: 'Brightness', ...around },
  { key: 'contrast', label: 'Contrast', ...around },
  { key: 'saturation', label: 'Saturation', ...around },
  { key: 'temperature', label: 'Temperature', ...around },
] as const;

const surface = [
  { key: 'blur', label: 'Blur', min: 0, max: 80, unit: 'px' },
  { key: 'grain', label: 'Grain', ...amount, unit: '%' },
] as const;

const towardTitles: Record<Adjust['darken']['toward'], string> = {
  rim: 'all around',
  top: 'toward the top',
  bottom: 'toward the bottom',
  left: 'toward the left',
  right: 'toward the right',
};

/** What is done to the pixels: seen at once on the stage, and the same when it is baked. */
export function AdjustPage({ backdrop }: { backdrop: Backdrop }) {
  const { edit, turn, endGesture } = useDesk.getState();
  const roles = useHalfRoles();
  const setBefore = useView((view) => view.setBefore);
  const { adjust, id } = backdrop;
  if (!roles) return null;
  const change = (label: string, to: Partial<Adjust>) => turn(named(label, edits.setAdjust(id, to)));
  const slider = ({
    key,
    label,
    unit,
    ...range
  }: {
    key: 'brightness' | 'contrast' | 'saturation' | 'temperature' | 'blur' | 'grain';
    label: string;
    unit?: string;
    min: number;
    max: number;
  }) => (
    <Row key={key} label={label}>
      <SliderField
        label={label}
        value={adjust[key]}
        {...range}
        unit={unit}
        onTurn={(value) => change(label, { [key]: value })}
        onEnd={endGesture}
      />
    </Row>
  );
  const strength = (label: string, key: 'tint' | 'darken' | 'twoTone') => (
    <Row label="Strength">
      <SliderField
        label={`${label}, strength`}
        value={adjust[key].strength}
        {...amount}
        unit="%"
        onTurn={(value) => change(label, { [key]: { ...adjust[key], strength: value } })}
        onEnd={endGesture}
      />
    </Row>
  );
  const colour = (label: string, value: string, take: (colour: string) => Partial<Adjust>) => (
    <Row label={label}>
      <ColourField
        label={label}
        value={value}
        roles={roles}
        onTurn={(next) => change(label, take(next))}
        onEnd={endGesture}
      />
    </Row>
  );
  const hold = { onPointerDown: () => setBefore(true), onPointerUp: () => setBefore(false) };
  return (
    <>
      <div className="flex gap-2">
        <Button
          {...hold}
          onPointerLeave={() => setBefore(false)}
          onPointerCancel={() => setBefore(false)}
          onKeyDown={(event) => [' ', 'Enter'].includes(event.key) && setBefore(true)}
          onKeyUp={() => setBefore(false)}
          onBlur={() => setBefore(false)}
          disabled={isNeutral(adjust)}
        >
          <Eye size={15} /> Hold: before
        </Button>
        <Button
          tone="quiet"
          disabled={isNeutral(adjust)}
          onClick={() => edit(named('Leave the backdrop as it is', edits.resetAdjust(id)))}
        >
          <RotateCcw size={15} /> As it was
        </Button>
      </div>
      <Section title="Light and colour">{light.map(slider)}</Section>
      <Section title="Surface">{surface.map(slider)}</Section>
      <Section title="Darkening">
        <Row label="Runs">
          <SelectField
            label="Darkens"
            value={adjust.darken.toward}
            choices={towards.map((toward) => ({ value: toward, label: towardTitles[toward] }))}
            onChange={(toward) => {
              change('Darkening', { darken: { ...adjust.darken, toward } });
              endGesture();
            }}
          />
        </Row>
        {strength('Darkening', 'darken')}
      </Section>
      <Section title="Tint">
        {colour('Tint', adjust.tint.colour, (next) => ({ tint: { ...adjust.tint, colour: next } }))}
        {strength('Tint', 'tint')}
      </Section>
      <Section title="Two tones">
        {colour('Darks', adjust.twoTone.dark, (dark) => ({ twoTone: { ...adjust.twoTone, dark } }))}
        {colour('Lights', adjust.twoTone.light, (next) => ({ twoTone: { ...adjust.twoTone, light: next } }))}
        {strength('Two tones', 'twoTone')}
      </Section>
    </>
  );
}
