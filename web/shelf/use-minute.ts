import { useEffect, useState } from 'react';

const MINUTE = 60_000;

/** The present minute (epoch ms); it does not tick while the page is hidden. */
export function useMinute(): number {
  const [moment, setMoment] = useState(() => Math.floor(Date.now() / MINUTE) * MINUTE);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    function beat() {
      clearTimeout(timer);
      if (document.hidden) return;
      setMoment(Math.floor(Date.now() / MINUTE) * MINUTE);
      timer = setTimeout(beat, MINUTE - (Date.now() % MINUTE) + 5);
    }
    beat();
    document.addEventListener('visibilitychange', beat);
    return () => {
      clearTimeout(timer);
      document.removeEventListener('visibilitychange', beat);
    };
  }, []);
  return moment;
}
