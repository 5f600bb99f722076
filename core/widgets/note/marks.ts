import MarkdownIt from 'markdown-it';

/**
 * The plain marks of a note, as Markdown has them (CommonMark, read by markdown-it): headings, lists, ticks and bold.
 * Everything else, markup above all, is letters.
 */

export interface Span {
  text: string;
  isBold: boolean;
}

export interface Block {
  kind: 'text' | 'heading' | 'item';
  /** Of a heading 1 to 3; of an item how deep it lies, from 0. */
  level: number;
  spans: Span[];
  /** Whether a task is ticked; null for what is none. */
  isTicked: boolean | null;
  /** Of a numbered item. */
  number: number | null;
}

const reader = new MarkdownIt('zero', { html: false }).enable([
  'heading',
  'list',
  'emphasis',
  'newline',
  'escape',
]);
/** How deep lists lie within one another at most. */
const MOST_DEEP = 4;
const TICK = /^\[([ xX])\]\s+/;

export function blocksOf(text: string): Block[] {
  const blocks: Block[] = [];
  const lists: { next: number | null }[] = [];
  let heading = 0;
  let startsItem = false;
  for (const token of reader.parse(text, {})) {
    switch (token.type) {
      case 'heading_open':
        heading = Math.min(3, Number(token.tag.slice(1)));
        break;
      case 'heading_close':
        heading = 0;
        break;
      case 'bullet_list_open':
        lists.push({ next: null });
        break;
      case 'ordered_list_open':
        lists.push({ next: Number(token.attrGet('start') ?? 1) });
        break;
      case 'bullet_list_close':
      case 'ordered_list_close':
        lists.pop();
        break;
      case 'list_item_open':
        startsItem = true;
        break;
      case 'inline':
        for (const spans of linesOf(token.children ?? [])) {
          const list = lists.at(-1);
          const level = list ? Math.min(MOST_DEEP, lists.length - 1) : heading;
          const kind = list ? 'item' : heading > 0 ? 'heading' : 'text';
          const isFirst = kind !== 'item' || startsItem;
          blocks.push({
            kind,
            level,
            ...(isFirst && list ? ticked(spans) : { spans, isTicked: null }),
            number: isFirst && list?.next !== null && list ? list.next++ : null,
          });
          startsItem = false;
        }
    }
  }
  return blocks;
}

/** Lines that were broken by hand stay broken. */
function linesOf(tokens: readonly { type: string; content: string }[]): Span[][] {
  const lines: Span[][] = [[]];
  let bold = 0;
  for (const { type, content } of tokens) {
    if (type === 'strong_open') bold++;
    else if (type === 'strong_close') bold--;
    else if (type === 'softbreak' || type === 'hardbreak') lines.push([]);
    else if (content !== '') lines.at(-1)?.push({ text: content, isBold: bold > 0 });
  }
  return lines;
}

function ticked(spans: Span[]): { spans: Span[]; isTicked: boolean | null } {
  const [first, ...rest] = spans;
  const found = first && TICK.exec(first.text);
  if (!found) return { spans, isTicked: null };
  return {
    spans: [{ ...first, text: first.text.slice(found[0].length) }, ...rest],
    isTicked: found[1] !== ' ',
  };
}

/** A line that is a task: what stands before its tick, the tick, and the rest. */
const TASK = /^(\s*(?:[-*+]|\d{1,9}[.)])\s+\[)([ xX])(\]\s)/;

/** The text with its task number `index` ticked, or not any more. */
export function tickTask(text: string, index: number): string {
  let at = -1;
  return text
    .split('\n')
    .map((line) => {
      if (!TASK.test(line) || ++at !== index) return line;
      return line.replace(
        TASK,
        (_, before: string, tick: string, after: string) => before + (tick === ' ' ? 'x' : ' ') + after,
      );
    })
    .join('\n');
}
