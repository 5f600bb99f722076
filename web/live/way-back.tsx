import clsx from 'clsx';
import { AppWindow } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { liveAddress } from '../stores/live-address.ts';
import type { SceneScreen } from '../../core/scene/scene.ts';

const STAYS_MS = 2500;

/**
 * The way back, and to the other screens. It shows itself when the pointer moves or the keyboard comes to it, and goes
 * again by itself: then it takes no press that is meant for the desk.
 */
export function WayBack({
  id,
  screens,
  shown,
}: {
  id: string;
  screens: readonly SceneScreen[];
  shown: SceneScreen;
}) {
  const isShown = useStirred();
  const button = 'inline-flex h-8 items-center gap-2 rounded-lg bg-pit/85 px-3 text-chalk hover:bg-nap';
  return (
    <nav
      aria-label="Out of live"
      data-shown={isShown}
      className={clsx(
        'absolute bottom-4 right-4 flex flex-wrap justify-end gap-2 transition-opacity focus-within:pointer-events-auto focus-within:opacity-100',
        isShown ? 'opacity-100' : 'pointer-events-none opacity-0',
      )}
    >
      {screens.length > 1 &&
        screens.map((screen) => (
          <span key={screen.id} className="inline-flex">
            <Link
              to={liveAddress(id, screen.id)}
              aria-current={screen === shown}
              className={clsx(button, 'rounded-r-none', screen === shown && '!bg-seam')}
            >
              {screen.name}
            </Link>
            <a
              href={liveAddress(id, screen.id)}
              target="_blank"
              rel="noreferrer"
              aria-label={`${screen.name} in a window of its own`}
              title="In a window of its own"
              className={clsx(button, 'rounded-l-none border-l border-seam !px-2')}
            >
              <AppWindow size={14} />
            </a>
          </span>
        ))}
      <button
        type="button"
        className={button}
        onClick={() => void document.documentElement.requestFullscreen()}
      >
        Full screen
      </button>
      <Link to={`/desk/${id}`} className={button}>
        Back to the studio
      </Link>
    </nav>
  );
}

/** Whether the pointer has moved just now. */
function useStirred(): boolean {
  const [isStirred, setStirred] = useState(true);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    function stir() {
      setStirred(true);
      clearTimeout(timer);
      timer = setTimeout(() => setStirred(false), STAYS_MS);
    }
    stir();
    addEventListener('pointermove', stir);
    return () => {
      clearTimeout(timer);
      removeEventListener('pointermove', stir);
    };
  }, []);
  return isStirred;
}
