import type { KeyboardEvent, MouseEvent } from 'react';
import type { Rect } from '../../../../core/values/geometry.ts';
import { useView } from '../../../stores/view.ts';
import { meantBy } from '../../parts/groups.ts';

export function boxStyle({ x, y, width, height }: Rect, scale: number) {
  return {
    transform: `translate(${x * scale}px, ${y * scale}px)`,
    width: width * scale,
    height: height * scale,
  };
}

/** Enter and Space choose what has the focus; with Shift or Control it joins what is chosen, or leaves it. */
export function onEnter(id: string, select: () => void) {
  return (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    if (event.shiftKey || event.ctrlKey || event.metaKey) {
      event.stopPropagation();
      useView.getState().toggle(id);
    } else select();
  };
}

/** A press chooses what it is on; with Shift or Control it joins what is chosen, or leaves it. */
export const onPressOf =
  (id: string, select: () => void) =>
  ({ isAdding }: { isAdding: boolean }) =>
    isAdding ? useView.getState().toggle(id) : select();

/** The right button selects what lies under it, unless that is selected already; the menu then opens. */
export function onMenu(id: string, chapter: 'edges' | 'widgets') {
  return (_event: MouseEvent) => {
    if (!useView.getState().selection.includes(id)) useView.getState().select(meantBy(id), chapter);
  };
}

/** A dark line around the brass one: it has to be seen on any picture. */
export const frame =
  'pointer-events-none absolute inset-0 rounded-[5px] outline-2 outline-brass shadow-[0_0_0_3px_rgb(0_0_0/.35)]';
