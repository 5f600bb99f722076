import { drawPointer, type PointerLook, type PointerShape } from '../../core/pointer/pointer.ts';

/** A pointer of the desk as a value for CSS. */
export function pointerCursor(look: PointerLook, shape: PointerShape = 'arrow'): string {
  const { svg, hotSpot } = drawPointer(shape, look);
  return `url("data:image/svg+xml,${encodeURIComponent(svg)}") ${hotSpot[0]} ${hotSpot[1]}, ${shape === 'hand' ? 'pointer' : 'default'}`;
}
