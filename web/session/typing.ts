import { named } from '../../core/desk/edits/edit.ts';
import { edits } from '../../core/desk/edits/edits.ts';
import { itemKindOf } from '../../core/items/list.ts';
import { fieldOf, mostLetters } from '../../core/values/field.ts';
import { lookUp } from '../../core/values/look-up.ts';
import { widgetKindOf } from '../../core/widgets/list.ts';
import type { Typing } from '../render/actions.ts';
import { presentDesk, useDesk } from './desk.ts';

/** What is typed in place of a part: where it stands in the document, and whether it is a line or a text. */
export interface Typed {
  id: string;
  key: string;
  text: string;
  isLine: boolean;
  /** Letters that it may have; undefined where nothing bounds them. */
  most: number | undefined;
}

/** What can be typed in place of a widget or an item; null where there is nothing. */
export function typedOf(id: string): Typed | null {
  const desk = presentDesk();
  const widget = desk?.widgets.find((one) => one.id === id);
  const item = desk?.edges.flatMap(({ items }) => items).find((one) => one.id === id);
  const part = widget ?? item;
  if (!part) return null;
  const kind = widget ? widgetKindOf(widget.type) : item && itemKindOf(item.type);
  const key = kind?.typed;
  const text = key === undefined ? undefined : new Map(Object.entries(part.options)).get(key);
  if (key === undefined || typeof text !== 'string') return null;
  // Under some faces there are no words.
  const schema = kind && lookUp(kind.options.shape, key);
  const when = schema && fieldOf(schema)?.when;
  if (when && !when(part.options, part.face)) return null;
  return { id, key, text, isLine: widget === undefined, most: schema && mostLetters(schema) };
}

/** Begins to type: what is put is seen at once, and is one step in the end, or nothing. */
export function startTyping({ id, key, text, isLine, most }: Typed): Typing {
  let newest = text;
  const editOf = (next: string) =>
    named(
      'Words',
      isLine ? edits.setItems([id], { [key]: next }) : edits.setWidgetOptions(id, { [key]: next }),
    );
  return {
    text,
    most,
    put(next) {
      newest = next;
      useDesk.getState().show(editOf(next));
    },
    end(isKept) {
      const desk = useDesk.getState();
      desk.dropGesture();
      if (isKept && newest !== text) desk.edit(editOf(newest));
      newest = text;
    },
  };
}
