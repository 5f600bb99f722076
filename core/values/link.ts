import { z } from 'zod';

/** Whether a text is a web address without a name or a password in it. */
export function isWebAddress(text: string): boolean {
  if (!/^https?:\/\//i.test(text) || !URL.canParse(text)) return false;
  const { hostname, username, password } = new URL(text);
  return hostname !== '' && username === '' && password === '';
}

/** A web address of at most so many signs, or nothing: no other kind of address is ever opened. */
export function linkUpTo(most: number) {
  return z
    .string()
    .max(most)
    .refine(
      (text) => text === '' || isWebAddress(text),
      'is no web address: it starts with https:// or http://',
    );
}
