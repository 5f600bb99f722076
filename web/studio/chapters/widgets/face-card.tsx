import clsx from 'clsx';
import { memo, useMemo } from 'react';
import { createWidget } from '../../../../core/desk/defaults.ts';
import type { Desk } from '../../../../core/desk/desk.ts';
import type { Size } from '../../../../core/values/geometry.ts';
import { solve } from '../../../../core/scene/solve.ts';
import { widgetKindOf, type WidgetType } from '../../../../core/widgets/list.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { useHalf } from '../../../session/scene.ts';
import { WidgetView } from '../../../render/widget-view.tsx';
import { useConditions } from '../../../session/conditions.ts';
import { useDesk } from '../../../session/desk.ts';
import { useKind } from '../../../session/drawing.ts';
import { takeCard, useCardInHand } from '../../card-drag.ts';
import { CardBackdrop } from '../../card-backdrop.tsx';

/** What a card is drawn for; it is as wide as its column lets it. */
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
  const isDragging = useCardInHand(
    ({ held }) => canDrag && held?.by === 'face' && held.widget === type && held.face === face,
  );
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      aria-label={canDrag ? `Add ${widgetKindOf(type).title.toLowerCase()}, ${title.toLowerCase()}` : title}
      data-card={`${type}-${face}`}
      onClick={onPress}
      onPointerDown={({ button, nativeEvent }) => {
        if (canDrag && button === 0) takeCard({ by: 'face', widget: type, face }, nativeEvent);
      }}
      className={clsx(
        'relative aspect-[129/84] w-full touch-none overflow-hidden rounded-lg bg-pit text-left hover:outline hover:outline-brass/70',
        isChosen && 'outline-2 outline-offset-2 outline-brass outline',
        isDragging && 'opacity-40',
      )}
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
      className="relative -translate-1/2 overflow-hidden rounded-lg bg-pit opacity-90 shadow-2xl outline-2 outline-brass outline"
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
  const isKnown = useKind(type);
  // A sketch that ticks would draw the eye from the stage: it is as of the minute.
  const minute = useConditions((state) => Math.floor(state.moment / 60_000) * 60_000);
  const look = desk?.look;
  const half = useHalf();
  const screen = useScreenInView()?.id ?? '';
  const behind = useConditions(({ tones }) => tones.get(screen));
  const place = desk?.place;
  const seed = desk?.seed;
  const scene = useMemo(() => {
    if (!desk || !isKnown) return null;
    const widget = createWidget({
      id: 'sketch',
      type,
      face,
      place: { hangs: { from: 'screen', screen: 'sketch', point: 'centre' }, x: 0, y: 0 },
      deskFinish: desk.look.finish,
      // A card shows what a face is like, also where nothing comes from outside yet.
      options: 'from' in widgetKindOf(type).options.shape ? { ...options, from: 'simulated' } : options,
    });
    const sketch: Desk = {
      ...desk,
      screens: [{ id: 'sketch', name: 'Sketch', width: 640, height: 480, scaleFactor: 1, x: 0, y: 0 }],
      edges: [],
      widgets: [widget],
    };
    return solve(sketch, { moment: minute, half, tones: new Map(behind && [['sketch', behind]]) });
    // What a sketch shows of the desk is named here; the rest of it may change freely.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [type, face, options, minute, half, look, place, seed, isKnown, behind]);
  const widget = scene?.screens[0]?.widgets[0];
  return (
    <CardBackdrop card={CARD} scene={scene}>
      {widget && (
        <div className="absolute origin-top-left" style={placeOnCard(widget.rect)}>
          <WidgetView widget={{ ...widget, id: 'sketch', rect: { ...widget.rect, x: 0, y: 0 } }} />
        </div>
      )}
    </CardBackdrop>
  );
});

/** A widget as large as the card has room for, above the name. */
function placeOnCard({ width, height }: Size) {
  const room = { width: CARD.width - 16, height: CARD.height - NAME - 12 };
  const scale = Math.min(room.width / width, room.height / height, 0.62);
  return {
    left: (CARD.width - width * scale) / 2,
    top: (CARD.height - NAME - height * scale) / 2 + 4,
    width,
    transform: `scale(${scale})`,
  };
}
