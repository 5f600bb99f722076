import clsx from 'clsx';
import { useEffect, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';

/** Something that can be worn: a kit, a palette, a surface. */
interface Look {
  id: string;
  title: string;
}

/**
 * Looks in a row on the lit line, in place of the ledge: pointed at or reached by arrows one is in hand, and whoever shows
 * the row lets the stage wear it; a press or Enter takes it, Escape leaves it.
 */
export function LooksRow({
  label,
  looks,
  hand,
  onHand,
  onTake,
  onLeave,
  draw,
}: {
  label: string;
  looks: readonly Look[];
  /** Id of the one in hand. */
  hand: string | null;
  onHand: (id: string | null) => void;
  onTake: (id: string) => void;
  /** Leaves the row; none where the page that shows it is left for that. */
  onLeave?: () => void;
  /** A look, small. */
  draw: (id: string) => ReactNode;
}) {
  const row = useRef<HTMLDivElement>(null);
  const drawn = useDrawn(looks.length);
  const isAsked = onLeave !== undefined;
  // Whoever asked for the row goes on in it by the keyboard.
  useEffect(() => {
    if (isAsked) row.current?.querySelector<HTMLElement>('[data-look]')?.focus({ preventScroll: true });
  }, [isAsked]);
  const reach = (index: number) => {
    const to = looks[(index + looks.length) % looks.length];
    if (!to) return;
    onHand(to.id);
    const option = row.current?.querySelector<HTMLElement>(`[data-look="${CSS.escape(to.id)}"]`);
    option?.focus();
    option?.scrollIntoView({ inline: 'nearest', block: 'nearest' });
  };
  function onKeyDown(event: KeyboardEvent) {
    const from = (event.target as Element).closest<HTMLElement>('[data-look]')?.dataset['look'];
    const at = looks.findIndex(({ id }) => id === from);
    const ways: Record<string, () => void> = {
      ArrowRight: () => reach(at + 1),
      ArrowLeft: () => reach(at <= 0 ? looks.length - 1 : at - 1),
      Home: () => reach(0),
      End: () => reach(looks.length - 1),
      Escape: () => (hand === null && onLeave ? onLeave() : onHand(null)),
    };
    const way = new Map(Object.entries(ways)).get(event.key);
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    way();
  }
  return (
    <section aria-label={label} data-looks className="relative z-20 h-[104px] shrink-0">
      <div
        ref={row}
        role="listbox"
        data-row
        aria-label={label}
        aria-orientation="horizontal"
        tabIndex={-1}
        onKeyDown={onKeyDown}
        onPointerLeave={() => onHand(null)}
        className="absolute inset-x-0 bottom-0 flex h-[150px] items-end gap-3 overflow-x-auto overflow-y-hidden px-[22px] pb-1"
      >
        {looks.map((look, index) => (
          <Option
            key={look.id}
            look={look}
            isInHand={look.id === hand}
            isReached={look.id === hand || (hand === null && index === 0)}
            onHand={onHand}
            onTake={onTake}
          >
            {index < drawn ? draw(look.id) : <span className="block aspect-video rounded-[5px] bg-velvet" />}
          </Option>
        ))}
      </div>
    </section>
  );
}

/** One of them, with its name; larger while it is in hand. */
function Option({
  look: { id, title },
  isInHand,
  isReached,
  onHand,
  onTake,
  children,
}: {
  look: Look;
  isInHand: boolean;
  /** The tab key leads to it. */
  isReached: boolean;
  onHand: (id: string) => void;
  onTake: (id: string) => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      role="option"
      data-look={id}
      aria-selected={isInHand}
      tabIndex={isReached ? 0 : -1}
      onPointerEnter={() => onHand(id)}
      onFocus={(event) => event.currentTarget.matches(':focus-visible') && onHand(id)}
      onClick={() => onTake(id)}
      className="group flex shrink-0 flex-col items-center outline-none"
    >
      <span
        className={clsx(
          'relative block aspect-video transition-[width] duration-150 motion-reduce:transition-none',
          isInHand ? 'w-[172px]' : 'w-[140px]',
        )}
      >
        {/* It keeps its size and is drawn larger: to be laid out anew with every step of the way takes long. */}
        <span
          className={clsx(
            'absolute bottom-0 left-0 block w-[140px] origin-bottom-left transition-transform duration-150 motion-reduce:transition-none',
            isInHand && 'scale-[1.2286]',
          )}
        >
          {children}
        </span>
      </span>
      <span
        className={clsx(
          'mt-0.5 block h-[3px] w-full rounded-full',
          isInHand ? 'bg-brass shadow-[0_0_10px_var(--brass)]' : 'bg-brass/35',
        )}
      />
      <span
        className={clsx(
          'mt-1 max-w-[150px] truncate rounded px-1 text-[12.5px] group-focus-visible:outline-2 group-focus-visible:outline-brass',
          isInHand ? 'font-semibold text-chalk' : 'text-dust',
        )}
      >
        {title}
      </span>
    </button>
  );
}

/** How many of some are drawn by now: one after another, so that the page answers meanwhile. */
function useDrawn(count: number): number {
  const [drawn, setDrawn] = useState(1);
  useEffect(() => {
    if (drawn >= count) return;
    const idle = requestIdleCallback(() => setDrawn(drawn + 1), { timeout: 300 });
    return () => cancelIdleCallback(idle);
  }, [drawn, count]);
  return drawn;
}
