const FIELD = 'aside section :is(input, [role="radio"][tabindex="0"], [role="switch"], [role="combobox"])';
/** ms after which nobody expects it any more. */
const PATIENCE_MS = 10_000;

/** Goes to the first field of what is open in the column, once it is there, unless something else is done meanwhile. */
export const focusFirstField = (): void => focusOnce(() => document.querySelector<HTMLElement>(FIELD));

/** Goes to the field of that label in the column, in the same way, and scrolls to it; what it is folded into is opened. */
export function focusField(label: string): void {
  let opened = 0;
  focusOnce(() => {
    const row = [...document.querySelectorAll<HTMLElement>('aside [data-field]')].find(
      ({ dataset }) => dataset['field'] === label,
    );
    const field = row?.querySelector<HTMLElement>('input, textarea, button, [tabindex="0"]');
    if (field) {
      row?.scrollIntoView({ block: 'center' });
      return field;
    }
    // It may stand in a fold that is closed: that which holds it is opened, or else one after another.
    const folds = [...document.querySelectorAll<HTMLElement>('aside [data-fold][aria-expanded="false"]')];
    const fold = folds.find(({ dataset }) => dataset['fold']?.split('\n').includes(label)) ?? folds[0];
    if (opened < MOST_FOLDS && fold) {
      opened++;
      fold.click();
    }
    return null;
  });
}
const MOST_FOLDS = 6;
const STEADY_FRAMES = 8;

function focusOnce(find: () => HTMLElement | null): void {
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
