import { memo, useContext, useMemo, type CSSProperties, type FC } from 'react';
import type { Scene, SceneScreen } from '../../../core/scene/scene.ts';
import { paintedSections } from '../../../core/scene/sections/list.ts';
import { Actions } from '../actions.ts';
import { BackdropView } from '../backdrop/backdrop-view.tsx';
import { Glances } from './glances.ts';
import { DeskIcons } from '../kit/icons.tsx';
import { pointerCursor } from '../pointer.ts';
import { sectionDrawings } from './sections.tsx';
import { typeVariables } from '../kit/type.ts';

/** Backdrops are not drawn finer than this, px for each px of the desk. */
const MOST_PICTURE = 2;

/** Device pixels that a screen takes up where it is shown at a scale. */
export const pictureWidthAt = ({ rect }: SceneScreen, scale: number): number =>
  rect.width * Math.min(scale, MOST_PICTURE) * devicePixelRatio;

/** One screen of a scene at scale 1, as real DOM. Whoever shows it smaller scales it by a transform. */
export const ScreenView = memo(function ScreenView({
  scene,
  screen,
  pictureWidth,
  desk = null,
  isInUse = false,
}: {
  scene: Scene;
  screen: SceneScreen;
  /** Device pixels that the screen takes up where it is shown. */
  pictureWidth: number;
  /** Id of the desk, where the picture behind the screen is to be remembered. */
  desk?: string | null;
  isInUse?: boolean;
}) {
  const { fonts } = scene;
  const { width, height } = screen.rect;
  const style = useMemo(
    (): CSSProperties =>
      ({
        width,
        height,
        background: scene.roles.ground,
        '--hint': scene.roles.accent,
        '--ground': scene.roles.ground,
        ...typeVariables(fonts),
        fontFamily: 'var(--font-desk-text)',
        // As the core measures: figures of one width, and letters as wide at any zoom as they are drawn.
        fontVariantNumeric: 'tabular-nums lining-nums',
        textRendering: 'geometricPrecision',
        cursor: isInUse ? pointerCursor(scene.pointer) : undefined,
      }) as CSSProperties,
    [width, height, scene.roles, fonts, isInUse, scene.pointer],
  );
  return (
    <DeskIcons icons={scene.icons}>
      <Glances.Provider value={scene.glances}>
        <div
          className={`relative overflow-hidden ${isInUse ? 'in-use' : ''}`}
          style={style}
          data-screen={screen.id}
          data-plain={scene.isPlain || undefined}
          data-still={scene.isQuiet || undefined}
          data-follows={scene.follows || undefined}
        >
          <BackdropView
            backdrop={screen.backdrop}
            width={pictureWidth}
            screen={desk === null ? null : `${desk} ${screen.id}`}
          />
          <BareDesk screen={screen.id} />
          {paintedSections.map(({ key }) => {
            const Section = sectionDrawings[key] as FC<{ solved: unknown }>;
            return <Section key={key} solved={screen[key]} />;
          })}
        </div>
      </Glances.Provider>
    </DeskIcons>
  );
});

/** Where nothing stands, the desk menu is asked for while the desk is in use. */
function BareDesk({ screen }: { screen: string }) {
  const actions = useContext(Actions);
  if (!actions) return null;
  return (
    <div
      data-bare
      className="absolute inset-0"
      onContextMenu={(event) => {
        event.preventDefault();
        const { offsetX: x, offsetY: y } = event.nativeEvent;
        actions.turnMenu('deskMenu', { screen, at: { x, y } });
      }}
    />
  );
}
