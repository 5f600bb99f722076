import clsx from 'clsx';
import { Dices } from 'lucide-react';
import { SAMPLE_SEED, SAMPLE_WIDTH, sampleOf } from '../../../../core/backdrop/drawn.ts';
import { factsOf, sceneNames, type SceneName } from '../../../../core/backdrop/names.ts';
import { createScene } from '../../../../core/desk/defaults.ts';
import { DrawnScene, Percent } from '../../../../core/backdrop/schema.ts';
import { backdropAddress } from '../../../api/addresses.ts';
import { useDesk } from '../../../session/desk.ts';
import { Button } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';
import { Field, Fields } from '../../form/form.tsx';
import { shapeOf } from '../../form/schema.ts';
import type { EditedSource } from './use-backdrop.ts';
import { lookUp } from '../../../../core/values/look-up.ts';

/** A scene that the project draws: which, from which seed, and its few controls. */
export function SceneEditor({ edited, scene }: { edited: EditedSource; scene: DrawnScene }) {
  const { endGesture } = useDesk.getState();
  const { controls, follows } = factsOf(scene.scene);
  const isFollowing = follows !== null && scene.follows;
  const silent = new Set(isFollowing ? follows.instead : []);
  return (
    <>
      <div className="grid grid-cols-3 gap-1.5" role="group" aria-label="Drawn scenes">
        {sceneNames.map((name) => (
          <SceneCard
            key={name}
            name={name}
            isChosen={scene.scene === name}
            onPress={() =>
              edited.set('Backdrop', { ...createScene(name, scene.seed), colours: scene.colours })
            }
          />
        ))}
      </div>
      <Section title={factsOf(scene.scene).title} note="sharp at any size">
        <Fields
          schema={DrawnScene}
          values={scene}
          only={follows ? ['colours', 'follows'] : ['colours']}
          onTurn={(change, label) => edited.turn(label, { ...scene, ...change })}
          onEnd={endGesture}
        />
        {follows && <p className="text-[12px] text-dust">The moment on the ledge gives {follows.what}.</p>}
        {controls
          .filter(({ id }) => !silent.has(id))
          .map(({ id, title, start }) => (
            <Field
              key={id}
              shape={shapeOf(Percent, { label: title, control: 'slider' })}
              value={lookUp(scene.controls as Record<string, number>, id) ?? start}
              onTurn={(value) =>
                edited.turn(title, { ...scene, controls: { ...scene.controls, [id]: value as number } })
              }
              onEnd={endGesture}
            />
          ))}
        <div className="mt-1">
          <Button
            onClick={() =>
              edited.set('Draw it differently', { ...scene, seed: (scene.seed * 31 + 17) % 100_000 })
            }
          >
            <Dices size={15} /> Draw it differently
          </Button>
        </div>
      </Section>
    </>
  );
}

function SceneCard({ name, isChosen, onPress }: { name: SceneName; isChosen: boolean; onPress: () => void }) {
  const { title } = factsOf(name);
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
      <img
        src={backdropAddress(sampleOf(createScene(name, SAMPLE_SEED)), SAMPLE_WIDTH)}
        alt={title}
        loading="lazy"
        className="size-full object-cover"
      />
    </button>
  );
}
