import { expose } from 'comlink';

const CANT_READ = 'it can’t be read';

/**
 * Offers functions to the page. An error of theirs goes there in the words that `told` has for a person, and in none of
 * its own.
 */
export function offer(
  functions: Readonly<Record<string, (...given: never[]) => unknown>>,
  told: (error: unknown) => string | null = () => null,
): void {
  const offered = Object.entries(functions).map(([name, work]) => [
    name,
    async (...given: never[]) => {
      try {
        return await work(...given);
      } catch (error) {
        throw new Error(told(error) ?? CANT_READ, { cause: error });
      }
    },
  ]);
  expose(Object.fromEntries(offered));
}
