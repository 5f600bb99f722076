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
    <section className="mb-5" aria-label={label}>
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
