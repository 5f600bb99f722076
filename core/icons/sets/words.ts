/** The words of a name in small letters, however they are joined. */
export function wordsOf(name: string): string[] {
  return name
    .slice(0, 400)
    .replace(/(\p{Ll}|\d)(\p{Lu})/gu, '$1-$2')
    .toLowerCase()
    .split(/[^\p{L}\p{N}@]+/u)
    .filter((word) => word !== '');
}
