import { Suspense, useMemo } from 'react';
import type { SceneScreen } from '../../../../core/scene/scene.ts';
import { later } from '../../../later.ts';
import { amongKits, useView } from '../../../stores/view.ts';
import { useLegibilityShown } from '../../chapters/look/view.ts';
import { stageTools } from '../../kinds/on-stage.ts';
// Heard from the first change on; what shows it comes later.
import '../drag/changing.ts';
import { dragMarquee } from '../drag/drag.ts';
import { EdgeHandle, ItemHandle, SpanHandles } from '../drag/edge-handles.tsx';
import { Hints } from './hints.tsx';
import { useStageDrag } from '../drag/use-stage-drag.ts';
import { TogetherFrame, WidgetHandle } from '../drag/widget-handles.tsx';

const FocalLayer = later(async () => ({ default: (await import('./focal-layer.tsx')).FocalLayer }));
const Measures = later(async () => ({ default: (await import('./measures.tsx')).Measures }));
const TypingLayer = later(async () => ({ default: (await import('./typing-layer.tsx')).TypingLayer }));
const FindingsLayer = later(async () => ({
  default: (await import('./findings-layer.tsx')).FindingsLayer,
}));
const StraysLayer = later(async () => ({ default: (await import('./strays-layer.tsx')).StraysLayer }));
const LegibilityLayer = later(async () => ({
  default: (await import('./legibility-layer.tsx')).LegibilityLayer,
}));

/**
 * What lies over the screen while it is arranged: a handle on every part, the selection, guides and measures.
 * It is drawn in px of the stage, so that lines stay fine at every scale, and always in the bright brass of velvet:
 * what lies beneath is the desk, not the interface.
 */
export function Overlay({
  screen,
  scale,
  isCurrent,
}: {
  screen: SceneScreen;
  scale: number;
  isCurrent: boolean;
}) {
  const selection = useView((view) => view.selection);
  const showsLegibility = useLegibilityShown(({ isShown }) => isShown);
  const showsFindings = useView(({ chapter, page }) => chapter === 'look' && page === 'findings');
  const showsStrays = useView(amongKits);
  const chosen = useMemo(() => new Set(selection), [selection]);
  const only = selection.length === 1 ? screen.widgets.find(({ id }) => id === selection[0]) : undefined;
  const Tools = only && stageTools.get(only.type);
  const isTyping = useView((view) => view.typing !== null);
  const bind = useStageDrag({
    start: (from, { isAdding }) => dragMarquee(from, isAdding ? useView.getState().selection : []),
    onPress: ({ isAdding }) => !isAdding && useView.getState().select([]),
  });
  return (
    <div
      className="absolute inset-0 touch-none select-none will-change-transform"
      data-overlay
      data-theme="velvet"
      {...bind()}
    >
      <Suspense>
        <FocalLayer screen={screen} scale={scale} />
      </Suspense>
      {screen.edges.map((edge) => (
        <EdgeHandle key={edge.id} edge={edge} scale={scale} isSelected={chosen.has(edge.id)} />
      ))}
      {/* All in one row: an item that is dragged onto another edge stays the one that the pointer holds. */}
      {screen.edges.flatMap((edge) => {
        const isOpen = chosen.has(edge.id) || edge.items.some((item) => chosen.has(item.id));
        return edge.items.map((item) => (
          <ItemHandle
            key={item.id}
            edge={edge}
            item={item}
            scale={scale}
            isSelected={chosen.has(item.id)}
            isOpen={isOpen}
          />
        ));
      })}
      {screen.edges.map(
        (edge) => chosen.has(edge.id) && <SpanHandles key={`${edge.id} spans`} edge={edge} scale={scale} />,
      )}
      {screen.widgets.map((widget) => (
        <WidgetHandle
          key={widget.id}
          widget={widget}
          scale={scale}
          isSelected={chosen.has(widget.id)}
          isAlone={selection.length === 1}
        />
      ))}
      {showsFindings && (
        <Suspense>
          <FindingsLayer screen={screen} scale={scale} />
        </Suspense>
      )}
      {showsStrays && (
        <Suspense>
          <StraysLayer screen={screen} scale={scale} />
        </Suspense>
      )}
      {showsLegibility && (
        <Suspense>
          <LegibilityLayer screen={screen} scale={scale} />
        </Suspense>
      )}
      {isCurrent && (
        <Suspense>
          <Measures screen={screen} scale={scale} />
        </Suspense>
      )}
      {only && Tools && (
        <Suspense>
          <Tools screen={screen} id={only.id} scale={scale} />
        </Suspense>
      )}
      {selection.length > 1 && <TogetherFrame screen={screen} scale={scale} selection={chosen} />}
      {isCurrent && <Hints screen={screen} scale={scale} />}
      {isTyping && (
        <Suspense>
          <TypingLayer screen={screen} scale={scale} />
        </Suspense>
      )}
    </div>
  );
}
