/** Whether a key press is the one written as `Ctrl+Shift+Z`, `?` or `Shift+ArrowUp`. */
export function matchesKeys(
  event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'shiftKey' | 'altKey'> & { code?: string },
  keys: string,
): boolean {
  const parts = keys.split('+');
  const key = parts.at(-1) ?? '';
  const wants = new Set(parts.slice(0, -1));
  // A sign such as ? or ] needs Shift on some keyboards and not on others: the sign itself decides.
  const isSign = key.length === 1 && !/[a-z0-9]/i.test(key);
  const pressed = isSign ? signOf(event.key, wants.has('Shift')) : nameOf(event);
  return (
    pressed === key.toLowerCase() &&
    (event.ctrlKey || event.metaKey) === wants.has('Ctrl') &&
    event.altKey === wants.has('Alt') &&
    (isSign ? !wants.has('Shift') || event.shiftKey : event.shiftKey === wants.has('Shift'))
  );
}

/** With Alt a key may give another sign: then the key itself is meant. */
function nameOf({ key, code = '', altKey }: { key: string; code?: string; altKey: boolean }): string {
  const itself = altKey ? /^(?:Key|Digit)(.)$/.exec(code)?.[1] : undefined;
  return itself?.toLowerCase() ?? (key === ' ' ? 'space' : key.toLowerCase());
}

function signOf(key: string, wantsShift: boolean): string {
  if (!wantsShift) return key;
  return { '{': '[', '}': ']' }[key] ?? key;
}
