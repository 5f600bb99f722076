import { memo, type CSSProperties, type ReactNode } from 'react';
import type { Layout } from '../../core/kinds/layout.ts';
import type { SceneWidget } from '../../core/scene/scene.ts';
import { widgetKindOf } from '../../core/widgets/list.ts';
import { WidgetId } from './actions.ts';
import { QuietCard } from './kit/quiet-card.tsx';
import { Runs, placeOf } from './kit/runs.tsx';
import { OnSurface, surfaceBox, surfaceColours } from './kit/surface.ts';
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
      <WidgetId.Provider value={widget.id}>
        <WidgetInside
          type={widget.type}
          face={widget.face}
          view={widget.view}
          layout={widget.layout}
          surface={widget.surface}
          padding={widget.padding}
          trouble={widget.trouble}
        />
      </WidgetId.Provider>
    </div>
  );
});

/** At the corner of what shows something old, or nothing, because it could not be read. */
function TroubleSign({ said }: { said: string }) {
  return (
    <span
      role="img"
      aria-label={said}
      title={said}
      className="absolute -right-2 -top-2 grid size-6 place-items-center rounded-full text-[15px] font-bold leading-none"
      style={{ background: 'var(--alert)', color: 'var(--on-accent)' }}
    >
      !
    </span>
  );
}

/** px a second that a line passes at. */
const PACE = 45;

/** A line that is longer than its room: seen through it, it goes to its end and back while the desk is in use. */
function Passing({ passes, children }: { passes: NonNullable<Layout['passes']>; children: ReactNode }) {
  const style = {
    '--beyond': `${-passes.beyond}px`,
    animationDuration: `${Math.round(6 + (3 * passes.beyond) / PACE)}s`,
  } as CSSProperties;
  return (
    <div className="absolute inset-0" style={{ clipPath: `inset(-100px 0 -100px ${passes.from}px)` }}>
      <div className="passes absolute inset-0" style={style}>
        {children}
      </div>
    </div>
  );
}

type InsideProps = Pick<SceneWidget, 'type' | 'face' | 'view' | 'layout' | 'surface' | 'padding' | 'trouble'>;

const WidgetInside = memo(function WidgetInside({
  type,
  face,
  view,
  layout,
  surface,
  padding,
  trouble,
}: InsideProps) {
  const Face = view === null ? null : drawingOf(type, face);
  const style: CSSProperties = { ...surfaceColours(surface), ...surfaceBox(surface) };
  return (
    <OnSurface.Provider value={surface}>
      <div className="size-full" data-bare={surface.kind === 'bare' || undefined} style={style}>
        {trouble && <TroubleSign said={trouble} />}
        <div style={placeOf({ x: padding, y: padding, ...layout.size })}>
          <QuietCard title={widgetKindOf(type).title} of={view}>
            {Face && <Face view={view} layout={layout} />}
            {layout.passes ? (
              <Passing passes={layout.passes}>
                <Runs runs={layout.runs} />
              </Passing>
            ) : (
              <Runs runs={layout.runs} />
            )}
          </QuietCard>
        </div>
      </div>
    </OnSurface.Provider>
  );
});
