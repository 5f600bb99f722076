import type { WidgetContext } from '../../kinds/kind.ts';
import { sessionActs, type SessionAct } from '../../values/acts.ts';
import type { ButtonFace } from '../buttons.ts';
import { layButtons, viewButtons, type ButtonsLayout, type ButtonsView } from '../buttons-work.ts';
import type { SessionOptions } from './session.ts';

export function view(options: SessionOptions, _face: ButtonFace, context: WidgetContext): ButtonsView {
  const { size, upright, type, colour } = options;
  const acts = (Object.keys(sessionActs) as SessionAct[]).filter((act) => options[act]);
  return viewButtons(acts, { size, isUpright: upright, type, colour: context.textColour(colour) }, context);
}

export function layout(seen: ButtonsView, face: ButtonFace, context: WidgetContext): ButtonsLayout {
  return layButtons(seen, face, context);
}

export { inkedButtons as inked } from '../buttons-work.ts';
