import { itemKindOf } from '../../../core/items/list.ts';
import { widgetKindOf } from '../../../core/widgets/list.ts';
import { fieldOf } from '../../../core/values/field.ts';
import { lookUp } from '../../../core/values/look-up.ts';
import { presentDesk } from '../../session/desk.ts';
import { useView } from '../../stores/view.ts';
import { selectedParts } from '../acts.ts';
import { focusFirstField } from '../column/first-field.ts';

/** What is typed in place of a part: where it stands in the document, and whether it is a line or a text. */
export interface Typed {
  id: string;
  key: string;
  text: string;
  isLine: boolean;
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
  return { id, key, text, isLine: widget === undefined };
}

/** Id of the one part that is selected and can be typed in. */
export function typableSelection(): string | null {
  const { widgets, item } = selectedParts();
  const id = item?.item.id ?? (widgets.length === 1 ? widgets[0]?.id : undefined);
  return id !== undefined && typedOf(id) ? id : null;
}

/** Types where the part stands; of one that holds no words, the first field of the column is taken. */
export function typeInPlace(id: string): void {
  if (typedOf(id)) useView.setState({ typing: id });
  else focusFirstField();
}
