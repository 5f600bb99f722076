import { named } from '../../../../core/desk/edits/edit.ts';
import { contrast } from '../../../../core/values/colour.ts';
import { resolveRoles } from '../../../../core/colour/roles.ts';
import { ansiNames, terminalOf } from '../../../../core/colour/terminal.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { Look } from '../../../../core/look/schema.ts';
import { useDesk } from '../../../session/desk.ts';
import { PickerButton } from '../../../ui/colour-field.tsx';
import { Section } from '../../../ui/section.tsx';
import { ReadyLooks } from '../../ready/ready-looks.tsx';
import { HalfChoice } from './half-choice.tsx';
import { useHalf } from '../../../session/scene.ts';

/** The sixteen colours of a terminal, drawn from the palette or set by hand. */
export function TerminalPage({ look }: { look: Look }) {
  const half = useHalf();
  const { edit, turn, endGesture } = useDesk.getState();
  const own = look.terminal[half];
  const terminal = own ?? terminalOf(resolveRoles(look.roles[half]));
  const { ground, ink, colours } = terminal;
  const worst = Math.min(...colours.map((colour) => contrast(colour, ground)));
  const set = (index: number, colour: string) =>
    turn(
      named(
        'Terminal colour',
        edits.setTerminal(half, {
          ...terminal,
          colours: colours.map((one, at) => (at === index ? colour : one)),
        }),
      ),
    );
  return (
    <>
      <HalfChoice />
      <div
        className="mt-4 rounded-lg p-3 font-mono text-[12px] leading-[1.55]"
        style={{ background: ground, color: ink }}
        data-terminal
      >
        <p>
          <span style={{ color: colours[2] }}>marrow@point</span>{' '}
          <span style={{ color: colours[4] }}>~/counts</span> $ ls
        </p>
        <p style={{ color: colours[12] }}>autumn/ spring/</p>
        <p style={{ color: colours[8] }}># 24 November, first light</p>
        <p>
          <span style={{ color: colours[3] }}>curlew</span> 46{' '}
          <span style={{ color: colours[6] }}>redshank</span> 112
        </p>
        <p>
          <span style={{ color: colours[1] }}>gone:</span>{' '}
          <span style={{ color: colours[5] }}>snow bunting</span>{' '}
          <span style={{ color: colours[7] }}>(3)</span>
        </p>
      </div>
      <Section title="Schemes">
        <ReadyLooks topic="terminal" target={{ by: 'desk' }} />
      </Section>
      <Section
        title={own ? 'Set by hand' : 'From the palette'}
        note={
          own ? (
            <button
              type="button"
              className="text-brass hover:underline"
              onClick={() => edit(named('Follow the palette', edits.setTerminal(half, null)))}
            >
              follow the palette again
            </button>
          ) : (
            `all at least ${worst.toFixed(1)}:1`
          )
        }
      >
        <div className="grid grid-cols-8 gap-1">
          {colours.map((colour, index) => (
            <PickerButton
              key={index}
              wide
              isFilling
              label={`${index < 8 ? '' : 'Bright '}${ansiNames[index % 8]}, ${contrast(colour, ground).toFixed(1)}:1`}
              colour={colour}
              isMarked
              onTurn={(next) => set(index, next)}
              onEnd={endGesture}
            />
          ))}
        </div>
        {own && worst < 4.5 && (
          <p role="status" className="text-[12px] text-rust">
            One of them can hardly be read on this ground ({worst.toFixed(1)}:1).
          </p>
        )}
      </Section>
    </>
  );
}
