import { useDrag } from '@use-gesture/react';
import {
  memo,
  useContext,
  useLayoutEffect,
  useMemo,
  useRef,
  type CSSProperties,
  type RefObject,
} from 'react';
import type { SceneWindow } from '../../../core/scene/scene.ts';
import type { Rect } from '../../../core/values/geometry.ts';
import { pressOf } from '../../../core/windows/frame.ts';
import { grips, type Grip } from '../../../core/windows/catching.ts';
import type { ContentDoes } from '../../../core/windows/contents/page.ts';
import type { WindowMoves } from '../../../core/windows/schema.ts';
import { windowButtonTitles } from '../../../core/values/window-buttons.ts';
import { Actions, type DeskActions } from '../actions.ts';
import { onScreen } from '../screen/on-screen.ts';
import { Runs, paint, placeOf } from '../kit/runs.tsx';
import { surfaceBox, surfaceColours } from '../kit/surface.ts';
import { ContentView } from './content-view.tsx';
import { moveFrom, moveWindow } from './moves.ts';
import { WindowSign } from '../kit/window-signs.tsx';

/** Px that a side of a window can be taken at, and the length of a corner. */
const GRIP = 8;
const CORNER = 18;

/** The id of the window that the pointer holds: it goes where the pointer is, at once. */
let held: string | null = null;

/** A window on its screen. Where it is goes straight to the transform; the rest is drawn again only when it changes. */
export const WindowView = memo(function WindowView({
  window,
  moves,
  comes,
}: {
  window: SceneWindow;
  moves: WindowMoves;
  /** The move that it comes with; null where it was there already. */
  comes: WindowMoves['opens'] | null;
}) {
  const actions = useContext(Actions);
  const box = useRef<HTMLElement>(null);
  useMoves(box, window, moves, comes);
  const { id, rect, frame, title, isFront, opacity } = window;
  return (
    <section
      ref={box}
      data-window={id}
      data-front={isFront || undefined}
      aria-label={title}
      className="absolute left-0 top-0 will-change-transform [contain:layout_style]"
      style={{
        transform: `translate(${rect.x}px, ${rect.y}px)`,
        width: rect.width,
        height: rect.height,
        pointerEvents: actions ? undefined : 'none',
        ...surfaceColours(window.surface),
      }}
      onPointerDownCapture={() => !isFront && actions?.window({ does: 'front', window: id })}
      onFocusCapture={(event) => {
        if (!isFront && event.target.matches(':focus-visible'))
          actions?.window({ does: 'front', window: id });
      }}
    >
      <Beneath window={window} />
      <div style={{ opacity }}>
        <Inside window={window} />
      </div>
      {actions && <Handles box={box} window={id} rect={rect} title={frame.title} actions={actions} />}
      <div style={{ opacity }}>
        {actions ? <Buttons window={window} actions={actions} /> : <StillButtons window={window} />}
      </div>
    </section>
  );
});

/** What a see-through window blurs; nothing that is blurred is seen from within what is see-through itself. */
function Beneath({ window: { opacity, surface, frame, radius } }: { window: SceneWindow }) {
  if (opacity === 1 || surface.blur === 0) return null;
  return (
    <div
      style={{ ...placeOf(frame.body), backdropFilter: `blur(${surface.blur}px)`, borderRadius: radius }}
    />
  );
}

/** Moves a window as it comes, and where it is filled or put into a part of the free area. */
function useMoves(
  box: RefObject<HTMLElement | null>,
  window: SceneWindow,
  moves: WindowMoves,
  comes: WindowMoves['opens'] | null,
): void {
  const before = useRef<{ rect: Rect; stance: string } | null>(null);
  useLayoutEffect(() => {
    const element = box.current;
    const { rect, stance } = window;
    if (!element) return;
    if (before.current === null && comes) void moveWindow(element, window, comes, true);
    else if (before.current && before.current.stance !== stance && held !== window.id)
      moveFrom(element, before.current.rect, window, moves.fills);
    before.current = { rect, stance };
  });
}

/** All that is drawn of a window but its buttons. */
const Inside = memo(
  function Inside({ window }: { window: SceneWindow }) {
    const { id, frame, back, line, glows, surface, content, radius, shade, borderColour, title } = window;
    const actions = useContext(Actions);
    const { body, border, name } = frame;
    const onDo = useMemo(
      () => (does: ContentDoes) => actions?.window({ does: 'content', window: id, content: does }),
      [actions, id],
    );
    // What hangs from a line or a title is not rounded where it hangs.
    const isHanging = frame.line !== null || frame.title !== null;
    const corners = isHanging ? `0 0 ${radius}px ${radius}px` : `${radius}px`;
    return (
      <>
        {frame.title && back && (
          <div
            style={{
              ...placeOf(frame.title),
              background: paint(back.colour),
              opacity: back.opacity,
              borderRadius: `${radius}px ${radius}px 0 0`,
            }}
          />
        )}
        <div
          className="overflow-hidden"
          style={{ ...placeOf(body), ...surfaceBox(surface), borderRadius: corners }}
        >
          <ContentView content={content} size={body} label={title} onDo={onDo} />
          {shade > 0 && (
            <div className="pointer-events-none absolute inset-0 bg-black" style={{ opacity: shade }} />
          )}
        </div>
        {shade > 0 && frame.title && back && (
          <div
            className="pointer-events-none bg-black"
            style={{
              ...placeOf(frame.title),
              opacity: shade * back.opacity,
              borderRadius: `${radius}px ${radius}px 0 0`,
            }}
          />
        )}
        {border > 0 && (
          <div
            className="pointer-events-none absolute inset-0"
            style={{
              boxShadow: `inset 0 0 0 ${border}px ${borderColour}`,
              borderRadius: frame.title ? radius : corners,
            }}
          />
        )}
        {frame.line && (
          <div
            className="pointer-events-none"
            style={{
              ...placeOf(frame.line),
              background: line,
              borderRadius: frame.line.height,
              boxShadow: glows ? `0 0 14px color-mix(in srgb, ${line} 55%, transparent)` : undefined,
            }}
          />
        )}
        {name && <Runs runs={[name]} />}
      </>
    );
  },
  (one, other) => sameButPlace(one.window, other.window),
);

/** Whether two states of a window differ in nothing but where it is. */
function sameButPlace(one: SceneWindow, other: SceneWindow): boolean {
  return (Object.keys(one) as (keyof SceneWindow)[]).every(
    (key) => key === 'rect' || key === 'home' || one[key] === other[key],
  );
}

/** The title moves a window, and a double press fills it; its sides and corners size it. */
function Handles({
  box,
  window: id,
  rect,
  title,
  actions,
}: {
  box: RefObject<HTMLElement | null>;
  window: string;
  rect: Rect;
  title: Rect | null;
  actions: DeskActions;
}) {
  const bindMove = useDrag(
    ({ first, last, tap, initial: [startX, startY], xy: [x, y], altKey, memo }) => {
      const from = (first ? rect : (memo as Rect)) ?? rect;
      if (first) held = id;
      if (last) held = null;
      if (tap) return from;
      const { scale, at, beside } = onScreen(box.current);
      actions.window({
        does: 'move',
        window: id,
        from,
        by: { x: (x - startX) / scale, y: (y - startY) / scale },
        at: at(x, y),
        beside: beside(x, y),
        isFree: altKey,
        isLast: last,
      });
      return from;
    },
    { filterTaps: true, pointer: { buttons: [1] } },
  );
  const bindSize = useDrag(
    ({ args, first, last, movement: [mx, my], altKey, memo }) => {
      const from = (first ? rect : (memo as Rect)) ?? rect;
      if (first) held = id;
      if (last) held = null;
      const { scale } = onScreen(box.current);
      const [grip] = args as [Grip];
      actions.window({
        does: 'size',
        window: id,
        from,
        grip,
        by: { x: mx / scale, y: my / scale },
        isFree: altKey,
      });
      return from;
    },
    { pointer: { buttons: [1] } },
  );
  // Without a title there is still something to take it by.
  const handle = title ?? { x: 0, y: 0, width: rect.width, height: 14 };
  return (
    <>
      <div
        data-window-title
        className="touch-none"
        style={{ ...placeOf(handle), cursor: 'inherit' }}
        onDoubleClick={() => actions.window({ does: 'fill', window: id })}
        {...bindMove()}
      />
      {grips.map((grip) => (
        <div
          key={`${grip.x} ${grip.y}`}
          data-window-grip={`${grip.x} ${grip.y}`}
          className="touch-none"
          style={gripStyle(grip)}
          {...bindSize(grip)}
        />
      ))}
    </>
  );
}

const cursors: Readonly<Record<string, string>> = {
  '-1 -1': 'nwse-resize',
  '1 1': 'nwse-resize',
  '1 -1': 'nesw-resize',
  '-1 1': 'nesw-resize',
  '0 -1': 'ns-resize',
  '0 1': 'ns-resize',
  '-1 0': 'ew-resize',
  '1 0': 'ew-resize',
};

/** Half of a side's grip lies outside of the window. */
function gripStyle({ x, y }: Grip): CSSProperties {
  const off = -GRIP / 2;
  const isCorner = x !== 0 && y !== 0;
  const along = isCorner ? CORNER : undefined;
  return {
    position: 'absolute',
    cursor: cursors[`${x} ${y}`],
    width: x === 0 ? undefined : (along ?? GRIP),
    height: y === 0 ? undefined : (along ?? GRIP),
    left: x === -1 ? off : x === 0 ? CORNER : undefined,
    right: x === 1 ? off : x === 0 ? CORNER : undefined,
    top: y === -1 ? off : y === 0 ? CORNER : undefined,
    bottom: y === 1 ? off : y === 0 ? CORNER : undefined,
  };
}

function Buttons({ window, actions }: { window: SceneWindow; actions: DeskActions }) {
  const { id, frame, title, signs, buttons, isFilled } = window;
  return frame.buttons.map(({ does, rect }) => {
    const press = pressOf(rect, buttons.spacing);
    return (
      <button
        key={does}
        type="button"
        aria-label={`${does === 'fill' && isFilled ? 'Fill no more' : windowButtonTitles[does]}: ${title}`}
        className="panel-press grid place-items-center rounded"
        style={{ ...placeOf(press), color: paint(signs) }}
        onClick={() => actions.window({ does, window: id })}
      >
        <WindowSign shape={buttons.shape} does={does} size={rect.width} weight={buttons.weight} />
      </button>
    );
  });
}

function StillButtons({ window: { frame, signs, buttons } }: { window: SceneWindow }) {
  return frame.buttons.map(({ does, rect }) => (
    <span key={does} style={{ ...placeOf(rect), color: paint(signs) }}>
      <WindowSign shape={buttons.shape} does={does} size={rect.width} weight={buttons.weight} />
    </span>
  ));
}
