import { useEffect, useState } from 'react';
import { persist } from '../../later.ts';
import type { Sounding } from '../../render/kit/sounding.ts';
import { useScene } from '../scene.ts';

/** What the open desk's parts know of sounds; null until its code is here, and where nothing on the desk needs it. */
export function useSounding(): Sounding | null {
  const [sounding, setSounding] = useState<Sounding | null>(null);
  const isNeeded = useScene(({ scene }) => scene?.needs.some(({ source }) => source === 'sound') ?? false);
  useEffect(() => {
    if (isNeeded) void persist(() => import('./sounding.ts')).then((module) => setSounding(module.sounding));
  }, [isNeeded]);
  return isNeeded ? sounding : null;
}
