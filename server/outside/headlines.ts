import { parseFeed } from 'feedsmith';
import { Parser } from 'htmlparser2';
import { MOST_ITEMS, type FetchedHeadlines, type Headline } from '../../core/sources/headlines/headlines.ts';

const MOST_TITLE = 300;
const MOST_TEXT = 600;
/** Elements whose inside is nothing to read. */
const unread = new Set(['script', 'style', 'template', 'noscript']);
const BLOCK = /^(p|div|br|li|tr|h[1-6]|section|article|blockquote)$/;

/** Markup as plain text on one line. */
export function plainText(markup: string, most: number): string {
  let text = '';
  let hidden = 0;
  const parser = new Parser(
    {
      onopentagname(name) {
        if (unread.has(name)) hidden++;
        if (BLOCK.test(name)) text += ' ';
      },
      onclosetag(name) {
        if (unread.has(name)) hidden = Math.max(0, hidden - 1);
      },
      ontext(part) {
        if (hidden === 0 && text.length < most * 4) text += part;
      },
    },
    { decodeEntities: true },
  );
  parser.end(markup.slice(0, 100_000));
  const line = text.replaceAll(/[\s\p{Cc}]+/gu, ' ').trim();
  return line.length > most ? `${line.slice(0, most - 1).trimEnd()}…` : line;
}

/** Text that is no markup, on one line. */
function lineOf(text: string, most: number): string {
  const line = text
    .slice(0, 100_000)
    .replaceAll(/[\s\p{Cc}]+/gu, ' ')
    .trim();
  return line.length > most ? `${line.slice(0, most - 1).trimEnd()}…` : line;
}

/** A text of a feed, and whether it is markup. */
interface Words {
  text: string;
  isMarkup: boolean;
}

const wordsAs = ({ text, isMarkup }: Words, most: number) => (isMarkup ? plainText : lineOf)(text, most);

/** What all formats have of an item. */
interface Found {
  title: Words;
  text: Words;
  /** In the order in which they are tried. */
  links: readonly unknown[];
  date: unknown;
  /** What its links are told from; absent where the feed says nothing of it. */
  base: unknown;
}

/** How each format says what it says, by what the parser calls it. */
const readers = new Map<string, (item: Record<string, unknown>) => Found>([
  ['atom', fromAtom],
  ['json', fromJson],
]);

/**
 * Headlines of a text in RSS, Atom, RDF or JSON Feed; `address` is where it was read, which its links may be told from.
 * Throws where it is none of them.
 */
export function readHeadlines({ text, address }: { text: string; address: string }): FetchedHeadlines {
  const { format, feed: parsed } = parseFeed(text, { maxItems: MOST_ITEMS });
  const feed: Record<string, unknown> = { ...parsed };
  const list = (feed['items'] ?? feed['entries'] ?? []) as Record<string, unknown>[];
  const read = readers.get(format) ?? fromRss;
  const isText = format === 'json' || (format === 'atom' && typeIn(feed['title']) === 'text');
  const base = [baseIn(feed), format === 'rss' ? feed['link'] : feed['home_page_url']].reduce<string>(
    (at, step) => resolved(textIn(step), at) || at,
    address,
  );
  return {
    title: wordsAs({ text: textIn(feed['title']), isMarkup: !isText }, 60),
    items: list.slice(0, MOST_ITEMS).flatMap((item) => {
      const headline = headlineOf(read(item), base);
      return headline.title || headline.text ? [headline] : [];
    }),
  };
}

/** Texts of Atom say whether they are markup; what says nothing is plain (RFC 4287, 3.1.1). */
const typeIn = (said: unknown) =>
  String((said as { type?: unknown } | undefined)?.type ?? 'text').toLowerCase();
const atomWords = (said: unknown): Words => ({
  text: textIn(said),
  isMarkup: said !== undefined && typeIn(said) !== 'text',
});
const baseIn = (item: Record<string, unknown>) => (item['xml'] as { base?: unknown } | undefined)?.base;

function fromAtom(item: Record<string, unknown>): Found {
  const links = (item['links'] ?? []) as { href?: string; rel?: string }[];
  return {
    title: atomWords(item['title']),
    text: atomWords(item['summary'] ?? item['content']),
    links: [links.find(({ rel }) => !rel || rel === 'alternate')?.href],
    date: item['published'] ?? item['updated'],
    base: baseIn(item),
  };
}

/** In JSON Feed 1.1 only `content_html` is markup. */
function fromJson(item: Record<string, unknown>): Found {
  const html = item['content_html'];
  const plain = item['summary'] ?? item['content_text'];
  return {
    title: { text: textIn(item['title']), isMarkup: false },
    text:
      plain === undefined ? { text: textIn(html), isMarkup: true } : { text: textIn(plain), isMarkup: false },
    links: [item['url'], item['external_url']],
    date: item['date_published'] ?? item['date_modified'],
    base: undefined,
  };
}

/** RSS and RDF; a guid is a link unless it says that it is none (RSS 2.0). */
function fromRss(item: Record<string, unknown>): Found {
  const dublin = item['dc'] as { dates?: unknown[]; date?: unknown } | undefined;
  const guid = item['guid'] as { value?: unknown; isPermaLink?: boolean } | undefined;
  const isLink = guid?.isPermaLink !== false && URL.canParse(textIn(guid));
  return {
    title: { text: textIn(item['title']), isMarkup: true },
    text: { text: textIn(item['description'] ?? item['content']), isMarkup: true },
    links: [item['link'], ...(isLink ? [guid] : [])],
    date: item['pubDate'] ?? dublin?.dates?.[0] ?? dublin?.date,
    base: baseIn(item),
  };
}

/** Texts stand by themselves, or as the value of something. */
function textIn(said: unknown): string {
  if (typeof said === 'string') return said;
  if (typeof said === 'object' && said !== null) return textIn((said as { value?: unknown }).value);
  return '';
}

function headlineOf({ title, text, links, date, base }: Found, feedBase: string): Headline {
  const body = wordsAs(text, MOST_TEXT);
  // What has no title begins as it does.
  const head = wordsAs(title, MOST_TITLE) || body.slice(0, 80);
  const from = resolved(textIn(base), feedBase) || feedBase;
  return {
    title: head,
    text: body === head ? '' : body,
    link: links.map((link) => resolved(textIn(link), from)).find((link) => link !== '') ?? '',
    moment: momentIn(textIn(date)),
  };
}

/** Where a link leads that may be told from a base; only the web is gone to. */
function resolved(link: string, base: string): string {
  if (link.trim() === '' || link.length > MOST_LINK) return '';
  const url = URL.canParse(link, base) ? new URL(link, base) : URL.canParse(link) ? new URL(link) : null;
  return url && /^https?:$/.test(url.protocol) && url.href.length <= MOST_LINK ? url.href : '';
}
const MOST_LINK = 1000;

const HAS_ZONE = /(?:Z|[+-]\d{2}:?\d{2}|\b(?:GMT|UTC?|[ECMP][SD]T))$/i;

/** A date of a feed, epoch ms; one that names no zone is in universal time, wherever the server stands. */
function momentIn(said: string): number | null {
  const text = said.slice(0, 100).trim();
  const isPlain = HAS_ZONE.test(text) || !/\d:\d/.test(text);
  const moment = Date.parse(isPlain ? text : /^\d{4}-/.test(text) ? `${text}Z` : `${text} GMT`);
  return Number.isFinite(moment) ? moment : null;
}
