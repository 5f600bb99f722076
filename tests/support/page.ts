/**
 * A page in name only, for tests of what lives in the browser but draws nothing. Import it before anything that
 * reaches for the page when it is loaded.
 */
const kept = new Map<string, string>();
const page = globalThis as unknown as Record<string, unknown>;

const storage = {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => void kept.set(key, value),
  removeItem: (key: string) => void kept.delete(key),
};
page['localStorage'] ??= storage;
page['sessionStorage'] ??= storage;
page['matchMedia'] ??= () => ({ matches: false, addEventListener: () => {} });
page['addEventListener'] ??= () => {};

export {};
