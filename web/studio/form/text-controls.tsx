import { Suspense, type FC } from 'react';
import { formatMoment, isDatePattern } from '../../../core/sources/time/time.ts';
import { later } from '../../later.ts';
import { useConditions } from '../../session/conditions.ts';
import { useDesk } from '../../session/desk.ts';
import { TextField } from '../../ui/text-field.tsx';
import { keysOf, refusedSentence, takenSentence } from '../commands/shortcuts.ts';
import { taking, type ControlProps } from './control.ts';
import { sentenceFor } from './schema.ts';

export const TextControl: FC<ControlProps & { list?: readonly string[] }> = (props) => (
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
export const TimesControl: FC<ControlProps> = (props) => {
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

export const TimeControl: FC<ControlProps> = (props) => (
  <TextField
    label={props.label}
    value={String(props.value)}
    className="font-mono"
    check={(text) => sentenceFor(props.shape, text.trim())}
    onChange={(text) => taking(props)(text.trim())}
    onError={props.onError}
  />
);

/** A text of some lines; it is taken when it is left. */
export const LongTextControl: FC<ControlProps> = (props) => {
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

/** Keys: pressed in the field, or written. */
export const ShortcutControl: FC<ControlProps> = (props) => {
  const keysOnDesk = useDesk(({ history }) => history?.present.keys);
  const check = (text: string) =>
    text === props.value ? null : (sentenceFor(props.shape, text) ?? takenSentence(text, keysOnDesk));
  return (
    <div
      className="w-full"
      onKeyDownCapture={(event) => {
        const keys = keysOf(event.nativeEvent);
        const refused = keys ? null : refusedSentence(event.nativeEvent);
        if (refused) {
          event.preventDefault();
          props.onError(refused);
        }
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

export const PatternControl: FC<ControlProps> = (props) => {
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

export const ExpressionControl: FC<ControlProps> = (props) => <Told {...props} isWhole />;
export const ToldTextControl: FC<ControlProps> = (props) => <Told {...props} isWhole={false} />;
