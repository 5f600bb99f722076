const FIELD = 'aside section :is(input, [role="radio"][tabindex="0"], [role="switch"], [role="combobox"])';
/** ms after which nobody expects it any more. */
const PATIENCE_MS = 10_000;

/** Goes to the first field of what is open in the column, once it is there, unless something else is done meanwhile. */
export const focusFirstField = (): void => focusOnce(() => document.querySelector<HTMLElement>(FIELD));

/**
 * Goes to a field in the column, a sheet or on the ledge by its label, in the same way, and scrolls to it; what it is
 * folded into is opened. Where it is not there, to the first of the others that is.
 */
export function focusField([label = '', ...others]: readonly string[]): void {
  let opened = 0;
  const open = (fold: HTMLElement | undefined) => {
    if (opened < MOST_FOLDS) fold?.click();
    opened++;
  };
  focusOnce(() => {
    const own = fieldOf(label);
    if (own) return own;
    // It may stand in a fold that is closed: that which holds it is opened, or else one after another.
    const folds = [...document.querySelectorAll<HTMLElement>('aside [data-fold][aria-expanded="false"]')];
    const holding = folds.find(({ dataset }) => dataset['fold']?.split('\n').includes(label));
    if (holding) open(holding);
    else {
      const other = others.map(fieldOf).find((one) => one !== null);
      if (other) return other;
      open(folds[0]);
    }
    return null;
  });
}

/** What takes the focus in the field of a label, scrolled to; null where there is none. */
function fieldOf(label: string): HTMLElement | null {
  const rows = [...document.querySelectorAll<HTMLElement>(':is(aside, [role="dialog"]) [data-field]')];
  const row = rows.find(({ dataset }) => dataset['field'] === label);
  const field = row?.querySelector<HTMLElement>('input, textarea, button, [tabindex="0"]') ?? null;
  if (field) row?.scrollIntoView({ block: 'center' });
  return field;
}
const MOST_FOLDS = 6;
const STEADY_FRAMES = 8;

/** Gives the focus to what is found, once it is there, unless something else is done meanwhile. */
export function focusOnce(find: () => HTMLElement | null): void {
  const until = performance.now() + PATIENCE_MS;
  const doing = new AbortController();
  const { signal } = doing;
  for (const event of ['pointerdown', 'keydown'])
    addEventListener(event, () => doing.abort(), { capture: true, signal });
  // A dialog that closes gives the focus back to where it was: the field has it once it keeps it.
  let frames = 0;
  function look(): void {
    if (signal.aborted) return;
    const field = find();
    if (field && document.activeElement === field) frames++;
    else field?.focus();
    if (frames > STEADY_FRAMES || performance.now() > until) doing.abort();
    else requestAnimationFrame(look);
  }
  look();
}
