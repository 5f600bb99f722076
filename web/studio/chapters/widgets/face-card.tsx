import { useDraggable } from '@dnd-kit/core';
import clsx from 'clsx';
import { memo, useMemo } from 'react';
import { createWidget } from '../../../../core/desk/defaults.ts';
import type { Desk } from '../../../../core/desk/desk.ts';
import { solve } from '../../../../core/scene/solve.ts';
import { widgetKindOf, type WidgetType } from '../../../../core/widgets/list.ts';
import { backdropAddress } from '../../../api/addresses.ts';
import { IconSet } from '../../../render/icons.tsx';
import { typeVariables } from '../../../render/type.ts';
import { useHalf } from '../../../session/scene.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { WidgetView } from '../../../render/widget-view.tsx';
import { useConditions } from '../../../session/conditions.ts';
import { useDesk } from '../../../session/desk.ts';

const CARD = { width: 129, height: 84 };
const NAME = 24;

interface FaceCardProps {
  type: WidgetType;
  face: string;
  options?: Record<string, unknown>;
  isChosen?: boolean;
  /** Whether the card can be dragged onto the stage. */
  canDrag?: boolean;
  onPress: () => void;
}

/** A face as it would look on this desk. */
export function FaceCard({ type, face, options, isChosen, canDrag = false, onPress }: FaceCardProps) {
  const title = widgetKindOf(type).faces.find(({ id }) => id === face)?.title ?? face;
  const { setNodeRef, listeners, isDragging } = useDraggable({
    id: `card ${type} ${face}`,
    data: { widget: type, face },
    disabled: !canDrag,
  });
  return (
    <button
      ref={setNodeRef}
      type="button"
      aria-pressed={isChosen}
      aria-label={canDrag ? `Add ${widgetKindOf(type).title.toLowerCase()}, ${title.toLowerCase()}` : title}
      data-card={`${type}-${face}`}
      onClick={onPress}
      {...listeners}
      className={clsx(
        'relative touch-none overflow-hidden rounded-lg border border-transparent text-left hover:border-brass/70',
        isChosen && 'outline-2 outline-offset-2 outline-brass outline',
        isDragging && 'opacity-40',
      )}
      style={CARD}
    >
      <FaceSketch type={type} face={face} options={options} />
      <span className="absolute inset-x-0 bottom-0 bg-linear-to-t from-black/75 to-transparent px-2 pb-1 pt-3 text-[12px] font-semibold text-white">
        {title}
      </span>
    </button>
  );
}

/** What hangs from the pointer while a card is dragged. */
export function DraggedCard({ type, face }: Pick<FaceCardProps, 'type' | 'face'>) {
  return (
    <div
      className="relative overflow-hidden rounded-lg opacity-90 shadow-2xl outline-2 outline-brass outline"
      style={CARD}
    >
      <FaceSketch type={type} face={face} />
    </div>
  );
}

const FaceSketch = memo(function FaceSketch({
  type,
  face,
  options,
}: Pick<FaceCardProps, 'type' | 'face' | 'options'>) {
  const desk = useDesk((state) => state.history?.present);
  // A sketch that ticks would draw the eye from the stage: it is as of the minute.
  const minute = useConditions((state) => Math.floor(state.moment / 60_000) * 60_000);
  const look = desk?.look;
  const behind = useScreenInView()?.backdrop.drawn;
  const half = useHalf();
  const place = desk?.place;
  const seed = desk?.seed;
  const scene = useMemo(() => {
    if (!desk) return null;
    const widget = createWidget({
      id: 'sketch',
      type,
      face,
      place: { hangs: { from: 'screen', screen: 'sketch', point: 'centre' }, x: 0, y: 0 },
      deskFinish: desk.look.finish,
      options: type === 'machine' ? { ...options, from: 'simulated' } : options,
    });
    const sketch: Desk = {
      ...desk,
      screens: [{ id: 'sketch', name: 'Sketch', width: 640, height: 480, scaleFactor: 1, x: 0, y: 0 }],
      edges: [],
      widgets: [widget],
    };
    return solve(sketch, { moment: minute, half });
    // What a sketch shows of the desk is named here; the rest of it may change freely.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [type, face, options, minute, half, look, place, seed]);
  const widget = scene?.screens[0]?.widgets[0];
  if (!scene || !widget || !behind) return null;
  const room = { width: CARD.width - 16, height: CARD.height - NAME - 12 };
  const scale = Math.min(room.width / widget.rect.width, room.height / widget.rect.height, 0.62);
  return (
    <>
      <img
        src={backdropAddress(behind, 240)}
        alt=""
        draggable={false}
        className="absolute inset-0 size-full object-cover"
      />
      <div
        aria-hidden
        className="absolute"
        style={{
          left: (CARD.width - widget.rect.width * scale) / 2,
          top: (CARD.height - NAME - widget.rect.height * scale) / 2 + 4,
          width: 0,
          height: 0,
          ...typeVariables(scene.fonts),
          fontFamily: 'var(--font-desk-text)',
        }}
      >
        <IconSet.Provider value={scene.icons}>
          <div style={{ transform: `scale(${scale})`, transformOrigin: '0 0', width: widget.rect.width }}>
            <WidgetView widget={{ ...widget, id: 'sketch', rect: { ...widget.rect, x: 0, y: 0 } }} />
          </div>
        </IconSet.Provider>
      </div>
    </>
  );
});
