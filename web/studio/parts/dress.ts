import { named } from '../../../core/desk/edits/edit.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import type { Dress } from '../../../core/desk/edits/widgets.ts';
import { fieldOf } from '../../../core/values/field.ts';
import { lookUp } from '../../../core/values/look-up.ts';
import { widgetKindOf } from '../../../core/widgets/list.ts';
import type { Widget } from '../../../core/desk/sections/widgets.ts';
import { presentDesk, useDesk } from '../../session/desk.ts';
import { toast } from '../../ui/toast.ts';
import { titleOfWidget } from '../../../core/desk/part-names.ts';
import { selectedParts } from './acts.ts';

function dressOf({ finish, face, type, options }: Widget, withFace: boolean): Dress {
  const { shape } = widgetKindOf(type).options;
  const isContent = (key: string) => {
    const schema = lookUp(shape, key);
    return schema !== undefined && fieldOf(schema)?.isContent === true;
  };
  const looks = Object.entries(options).filter(([key]) => !isContent(key));
  return { finish, face: withFace ? face : null, options: Object.fromEntries(looks) };
}

/** What was copied to dress others in. */
let copied: { dress: Dress; type: string; name: string } | null = null;

export function copyDress(): void {
  const [widget] = selectedParts().widgets;
  if (!widget) return;
  copied = { dress: dressOf(widget, true), type: widget.type, name: titleOfWidget(widget) };
  toast(`The dress of ${copied.name} is copied. Paste it on others.`);
}

export const hasDress = () => copied !== null;

/** Dresses what is selected as what was copied; the face only where it is of the same kind. */
export function pasteDress(): void {
  const { widgets } = selectedParts();
  if (!copied || widgets.length === 0) return;
  const { dress, type } = copied;
  const isAlike = widgets.every((widget) => widget.type === type);
  const worn = isAlike ? dress : { ...dress, face: null };
  useDesk.getState().edit(
    named(
      'Paste the dress',
      edits.dressWidgets(
        widgets.map(({ id }) => id),
        worn,
      ),
    ),
  );
}

/** All other widgets of a kind look like one of them. */
export function dressKind(widget: Widget): void {
  const others = (presentDesk()?.widgets ?? []).filter(
    ({ id, type }) => type === widget.type && id !== widget.id,
  );
  const ids = others.map(({ id }) => id);
  useDesk
    .getState()
    .edit(named(`All like this ${titleOfWidget(widget)}`, edits.dressWidgets(ids, dressOf(widget, true))));
}
