import type { FC } from 'react';
import {
  widgetKinds,
  type FaceOf,
  type WidgetLayoutOf,
  type WidgetType,
  type WidgetViewOf,
} from '../../core/widgets/list.ts';
import { lookUp } from '../../core/values/look-up.ts';

type Drawing<Type extends WidgetType> = FC<{ view: WidgetViewOf<Type>; layout: WidgetLayoutOf<Type> }>;
type AnyDrawing = FC<{ view: unknown; layout: unknown }>;

/**
 * What each face draws besides its texts, null where they are all there is. The type checker asks for every face. They
 * come with the first desk that shows the kind.
 */
const loaders: {
  [Type in WidgetType]: () => Promise<{ faces: Record<FaceOf<Type>, Drawing<Type> | null> }>;
} = {
  clock: () => import('./widgets/clock/clock.tsx'),
  machine: () => import('./widgets/machine/machine.tsx'),
  weather: () => import('./widgets/weather/weather.tsx'),
  almanac: () => import('./widgets/almanac/almanac.tsx'),
  calendar: () => import('./widgets/calendar/calendar.tsx'),
  headlines: () => import('./widgets/headlines/headlines.tsx'),
  readout: () => import('./widgets/readout/readout.tsx'),
  player: () => import('./widgets/player/player.tsx'),
  spectrum: () => import('./widgets/spectrum/spectrum.tsx'),
  note: () => import('./widgets/note/note.tsx'),
  tiles: () => import('./widgets/tiles/tiles.tsx'),
  picture: () => import('./widgets/picture/picture.tsx'),
  shape: () => import('./widgets/shape/shape.tsx'),
  switches: () => import('./widgets/switches/switches.tsx'),
  session: () => import('./widgets/session/session.tsx'),
  find: () => import('./widgets/find/find.tsx'),
  battery: () => import('./widgets/battery/battery.tsx'),
};

const known = new Map<WidgetType, Record<string, AnyDrawing | null>>();

export function isDrawingKnown(type: WidgetType): boolean {
  return known.has(type);
}

/** What a face draws; null where it is nothing, or not there yet. */
export function drawingOf(type: WidgetType, face: string): AnyDrawing | null {
  const faces = known.get(type);
  return (faces && lookUp(faces, face)) ?? null;
}

/** Makes sure that widgets of these kinds can be drawn. */
export async function learnDrawings(
  types: readonly WidgetType[] = widgetKinds.map(({ type }) => type),
): Promise<void> {
  await Promise.all(
    [...new Set(types)].map(async (type) => {
      if (!known.has(type))
        known.set(type, (await loaders[type]()).faces as Record<string, AnyDrawing | null>);
    }),
  );
}
