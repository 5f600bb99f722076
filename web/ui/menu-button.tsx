import { Suspense, useRef, useState, type ReactNode } from 'react';
import { later } from '../later.ts';
import type { Rect } from '../../core/values/geometry.ts';

/** A line of a menu: something to choose, a heading, or a line between. */
export type MenuEntry =
  | { title: string; beside?: ReactNode; isChosen?: boolean; run: () => void }
  | { heading: string }
  | { line: true };

/** Where a menu stands, in px of the window. */
export interface Anchored {
  at: Rect;
  side?: 'top' | 'bottom' | 'right';
  align?: 'start' | 'end';
  offset?: number;
}

/** Its code comes once the page has time; one that is asked for before opens as soon as it is here. */
export const OpenMenu = later(() => import('./open-menu.tsx'));

/** A button with a menu. */
export function MenuButton({
  label,
  menu,
  className,
  entries,
  children,
  returnsFocus = true,
  ...placed
}: Omit<Anchored, 'at'> & {
  label: string;
  /** What the menu is called, where it is not as the button. */
  menu?: string;
  className: string;
  entries: () => readonly MenuEntry[];
  children: ReactNode;
  /** What is chosen may take the focus to where it leads instead. */
  returnsFocus?: boolean;
}) {
  const button = useRef<HTMLButtonElement>(null);
  const [at, setAt] = useState<Rect | null>(null);
  // A press on the button closes its menu before it is heard here.
  const wasOpen = useRef(false);
  const open = () => setAt(button.current?.getBoundingClientRect() ?? null);
  return (
    <>
      <button
        ref={button}
        type="button"
        aria-label={label}
        aria-haspopup="menu"
        aria-expanded={at !== null}
        className={className}
        onPointerDown={() => (wasOpen.current = at !== null)}
        onClick={() => {
          if (!wasOpen.current) open();
          wasOpen.current = false;
        }}
        onKeyDown={(event) => {
          if (event.key !== 'ArrowDown') return;
          event.preventDefault();
          open();
        }}
      >
        {children}
      </button>
      {at && (
        <Suspense>
          <OpenMenu
            {...placed}
            at={at}
            label={menu ?? label}
            entries={entries()}
            onClose={(hasChosen) => {
              setAt(null);
              if (!hasChosen || returnsFocus) button.current?.focus();
            }}
          />
        </Suspense>
      )}
    </>
  );
}
