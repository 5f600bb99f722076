import type { Desk } from '../../core/desk/desk.ts';
import { RunningServer } from '../support/app.ts';
import type { Chance } from './random.ts';
import type { Found } from './server.ts';

/** Kills a server in the middle of saves, again and again: what it acknowledged must be there when it is back. */
export async function killOften(times: number, chance: Chance, found: Found[]): Promise<number> {
  const server = new RunningServer();
  await server.start();
  const id = 'sound-room';
  const get = async () =>
    (await (await fetch(`${server.address}/api/desks/${id}`)).json()) as { desk: Desk; revision: number };
  let { desk, revision } = await get();
  let acknowledged = { revision, name: desk.name };
  let saves = 0;
  for (let kill = 0; kill < times; kill++) {
    let isDead = false;
    const death = new Promise<void>((resolve) =>
      setTimeout(
        () => {
          isDead = true;
          void server.kill().then(resolve);
        },
        20 + chance.below(200),
      ),
    );
    while (!isDead) {
      const name = `Kill ${kill}, save ${saves}`;
      try {
        const answer = await fetch(`${server.address}/api/desks/${id}`, {
          method: 'PUT',
          headers: { 'Content-Type': 'application/json', 'If-Match': `"${revision}"` },
          body: JSON.stringify({ ...desk, name }),
        });
        if (!answer.ok) break;
        revision = ((await answer.json()) as { revision: number }).revision;
        acknowledged = { revision, name };
        saves++;
      } catch {
        break;
      }
    }
    await death;
    await server.start();
    const after = await get();
    ({ desk, revision } = after);
    // A save whose answer was lost may be there; one that was acknowledged must be.
    const isKept =
      after.revision > acknowledged.revision ||
      (after.revision === acknowledged.revision && after.desk.name === acknowledged.name);
    if (!isKept)
      found.push({
        what: 'kills: an acknowledged save is lost',
        detail: `revision ${acknowledged.revision}, "${acknowledged.name}"; found ${after.revision}, "${after.desk.name}"`,
      });
    acknowledged = { revision: after.revision, name: after.desk.name };
  }
  await server.end();
  return saves;
}
