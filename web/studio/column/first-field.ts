const FIELD = 'aside section :is(input, [role="radio"][tabindex="0"], [role="switch"], [role="combobox"])';
/** ms after which nobody expects it any more. */
const PATIENCE_MS = 10_000;

/** Goes to the first field of what is open in the column, once it is there, unless something else is done meanwhile. */
export function focusFirstField(): void {
  const until = performance.now() + PATIENCE_MS;
  const doing = new AbortController();
  const { signal } = doing;
  for (const event of ['pointerdown', 'keydown'])
    addEventListener(event, () => doing.abort(), { capture: true, signal });
  function look(): void {
    if (signal.aborted) return;
    const field = document.querySelector<HTMLElement>(FIELD);
    field?.focus();
    if (field || performance.now() > until) doing.abort();
    else requestAnimationFrame(look);
  }
  look();
}
