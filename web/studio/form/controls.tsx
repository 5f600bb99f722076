import {
  PanelBottom,
  PanelLeft,
  PanelRight,
  PanelTop,
  RotateCcw,
  RotateCw,
  type LucideIcon,
} from 'lucide-react';
import { Suspense, useContext, type FC } from 'react';
import type { ControlName } from '../../../core/values/field.ts';
import { sides, type Side } from '../../../core/values/geometry.ts';
import { lookUp } from '../../../core/values/look-up.ts';
import { hexOf } from '../../../core/values/colour.ts';
import { isRole, type Colour } from '../../../core/values/roles.ts';
import { later } from '../../later.ts';
import { useHalfRoles } from '../../session/scene.ts';
import { IconButton } from '../../ui/buttons.tsx';
import { Segmented, SelectField } from '../../ui/choice.tsx';
import { ColourField } from '../../ui/colour-field.tsx';
import { NumberField, SliderField } from '../../ui/figure.tsx';
import { OfPart } from './of-part.ts';
import { taking, type ControlProps, type Values } from './control.ts';
import { ChipsControl } from './chips-control.tsx';
import {
  ApplicationControl,
  CalendarControl,
  FamilyControl,
  HeadlinesControl,
  InterfaceControl,
  MountControl,
  WallFolderControl,
  ZoneControl,
} from './listed-controls.tsx';
import { OwnPictureControl, PhotosControl, PictureControl } from './picture-controls.tsx';
import { HangingControl, PointControl } from './place-controls.tsx';
import {
  ExpressionControl,
  LongTextControl,
  PatternControl,
  ShortcutControl,
  TextControl,
  TimeControl,
  TimesControl,
  ToldTextControl,
} from './text-controls.tsx';

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
    isDiffering: props.isDiffering,
    unit: facts.unit,
    step: facts.step ?? 1,
    decimals: facts.decimals ?? (Number.isInteger(facts.step ?? 1) ? 0 : 2),
    onError,
    written: (number: number) => number / per,
  };
}

const Figure: FC<ControlProps> = (props) => {
  const { written, ...rest } = figureProps(props);
  return (
    <NumberField
      {...rest}
      onStep={(number) => props.onTurn(written(number))}
      onChange={(number) => taking(props)(written(number))}
    />
  );
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
  return (
    <Chooser
      label={label}
      value={props.isDiffering ? '' : String(value)}
      placeholder="differ"
      choices={choices}
      onChange={taking(props)}
    />
  );
};

/** Which of its shapes a value is in; another one is taken as it starts. */
export const VariantControl: FC<ControlProps & { by: string }> = ({ by, ...props }) => {
  const variants = new Map(Object.entries(props.shape.facts.variants ?? {}));
  const now = String(lookUp(props.value as Values, by));
  return (
    <Segmented
      label={props.label}
      value={now}
      choices={Array.from(variants, ([value, { label }]) => ({ value, label }))}
      onChange={(next) => next !== now && taking(props)({ [by]: next, ...variants.get(next)?.start })}
    />
  );
};

/** Few colours are hard to read. */
const WeakColour = later(async () => ({
  default: (await import('../legibility/weak-colour.tsx')).WeakColour,
}));

const ColourControl: FC<ControlProps> = ({ label, shape, value, values, isDiffering, onTurn, onEnd }) => {
  const roles = useHalfRoles();
  const of = useContext(OfPart);
  const colour = value as Colour;
  return (
    roles && (
      <div className="w-full">
        <ColourField
          label={label}
          value={isDiffering ? null : colour}
          roles={roles}
          onTurn={(next, opacity = 1) =>
            onTurn(
              next,
              opacity < 1 ? shape.facts.withOpacity?.(Math.round(opacity * 100), values) : undefined,
            )
          }
          onEnd={onEnd}
        />
        {of && !isDiffering && !isRole(colour) && (
          <Suspense>
            <WeakColour key={`${of.part} ${of.item}`} {...of} colour={hexOf(colour)} />
          </Suspense>
        )}
      </div>
    )
  );
};

const minutesIn = { minutes: 1, hours: 60, days: 1440 } as const;
type DurationUnit = keyof typeof minutesIn;
const durationUnits = Object.keys(minutesIn) as DurationUnit[];

/** Minutes, in the largest unit that they are whole in. */
const DurationControl: FC<ControlProps> = (props) => {
  const { label, value, shape, onError } = props;
  const minutes = Number(value);
  const most = shape.max ?? Infinity;
  const unit: DurationUnit = minutes % 1440 === 0 ? 'days' : minutes % 60 === 0 ? 'hours' : 'minutes';
  const take = taking(props);
  return (
    <>
      <NumberField
        label={label}
        value={minutes / minutesIn[unit]}
        min={1}
        max={Math.floor(most / minutesIn[unit])}
        isWhole
        className="w-12 !flex-none"
        onError={onError}
        onChange={(many) => take(many * minutesIn[unit])}
      />
      <SelectField
        label={`${label}: unit`}
        value={unit}
        choices={durationUnits.map((one) => ({ value: one, label: one }))}
        onChange={(next) => take(Math.min(most, (minutes / minutesIn[unit]) * minutesIn[next]))}
      />
    </>
  );
};

const turns = [0, 90, 180, 270] as const;

const TurnControl: FC<ControlProps> = (props) => {
  const at = turns.findIndex((turn) => turn === props.value);
  const by = (step: number) => taking(props)(turns[(at + step + turns.length) % turns.length]);
  return (
    <>
      <IconButton label="Turn left" onClick={() => by(-1)}>
        <RotateCcw size={16} />
      </IconButton>
      <IconButton label="Turn right" onClick={() => by(1)}>
        <RotateCw size={16} />
      </IconButton>
      <span className="font-mono text-[12px] text-dust">{String(props.value)}°</span>
    </>
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
  chips: ChipsControl,
  time: TimeControl,
  times: TimesControl,
  duration: DurationControl,
  picture: PictureControl,
  'own-picture': OwnPictureControl,
  turn: TurnControl,
  photos: PhotosControl,
  'wall-folder': WallFolderControl,
  mount: MountControl,
  interface: InterfaceControl,
  point: PointControl,
  hanging: HangingControl,
  figure: Figure,
  slider: SliderControl,
  choice: ChoiceControl,
  text: TextControl,
  colour: ColourControl,
  zone: ZoneControl,
  pattern: PatternControl,
  expression: ExpressionControl,
  'told-text': ToldTextControl,
  'long-text': LongTextControl,
  calendar: CalendarControl,
  headlines: HeadlinesControl,
  application: ApplicationControl,
  shortcut: ShortcutControl,
  family: FamilyControl,
  side: SideControl,
};
