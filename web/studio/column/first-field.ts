const FIELD = 'aside section :is(input, [role="radio"][tabindex="0"], [role="switch"], [role="combobox"])';
const MOST_TRIES = 60;

/** Goes to the first field of what is open in the column, once it is there. */
export function focusFirstField(tries = MOST_TRIES): void {
  const field = document.querySelector<HTMLElement>(FIELD);
  if (field) field.focus();
  else if (tries > 0) requestAnimationFrame(() => focusFirstField(tries - 1));
}
