import clsx from 'clsx';
import { Select, Slider, Switch, ToggleGroup, Tooltip } from 'radix-ui';
import { Check, ChevronDown } from 'lucide-react';
import {
  useEffect,
  useId,
  useRef,
  useState,
  type ComponentProps,
  type KeyboardEvent,
  type ReactNode,
} from 'react';

/** The small controls of the column. They hold no state of the desk: values come in, changes go out. */

export function IconButton({
  label,
  className,
  children,
  ...rest
}: ComponentProps<'button'> & { label: string }) {
  return (
    <Tip text={label}>
      <button
        type="button"
        aria-label={label}
        className={clsx(
          'grid size-8 shrink-0 place-items-center rounded-lg text-dust transition-colors hover:bg-nap hover:text-chalk disabled:opacity-40 disabled:hover:bg-transparent',
          className,
        )}
        {...rest}
      >
        {children}
      </button>
    </Tip>
  );
}

export function Tip({ text, children }: { text: string; children: ReactNode }) {
  return (
    <Tooltip.Root delayDuration={500}>
      <Tooltip.Trigger asChild>{children}</Tooltip.Trigger>
      <Tooltip.Portal>
        <Tooltip.Content
          sideOffset={6}
          className="z-50 rounded-md border border-seam bg-nap px-2 py-1 text-[12px] text-chalk shadow-lg"
        >
          {text}
        </Tooltip.Content>
      </Tooltip.Portal>
    </Tooltip.Root>
  );
}

const buttonTones = {
  plain: 'border border-seam bg-nap text-chalk hover:border-dust',
  quiet: 'text-dust hover:bg-nap hover:text-chalk',
  brass: 'bg-brass text-on-brass hover:brightness-110',
  rust: 'border border-seam text-rust hover:border-rust',
} as const;

export function Button({
  tone = 'plain',
  className,
  ...rest
}: ComponentProps<'button'> & { tone?: keyof typeof buttonTones }) {
  return (
    <button
      type="button"
      className={clsx(
        'inline-flex min-h-8 items-center justify-center gap-2 rounded-lg px-3 font-medium transition-colors disabled:opacity-50',
        buttonTones[tone],
        className,
      )}
      {...rest}
    />
  );
}

export function Section({ title, note, children }: { title: string; note?: ReactNode; children: ReactNode }) {
  return (
    <section className="mt-5 first:mt-0" aria-label={title}>
      <header className="mb-2 flex items-baseline justify-between gap-3">
        <h3 className="font-semibold">{title}</h3>
        {note && <span className="text-right text-[12px] text-dust">{note}</span>}
      </header>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-1">{children}</div>
    </section>
  );
}

/** A label at the left, its control at the right; a sentence beneath when something is wrong. */
export function Row({
  label,
  htmlFor,
  error,
  isShort = false,
  children,
}: {
  label: string;
  htmlFor?: string;
  error?: string | null;
  /** Narrow, for a label of a word or less. */
  isShort?: boolean;
  children: ReactNode;
}) {
  return (
    <div
      className={clsx(
        'grid min-h-8 items-center gap-x-2.5',
        isShort ? 'grid-cols-[24px_minmax(0,1fr)]' : 'grid-cols-[92px_minmax(0,1fr)]',
      )}
    >
      <label htmlFor={htmlFor} className="text-dust">
        {label}
      </label>
      <div className="flex min-w-0 items-center gap-2">{children}</div>
      {error && (
        <p role="alert" className="col-start-2 pt-1 text-[12px] text-rust">
          {error}
        </p>
      )}
    </div>
  );
}

const box =
  'h-8 min-w-0 rounded-lg border border-transparent bg-pit px-2.5 text-chalk outline-offset-0 placeholder:text-dust/70 hover:border-seam';

export interface NumberFieldProps {
  label: string;
  value: number;
  onChange: (value: number) => void;
  min?: number;
  max?: number;
  step?: number;
  unit?: string;
  decimals?: number;
  disabled?: boolean;
  onError?: (sentence: string | null) => void;
  className?: string;
}

/** Takes a number on Enter or when left; arrows step by one, with Shift by ten; Escape gives the old one back. */
export function NumberField({
  label,
  value,
  onChange,
  min = -Infinity,
  max = Infinity,
  step = 1,
  unit,
  decimals = 1,
  disabled,
  onError,
  className,
}: NumberFieldProps) {
  const shown = trim(value, decimals);
  const [text, setText] = useState<string | null>(null);
  const [isWrong, setWrong] = useState(false);

  function take(typed: string | null) {
    setText(null);
    if (typed === null || typed === shown) {
      setWrong(false);
      onError?.(null);
      return;
    }
    const wanted = Number(typed.replace(',', '.'));
    const isFine = typed.trim() !== '' && Number.isFinite(wanted) && wanted >= min && wanted <= max;
    setWrong(!isFine);
    onError?.(isFine ? null : `"${typed.slice(0, 12)}" was not taken: ${rangeText(min, max)}.`);
    if (isFine) onChange(wanted);
  }

  function onKeyDown(event: KeyboardEvent<HTMLInputElement>) {
    if (event.key === 'Enter') take(text);
    else if (event.key === 'Escape' && text !== null) {
      event.stopPropagation();
      setText(null);
    } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      const by = step * (event.shiftKey ? 10 : 1) * (event.key === 'ArrowUp' ? 1 : -1);
      setText(null);
      onChange(Math.min(max, Math.max(min, Math.round((value + by) * 1000) / 1000)));
    }
  }

  return (
    <span className={clsx('relative flex min-w-0 flex-1', className)}>
      <input
        aria-label={label}
        aria-invalid={isWrong}
        inputMode="decimal"
        disabled={disabled}
        value={text ?? shown}
        onChange={(event) => setText(event.target.value)}
        onFocus={(event) => event.target.select()}
        onBlur={() => take(text)}
        onKeyDown={onKeyDown}
        className={clsx(box, 'w-full !px-2 font-mono text-[12px]', unit && '!pr-6', isWrong && 'border-rust')}
      />
      {unit && (
        <span className="pointer-events-none absolute right-2 top-1/2 -translate-y-1/2 text-[11px] text-dust">
          {unit}
        </span>
      )}
    </span>
  );
}

function trim(value: number, decimals: number): string {
  return String(Math.round(value * 10 ** decimals) / 10 ** decimals);
}

function rangeText(min: number, max: number): string {
  if (Number.isFinite(min) && Number.isFinite(max)) return `a number from ${min} to ${max}`;
  return 'a number';
}

export function SliderField({
  label,
  value,
  onTurn,
  onEnd,
  min,
  max,
  step = 1,
  unit,
  decimals = 0,
}: {
  label: string;
  value: number;
  /** Each turn of the slider; the change is done at onEnd. */
  onTurn: (value: number) => void;
  onEnd: () => void;
  min: number;
  max: number;
  step?: number;
  unit?: string;
  decimals?: number;
}) {
  const committed = useRef<number | null>(null);
  return (
    <>
      <Slider.Root
        className="relative flex h-8 min-w-0 flex-1 touch-none items-center"
        value={[Math.min(max, Math.max(min, value))]}
        min={min}
        max={max}
        step={step}
        onValueChange={([next]) => {
          if (next !== undefined && next !== committed.current) onTurn(next);
        }}
        // By the keyboard this comes just before the change itself, which then has nothing to add.
        onValueCommit={([next]) => {
          if (next !== undefined) onTurn(next);
          onEnd();
          committed.current = next ?? null;
          queueMicrotask(() => (committed.current = null));
        }}
      >
        <Slider.Track className="relative h-1 grow rounded-full bg-pit">
          <Slider.Range className="absolute h-full rounded-full bg-brass" />
        </Slider.Track>
        <Slider.Thumb aria-label={label} className="block size-4 rounded-full bg-chalk shadow-md" />
      </Slider.Root>
      <NumberField
        label={`${label}, exact`}
        className="max-w-[68px]"
        value={value}
        min={min}
        max={max}
        step={step}
        unit={unit}
        decimals={decimals}
        onChange={(next) => {
          onTurn(next);
          onEnd();
        }}
      />
    </>
  );
}

export function SwitchField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: boolean;
  onChange: (value: boolean) => void;
}) {
  const id = useId();
  return (
    <Row label={label} htmlFor={id}>
      <Switch.Root
        id={id}
        checked={value}
        onCheckedChange={onChange}
        className="relative h-5 w-9 rounded-full border border-seam bg-pit transition-colors data-[state=checked]:border-brass data-[state=checked]:bg-brass"
      >
        <Switch.Thumb className="block size-3.5 translate-x-0.5 rounded-full bg-dust transition-transform data-[state=checked]:translate-x-[18px] data-[state=checked]:bg-on-brass" />
      </Switch.Root>
    </Row>
  );
}

export interface Choice<T extends string> {
  value: T;
  label: string;
}

export function SelectField<T extends string>({
  label,
  value,
  choices,
  onChange,
  placeholder,
}: {
  label: string;
  value: T;
  /** A function is asked only while the list is open, when there may be many. Its first answer names the value. */
  choices: readonly Choice<T>[] | ((isOpen: boolean) => readonly Choice<T>[]);
  onChange: (value: T) => void;
  placeholder?: string;
}) {
  const [isOpen, setOpen] = useState(false);
  const shown = typeof choices === 'function' ? choices(isOpen) : choices;
  return (
    <Select.Root
      value={value}
      onValueChange={(next) => onChange(next as T)}
      open={isOpen}
      onOpenChange={setOpen}
    >
      <Select.Trigger
        aria-label={label}
        className={clsx(box, 'flex w-full items-center justify-between gap-2 text-left')}
      >
        <span className="truncate">
          <Select.Value placeholder={placeholder} />
        </span>
        <Select.Icon>
          <ChevronDown size={14} className="text-dust" />
        </Select.Icon>
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={4}
          className="z-50 max-h-72 min-w-[var(--radix-select-trigger-width)] overflow-hidden rounded-lg border border-seam bg-nap shadow-xl"
        >
          <Select.Viewport className="p-1">
            {shown.map((choice) => (
              <Select.Item
                key={choice.value}
                value={choice.value}
                className="flex h-8 items-center justify-between gap-4 rounded-md px-2 outline-none data-[highlighted]:bg-brass data-[highlighted]:text-on-brass"
              >
                <Select.ItemText>{choice.label}</Select.ItemText>
                <Select.ItemIndicator>
                  <Check size={14} />
                </Select.ItemIndicator>
              </Select.Item>
            ))}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  );
}

/** A few choices side by side. */
export function Segmented<T extends string>({
  label,
  value,
  choices,
  onChange,
}: {
  label: string;
  value: T | null;
  choices: readonly (Choice<T> & { icon?: ReactNode })[];
  onChange: (value: T) => void;
}) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value ?? ''}
      onValueChange={(next) => next && onChange(next as T)}
      className="flex h-8 w-full min-w-0 rounded-lg bg-pit p-0.5"
    >
      {choices.map((choice) => (
        <ToggleGroup.Item
          key={choice.value}
          value={choice.value}
          aria-label={choice.label}
          title={choice.icon ? choice.label : undefined}
          className="flex min-w-0 flex-1 items-center justify-center gap-1.5 truncate rounded-md px-1.5 text-[12.5px] text-dust transition-colors hover:text-chalk data-[state=on]:bg-seam data-[state=on]:text-chalk"
        >
          {choice.icon ?? choice.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

/** Text that is taken on Enter or when left, if `check` finds nothing to say. */
export function TextField({
  label,
  value,
  onChange,
  check,
  placeholder,
  list,
  id,
  onError,
  className,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  /** A sentence when the text can't be taken. */
  check?: (value: string) => string | null;
  placeholder?: string;
  list?: readonly string[];
  id?: string;
  onError?: (sentence: string | null) => void;
  className?: string;
}) {
  const [text, setText] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const listId = useId();
  const report = useRef(onError);
  useEffect(() => {
    report.current = onError;
  });
  useEffect(() => report.current?.(error), [error]);

  function take() {
    if (text === null) return;
    const wrong = text === value ? null : (check?.(text) ?? null);
    setError(wrong && `${wrong} "${value || placeholder || ''}" was kept.`);
    if (!wrong && text !== value) onChange(text);
    setText(null);
  }

  return (
    <>
      <input
        id={id}
        aria-label={label}
        aria-invalid={error !== null}
        value={text ?? value}
        placeholder={placeholder}
        list={list ? listId : undefined}
        spellCheck={false}
        onChange={(event) => setText(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Enter') take();
          if (event.key === 'Escape' && text !== null) {
            event.stopPropagation();
            setText(null);
          }
        }}
        className={clsx(box, 'w-full', error && 'border-rust', className)}
      />
      {list && (
        <datalist id={listId}>
          {list.map((entry) => (
            <option key={entry} value={entry} />
          ))}
        </datalist>
      )}
    </>
  );
}
