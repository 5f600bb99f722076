import { memo, type CSSProperties } from 'react';
import type { SceneWidget } from '../../core/scene/scene.ts';
import { widgetKindOf } from '../../core/widgets/list.ts';
import { QuietCard } from './quiet-card.tsx';
import { Runs, placeOf } from './runs.tsx';
import { surfaceBox, surfaceColours } from './surface.ts';
import { drawingOf } from './widget-drawings.ts';

/**
 * Positions go straight to the transform; only the inside is drawn again when its view changes. Each widget has a
 * layer of its own, so that one that moves or ticks paints nothing else.
 */
export const WidgetView = memo(function WidgetView({ widget }: { widget: SceneWidget }) {
  const { rect, scale } = widget;
  return (
    <div
      data-widget={widget.id}
      data-away={widget.isAway || undefined}
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
  const Face = view === null ? null : drawingOf(type, face);
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
