import clsx from 'clsx';
import { useId, useState } from 'react';
import { afterPress } from './after-press.ts';
import { box } from './box.ts';

/**
 * Text that is taken on Enter or when left, if `check` finds nothing to say. What can't be taken stays as it was typed,
 * with the sentence that says why; Escape gives the old one back.
 */
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
  const [isWrong, setWrong] = useState(false);
  const listId = useId();

  function say(sentence: string | null): void {
    setWrong(sentence !== null);
    afterPress(() => onError?.(sentence));
  }
  function giveUp(): void {
    setText(null);
    say(null);
  }
  function take(): void {
    const wrong = text === null || text === value ? null : (check?.(text) ?? null);
    if (wrong) {
      say(wrong);
      return;
    }
    giveUp();
    if (text !== null && text !== value) onChange(text);
  }

  return (
    <>
      <input
        id={id}
        aria-label={label}
        aria-invalid={isWrong}
        data-untyped={text === null || undefined}
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
            giveUp();
          }
        }}
        className={clsx(box, 'w-full', isWrong && '!border-rust', className)}
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
