import { Suspense, type FC } from 'react';
import { learnFamilies } from '../../../core/text/families.ts';
import { families, familyTitles, type Family } from '../../../core/values/family.ts';
import { sides, type Side } from '../../../core/values/geometry.ts';
import type { ControlName } from '../../../core/values/field.ts';
import type { Colour } from '../../../core/values/roles.ts';
import { formatMoment, isDatePattern } from '../../../core/sources/time/time.ts';
import {
  FolderOpen,
  PanelBottom,
  PanelLeft,
  PanelRight,
  PanelTop,
  RotateCcw,
  RotateCw,
  type LucideIcon,
} from 'lucide-react';
import { lookUp } from '../../../core/values/look-up.ts';
import { IconButton } from '../../ui/buttons.tsx';
import { FileButton, FilesButton } from '../../ui/file-button.tsx';
import { ownIconAddress } from '../../api/addresses.ts';
import { PICTURE_TYPES, takePicture } from '../pictures.ts';
import { iconNames } from '../../../core/icons/names.ts';
import { isOwn } from '../../../core/values/family.ts';
import { takeOwnIcon } from '../own-icon.ts';
import { keysOf, takenSentence } from '../shortcuts.ts';
import { HangingControl, PointControl } from './place-controls.tsx';
import { useConditions } from '../../session/conditions.ts';
import { useDesk } from '../../session/desk.ts';
import { useHalfRoles } from '../../session/scene.ts';
import { Segmented, SelectField } from '../../ui/choice.tsx';
import { ColourField } from '../../ui/colour-field.tsx';
import { NumberField, SliderField } from '../../ui/figure.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { later } from '../../later.ts';
import { machineNames } from './machine-names.ts';
import { sentenceFor, type FieldShape } from './schema.ts';

/** What every control is given. Values come in, changes go out; a refused one is said through onError. */
export type Values = Readonly<Record<string, unknown>>;

export interface ControlProps {
  /** As it is read out. */
  label: string;
  shape: FieldShape;
  value: unknown;
  /** A turn of a change under way, which onEnd ends; `beside` are fields beside this one that go with it. */
  onTurn: (value: unknown, beside?: Values) => void;
  onEnd: () => void;
  /** Several things are edited together, and have other values than this one. */
  isDiffering?: boolean;
  onError: (sentence: string | null) => void;
}

/** A change that is whole at once. */
function taking({ onTurn, onEnd }: ControlProps) {
  return (value: unknown, beside?: Values) => {
    onTurn(value, beside);
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

const ColourControl: FC<ControlProps> = ({ label, value, isDiffering, onTurn, onEnd }) => {
  const roles = useHalfRoles();
  return (
    roles && (
      <ColourField
        label={label}
        value={isDiffering ? null : (value as Colour)}
        roles={roles}
        onTurn={onTurn}
        onEnd={onEnd}
      />
    )
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

/** Words with blanks or commas between them. */
const TimesControl: FC<ControlProps> = (props) => {
  const times = (text: string) => text.split(/[\s,;]+/).filter(Boolean);
  return (
    <TextField
      label={props.label}
      value={(props.value as string[]).join(' ')}
      placeholder={props.shape.facts.placeholder}
      className="font-mono text-[12px]"
      check={(text) => sentenceFor(props.shape, times(text))}
      onChange={(text) => taking(props)(times(text))}
      onError={props.onError}
    />
  );
};

const TimeControl: FC<ControlProps> = (props) => (
  <TextField
    label={props.label}
    value={String(props.value)}
    className="font-mono"
    check={(text) => sentenceFor(props.shape, text.trim())}
    onChange={(text) => taking(props)(text.trim())}
    onError={props.onError}
  />
);

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

/** A picture from this machine; its name goes with it. */
const PictureControl: FC<ControlProps> = (props) => (
  <div>
    <FileButton
      label={`${props.label} file`}
      accept={PICTURE_TYPES}
      onFile={(chosen) => void takePicture(chosen, ({ picture, name }) => taking(props)(picture, { name }))}
    >
      <FolderOpen size={15} /> {props.value ? 'Another picture…' : 'A picture of yours…'}
    </FileButton>
    <p className="mt-1 text-[12px] text-dust">PNG, JPEG, WebP, AVIF, GIF; or drop one on the stage.</p>
  </div>
);

/** A mark of the desk's set, or a small picture of one's own. */
const OwnPictureControl: FC<ControlProps> = (props) => (
  <div className="grid w-full gap-1">
    <SelectField
      label={props.label}
      value={isOwn(String(props.value)) ? '' : String(props.value)}
      placeholder={isOwn(String(props.value)) ? 'One of yours' : 'Choose a mark'}
      choices={(isOpen) =>
        iconNames
          .filter((name) => isOpen || name === props.value)
          .map((name) => ({ value: name as string, label: name.replaceAll('-', ' ') }))
      }
      onChange={taking(props)}
    />
    <FileButton
      label={`${props.label} file`}
      accept="image/svg+xml,image/png"
      onFile={(file) => void takeOwnIcon(file, 'The item', taking(props))}
    >
      <FolderOpen size={15} /> SVG or PNG of yours…
    </FileButton>
  </div>
);

/** Pictures of one's own in their order, each with a way to take it off. */
const PhotosControl: FC<ControlProps> = (props) => {
  const pictures = props.value as readonly string[];
  const take = taking(props);
  async function add(files: readonly File[]): Promise<void> {
    const added: string[] = [];
    for (const file of files) {
      await takePicture(file, ({ picture }) => added.push(`own:${picture}`));
    }
    if (added.length === 0) return;
    const next = [...pictures, ...added];
    const wrong = sentenceFor(props.shape, next);
    props.onError(wrong && 'Not taken: there are more pictures than it can show.');
    if (!wrong) take(next);
  }
  return (
    <div className="grid w-full gap-1.5">
      <div className="grid grid-cols-4 gap-1.5">
        {pictures.map((id, index) => (
          <button
            key={`${id} ${index}`}
            type="button"
            aria-label={`Take picture ${index + 1} off`}
            data-tip="Take it off"
            className="group relative aspect-square overflow-hidden rounded-lg bg-pit"
            onClick={() => take(pictures.filter((_, at) => at !== index))}
          >
            <img src={ownIconAddress(id)} alt="" className="size-full object-cover group-hover:opacity-50" />
          </button>
        ))}
      </div>
      <FilesButton
        label={`${props.label} files`}
        accept={PICTURE_TYPES}
        multiple
        onFiles={(files) => void add(files)}
      >
        <FolderOpen size={15} /> {pictures.length > 0 ? 'More pictures…' : 'Pictures of yours…'}
      </FilesButton>
    </div>
  );
};

/** Keys: pressed in the field, or written. */
const ShortcutControl: FC<ControlProps> = (props) => {
  const check = (text: string) => sentenceFor(props.shape, text) ?? takenSentence(text);
  return (
    <div
      className="w-full"
      onKeyDownCapture={(event) => {
        const keys = keysOf(event.nativeEvent);
        if (!keys) return;
        event.preventDefault();
        event.stopPropagation();
        const wrong = check(keys);
        props.onError(wrong);
        if (!wrong) taking(props)(keys);
      }}
    >
      <TextField
        label={props.label}
        value={String(props.value)}
        placeholder={props.shape.facts.placeholder}
        className="font-mono"
        check={check}
        onChange={taking(props)}
        onError={props.onError}
      />
    </div>
  );
};

const zones = Intl.supportedValuesOf('timeZone');

const ZoneControl: FC<ControlProps> = (props) => <TextControl {...props} list={zones} />;

/** A disk by where it is mounted, or a network by its name: those that there are now are offered. */
function OfMachine({ list, ...props }: ControlProps & { list: 'mounts' | 'interfaces' }) {
  return <TextControl {...props} list={machineNames(list)} />;
}
const MountControl: FC<ControlProps> = (props) => <OfMachine {...props} list="mounts" />;
const InterfaceControl: FC<ControlProps> = (props) => <OfMachine {...props} list="interfaces" />;

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

const ExpressionEditor = later(async () => ({
  default: (await import('../expressions/expression-editor.tsx')).ExpressionEditor,
}));

/** While its code comes, the text stands as it is. */
function Told({ isWhole, ...props }: ControlProps & { isWhole: boolean }) {
  const text = String(props.value ?? '');
  return (
    <div className="grid w-full gap-1">
      <span>{props.shape.facts.label}</span>
      <Suspense
        fallback={<p className="min-h-8 whitespace-pre-wrap font-mono text-[12px] text-dust">{text}</p>}
      >
        <ExpressionEditor
          label={props.label}
          value={text}
          placeholder={props.shape.facts.placeholder}
          isExpression={isWhole}
          check={(next) => sentenceFor(props.shape, next)}
          onTurn={props.onTurn}
          onEnd={props.onEnd}
          onError={props.onError}
        />
      </Suspense>
    </div>
  );
}

/** One of the desk's calendars or sources of headlines, or all of them. */
function OneOf({ list, all, ...props }: ControlProps & { list: 'calendars' | 'headlines'; all: string }) {
  const some = useDesk((state) => state.history?.present.sources.outside[list]) ?? [];
  return (
    <SelectField
      label={props.label}
      // Nothing can't be a choice's value.
      value={String(props.value) || 'all'}
      choices={[
        { value: 'all', label: all },
        ...some.map(({ id, title }) => ({ value: id, label: title || 'Without a name' })),
      ]}
      onChange={(id) => taking(props)(id === 'all' ? '' : id)}
    />
  );
}

const CalendarControl: FC<ControlProps> = (props) => (
  <OneOf {...props} list="calendars" all="All calendars" />
);
const HeadlinesControl: FC<ControlProps> = (props) => <OneOf {...props} list="headlines" all="All sources" />;

/** A text of some lines; it is taken when it is left. */
const LongTextControl: FC<ControlProps> = (props) => {
  const given = String(props.value ?? '');
  return (
    <label className="grid w-full gap-1">
      {props.shape.facts.label}
      <textarea
        key={given}
        defaultValue={given}
        rows={6}
        spellCheck={false}
        maxLength={props.shape.maxLength}
        placeholder={props.shape.facts.placeholder}
        className="w-full rounded-lg bg-pit p-2 font-mono text-[12px] placeholder:text-dust"
        onBlur={({ target }) => {
          if (target.value === given) return;
          const wrong = sentenceFor(props.shape, target.value);
          props.onError(wrong);
          if (!wrong) taking(props)(target.value);
        }}
      />
    </label>
  );
};

const ExpressionControl: FC<ControlProps> = (props) => <Told {...props} isWhole />;
const ToldTextControl: FC<ControlProps> = (props) => <Told {...props} isWhole={false} />;

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

const WallFolderControl: FC<ControlProps> = (props) => {
  const folders = useDesk((state) => state.history?.present.menus.appWall.folders) ?? [];
  return (
    <SelectField
      label={props.label}
      // Nothing can't be a choice's value.
      value={String(props.value) || 'none'}
      choices={[
        { value: 'none', label: folders.length > 0 ? 'None' : 'The app wall has none' },
        ...folders.map(({ id, name }) => ({ value: id, label: name })),
      ]}
      onChange={(id) => taking(props)(id === 'none' ? '' : id)}
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

/** A family of type: the desk's own first. It is learned before it is taken, so that nothing moves twice. */
const FamilyControl: FC<ControlProps> = (props) => {
  const own = useDesk((state) => state.history?.present.look.ownFonts) ?? [];
  return (
    <SelectField
      label={props.label}
      value={props.value as Family}
      choices={[
        ...own.map(({ id, name }) => ({ value: id as Family, label: `${name} (yours)` })),
        ...families.map((family) => ({ value: family as Family, label: familyTitles[family] })),
      ]}
      onChange={(family) => void learnFamilies([family]).then(() => taking(props)(family))}
    />
  );
};

/** Every control by its name, but the switch, which brings its own row. Add a new one here. */
export const controls: Record<Exclude<ControlName, 'switch'>, FC<ControlProps>> = {
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
