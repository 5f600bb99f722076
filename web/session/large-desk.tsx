import { useState } from 'react';
import { Link } from 'react-router';
import { useDesk } from './desk.ts';
import { Button } from '../ui/buttons.tsx';

/** A desk with more widgets than this takes seconds to draw: whoever opens it is asked first. */
const MOST_AT_ONCE = 500;

/** Large desks that were opened all the same, for as long as the page stays. */
const accepted = new Set<string>();

/** Whether a desk that was just opened waits for a word, and that word. One that grows while it is open does not. */
export function useHeldDesk(id: string): { count: number; goOn: () => void } | null {
  const count = useDesk((state) => state.history?.present.widgets.length);
  const [decided, decide] = useState<{ id: string; isHeld: boolean } | null>(null);
  if (count === undefined) return null;
  const isHeld = decided?.id === id ? decided.isHeld : count > MOST_AT_ONCE && !accepted.has(id);
  if (decided?.id !== id) decide({ id, isHeld });
  return isHeld
    ? {
        count,
        goOn() {
          accepted.add(id);
          decide({ id, isHeld: false });
        },
      }
    : null;
}

export function LargeDesk({ count, goOn }: { count: number; goOn: () => void }) {
  return (
    <main className="grid h-full place-items-center p-8">
      <div className="max-w-md text-center">
        <h1 className="mb-2 font-display text-[30px]">A large desk</h1>
        <p className="mb-5 text-balance text-dust">
          It has {count.toLocaleString('en')} widgets. Drawing them all takes a while, and each change as
          well.
        </p>
        <div className="flex justify-center gap-2">
          <Button tone="brass" onClick={goOn}>
            Open it all the same
          </Button>
          <Link to="/" className="inline-flex h-8 items-center rounded-lg bg-nap px-3 hover:bg-seam">
            To the shelf
          </Link>
        </div>
      </div>
    </main>
  );
}
