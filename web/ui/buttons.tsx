import clsx from 'clsx';
import { cloneElement, type ComponentProps, type ReactElement } from 'react';

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

/** Gives a thing a name that is told while it is pointed at (ui/tips.tsx). */
export function Tip({ text, children }: { text: string; children: ReactElement<{ 'data-tip'?: string }> }) {
  return cloneElement(children, { 'data-tip': text });
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
