import clsx from 'clsx';
import { Slider } from 'radix-ui';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { afterPress } from './after-press.ts';
import { box } from './box.ts';

export interface NumberFieldProps {
  label: string;
  value: number;
  onChange: (value: number) => void;
  /** A step by an arrow or the wheel, one of several that belong together; a change where it is absent. */
  onStep?: (value: number) => void;
  min?: number;
  max?: number;
  step?: number;
  isWhole?: boolean;
  unit?: string;
  decimals?: number;
  disabled?: boolean;
  /** Several things have different values: none is shown. */
  isDiffering?: boolean;
  onError?: (sentence: string | null) => void;
  className?: string;
}

/**
 * Takes a number on Enter or when left; arrows step by one, with Shift by ten. What can't be taken stays as it was
 * typed, with a sentence that says why; Escape gives the old one back.
 */
export function NumberField(props: NumberFieldProps) {
  const { label, value, step = 1, unit: given, decimals = 1, disabled, className } = props;
  // Where there is no one figure, the word for that needs the room.
  const unit = props.isDiffering ? undefined : given;
  const shown = props.isDiffering ? '' : trim(value, decimals);
  const { text, type, take, giveUp, isWrong } = useTyped(props, shown);
  const steps = useSteps(props);
  const input = useWheel((by) => {
    giveUp();
    steps.by(step * by);
  });

  function onKeyDown(event: KeyboardEvent<HTMLInputElement>) {
    if (event.key === 'Enter') take();
    else if (event.key === 'Escape' && text !== null) {
      event.stopPropagation();
      giveUp();
    } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      giveUp();
      steps.by(step * (event.shiftKey ? 10 : 1) * (event.key === 'ArrowUp' ? 1 : -1));
    }
  }

  return (
    <span className={clsx('relative flex min-w-0 flex-1', className)}>
      <input
        ref={input}
        aria-label={label}
        aria-invalid={isWrong}
        data-untyped={text === null || undefined}
        inputMode="decimal"
        disabled={disabled}
        placeholder={props.isDiffering ? 'differ' : undefined}
        value={text ?? shown}
        onChange={(event) => type(event.target.value)}
        onFocus={(event) => event.target.select()}
        onBlur={() => {
          steps.rest();
          take();
        }}
        onKeyDown={onKeyDown}
        // The figure never stands beneath its unit.
        style={{ paddingRight: unit ? `max(24px, calc(${unit.length}ch + 10px))` : 8 }}
        className={clsx(box, 'w-full !pl-2 font-mono text-[12px]', isWrong && '!border-rust')}
      />
      {unit && (
        <span className="pointer-events-none absolute right-2 top-1/2 -translate-y-1/2 text-[11px] text-dust">
          {unit}
        </span>
      )}
    </span>
  );
}

/** Steps follow one another faster than the value comes back: each goes on from the one before. */
function useSteps({ value, onChange, onStep = onChange, ...range }: NumberFieldProps) {
  const asked = useRef<number | null>(null);
  useEffect(() => {
    if (value === asked.current) asked.current = null;
  }, [value]);
  return {
    by(step: number): void {
      asked.current = within(range, (asked.current ?? value) + step);
      onStep(asked.current);
    },
    rest: () => (asked.current = null),
  };
}

/** The wheel turns a figure that has the focus, with Shift by ten; one that is only scrolled past is left alone. */
function useWheel(turn: (by: number) => void) {
  const input = useRef<HTMLInputElement>(null);
  const newest = useRef(turn);
  useEffect(() => {
    newest.current = turn;
  });
  useEffect(() => {
    const element = input.current;
    function onWheel(event: WheelEvent) {
      if (document.activeElement !== element) return;
      event.preventDefault();
      // With Shift, browsers turn the wheel sideways.
      const way = Math.sign(event.deltaY || event.deltaX);
      newest.current(-way * (event.shiftKey ? 10 : 1));
    }
    element?.addEventListener('wheel', onWheel, { passive: false });
    return () => element?.removeEventListener('wheel', onWheel);
  }, []);
  return input;
}

type Range = Pick<NumberFieldProps, 'min' | 'max' | 'isWhole'>;

/** What is being typed, until it is taken; null while the value itself is shown. */
function useTyped({ onChange, onError, ...range }: NumberFieldProps, shown: string) {
  const [text, setText] = useState<string | null>(null);
  const [isWrong, setWrong] = useState(false);

  function say(sentence: string | null): void {
    setWrong(sentence !== null);
    afterPress(() => onError?.(sentence));
  }
  function giveUp(): void {
    setText(null);
    say(null);
  }
  function take(): void {
    if (text === null || text === shown) {
      giveUp();
      return;
    }
    const wanted = Number(text.replace(',', '.').replace('−', '-'));
    if (text.trim() === '' || !isTaken(wanted, range)) {
      say(`Not taken: write ${rangeText(range)}.`);
      return;
    }
    giveUp();
    onChange(wanted);
  }
  return { text, type: setText, take, giveUp, isWrong };
}

function isTaken(value: number, { min = -Infinity, max = Infinity, isWhole }: Range): boolean {
  return Number.isFinite(value) && value >= min && value <= max && (!isWhole || Number.isInteger(value));
}

function within({ min = -Infinity, max = Infinity }: Range, value: number): number {
  return Math.min(max, Math.max(min, Math.round(value * 1000) / 1000));
}

function trim(value: number, decimals: number): string {
  return String(Math.round(value * 10 ** decimals) / 10 ** decimals);
}

function rangeText({ min = -Infinity, max = Infinity, isWhole }: Range): string {
  const what = isWhole ? 'a whole number' : 'a number';
  return Number.isFinite(min) && Number.isFinite(max) ? `${what} from ${min} to ${max}` : what;
}

export interface SliderFieldProps {
  label: string;
  value: number;
  /** Each turn of the slider; the change is done at onEnd. */
  onTurn: (value: number) => void;
  onEnd: () => void;
  min: number;
  max: number;
  step?: number;
  isWhole?: boolean;
  unit?: string;
  isDiffering?: boolean;
  decimals?: number;
  /** Each part of the way multiplies instead of adding; needs a least above 0. */
  isGeometric?: boolean;
  onError?: (sentence: string | null) => void;
}

/** Letters of a unit from which on its figure needs more room. */
const LONG_UNIT = 4;

export function SliderField(props: SliderFieldProps) {
  const { label, value, onTurn, onEnd, min, max, step = 1, decimals = 0 } = props;
  const committed = useRef<number | null>(null);
  const { track, toTrack, fromTrack } = trackOf(props);
  const within = (one: number) => Math.min(max, Math.max(min, one));
  const share = (one: number) => (toTrack(within(one)) - track.min) / (track.max - track.min);
  // Where it changes nothing.
  const neutral = props.isGeometric ? 1 : 0;
  return (
    <>
      <Slider.Root
        className="relative flex h-8 min-w-0 flex-1 touch-none items-center"
        value={[toTrack(Math.min(max, Math.max(min, value)))]}
        {...track}
        onValueChange={([at]) => {
          if (at !== undefined && at !== committed.current) onTurn(fromTrack(at));
        }}
        // By the keyboard this comes just before the change itself, which then has nothing to add.
        onValueCommit={([at]) => {
          if (at !== undefined) onTurn(fromTrack(at));
          onEnd();
          committed.current = at ?? null;
          queueMicrotask(() => (committed.current = null));
        }}
      >
        <Slider.Track className="relative h-1 grow rounded-full bg-pit">
          <Fill from={share(neutral)} to={share(value)} />
        </Slider.Track>
        <Slider.Thumb aria-label={label} className="block size-4 rounded-full bg-chalk shadow-md" />
      </Slider.Root>
      <NumberField
        {...props}
        label={`${label}, exact`}
        className={(props.unit?.length ?? 0) > LONG_UNIT ? 'max-w-[84px]' : 'max-w-[68px]'}
        step={step}
        decimals={decimals}
        onStep={onTurn}
        onChange={(next) => {
          onTurn(next);
          onEnd();
        }}
      />
    </>
  );
}

/** What a value is away from where it changes nothing, as shares of the track. */
function Fill({ from, to }: { from: number; to: number }) {
  return (
    <span
      className="absolute h-full rounded-full bg-brass"
      style={{ left: `${Math.min(from, to) * 100}%`, width: `${Math.abs(to - from) * 100}%` }}
    />
  );
}

/** Steps of a track on which each multiplies. */
const GEOMETRIC_STEPS = 100;

/** How a value stands on the slider's track, there and back. */
function trackOf({ min, max, step = 1, isGeometric }: SliderFieldProps) {
  const same = (value: number) => value;
  if (!isGeometric) return { track: { min, max, step }, toTrack: same, fromTrack: same };
  const whole = Math.log(max / min);
  return {
    track: { min: 0, max: GEOMETRIC_STEPS, step: 1 },
    toTrack: (value: number) => Math.round((Math.log(value / min) / whole) * GEOMETRIC_STEPS),
    fromTrack: (at: number) => {
      const value = min * Math.exp((at / GEOMETRIC_STEPS) * whole);
      // Fine steps for what is small, coarse ones for what is large.
      return Math.min(max, Math.max(min, Math.round(value / step) * step));
    },
  };
}
