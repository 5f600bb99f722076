import { RotateCcw } from 'lucide-react';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import type { Sources } from '../../../../core/desk/shapes/sources.ts';
import { marrowTide, Tide, tideTurns } from '../../../../core/sources/tide/tide.ts';
import { formatMoment } from '../../../../core/sources/time/time.ts';
import { Units } from '../../../../core/sources/units.ts';
import { useConditions } from '../../../session/conditions.ts';
import { useDesk } from '../../../session/desk.ts';
import { Button } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';

/** What the desk's readings are shown in. */
export function UnitsPage({ units }: Pick<Sources, 'units'>) {
  const { turn, endGesture } = useDesk.getState();
  return (
    <>
      <p className="mb-3 text-dust">For all of the desk. A widget can have its own.</p>
      <Fields
        schema={Units}
        values={{ ...units }}
        onTurn={(change, label) => turn(named(label, edits.setUnits(change)))}
        onEnd={endGesture}
      />
    </>
  );
}

const DAY = 86_400_000;

/** What the tide at the place is made of, and what comes of it. */
export function TidePage({ tide }: Pick<Sources, 'tide'>) {
  const { turn, edit, endGesture } = useDesk.getState();
  const moment = useConditions((state) => Math.floor(state.moment / 60_000) * 60_000);
  const zone = useDesk((state) => state.history?.present.place.zone) ?? 'UTC';
  const turns = tideTurns(tide, moment, moment + DAY);
  return (
    <>
      <p className="mb-3 text-dust">
        The height of the water as a sum of waves, with the amplitudes and phases of a tide table; phases are
        those of the first midnight of 2026, UTC.
      </p>
      <Section title="Comes of it" note="the next day">
        {turns.length === 0 && <p className="text-dust">No tide: there is no wave in it.</p>}
        {turns.map(({ at, height, isHigh }) => (
          <p key={at} className="flex justify-between">
            <span>{isHigh ? 'High water' : 'Low water'}</span>
            <span className="font-mono text-[12px]">
              {formatMoment(at, zone, 'EEE HH:mm')} · {height.toFixed(2)} m
            </span>
          </p>
        ))}
      </Section>
      <Section
        title="Waves"
        note={
          <Button onClick={() => edit(named('Tide of Marrow Point', edits.setTide(marrowTide)))}>
            <RotateCcw size={14} /> Marrow Point’s
          </Button>
        }
      >
        <Fields
          schema={Tide}
          values={{ ...tide }}
          onTurn={(change, label) => turn(named(label, edits.setTide(change)))}
          onEnd={endGesture}
        />
      </Section>
    </>
  );
}
