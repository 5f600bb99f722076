import type { Application } from '../desk/shapes/applications.ts';
import { decodeText, readGroups, type Groups } from '../values/key-file.ts';
import { isWebAddress } from '../values/link.ts';

/**
 * Applications as files: freedesktop Desktop Entry Specification 1.5. What a file says in other ways than an entry may
 * is listed with its line, and the rest is taken.
 */

/** Bytes of one file that are looked at, and how many lines and problems. */
export const MOST_BYTES = 256 * 1024;
const MOST_PROBLEMS = 20;

export interface EntryProblem {
  /** From 1; 0 is the file as a whole. */
  line: number;
  sentence: string;
}

export interface ReadEntry {
  /** Null where there is nothing to take. */
  application: Omit<Application, 'id'> | null;
  /** Why it is not to be shown on menus; null where it is. */
  hidden: string | null;
  problems: EntryProblem[];
}

/** Reads a .desktop file. `languages` are the person's, the best first, such as `en-GB`. */
export function readDesktopEntry(bytes: Uint8Array, languages: readonly string[]): ReadEntry {
  const problems: EntryProblem[] = [];
  const say = (line: number, sentence: string) => {
    if (problems.length < MOST_PROBLEMS) problems.push({ line, sentence });
  };
  const none = (sentence: string, line = 0): ReadEntry => {
    problems.unshift({ line, sentence });
    return { application: null, hidden: null, problems };
  };
  if (bytes.length > MOST_BYTES) return none(`is larger than ${MOST_BYTES / 1024} kB`);
  const groups = readGroups(decodeText(bytes, say), say);
  const entry = groups.get('Desktop Entry');
  if (!entry) return none('has no group [Desktop Entry]');
  const type = entry.get('Type');
  if (!type) return none('does not say its Type');
  if (type.value !== 'Application' && type.value !== 'Link')
    return none(`is of the type ${type.value.slice(0, 40)}, not an application`, type.line);
  const text = (key: string, most: number, from = entry) =>
    unescaped(localised(from, key, languages) ?? '')
      .slice(0, most)
      .trim();
  const Name = text('Name', 120);
  if (Name === '') return none('has no Name');
  const flag = (key: string) => isOn(entry, key, say);
  return {
    application: {
      Name,
      Comment: text('Comment', 300),
      Icon: iconOf(text('Icon', 400)),
      Categories: list(entry.get('Categories')?.value, 20, 60),
      Keywords: list(localised(entry, 'Keywords', languages), 40, 60),
      URL: [text('URL', 2000), text(OWN_URL, 2000)].find(isWebAddress) ?? '',
      Exec: text('Exec', 1000),
      Actions: actionsOf(entry, groups, text, say),
    },
    hidden: flag('Hidden')
      ? 'it was deleted (Hidden)'
      : flag('NoDisplay')
        ? 'it is not for menus (NoDisplay)'
        : list(entry.get('OnlyShowIn')?.value, 20, 60).length > 0
          ? 'it is for other desktops only (OnlyShowIn)'
          : null,
    problems,
  };
}

/** A link of an application that also runs something has no key of its own in the specification. */
const OWN_URL = 'X-Velvet-Ledge-URL';

/** The value in the first of the person's languages that there is, or the one for everybody. */
function localised(
  group: ReadonlyMap<string, { value: string }>,
  key: string,
  languages: readonly string[],
): string | undefined {
  for (const locale of languages.flatMap(localesOf)) {
    const found = group.get(`${key}[${locale}]`);
    if (found) return found.value;
  }
  return group.get(key)?.value;
}

/** The locales that a language tag matches, the closest first: `en-GB` is en_GB, then en; sr-Latn is sr@latin. */
function localesOf(tag: string): string[] {
  const { language, region, script } = parsed(tag);
  const modifier = script === 'Latn' ? '@latin' : script === 'Cyrl' ? '@cyrillic' : '';
  return [
    ...new Set([
      ...(region ? [`${language}_${region}${modifier}`, `${language}_${region}`] : []),
      `${language}${modifier}`,
      language,
    ]),
  ];
}

function parsed(tag: string): { language: string; region?: string; script?: string } {
  try {
    return new Intl.Locale(tag);
  } catch {
    return { language: tag };
  }
}

const escapes = new Map([
  ['s', ' '],
  ['n', '\n'],
  ['t', '\t'],
  ['r', '\r'],
  ['\\', '\\'],
  [';', ';'],
]);

function unescaped(value: string): string {
  return value.replace(/\\(.)/g, (whole, letter: string) => escapes.get(letter) ?? whole);
}

/** Values with a semicolon after each; one that is part of a value has a backslash before it. */
function list(value: string | undefined, most: number, letters: number): string[] {
  const parts = (value ?? '').match(/(?:\\.|[^;\\])+/g) ?? [];
  return parts
    .map((part) => unescaped(part).trim().slice(0, letters))
    .filter((part) => part !== '')
    .slice(0, most);
}

function isOn(
  group: ReadonlyMap<string, { value: string; line: number }>,
  key: string,
  say: (line: number, sentence: string) => void,
): boolean {
  const found = group.get(key);
  if (found && found.value !== 'true' && found.value !== 'false')
    say(found.line, `says ${key}=${found.value.slice(0, 20)}, which is neither true nor false`);
  return found?.value === 'true';
}

/** A name of the icon theme; of a file only its name can be known here. */
function iconOf(icon: string): string {
  const name = (icon.split('/').at(-1) ?? '').replace(/\.(png|svg|xpm)$/i, '');
  return name.replace(/^own:/, '').slice(0, 120) || 'application-x-executable';
}

function actionsOf(
  entry: ReadonlyMap<string, { value: string; line: number }>,
  groups: Groups,
  text: (key: string, most: number, from: Map<string, { value: string; line: number }>) => string,
  say: (line: number, sentence: string) => void,
): Application['Actions'] {
  const said = entry.get('Actions');
  return [...new Set(list(said?.value, 40, 120))].flatMap((id) => {
    const group = groups.get(`Desktop Action ${id}`);
    const name = group ? text('Name', 120, group) : '';
    if (name !== '') return [{ id, Name: name }];
    say(
      said?.line ?? 0,
      `names the action ${id.slice(0, 40)}, which ${group ? 'has no Name' : 'is not there'}`,
    );
    return [];
  });
}

/** An application as a .desktop file. */
export function writeDesktopEntry(application: Application): string {
  const { id, Name, Comment, Icon, Categories, Keywords, URL: url, Exec, Actions } = application;
  const isLink = url !== '' && Exec === '' && Actions.length === 0;
  const lines = [
    '[Desktop Entry]',
    'Version=1.5',
    `Type=${isLink ? 'Link' : 'Application'}`,
    `Name=${escaped(Name)}`,
    ...(Comment ? [`Comment=${escaped(Comment)}`] : []),
    `Icon=${escaped(Icon.startsWith('own:') ? 'application-x-executable' : Icon)}`,
    // A file of an application must say what it runs.
    ...(isLink ? [`URL=${escaped(url)}`] : [`Exec=${escaped(Exec || id)}`]),
    ...(url && !isLink ? [`${OWN_URL}=${escaped(url)}`] : []),
    ...(Categories.length > 0 ? [`Categories=${joined(Categories)}`] : []),
    ...(Keywords.length > 0 ? [`Keywords=${joined(Keywords)}`] : []),
    ...(Actions.length > 0 ? [`Actions=${joined(Actions.map((action) => action.id))}`] : []),
    ...Actions.flatMap((action) => [
      '',
      `[Desktop Action ${action.id}]`,
      `Name=${escaped(action.Name)}`,
      `Exec=${escaped(Exec || id)}`,
    ]),
  ];
  return `${lines.join('\n')}\n`;
}

function escaped(value: string): string {
  return value
    .replaceAll('\\', '\\\\')
    .replaceAll('\n', '\\n')
    .replaceAll('\r', '\\r')
    .replaceAll('\t', '\\t')
    .replace(/^ +| +$/g, (blanks) => '\\s'.repeat(blanks.length));
}

function joined(values: readonly string[]): string {
  return values.map((value) => `${escaped(value).replaceAll(';', '\\;')};`).join('');
}
