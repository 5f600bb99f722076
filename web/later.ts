import { lazy, type ComponentType, type LazyExoticComponent } from 'react';

const PAUSE_MS = 1000;
const loads: (() => Promise<unknown>)[] = [];

/** A part that the first look doesn't need. Its code comes when it is shown, or by `fetchLater` before. */
export function later<Props>(
  load: () => Promise<{ default: ComponentType<Props> }>,
): LazyExoticComponent<ComponentType<Props>> {
  const persistent = () => persist(load);
  loads.push(persistent);
  return lazy(persistent);
}

/** Something else that the first look doesn't need; who asks for it meanwhile gets it then. */
export function alsoLater(load: () => Promise<unknown>): void {
  loads.push(() => persist(load));
}

/** Fetches what is still missing once the page has time, so that it opens at once, and when the server has gone. */
export function fetchLater(): () => void {
  const idle = requestIdleCallback(() => {
    // What fails here fails again, and says so, once it is shown.
    for (const load of loads) load().catch(() => undefined);
  });
  return () => cancelIdleCallback(idle);
}

/** Tries until the server answers; what fails although it does is an error. */
export async function persist<Result>(load: () => Promise<Result>): Promise<Result> {
  for (;;) {
    try {
      return await load();
    } catch {
      // It may have come back since: what fails once more now is an error.
      if (await isServerThere()) return load();
      await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
    }
  }
}

async function isServerThere(): Promise<boolean> {
  try {
    return (await fetch('/', { method: 'HEAD' })).ok;
  } catch {
    return false;
  }
}
