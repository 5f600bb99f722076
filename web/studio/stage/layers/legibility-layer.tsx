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
  const judgements = (useLegibility((state) => state.judgements) ?? []).filter(
    (one) =>
      one.screen === screen.id && shown.has(one.part) && isSeen(one) && (!one.isTold || enough(one) < 1),
  );
  const labelled = withLabels(judgements, scale);
  return (
    <div className="pointer-events-none absolute inset-0" data-legibility>
      {judgements.map((one) => (
        <Tint
          key={`${one.part} ${one.item ?? ''} ${one.text}`}
          judgement={one}
          scale={scale}
          isLabelled={labelled.has(one)}
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

const LABEL = { width: 38, height: 16 };

/** Where labels would cover each other, the weakest text keeps its own. */
function withLabels(judgements: readonly Judgement[], scale: number): ReadonlySet<Judgement> {
  const labelled = new Set<Judgement>();
  const taken: Rect[] = [];
  for (const one of judgements) {
    const label = { x: one.box.x * scale, y: one.box.y * scale - LABEL.height, ...LABEL };
    if (enough(one) >= 1 || taken.some((other) => overlaps(other, label))) continue;
    taken.push(label);
    labelled.add(one);
  }
  return labelled;
}

function Tint({
  judgement,
  scale,
  isLabelled,
}: {
  judgement: Judgement;
  scale: number;
  isLabelled: boolean;
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
      >
        {isLabelled && (
          <span
            className="absolute bottom-full left-0 rounded-sm px-1 font-mono text-[11px] leading-4 text-on-brass"
            style={{ background: colour }}
          >
            {judgement.contrast.toFixed(1)}:1
          </span>
        )}
      </div>
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
