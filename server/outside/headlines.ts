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

/** What all formats have of an item. */
interface Found {
  title?: unknown;
  text?: unknown;
  link?: unknown;
  date?: unknown;
}

/** Headlines of a text in RSS, Atom, RDF or JSON Feed. Throws where it is none of them. */
export function readHeadlines(text: string): FetchedHeadlines {
  const parsed = parseFeed(text, { maxItems: MOST_ITEMS }) as unknown as {
    format: string;
    feed: Record<string, unknown>;
  };
  const { feed } = parsed;
  const list = (feed['items'] ?? feed['entries'] ?? []) as Record<string, unknown>[];
  return {
    title: plainText(wordsOf(feed['title']), 60),
    items: list.slice(0, MOST_ITEMS).flatMap((item) => {
      const headline = headlineOf(found(item));
      return headline.title || headline.text ? [headline] : [];
    }),
  };
}

function found(item: Record<string, unknown>): Found {
  const links = item['links'] as { href?: string; rel?: string }[] | undefined;
  const dublin = item['dc'] as { dates?: unknown[]; date?: unknown } | undefined;
  return {
    title: item['title'],
    text:
      item['description'] ??
      item['summary'] ??
      item['content'] ??
      item['content_text'] ??
      item['content_html'],
    link: item['link'] ?? item['url'] ?? links?.find(({ rel }) => !rel || rel === 'alternate')?.href,
    date:
      item['pubDate'] ??
      item['published'] ??
      item['updated'] ??
      item['date_published'] ??
      dublin?.dates?.[0] ??
      dublin?.date,
  };
}

/** Texts stand by themselves, or as the value of something. */
function wordsOf(said: unknown): string {
  if (typeof said === 'string') return said;
  if (typeof said === 'object' && said !== null) return wordsOf((said as { value?: unknown }).value);
  return '';
}

function headlineOf({ title, text, link, date }: Found): Headline {
  const body = plainText(wordsOf(text), MOST_TEXT);
  // What has no title begins as it does.
  const head = plainText(wordsOf(title), MOST_TITLE) || body.slice(0, 80);
  const moment = Date.parse(wordsOf(date));
  return {
    title: head,
    text: body === head ? '' : body,
    link: linkOf(wordsOf(link)),
    moment: Number.isFinite(moment) ? moment : null,
  };
}

/** Only the web is gone to. */
function linkOf(link: string): string {
  return URL.canParse(link) && /^https?:$/.test(new URL(link).protocol)
    ? new URL(link).href.slice(0, 1000)
    : '';
}
