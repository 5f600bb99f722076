import clsx from 'clsx';
import { ThemeMenu } from '../stores/theme-menu.tsx';
import { useView } from '../stores/view.ts';
import { chapters } from './chapters/list.ts';

/** The chapters, in the order in which a desk is built. */
export function Rail() {
  const chapter = useView((view) => view.chapter);
  const goTo = useView((view) => view.goToChapter);
  return (
    <nav aria-label="Chapters" className="flex flex-col items-center gap-1 bg-pit py-2">
      {chapters.map(({ id, title, icon: Icon }) => (
        <button
          key={id}
          type="button"
          aria-current={chapter === id}
          onClick={() => goTo(id)}
          className={clsx(
            'flex w-14 flex-col items-center gap-1 rounded-xl py-2 text-[11.5px] transition-colors',
            chapter === id ? 'bg-velvet text-brass' : 'text-dust hover:text-chalk',
          )}
        >
          <Icon size={20} strokeWidth={1.6} />
          {title}
        </button>
      ))}
      <div className="mt-auto">
        <ThemeMenu />
      </div>
    </nav>
  );
}
