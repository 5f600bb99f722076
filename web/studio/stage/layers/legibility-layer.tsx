import { overlaps, type Rect } from '../../../../core/values/geometry.ts';
import { halvesIn } from '../../../../core/timeline/half/half.ts';
import { enough, type Judgement } from '../../../../core/legibility/judge.ts';
import { partsOn } from '../../../../core/scene/parts.ts';
import type { SceneScreen } from '../../../../core/scene/scene.ts';
import { useDesk } from '../../../session/desk.ts';
import { useHalf } from '../../../session/scene.ts';
import { useJudging, useLegibility } from '../../../stores/legibility.ts';

/** Tints each text by how well it can be read; a ring marks where the weakest pixels are. */
export function LegibilityLayer({ screen, scale }: { screen: SceneScreen; scale: number }) {
  useJudging();
  // What is judged but not open, such as the app list, has no text on the stage to be tinted.
  const shown = new Set(partsOn(screen).map(({ id }) => id));
  // What a half that is only looked at would be like is told while it is looked at.
  const isSeen = useSeenHalf();
  // Names that are told while something is pointed at are tinted only where they are weak.
  // Of a desk that has changed since, nothing is said.
  const judgements = (useLegibility((state) => (state.isBusy ? null : state.judgements)) ?? []).filter(
    (one) =>
      one.screen === screen.id && shown.has(one.part) && isSeen(one) && (!one.isTold || enough(one) < 1),
  );
  const labels = placeLabels(judgements, scale);
  return (
    <div className="pointer-events-none absolute inset-0" data-legibility>
      {judgements.map((one) => (
        <Tint
          key={`${one.part} ${one.item ?? ''} ${one.text} ${one.isShown}`}
          judgement={one}
          scale={scale}
          label={labels.get(one) ?? null}
        />
      ))}
    </div>
  );
}

function useSeenHalf(): (judgement: Judgement) => boolean {
  const by = useDesk(({ history }) => history?.present.look.half);
  const half = useHalf();
  const isSeenShown = by ? halvesIn(by).includes(half) : true;
  return ({ isShown }) => isShown === isSeenShown;
}

const LABEL = { height: 16, letter: 6.7, around: 8 };

const labelOf = ({ contrast }: Judgement): string => `${contrast.toFixed(1)}:1`;

/** Where a label may stand by its text (px of the stage): above it, beneath it, or above its end. */
function spotsFor(one: Judgement, { x, y, width, height }: Rect): Rect[] {
  const size = { width: labelOf(one).length * LABEL.letter + LABEL.around, height: LABEL.height };
  return [
    { x, y: y - size.height, ...size },
    { x, y: y + height, ...size },
    { x: x + width - size.width, y: y - size.height, ...size },
    { x: x + width - size.width, y: y + height, ...size },
  ];
}

/**
 * The labels of what is weak, each where it covers no other label and, if it can, nothing else that is judged. Where there is
 * no such place, the weaker one keeps its own.
 */
function placeLabels(judgements: readonly Judgement[], scale: number): ReadonlyMap<Judgement, Rect> {
  const boxes = new Map(
    judgements.map((one) => [
      one,
      {
        x: one.box.x * scale,
        y: one.box.y * scale,
        width: one.box.width * scale,
        height: one.box.height * scale,
      },
    ]),
  );
  const placed = new Map<Judgement, Rect>();
  for (const [one, box] of boxes) {
    if (enough(one) >= 1) continue;
    const free = spotsFor(one, box).filter(
      (spot) => ![...placed.values()].some((other) => overlaps(other, spot)),
    );
    const covers = (spot: Rect) => [...boxes].some(([other, at]) => other !== one && overlaps(at, spot));
    const spot = free.find((candidate) => !covers(candidate)) ?? free[0];
    if (spot) placed.set(one, spot);
  }
  return placed;
}

function Tint({
  judgement,
  scale,
  label,
}: {
  judgement: Judgement;
  scale: number;
  /** Where its label stands; null without one. */
  label: Rect | null;
}) {
  const { box, worst } = judgement;
  const isFine = enough(judgement) >= 1;
  const colour = isFine ? 'var(--moss)' : 'var(--rust)';
  return (
    <>
      <div
        className="absolute rounded-sm"
        data-tint={isFine ? 'fine' : 'weak'}
        style={{
          ...px(box, scale),
          background: `color-mix(in oklab, ${colour} 30%, transparent)`,
          outline: `1px solid ${colour}`,
        }}
      />
      {label && (
        <span
          className="absolute whitespace-nowrap rounded-sm px-1 font-mono text-[11px] leading-4 text-on-brass"
          data-label
          style={{ left: label.x, top: label.y, background: colour }}
        >
          {labelOf(judgement)}
        </span>
      )}
      {!isFine && (
        <span
          className="absolute size-3 -translate-x-1/2 -translate-y-1/2 rounded-full border-2"
          style={{ left: worst.x * scale, top: worst.y * scale, borderColor: colour }}
        />
      )}
    </>
  );
}

function px({ x, y, width, height }: Rect, scale: number) {
  return { left: x * scale, top: y * scale, width: width * scale, height: height * scale };
}
