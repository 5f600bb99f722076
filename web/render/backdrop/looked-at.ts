import { useEffect, useLayoutEffect, useState } from 'react';
import { create } from 'zustand';

/**
 * What somebody looks at comes before what stands beside it: a browser asks a server for few pictures at once, and the
 * server makes them one after the other.
 */
const useAwaited = create<{ count: number }>()(() => ({ count: 0 }));

/** Says that a picture is waited for which is looked at, or the drawing of any. */
export function useIsAwaited(isAwaited: boolean): void {
  useLayoutEffect(() => {
    if (!isAwaited) return;
    const add = (by: number) => useAwaited.setState(({ count }) => ({ count: count + by }));
    add(1);
    return () => add(-1);
  }, [isAwaited]);
}

/** Whether a picture that stands beside may be asked for; once it may, it stays so. */
export function useMayCome(): boolean {
  const isQuiet = useAwaited(({ count }) => count === 0);
  const [mayCome, setMayCome] = useState(false);
  // Not while what is looked at is only about to say that it waits.
  useEffect(() => {
    if (isQuiet) setMayCome(true);
  }, [isQuiet]);
  return mayCome;
}
