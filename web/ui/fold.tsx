import clsx from 'clsx';
import { ChevronDown } from 'lucide-react';
import { useState, type ReactNode } from 'react';

/** What is chosen in one row; what there is to choose from is out of the way until it is asked for. */
export function Fold({
  label,
  value,
  note,
  children,
}: {
  label: string;
  value: string;
  /** How much there is to choose from. */
  note: string;
  children: () => ReactNode;
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <section className="mb-5" aria-label={label} data-field={label}>
      <button
        type="button"
        data-fold=""
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
        className="flex h-9 w-full items-center gap-2.5 rounded-lg bg-pit px-2.5 text-left hover:outline hover:outline-seam"
      >
        <span className="w-[82px] shrink-0 text-dust">{label}</span>
        <span className="min-w-0 flex-1 truncate">{value}</span>
        <span className="text-[12px] text-dust">{isOpen ? 'put away' : note}</span>
        <ChevronDown size={14} className={clsx('text-dust transition-transform', isOpen && 'rotate-180')} />
      </button>
      {isOpen && <div className="mt-2">{children()}</div>}
    </section>
  );
}

/** What few ask for, at the end of a form; a mark says that something in it is set. */
export function More({
  holds,
  isSet,
  children,
}: {
  /** Labels of the fields in it, by which it is found. */
  holds: readonly string[];
  isSet: boolean;
  children: () => ReactNode;
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <div className="mt-1">
      <button
        type="button"
        data-fold={holds.join('\n')}
        aria-expanded={isOpen}
        aria-label={isSet ? 'More: some of it is set' : 'More'}
        onClick={() => setOpen(!isOpen)}
        className="flex h-8 items-center gap-1.5 rounded-md text-dust hover:text-chalk"
      >
        <ChevronDown size={14} className={clsx('transition-transform', !isOpen && '-rotate-90')} />
        More
        {isSet && <span className="size-1.5 rounded-full bg-brass" data-set />}
      </button>
      {isOpen && <div className="mt-1.5 grid grid-cols-[minmax(0,1fr)] gap-1">{children()}</div>}
    </div>
  );
}
