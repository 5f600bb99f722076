/** Coordinates as people write them. */

export interface Coordinates {
  /** Degrees, north and east positive. */
  latitude: number;
  longitude: number;
}

/** What came of a text: coordinates, or a sentence that says what was understood. */
export type CoordinatesRead = ({ ok: true } & Coordinates) | { ok: false; sentence: string };

const MOST_LETTERS = 200;
const refused = (sentence: string): CoordinatesRead => ({ ok: false, sentence });

/** One angle: its figures as degrees, minutes and seconds, and the half of the Earth that its letter says. */
interface Angle {
  figures: number[];
  isNegative: boolean;
  letter: 'N' | 'S' | 'E' | 'W' | null;
}

/**
 * Reads decimal degrees, degrees with minutes and seconds, letters for the halves of the Earth before or behind, `geo:`
 * addresses (RFC 5870) and ISO 6709. Latitude first, unless letters say otherwise.
 */
export function readCoordinates(text: string): CoordinatesRead {
  const said = text.trim();
  if (said === '') return refused('Nothing was typed.');
  if (said.length > MOST_LETTERS) return refused('That is too long for a place.');
  const geo = /^geo:\s*([+-]?\d+(?:\.\d+)?),\s*([+-]?\d+(?:\.\d+)?)/i.exec(said);
  if (geo) return checked(Number(geo[1]), Number(geo[2]));
  const iso = /^([+-]\d{2}(?:\.\d+)?)([+-]\d{3}(?:\.\d+)?)(?:[+-]\d+(?:\.\d+)?)?\/?$/.exec(said);
  if (iso) return checked(Number(iso[1]), Number(iso[2]));
  const angles = anglesIn(said);
  if (typeof angles === 'string') return refused(angles);
  return inOrder(angles);
}

/** Decimal commas between figures become points where something else parts the two angles. */
function withPoints(text: string): string {
  const commas = text.match(/\d,\d/g)?.length ?? 0;
  return commas >= 2 || (commas === 1 && /[;/]|\d\s+[+-]?\d/.test(text))
    ? text.replace(/(\d),(?=\d)/g, '$1.')
    : text;
}

const TOKEN = /([NSEWO])|([+\-−]?\d+(?:\.\d+)?)|([°º'′’"″”]|''|\s|,|;|\/|deg|d|m|s)/giy;

/** The two angles of a text, or why there are none. */
function anglesIn(text: string): [Angle, Angle] | string {
  const tokens: { letter?: string; figure?: string; between?: string }[] = [];
  // An S between figures and a letter stands for seconds.
  const source = withPoints(text.toUpperCase()).replace(/(\d)S(?=\s*[NSEWO])/g, '$1');
  TOKEN.lastIndex = 0;
  while (TOKEN.lastIndex < source.length) {
    const from = TOKEN.lastIndex;
    const found = TOKEN.exec(source);
    if (!found)
      return `“${source.slice(from, from + 12)}” was not understood: write it as 54.61, −1.04 or 54°36′N 1°2′W.`;
    const [, letter, figure, between] = found;
    if (letter) tokens.push({ letter });
    else if (figure) tokens.push({ figure });
    else if (between === ',' || between === ';' || between === '/') tokens.push({ between });
  }
  const groups = grouped(tokens);
  if (groups.length !== 2) {
    const figures = tokens.flatMap(({ figure }) => figure ?? []);
    const understood = figures.length === 0 ? 'no figure' : figures.join(' and ');
    return `Understood ${understood}: a place needs a latitude and a longitude, such as 54.61, −1.04.`;
  }
  return groups as [Angle, Angle];
}

/** Figures put together to angles: by letters, by what parts them, or half and half. */
function grouped(tokens: { letter?: string; figure?: string; between?: string }[]): Angle[] {
  const figures = tokens.filter(({ figure }) => figure !== undefined);
  const letters = tokens.filter(({ letter }) => letter !== undefined);
  const cut = tokens.findIndex(({ between }) => between !== undefined);
  const isLetterFirst = tokens[0]?.letter !== undefined;
  const parts: (typeof tokens)[] = [];
  if (letters.length === 2) {
    // A letter ends its angle, or begins it where the first thing is a letter.
    const second = isLetterFirst
      ? tokens.lastIndexOf(letters[1] ?? {})
      : tokens.indexOf(letters[0] ?? {}) + 1;
    parts.push(tokens.slice(0, second), tokens.slice(second));
  } else if (letters.length > 0) return [];
  else if (cut > 0) parts.push(tokens.slice(0, cut), tokens.slice(cut + 1));
  else if (figures.length % 2 === 0) {
    const half = tokens.indexOf(figures[figures.length / 2] ?? {});
    parts.push(tokens.slice(0, half), tokens.slice(half));
  }
  return parts.flatMap((part) => {
    const own = part.flatMap(({ figure }) => figure ?? []).map((figure) => figure.replace('−', '-'));
    if (own.length === 0 || own.length > 3) return [];
    const letter = part.find((token) => token.letter)?.letter ?? null;
    return [
      {
        figures: own.map((figure) => Math.abs(Number(figure))),
        isNegative: own[0]?.startsWith('-') ?? false,
        // East is O in some languages.
        letter: (letter === 'O' ? 'E' : letter) as Angle['letter'],
      },
    ];
  });
}

function inOrder([first, second]: [Angle, Angle]): CoordinatesRead {
  const isTurned =
    first.letter === 'E' || first.letter === 'W' || second.letter === 'N' || second.letter === 'S';
  const [north, east] = isTurned ? [second, first] : [first, second];
  if (north.letter === 'E' || north.letter === 'W' || east.letter === 'N' || east.letter === 'S')
    return refused(
      'Understood two angles of the same kind: a place needs one with N or S and one with E or W.',
    );
  for (const { figures } of [north, east]) {
    if (figures.slice(1).some((figure) => figure >= 60))
      return refused(`Understood ${figures.join(' ')}: minutes and seconds are less than 60.`);
  }
  return checked(degreesOf(north), degreesOf(east));
}

function degreesOf({ figures: [degrees = 0, minutes = 0, seconds = 0], isNegative, letter }: Angle): number {
  const amount = degrees + minutes / 60 + seconds / 3600;
  return isNegative || letter === 'S' || letter === 'W' ? -amount : amount;
}

function checked(latitude: number, longitude: number): CoordinatesRead {
  const understood = `Understood ${told(latitude)} and ${told(longitude)}`;
  if (Math.abs(latitude) > 90) return refused(`${understood}: a latitude is from −90 to 90.`);
  if (Math.abs(longitude) > 180) return refused(`${understood}: a longitude is from −180 to 180.`);
  return { ok: true, latitude: rounded(latitude), longitude: rounded(longitude) };
}

/** About a metre. */
const rounded = (value: number) => Math.round(value * 1e5) / 1e5 + 0;
const told = (value: number) => String(rounded(value)).replace('-', '−');

/** Coordinates as they are usually written: `54.61° N, 1.04° W`. */
export function writeCoordinates({ latitude, longitude }: Coordinates): string {
  const angle = (value: number, positive: string, negative: string) =>
    `${Math.abs(rounded(value))}° ${value < 0 ? negative : positive}`;
  return `${angle(latitude, 'N', 'S')}, ${angle(longitude, 'E', 'W')}`;
}
