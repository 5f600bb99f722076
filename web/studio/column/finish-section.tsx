import { Suspense, memo, useMemo } from 'react';
import type { Target } from '../../../core/desk/ready/topic.ts';
import { named } from '../../../core/desk/edits/edit.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { followsFinish } from '../../../core/desk/edits/parts.ts';
import type { Look } from '../../../core/look/schema.ts';
import { Finish } from '../../../core/values/finish.ts';
import { later } from '../../later.ts';
import { useDesk } from '../../session/desk.ts';
import { SelectField } from '../../ui/choice.tsx';
import { Row, Section } from '../../ui/section.tsx';
import { pagedLook } from '../ready/paging.ts';
import { ReadyLooks } from '../ready/ready-looks.tsx';
import { differingIn } from '../form/differing.ts';
import { Fields } from '../form/form.tsx';

const DESK = { by: 'desk' } as const;

const LegibilityRow = later(async () => ({ default: (await import('./legibility-row.tsx')).LegibilityRow }));

/** How parts are made: the desk's own finish, or theirs. `ids` is empty for the finish of the desk. */
export const FinishSection = memo(function FinishSection({
  ids,
  owns,
}: {
  ids: readonly string[];
  /** The finish of each. */
  owns: readonly (Finish | null)[];
}) {
  const look = useDesk((state) => state.history?.present.look);
  const { turn, endGesture } = useDesk.getState();
  if (!look) return null;
  const finishes = owns.length > 0 ? owns.map((own) => own ?? look.finish) : [look.finish];
  const [finish = look.finish] = finishes;
  const isDesk = ids.length === 0;

  function set(change: Partial<Finish>) {
    turn(
      isDesk
        ? named('Finish', edits.setLook({ finish: { ...finish, ...change } }))
        : edits.changeFinish(ids, change),
    );
  }
  return (
    <Section
      title={isDesk ? 'Finish of the desk' : 'Finish'}
      note={isDesk ? 'every part without its own' : <Follows ids={ids} owns={owns} />}
    >
      <Fields
        schema={Finish}
        values={finish}
        differing={differingIn(finishes)}
        onTurn={set}
        onEnd={endGesture}
      />
      <ReadySurfaces target={isDesk ? DESK : { by: 'parts', ids }} presets={look.finishes} />
      {!isDesk && <Presets ids={ids} presets={look.finishes} />}
      {ids.length === 1 && ids[0] !== undefined && (
        <Suspense>
          <LegibilityRow part={ids[0]} />
        </Suspense>
      )}
    </Section>
  );
});

/** Ready surfaces, after the presets of the desk. */
function ReadySurfaces({ target, presets }: { target: Target; presets: Look['finishes'] }) {
  const key = JSON.stringify(target);
  const extras = useMemo(
    () =>
      presets.map(({ id, name, finish }) =>
        pagedLook({ id: `preset-${id}`, topic: 'surface', name, value: finish }, target),
      ),
    // The same target is made anew each time.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [presets, key],
  );
  return <ReadyLooks topic="surface" target={target} extras={extras} />;
}

/** Whether parts follow the desk's finish, and the way back to it. */
function Follows({ ids, owns }: { ids: readonly string[]; owns: readonly (Finish | null)[] }) {
  if (owns.every(followsFinish)) return owns.every((own) => own !== null) ? 'bare' : 'follows the desk';
  const stray = ids.filter((_, index) => !followsFinish(owns[index] ?? null));
  return (
    <button
      type="button"
      className="text-brass hover:underline"
      onClick={() => useDesk.getState().edit(named('Follow the desk', edits.setFinish(stray, null)))}
    >
      follow the desk again
    </button>
  );
}

function Presets({ ids, presets }: { ids: readonly string[]; presets: Look['finishes'] }) {
  if (presets.length === 0) return null;
  function take(id: string) {
    const preset = presets.find((one) => one.id === id);
    if (preset) useDesk.getState().edit(named(`Finish: ${preset.name}`, edits.setFinish(ids, preset.finish)));
  }
  return (
    <Row label="Preset">
      <SelectField
        label="Finish from a preset"
        value=""
        placeholder="Choose one"
        choices={presets.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={take}
      />
    </Row>
  );
}
