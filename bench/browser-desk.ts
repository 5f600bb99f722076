import type { Desk } from '../core/desk/desk.ts';

/** Puts a desk on the shelf of a server; gives its id. */
export async function addDesk(address: string, desk: Desk): Promise<string> {
  const made = await fetch(`${address}/api/desks`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(desk),
  });
  return ((await made.json()) as { desk: { id: string } }).desk.id;
}
