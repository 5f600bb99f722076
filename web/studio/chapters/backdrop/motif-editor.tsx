import clsx from 'clsx';
import { Dices } from 'lucide-react';
import { SAMPLE_SEED, SAMPLE_WIDTH, sampleOf } from '../../../../core/backdrop/drawn.ts';
import { factsOf, motifNames, type MotifName } from '../../../../core/backdrop/names.ts';
import { createMotif } from '../../../../core/desk/defaults.ts';
import { Motif, Percent } from '../../../../core/backdrop/schema.ts';
import { backdropAddress } from '../../../api/addresses.ts';
import { useMayCome } from '../../../render/backdrop/looked-at.ts';
import { useDesk } from '../../../session/desk.ts';
import { Button } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';
import { Field, Fields } from '../../form/form.tsx';
import { shapeOf } from '../../form/schema.ts';
import type { EditedSource } from './use-backdrop.ts';
import { lookUp } from '../../../../core/values/look-up.ts';

/** A motif that the project draws: which, from which seed, and its few controls. */
export function MotifEditor({ edited, motif }: { edited: EditedSource; motif: Motif }) {
  const { endGesture } = useDesk.getState();
  const { controls, follows } = factsOf(motif.motif);
  const isFollowing = follows !== null && motif.follows;
  const silent = new Set(isFollowing ? follows.instead : []);
  return (
    <>
      <div className="grid grid-cols-3 gap-1.5" role="group" aria-label="Drawn motifs">
        {motifNames.map((name) => (
          <MotifCard
            key={name}
            name={name}
            isChosen={motif.motif === name}
            onPress={() =>
              edited.set('Backdrop', { ...createMotif(name, motif.seed), colours: motif.colours })
            }
          />
        ))}
      </div>
      <Section title={factsOf(motif.motif).title} note="sharp at any size">
        <Fields
          schema={Motif}
          values={motif}
          only={follows ? ['colours', 'follows'] : ['colours']}
          onTurn={(change, label) => edited.turn(label, { ...motif, ...change })}
          onEnd={endGesture}
        />
        {follows && <p className="text-[12px] text-dust">The moment on the ledge gives {follows.what}.</p>}
        {controls
          .filter(({ id }) => !silent.has(id))
          .map(({ id, title, start }) => (
            <Field
              key={id}
              shape={shapeOf(Percent, { label: title, control: 'slider' })}
              value={lookUp(motif.controls as Record<string, number>, id) ?? start}
              onTurn={(value) =>
                edited.turn(title, { ...motif, controls: { ...motif.controls, [id]: value as number } })
              }
              onEnd={endGesture}
            />
          ))}
        <div className="mt-1">
          <Button
            onClick={() =>
              edited.set('Draw it differently', { ...motif, seed: (motif.seed * 31 + 17) % 100_000 })
            }
          >
            <Dices size={15} /> Draw it differently
          </Button>
        </div>
      </Section>
    </>
  );
}

function MotifCard({ name, isChosen, onPress }: { name: MotifName; isChosen: boolean; onPress: () => void }) {
  const { title } = factsOf(name);
  const mayCome = useMayCome();
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      title={title}
      onClick={onPress}
      className={clsx(
        'relative h-[52px] overflow-hidden rounded-md bg-nap hover:outline hover:outline-brass/70',
        isChosen && 'outline-2 outline-offset-1 outline-brass outline',
      )}
    >
      {mayCome && (
        <img
          src={backdropAddress(sampleOf(createMotif(name, SAMPLE_SEED)), SAMPLE_WIDTH)}
          alt={title}
          loading="lazy"
          className="size-full object-cover"
        />
      )}
    </button>
  );
}
