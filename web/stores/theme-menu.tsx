import { Check, Moon, Sun, SunMoon, type LucideIcon } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { menuItem, menuLabel, menuPanel } from '../ui/menu.ts';
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
