import type { Desk } from '../../../../core/desk/desk.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { Finish } from '../../../../core/values/finish.ts';
import { useDesk } from '../../../session/desk.ts';
import { SwitchField } from '../../../ui/choice.tsx';
import { Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';
import { ReadyLooks } from '../../ready/ready-looks.tsx';
import { openSomeIfNone } from './open-some.ts';
import { OpenSomeHint } from './open-windows.tsx';

/** How what windows stand on is made: as the desk, or in a way of their own. */
export function WindowFinishPage({ desk }: { desk: Desk }) {
  const { edit, turn, endGesture } = useDesk.getState();
  const { finish } = desk.windows;
  return (
    <>
      <OpenSomeHint />
      <Section title="Finish" note={finish === null ? 'the desk’s, nearly opaque' : undefined}>
        <SwitchField
          label="As the desk’s"
          spoken="Finish as the desk’s"
          value={finish === null}
          onChange={(follows) =>
            edit(edits.setWindowFinish(follows ? null : { ...desk.look.finish, opacity: 95 }))
          }
        />
        <ReadyLooks topic="surface" target={{ by: 'windows' }} onOpen={openSomeIfNone} />
        {finish && (
          <Fields
            schema={Finish}
            values={finish}
            onTurn={(change) => turn(edits.setWindowFinish({ ...finish, ...change }))}
            onEnd={endGesture}
          />
        )}
      </Section>
    </>
  );
}
