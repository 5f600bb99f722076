import { named } from '../../../core/desk/edits/edit.ts';
import { Suspense, memo } from 'react';
import { later } from '../../later.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { finishKinds, type Finish } from '../../../core/values/finish.ts';
import { useHalfRoles } from '../../session/scene.ts';
import { useDesk } from '../../session/desk.ts';
import { ColourField } from '../../ui/colour-field.tsx';
import { Row, Section, Segmented, SelectField, SliderField } from '../../ui/controls.tsx';

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
  const { turn, edit, endGesture } = useDesk.getState();
  const roles = useHalfRoles();
  if (!look || !roles) return null;
  const finish = own ?? look.finish;
  const isDesk = ids.length === 0;

  function set(change: Partial<Finish>) {
    const next = { ...finish, ...change };
    turn(isDesk ? named('Finish', edits.setLook({ finish: next })) : edits.setFinish(ids, next));
  }
  const slider = (
    label: string,
    key: 'sheerness' | 'blur' | 'radius' | 'edgeLine' | 'shadow',
    max: number,
    unit: string,
    step = 1,
  ) => (
    <Row label={label}>
      <SliderField
        label={label}
        value={finish[key]}
        min={0}
        max={max}
        step={step}
        decimals={1}
        unit={unit}
        onTurn={(value) => set({ [key]: value })}
        onEnd={endGesture}
      />
    </Row>
  );
  const follow = (
    <button
      type="button"
      className="text-brass hover:underline"
      onClick={() => edit(named('Follow the desk', edits.setFinish(ids, null)))}
    >
      follow the desk again
    </button>
  );
  const isBare = finish.kind === 'bare';
  return (
    <Section
      title={isDesk ? 'Finish of the desk' : 'Finish'}
      note={isDesk ? 'every part without its own' : own ? follow : 'follows the desk'}
    >
      <Segmented
        label="Finish"
        value={finish.kind}
        choices={finishKinds.map((kind) => ({
          value: kind,
          label: (kind[0] ?? '').toUpperCase() + kind.slice(1),
        }))}
        onChange={(kind) => {
          set({ kind });
          endGesture();
        }}
      />
      {!isBare && (
        <>
          <Row label="Tint">
            <ColourField
              label="Tint"
              value={finish.tint}
              roles={roles}
              onTurn={(tint) => set({ tint })}
              onEnd={endGesture}
            />
          </Row>
          {finish.kind !== 'matte' && slider('Sheerness', 'sheerness', 100, '%')}
          {finish.kind === 'frosted' && slider('Blur', 'blur', 60, 'px')}
          {slider('Radius', 'radius', 80, 'px')}
          {slider('Edge line', 'edgeLine', 8, 'px', 0.5)}
          {slider('Shadow', 'shadow', 100, '%')}
        </>
      )}
      {isBare && !isDesk && slider('Soft shade', 'shadow', 100, '%')}
      {!isDesk && look.finishes.length > 0 && (
        <Row label="Preset">
          <SelectField
            label="Finish from a preset"
            value=""
            placeholder="Choose one"
            choices={look.finishes.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(id) => {
              const preset = look.finishes.find((one) => one.id === id);
              if (preset) edit(named(`Finish: ${preset.name}`, edits.setFinish(ids, preset.finish)));
            }}
          />
        </Row>
      )}
      {ids.length === 1 && ids[0] !== undefined && (
        <Suspense>
          <LegibilityRow part={ids[0]} />
        </Suspense>
      )}
    </Section>
  );
});
