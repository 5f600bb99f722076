import { ChevronRight, type LucideIcon } from 'lucide-react';
import type { ReactNode } from 'react';
import { useView } from '../../stores/view.ts';

/** Leads to a deeper page of the chapter. */
export function PageLink({
  page,
  icon: Icon,
  title,
  note,
}: {
  page: string;
  icon: LucideIcon;
  title: string;
  note?: ReactNode;
}) {
  return (
    <button
      type="button"
      onClick={() => useView.getState().goToChapter(useView.getState().chapter, page)}
      className="flex h-10 items-center gap-2.5 rounded-lg bg-nap px-3 text-left hover:outline hover:outline-brass/70"
    >
      <Icon size={16} strokeWidth={1.7} className="shrink-0 text-dust" />
      <span className="font-medium">{title}</span>
      <span className="ml-auto truncate text-[12px] text-dust">{note}</span>
      <ChevronRight size={14} className="shrink-0 text-dust" />
    </button>
  );
}
