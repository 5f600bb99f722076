import { Check } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { Anchored, MenuEntry } from './menu-button.tsx';
import { menuItem, menuLabel, menuLine, menuPanel } from './menu.ts';

interface Props extends Anchored {
  label: string;
  entries: readonly MenuEntry[];
  /** It was closed; whether by choosing something. */
  onClose: (hasChosen: boolean) => void;
}

/** A menu that stands at a rectangle, or at a point. */
export default function OpenMenu({
  at,
  side = 'bottom',
  align = 'start',
  offset = 4,
  label,
  entries,
  onClose,
}: Props) {
  let hasChosen = false;
  const body = entries.map((entry, index) => {
    if ('line' in entry) return <DropdownMenu.Separator key={index} className={menuLine} />;
    if ('heading' in entry)
      return (
        <DropdownMenu.Label key={index} className={menuLabel}>
          {entry.heading}
        </DropdownMenu.Label>
      );
    const { title, beside, isChosen, run } = entry;
    const choose = () => {
      hasChosen = true;
      run();
    };
    return isChosen === undefined ? (
      <DropdownMenu.Item key={index} className={menuItem} onSelect={choose}>
        {title}
        {beside}
      </DropdownMenu.Item>
    ) : (
      <DropdownMenu.RadioItem key={index} value={title} className={menuItem} onSelect={choose}>
        {title}
        <DropdownMenu.ItemIndicator>
          <Check size={14} />
        </DropdownMenu.ItemIndicator>
      </DropdownMenu.RadioItem>
    );
  });
  const chosen = entries.find((entry) => 'title' in entry && entry.isChosen);
  const { x: left, y: top, width, height } = at;
  return (
    <DropdownMenu.Root modal={false} defaultOpen onOpenChange={(isOpen) => !isOpen && onClose(hasChosen)}>
      <DropdownMenu.Trigger asChild>
        <span
          aria-hidden
          tabIndex={-1}
          className="pointer-events-none fixed"
          style={{ left, top, width, height }}
        />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          aria-label={label}
          aria-labelledby={undefined}
          className={menuPanel}
          side={side}
          align={align}
          sideOffset={offset}
          loop
          // Whoever opened it gives the focus back.
          onCloseAutoFocus={(event) => event.preventDefault()}
        >
          {chosen && 'title' in chosen ? (
            <DropdownMenu.RadioGroup value={chosen.title}>{body}</DropdownMenu.RadioGroup>
          ) : (
            body
          )}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
