import { Suspense, memo } from 'react';
import { named } from '../../../core/desk/edits/edit.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import type { Look } from '../../../core/look/schema.ts';
import { Finish } from '../../../core/values/finish.ts';
import { later } from '../../later.ts';
import { useDesk } from '../../session/desk.ts';
import { SelectField } from '../../ui/choice.tsx';
import { Row, Section } from '../../ui/section.tsx';
import { Fields } from '../form/form.tsx';

const LegibilityRow = later(async () => ({ default: (await import('./legibility-row.tsx')).LegibilityRow }));

/** How parts are made: the desk's own finish, or theirs. `ids` is empty for the finish of the desk. */
export const FinishSection = memo(function FinishSection({
  ids,
  own,
}: {
  ids: readonly string[];
  own: Finish | null;
}) {
  const look = useDesk((state) => state.history?.present.look);
  const { turn, endGesture } = useDesk.getState();
  if (!look) return null;
  const finish = own ?? look.finish;
  const isDesk = ids.length === 0;

  function set(change: Partial<Finish>) {
    const next = { ...finish, ...change };
    turn(isDesk ? named('Finish', edits.setLook({ finish: next })) : edits.setFinish(ids, next));
  }
  return (
    <Section
      title={isDesk ? 'Finish of the desk' : 'Finish'}
      note={isDesk ? 'every part without its own' : own ? <Follow ids={ids} /> : 'follows the desk'}
    >
      <Fields schema={Finish} values={finish} onTurn={set} onEnd={endGesture} />
      {!isDesk && <Presets ids={ids} presets={look.finishes} />}
      {ids.length === 1 && ids[0] !== undefined && (
        <Suspense>
          <LegibilityRow part={ids[0]} />
        </Suspense>
      )}
    </Section>
  );
});

function Follow({ ids }: { ids: readonly string[] }) {
  return (
    <button
      type="button"
      className="text-brass hover:underline"
      onClick={() => useDesk.getState().edit(named('Follow the desk', edits.setFinish(ids, null)))}
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
