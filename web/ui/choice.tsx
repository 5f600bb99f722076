import clsx from 'clsx';
import { Check, ChevronDown } from 'lucide-react';
import { Select, Switch, ToggleGroup } from 'radix-ui';
import { useId, useRef, useState, type ReactNode } from 'react';
import { box } from './box.ts';
import { Row } from './section.tsx';

export function SwitchField({
  label,
  hint,
  spoken,
  value,
  isDiffering = false,
  onChange,
}: {
  label: string;
  hint?: string;
  /** As it is read out, where the label alone does not say enough. */
  spoken?: string;
  value: boolean;
  /** Several things have different values: it stands between the two. */
  isDiffering?: boolean;
  onChange: (value: boolean) => void;
}) {
  const id = useId();
  return (
    <Row label={label} hint={hint} htmlFor={id}>
      <Switch.Root
        id={id}
        aria-label={isDiffering ? `${spoken ?? label}: they differ` : spoken}
        checked={value && !isDiffering}
        onCheckedChange={onChange}
        className="relative h-5 w-9 rounded-full border border-seam bg-pit transition-colors data-[state=checked]:border-brass data-[state=checked]:bg-brass"
      >
        <Switch.Thumb
          className={clsx(
            'block size-3.5 translate-x-0.5 rounded-full bg-dust transition-transform data-[state=checked]:translate-x-[18px] data-[state=checked]:bg-on-brass',
            isDiffering && '!translate-x-[10px]',
          )}
        />
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
  /** Empty while none is chosen. */
  value: T | '';
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

/** Letters that find room side by side when each has as much as the others. */
const EVEN_LETTERS = 21;

/** A few choices side by side. */
export function Segmented<T extends string>({
  label,
  value,
  choices,
  onChange,
  areHalves = false,
}: {
  label: string;
  value: T | null;
  placeholder?: string;
  /** Each has as much room as the others, however long its words are. */
  areHalves?: boolean;
  choices: readonly (Choice<T> & { icon?: ReactNode })[];
  onChange: (value: T) => void;
}) {
  // As in any group of which one is chosen: arrows choose.
  const isArrow = useRef(false);
  // Long words beside short ones share the room by their lengths.
  const isEven =
    areHalves || choices.every(({ label: { length } }) => length * choices.length <= EVEN_LETTERS);
  return (
    <ToggleGroup.Root
      onKeyDownCapture={({ key }) => (isArrow.current = key.startsWith('Arrow'))}
      onPointerDownCapture={() => (isArrow.current = false)}
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
          onFocus={() => {
            // The focus follows the arrow a little later, when its key may be up again.
            if (isArrow.current && value !== choice.value) onChange(choice.value);
            isArrow.current = false;
          }}
          title={choice.icon ? choice.label : undefined}
          className={clsx(
            'flex min-w-0 items-center justify-center gap-1.5 truncate rounded-md px-[3px] text-[12.5px] text-dust transition-colors hover:text-chalk data-[state=on]:bg-seam data-[state=on]:text-chalk',
            isEven ? 'flex-1' : 'flex-auto',
          )}
        >
          {choice.icon ?? choice.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
