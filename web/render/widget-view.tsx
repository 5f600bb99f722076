import { memo, type CSSProperties, type FC } from 'react';
import type { SceneWidget } from '../../core/scene/scene.ts';
import {
  widgetKindOf,
  type FaceOf,
  type WidgetLayoutOf,
  type WidgetType,
  type WidgetViewOf,
} from '../../core/widgets/list.ts';
import { QuietCard } from './quiet-card.tsx';
import { Runs, placeOf } from './runs.tsx';
import { surfaceBox, surfaceColours } from './surface.ts';
import { clockFaces } from './widgets/clock/clock.tsx';
import { machineFaces } from './widgets/machine/machine.tsx';
import { lookUp } from '../../core/values/look-up.ts';

type Drawing<Type extends WidgetType> = FC<{ view: WidgetViewOf<Type>; layout: WidgetLayoutOf<Type> }>;

/** What each face draws besides its texts; null where they are all there is. The type checker asks for every face. */
const faces: { [Type in WidgetType]: Record<FaceOf<Type>, Drawing<Type> | null> } = {
  clock: clockFaces,
  machine: machineFaces,
};

/**
 * Positions go straight to the transform; only the inside is drawn again when its view changes. Each widget has a
 * layer of its own, so that one that moves or ticks paints nothing else.
 */
export const WidgetView = memo(function WidgetView({ widget }: { widget: SceneWidget }) {
  const { rect, scale } = widget;
  return (
    <div
      data-widget={widget.id}
      className="absolute left-0 top-0 origin-top-left will-change-transform [contain:layout_style]"
      style={{
        transform: `translate(${rect.x}px, ${rect.y}px) scale(${scale})`,
        width: rect.width / scale,
        height: rect.height / scale,
        pointerEvents: widget.clicksThrough ? 'none' : undefined,
      }}
    >
      <WidgetInside
        type={widget.type}
        face={widget.face}
        view={widget.view}
        layout={widget.layout}
        surface={widget.surface}
        padding={widget.padding}
      />
    </div>
  );
});

type InsideProps = Pick<SceneWidget, 'type' | 'face' | 'view' | 'layout' | 'surface' | 'padding'>;

const WidgetInside = memo(function WidgetInside({ type, face, view, layout, surface, padding }: InsideProps) {
  // The face was checked against the kind when the desk was read.
  const Face = lookUp(faces[type] as Record<string, FC<{ view: unknown; layout: unknown }> | null>, face);
  const style: CSSProperties = { ...surfaceColours(surface), ...surfaceBox(surface) };
  return (
    <div className="size-full" style={style}>
      <div style={placeOf({ x: padding, y: padding, ...layout.size })}>
        <QuietCard title={widgetKindOf(type).title} of={view}>
          {Face && <Face view={view} layout={layout} />}
          <Runs runs={layout.runs} />
        </QuietCard>
      </div>
    </div>
  );
});
