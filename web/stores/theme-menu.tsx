import { Moon, Sun, SunMoon, type LucideIcon } from 'lucide-react';
import { MenuButton } from '../ui/menu-button.tsx';
import { themes, useTheme, type Theme } from './theme.ts';

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
    <MenuButton
      label="Look of the interface"
      className="grid size-10 place-items-center rounded-xl text-dust hover:bg-velvet hover:text-chalk"
      side="right"
      align="end"
      offset={6}
      entries={() => [
        { heading: 'Interface' },
        ...themes.map((id) => ({
          title: themeLooks[id].title,
          isChosen: id === theme,
          run: () => setTheme(id),
        })),
      ]}
    >
      <Icon size={18} strokeWidth={1.6} />
    </MenuButton>
  );
}
