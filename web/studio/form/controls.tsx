import type { FC } from 'react';
import { sides, type Side } from '../../../core/values/geometry.ts';
import type { ControlName } from '../../../core/values/field.ts';
import type { Colour } from '../../../core/values/roles.ts';
import { formatMoment, isDatePattern } from '../../../core/sources/time/time.ts';
import { PanelBottom, PanelLeft, PanelRight, PanelTop, type LucideIcon } from 'lucide-react';
import { useConditions } from '../../session/conditions.ts';
import { useDesk } from '../../session/desk.ts';
import { useHalfRoles } from '../../session/scene.ts';
import { Segmented, SelectField } from '../../ui/choice.tsx';
import { ColourField } from '../../ui/colour-field.tsx';
import { NumberField, SliderField } from '../../ui/figure.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { sentenceFor, type FieldShape } from './schema.ts';

/** What every control is given. Values come in, changes go out; a refused one is said through onError. */
export interface ControlProps {
  /** As it is read out. */
  label: string;
  shape: FieldShape;
  value: unknown;
  /** A turn of a change under way, which onEnd ends. */
  onTurn: (value: unknown) => void;
  onEnd: () => void;
  onError: (sentence: string | null) => void;
}

/** A change that is whole at once. */
function taking({ onTurn, onEnd }: ControlProps) {
  return (value: unknown) => {
    onTurn(value);
    onEnd();
  };
}

/** A number as it is shown: a share as percent, say. */
function figureProps(props: ControlProps) {
  const { shape, label, value, onError } = props;
  const { facts, min, max, isWhole } = shape;
  const per = facts.per ?? 1;
  const shown = (number: number) => Math.round(number * per * 1000) / 1000;
  return {
    label,
    value: shown(Number(value)),
    min: min === undefined ? undefined : shown(min),
    max: max === undefined ? undefined : shown(max),
    isWhole,
    unit: facts.unit,
    step: facts.step ?? 1,
    decimals: facts.decimals ?? (Number.isInteger(facts.step ?? 1) ? 0 : 2),
    onError,
    written: (number: number) => number / per,
  };
}

const Figure: FC<ControlProps> = (props) => {
  const { written, ...rest } = figureProps(props);
  return <NumberField {...rest} onChange={(number) => taking(props)(written(number))} />;
};

const SliderControl: FC<ControlProps> = (props) => {
  const { written, min = 0, max = 100, ...rest } = figureProps(props);
  return (
    <SliderField
      {...rest}
      min={min}
      max={max}
      isGeometric={props.shape.facts.isGeometric}
      onTurn={(number) => props.onTurn(written(number))}
      onEnd={props.onEnd}
    />
  );
};

/** Choices side by side where they have room. */
const MOST_ABREAST = 3;
const MOST_ABREAST_WIDE = 5;

const ChoiceControl: FC<ControlProps> = (props) => {
  const { label, shape, value } = props;
  const { choices, facts } = shape;
  const most = facts.isWide ? MOST_ABREAST_WIDE : MOST_ABREAST;
  const Chooser = choices.length <= most ? Segmented : SelectField;
  return <Chooser label={label} value={String(value)} choices={choices} onChange={taking(props)} />;
};

const ColourControl: FC<ControlProps> = ({ label, value, onTurn, onEnd }) => {
  const roles = useHalfRoles();
  return (
    roles && <ColourField label={label} value={value as Colour} roles={roles} onTurn={onTurn} onEnd={onEnd} />
  );
};

const TextControl: FC<ControlProps & { list?: readonly string[] }> = (props) => (
  <TextField
    label={props.label}
    value={String(props.value ?? '')}
    placeholder={props.shape.facts.placeholder}
    check={(text) => sentenceFor(props.shape, text)}
    list={props.list}
    onChange={taking(props)}
    onError={props.onError}
  />
);

const zones = Intl.supportedValuesOf('timeZone');

const ZoneControl: FC<ControlProps> = (props) => <TextControl {...props} list={zones} />;

const PatternControl: FC<ControlProps> = (props) => {
  const moment = useConditions((state) => state.moment);
  const zone = useDesk((state) => state.history?.present.place.zone ?? 'UTC');
  const pattern = String(props.value);
  return (
    <div className="grid w-full gap-1">
      <TextControl {...props} />
      {pattern && isDatePattern(pattern) && (
        <span className="truncate text-[12px] text-dust">{formatMoment(moment, zone, pattern)}</span>
      )}
    </div>
  );
};

const ApplicationControl: FC<ControlProps> = (props) => {
  const applications = useDesk((state) => state.history?.present.applications) ?? [];
  return (
    <SelectField
      label={props.label}
      value={String(props.value)}
      placeholder="Choose one"
      choices={applications.map(({ id, Name }) => ({ value: id, label: Name }))}
      onChange={taking(props)}
    />
  );
};

const sideIcons: Record<Side, LucideIcon> = {
  top: PanelTop,
  right: PanelRight,
  bottom: PanelBottom,
  left: PanelLeft,
};

const SideControl: FC<ControlProps> = (props) => (
  <Segmented
    label={props.label}
    value={props.value as Side}
    choices={sides.map((side) => {
      const Icon = sideIcons[side];
      return { value: side, label: side, icon: <Icon size={16} strokeWidth={1.6} /> };
    })}
    onChange={taking(props)}
  />
);

/** Every control by its name, but the switch, which brings its own row. Add a new one here. */
export const controls: Record<Exclude<ControlName, 'switch'>, FC<ControlProps>> = {
  figure: Figure,
  slider: SliderControl,
  choice: ChoiceControl,
  text: TextControl,
  colour: ColourControl,
  zone: ZoneControl,
  pattern: PatternControl,
  application: ApplicationControl,
  side: SideControl,
};
