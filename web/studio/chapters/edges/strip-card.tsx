import { useMemo } from 'react';
import type { Strip } from '../../../../core/desk/strips.ts';
import { useConditions } from '../../../session/conditions.ts';
import { useDesk } from '../../../session/desk.ts';
import { Miniature } from '../../../render/screen/miniature.tsx';
import { useScreenInView } from '../../../stores/screen.ts';

/** Strips of ours as they would stand on this desk, each a small live picture. */
export function StripCards({ of, onPress }: { of: readonly Strip[]; onPress: (strip: Strip) => void }) {
  return (
    <div className="grid grid-cols-2 gap-2">
      {of.map((strip) => (
        <button
          key={strip.id}
          type="button"
          onClick={() => onPress(strip)}
          data-strip={strip.id}
          className="min-w-0 rounded-lg bg-nap p-1.5 text-left hover:outline hover:outline-brass/70"
        >
          <StripSketch strip={strip} />
          <span className="mt-1 block truncate px-0.5 text-[12px]">{strip.title}</span>
        </button>
      ))}
    </div>
  );
}

/** A screen so small that its strips can be told apart on a card, px. */
const SKETCH = { width: 620, height: 350, scaleFactor: 1 };

function StripSketch({ strip }: { strip: Strip }) {
  const desk = useDesk((state) => state.history?.present);
  const screen = useScreenInView()?.id;
  const minute = useConditions((state) => Math.floor(state.moment / 60_000) * 60_000);
  const half = useConditions((state) => state.half ?? undefined);
  const look = desk?.look;
  const backdrops = desk?.backdrops;
  const applications = desk?.applications;
  const sketch = useMemo(() => {
    const shown = desk?.screens.find(({ id }) => id === screen);
    if (!desk || !shown) return null;
    return {
      ...desk,
      screens: [{ ...shown, ...SKETCH }],
      edges: strip.make(desk, shown.id),
      widgets: [],
    };
    // What a sketch shows of the desk is named here; the rest of it may change freely.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [strip, screen, look, backdrops, applications]);
  return sketch && <Miniature desk={sketch} moment={minute} half={half} />;
}
