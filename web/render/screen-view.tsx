import { memo, useMemo, type CSSProperties } from 'react';
import type { Backdrop } from '../../core/desk/schema.ts';
import type { Scene, SceneScreen } from '../../core/scene/scene.ts';
import { backdropAddress } from '../api/client.ts';
import { EdgeView } from './edge-view.tsx';
import { IconSet } from './icons.tsx';
import { fontStack } from './surface.ts';
import { WidgetView } from './widget-view.tsx';

/** One screen of a scene at scale 1, as real DOM. Whoever shows it smaller scales it by a transform. */
export const ScreenView = memo(function ScreenView({
  scene,
  screen,
  pictureWidth,
  isInUse = false,
}: {
  scene: Scene;
  screen: SceneScreen;
  /** Device pixels that the screen takes up where it is shown. */
  pictureWidth: number;
  isInUse?: boolean;
}) {
  const { display, text, figures } = scene.fonts;
  const { width, height } = screen.rect;
  const style = useMemo(
    (): CSSProperties =>
      ({
        width,
        height,
        background: scene.roles.ground,
        '--font-desk-display': fontStack(display),
        '--font-desk-text': fontStack(text),
        '--font-desk-figures': fontStack(figures),
        fontFamily: 'var(--font-desk-text)',
      }) as CSSProperties,
    [width, height, scene.roles.ground, display, text, figures],
  );
  // A 16:9 picture that covers a tall screen is wider than it.
  const covering = Math.max(1, (height / width) * (16 / 9)) * pictureWidth;
  return (
    <IconSet.Provider value={scene.icons}>
      <div
        className={`relative overflow-hidden ${isInUse ? 'in-use' : ''}`}
        style={style}
        data-screen={screen.id}
      >
        <BackdropView backdrop={scene.backdrop} width={covering} />
        {screen.edges.map((edge) => (
          <EdgeView key={edge.id} edge={edge} />
        ))}
        {screen.widgets.map((widget) => (
          <WidgetView key={widget.id} widget={widget} />
        ))}
      </div>
    </IconSet.Provider>
  );
});

const BackdropView = memo(function BackdropView({ backdrop, width }: { backdrop: Backdrop; width: number }) {
  const focal = backdrop.kind === 'picture' ? backdrop.focal : { x: 0.5, y: 0.5 };
  return (
    <img
      src={backdropAddress(backdrop, width)}
      alt=""
      draggable={false}
      data-backdrop
      className="absolute inset-0 size-full object-cover"
      style={{ objectPosition: `${focal.x * 100}% ${focal.y * 100}%` }}
    />
  );
});
