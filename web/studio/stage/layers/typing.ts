import { typedOf } from '../../../session/typing.ts';
import { useView } from '../../../stores/view.ts';
import { selectedParts } from '../../parts/acts.ts';
import { focusFirstField } from '../../column/first-field.ts';

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
