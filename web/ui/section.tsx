import clsx from 'clsx';
import type { ReactNode } from 'react';

/** A label that has more to tell. */
const hinted = 'justify-self-start decoration-dust/60 decoration-dotted underline-offset-4 hover:underline';

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
  hint,
  htmlFor,
  error,
  isShort = false,
  children,
}: {
  label: string;
  /** Told where the label is pointed at. */
  hint?: string;
  htmlFor?: string;
  error?: string | null;
  /** Narrow, for a label of a word or less. */
  isShort?: boolean;
  children: ReactNode;
}) {
  return (
    <div
      data-field={label}
      className={clsx(
        'grid min-h-8 items-center gap-x-2.5',
        isShort ? 'grid-cols-[24px_minmax(0,1fr)]' : 'grid-cols-[92px_minmax(0,1fr)]',
      )}
    >
      <label htmlFor={htmlFor} data-tip={hint} className={clsx('text-dust', hint && hinted)}>
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
