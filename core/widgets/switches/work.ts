import type { WidgetContext } from '../../kinds/kind.ts';
import type { ButtonFace } from '../buttons.ts';
import { layButtons, viewButtons, type ButtonsLayout, type ButtonsView } from '../buttons-work.ts';
import type { SwitchesOptions } from './switches.ts';

export function view(options: SwitchesOptions, _face: ButtonFace, context: WidgetContext): ButtonsView {
  const { acts, size, upright, type, colour } = options;
  const dress = { size, isUpright: upright, type, colour: context.textColour(colour) };
  return viewButtons(
    acts.map(({ act, number }) => (act === 'workspace' ? { workspace: number - 1 } : act)),
    dress,
    context,
  );
}

export function layout(seen: ButtonsView, face: ButtonFace, context: WidgetContext): ButtonsLayout {
  return layButtons(seen, face, context);
}

export { inkedButtons as inked } from '../buttons-work.ts';
