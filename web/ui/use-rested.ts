import { useEffect, useState } from 'react';

/** A value once it has stayed the same for a while (ms): what takes long to be told of it does not hold up what is shown of it. */
export function useRested<T>(value: T, ms: number): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setRested(() => value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return rested;
}
