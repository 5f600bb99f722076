import { byType, type AnyWidgetKind } from '../kinds/kind.ts';
import { almanac } from './almanac/almanac.ts';
import { battery } from './battery/battery.ts';
import { clock } from './clock/clock.ts';
import { calendar } from './calendar/calendar.ts';
import { find } from './find/find.ts';
import { headlines } from './headlines/headlines.ts';
import { note } from './note/note.ts';
import { picture } from './picture/picture.ts';
import { player } from './player/player.ts';
import { readout } from './readout/readout.ts';
import { machine } from './machine/machine.ts';
import { session } from './session/session.ts';
import { shape } from './shape/shape.ts';
import { spectrum } from './spectrum/spectrum.ts';
import { switches } from './switches/switches.ts';
import { tiles } from './tiles/tiles.ts';
import { weather } from './weather/weather.ts';

/** Every kind of widget, those first that people reach for most. Add a new one here. */
export const widgetKinds = [
  clock,
  machine,
  weather,
  player,
  spectrum,
  readout,
  calendar,
  tiles,
  note,
  picture,
  shape,
  almanac,
  headlines,
  battery,
  switches,
  session,
  find,
] as const;

export type WidgetType = (typeof widgetKinds)[number]['type'];
type KindOf<Type extends WidgetType> = Extract<(typeof widgetKinds)[number], { type: Type }>;
type WorkOf<Type extends WidgetType> = Awaited<ReturnType<KindOf<Type>['load']>>;
export type WidgetViewOf<Type extends WidgetType> = ReturnType<WorkOf<Type>['view']>;
export type WidgetLayoutOf<Type extends WidgetType> = ReturnType<WorkOf<Type>['layout']>;
export type FaceOf<Type extends WidgetType> = KindOf<Type>['faces'][number]['id'];

/** The kind of a type; throws on one that is not listed. */
export const widgetKindOf = byType<AnyWidgetKind>('Widget type', widgetKinds);
