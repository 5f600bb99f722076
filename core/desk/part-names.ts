import { widgetKindOf } from '../widgets/list.ts';
import type { Part } from './desk.ts';
import type { Edge } from './shapes/edges.ts';
import type { Widget } from './shapes/widgets.ts';

/** What parts are called where people read of them. */

export function titleOfWidget(widget: Pick<Widget, 'type'>): string {
  return widgetKindOf(widget.type).title;
}

export function titleOfEdge(edge: Pick<Edge, 'kind'>): string {
  return edge.kind === 'panel' ? 'Panel' : 'Dock';
}

/** A part as one of several that may be meant. */
export function nameOfPart(part: Part): string {
  return 'options' in part
    ? `the ${titleOfWidget(part).toLowerCase()} (${part.face})`
    : `the ${titleOfEdge(part).toLowerCase()} at the ${part.side}`;
}
