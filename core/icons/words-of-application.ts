const MOST_WORDS = 12;

/** The words by which an application's icon is looked for beside the name that it gives it. */
export function wordsOfApplication({
  Name,
  Keywords,
}: {
  Name: string;
  Keywords: readonly string[];
}): string[] {
  return [Name, ...Keywords].slice(0, MOST_WORDS);
}
