import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { Edge } from '../../../../core/desk/shapes/edges.ts';
import { Finish } from '../../../../core/values/finish.ts';
import { presentDesk, useDesk } from '../../../session/desk.ts';
import { SwitchField } from '../../../ui/choice.tsx';
import { Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';

/** How an edge is made while a filled window stands beside it: as at rest, or in a way of its own. */
export function BesideFilled({ edge: { id, finish, besideFilled } }: { edge: Edge }) {
  const { edit, turn, endGesture } = useDesk.getState();
  const set = (next: Finish | null) =>
    named('Finish beside a filled window', edits.setEdge(id, { besideFilled: next }));
  return (
    <Section title="Beside a filled window" note={besideFilled === null ? 'as at rest' : undefined}>
      <SwitchField
        label="As at rest"
        spoken="Finish beside a filled window as at rest"
        value={besideFilled === null}
        onChange={(follows) => {
          const start = finish ?? presentDesk()?.look.finish;
          edit(set(follows || !start ? null : { ...start, kind: 'matte', radius: 0, shadow: 0 }));
        }}
      />
      {besideFilled && (
        <Fields
          schema={Finish}
          values={besideFilled}
          of="Beside a filled window"
          onTurn={(change) => turn(set({ ...besideFilled, ...change }))}
          onEnd={endGesture}
        />
      )}
    </Section>
  );
}
