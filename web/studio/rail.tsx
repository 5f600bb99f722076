import clsx from 'clsx';
import { DropdownMenu } from 'radix-ui';
import {
  Check,
  Image,
  LayoutDashboard,
  Moon,
  Palette,
  PanelTop,
  Shapes,
  Sun,
  SunMoon,
  type LucideIcon,
} from 'lucide-react';
import { themes, useTheme, type Theme } from '../stores/theme.ts';
import { chapterTitles, chapters, useView, type Chapter } from '../stores/view.ts';
import { menuItem, menuLabel, menuPanel } from '../ui/menu.ts';

const icons: Record<Chapter, LucideIcon> = {
  backdrop: Image,
  palette: Palette,
  look: Shapes,
  edges: PanelTop,
  widgets: LayoutDashboard,
};

/** The chapters, in the order in which a desk is built. */
export function Rail() {
  const chapter = useView((view) => view.chapter);
  const goTo = useView((view) => view.goToChapter);
  return (
    <nav aria-label="Chapters" className="flex flex-col items-center gap-1 bg-pit py-2">
      {chapters.map((id) => {
        const Icon = icons[id];
        return (
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
            {chapterTitles[id]}
          </button>
        );
      })}
      <div className="mt-auto">
        <ThemeMenu />
      </div>
    </nav>
  );
}

const themeLooks: Record<Theme, { title: string; icon: LucideIcon }> = {
  system: { title: 'As the system is', icon: SunMoon },
  velvet: { title: 'Velvet', icon: Moon },
  linen: { title: 'Linen', icon: Sun },
};

/** Dark or light interface; the desk on the stage has its own halves. */
export function ThemeMenu() {
  const { theme, setTheme } = useTheme();
  const Icon = themeLooks[theme].icon;
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger
        className="grid size-10 place-items-center rounded-xl text-dust hover:bg-velvet hover:text-chalk"
        aria-label="Look of the interface"
      >
        <Icon size={18} strokeWidth={1.6} />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className={menuPanel} side="right" align="end" sideOffset={6}>
          <DropdownMenu.Label className={menuLabel}>Interface</DropdownMenu.Label>
          <DropdownMenu.RadioGroup value={theme} onValueChange={(value) => setTheme(value as Theme)}>
            {themes.map((id) => (
              <DropdownMenu.RadioItem key={id} value={id} className={menuItem}>
                {themeLooks[id].title}
                <DropdownMenu.ItemIndicator>
                  <Check size={14} />
                </DropdownMenu.ItemIndicator>
              </DropdownMenu.RadioItem>
            ))}
          </DropdownMenu.RadioGroup>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
