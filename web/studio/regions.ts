/** The regions of the studio, in the order in which F6 walks them. */
const regions = ['header', 'nav[aria-label="Chapters"]', 'aside', '[data-stage-area]', '[data-ledge]'];

const FOCUSABLE =
  'a[href], button:not(:disabled):not([tabindex="-1"]), input:not(:disabled), [tabindex="0"], [tabindex="-1"][role="heading"]';

/** Where somebody was in each region. */
const last = new Map<string, HTMLElement>();

/** Goes to the next region, or the one before: to where one was in it, or its first control. */
export function walkRegions(by: 1 | -1): void {
  const active = document.activeElement;
  const now = regions.findIndex((region) => active?.closest(region));
  const here = regions[now];
  if (here && active instanceof HTMLElement) last.set(here, active);
  for (let step = 1; step <= regions.length; step++) {
    const from = now < 0 && by < 0 ? 0 : now;
    const region = regions[(from + by * step + regions.length * 2) % regions.length] ?? '';
    const box = document.querySelector(region);
    const known = last.get(region);
    const target = known && box?.contains(known) ? known : box?.querySelector<HTMLElement>(FOCUSABLE);
    if (!target) continue;
    target.focus();
    return;
  }
}
