import { catalogue } from './catalogue.ts';

const BEGIN = '<!-- from here on made from the catalogue: npm run docs -->\n';
const END = '<!-- to here -->';

/** A page of the documentation with the table of all names in its place; throws where it has none. */
export function namesIn(page: string): string {
  const begin = page.indexOf(BEGIN);
  const end = page.indexOf(END, begin);
  if (begin < 0 || end < 0) throw new Error('The page has no place for the names');
  return page.slice(0, begin + BEGIN.length) + table() + page.slice(end);
}

function table(): string {
  const rows = catalogue.map(({ path, told, unit }) => `| \`${path}\` | ${told} | ${unit} |`);
  return ['| name | what | unit |', '|---|---|---|', ...rows, ''].join('\n');
}
