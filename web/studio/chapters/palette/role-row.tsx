import clsx from 'clsx';
import { named } from '../../../../core/desk/edits/edit.ts';
import { ChevronDown, Pin, PinOff } from 'lucide-react';
import { useState } from 'react';
import { contrast } from '../../../../core/values/colour.ts';
import { paletteOf } from '../../../../core/colour/look.ts';
import { nudged, nudges, type Nudge } from '../../../../core/colour/nudge.ts';
import { isStep, mayStepFrom, resolveRoles, stepBetween } from '../../../../core/colour/roles.ts';
import { surfaceRoles } from '../../../../core/colour/scheme.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { Look } from '../../../../core/look/schema.ts';
import { roleTitles, roles as roleNames, type Half, type Role, Step } from '../../../../core/values/roles.ts';
import { useDesk } from '../../../session/desk.ts';
import { PickerButton } from '../../../ui/colour-field.tsx';
import { Row } from '../../../ui/section.tsx';
import { SelectField } from '../../../ui/choice.tsx';
import { Fields } from '../../form/form.tsx';

const isText = (role: Role) => role === 'ink' || role === 'softInk';

interface RoleProps {
  role: Role;
  half: Half;
  /** With its roles as they are now. */
  look: Look;
}

/** A role: its colour, and behind the chevron what it is made of. */
export function RoleRow({ role, half, look }: RoleProps) {
  const [isOpen, setOpen] = useState(false);
  const { turn, endGesture } = useDesk.getState();
  const values = look.roles[half];
  const value = values[role];
  const palette = paletteOf(values);
  const colour = palette.roles[role];
  const title = roleTitles[role];
  const isHeld = look.held.includes(role);
  return (
    <div
      className={clsx('rounded-lg', isOpen && '-mx-2 bg-nap/60 px-2 pb-2')}
      data-role={role}
      data-field={title}
    >
      <div className="flex h-8 items-center gap-2.5">
        <button
          type="button"
          aria-expanded={isOpen}
          aria-label={`${title}: what it is made of`}
          onClick={() => setOpen(!isOpen)}
          className="flex h-full w-[92px] shrink-0 items-center gap-1 rounded-lg text-left text-dust hover:text-chalk"
        >
          <ChevronDown size={13} className={clsx('shrink-0 transition-transform', !isOpen && '-rotate-90')} />
          <span className="truncate">{title}</span>
        </button>
        <span data-field={title} className="contents">
          <PickerButton
            wide
            label={title}
            colour={colour}
            isMarked
            onTurn={(next) =>
              turn(named(`Change ${title.toLowerCase()}`, edits.setRole(half, role, next, look.roles)))
            }
            onEnd={endGesture}
          />
        </span>
        <span
          className={clsx('min-w-0 truncate text-[12px] text-dust', !isStep(value) && 'font-mono')}
          title={isStep(value) ? stepText(value) : undefined}
        >
          {isStep(value) ? stepText(value) : colour}
        </span>
        <span className="ml-auto flex shrink-0 items-center gap-1.5">
          {isHeld && <Pin size={12} className="text-brass" aria-label="held" />}
          {isText(role) && <Contrast role={role} look={look} half={half} />}
        </span>
      </div>
      {isOpen && <Making role={role} half={half} look={look} />}
    </div>
  );
}

/** `surface, 7 lighter` */
function stepText({ from, lighter, more, warmer }: Step): string {
  const amounts = [
    lighter !== 0 && `${Math.abs(lighter)} ${lighter > 0 ? 'lighter' : 'darker'}`,
    more !== 0 && `${Math.abs(more)} ${more > 0 ? 'more' : 'less'} colour`,
    warmer !== 0 && `${Math.abs(warmer)} ${warmer > 0 ? 'warmer' : 'cooler'}`,
  ].filter((amount) => amount !== false);
  return [roleTitles[from].toLowerCase(), ...amounts].join(', ');
}

function Contrast({ role, half, look }: RoleProps) {
  const palette = paletteOf(look.roles[half]);
  const on = surfaceRoles.map((surface) => palette.roles[surface]);
  const worst = Math.min(...on.map((surface) => contrast(palette.textOn(role, surface), surface)));
  const isMoved = on.some((surface) => palette.textOn(role, surface) !== palette.roles[role]);
  return (
    <span
      className="whitespace-nowrap font-mono text-[12px] text-moss"
      title={isMoved ? 'Moved on some surfaces, to be readable' : 'The least contrast on any surface'}
    >
      {isMoved ? '≈ ' : ''}
      {worst.toFixed(1)}:1
    </span>
  );
}

/** Whether a role is a colour or a step from another one; small changes; holding it. */
function Making({ role, half, look }: RoleProps) {
  const { edit, turn, endGesture } = useDesk.getState();
  const values = look.roles[half];
  const value = values[role];
  const title = roleTitles[role];
  const isHeld = look.held.includes(role);
  const colours = resolveRoles(values);
  const others = roleNames.filter((other) => other !== role && mayStepFrom(role, other, values));
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-1 pt-1">
      <Row label="Made of">
        <SelectField
          label={`What ${title.toLowerCase()} is made of`}
          value={isStep(value) ? value.from : 'colour'}
          choices={[
            { value: 'colour', label: 'A colour' },
            ...others.map((other) => ({
              value: other,
              label: `From ${roleTitles[other].toLowerCase()}`,
            })),
          ]}
          onChange={(from) =>
            edit(
              named(
                `What ${title.toLowerCase()} is made of`,
                edits.setRole(
                  half,
                  role,
                  from === 'colour'
                    ? colours[role]
                    : stepBetween(from as Role, colours[from as Role], colours[role]),
                  look.roles,
                ),
              ),
            )
          }
        />
      </Row>
      {isStep(value) && (
        <Fields
          schema={Step}
          values={value}
          of={title}
          onTurn={(change) =>
            turn(
              named(
                `Step of ${title.toLowerCase()}`,
                edits.setRole(half, role, { ...value, ...change }, look.roles),
              ),
            )
          }
          onEnd={endGesture}
        />
      )}
      <div className="grid grid-cols-3 gap-1" role="group" aria-label={`Nudge ${title.toLowerCase()}`}>
        {(Object.keys(nudges) as Nudge[]).map((nudge) => (
          <button
            key={nudge}
            type="button"
            onClick={() =>
              edit(
                named(
                  `${nudges[nudge].title}: ${title.toLowerCase()}`,
                  edits.setRole(half, role, nudged(value, nudge), look.roles),
                ),
              )
            }
            className="h-7 rounded-md bg-pit text-[12px] text-dust hover:text-chalk"
          >
            {nudge}
          </button>
        ))}
      </div>
      <button
        type="button"
        aria-pressed={isHeld}
        onClick={() => edit(named(isHeld ? 'Let go' : 'Hold', edits.hold(role, !isHeld, look.roles)))}
        className={clsx(
          'inline-flex h-7 items-center gap-1.5 justify-self-start rounded-md px-1.5 text-[12px] hover:text-chalk',
          isHeld ? 'text-brass' : 'text-dust',
        )}
      >
        {isHeld ? <PinOff size={13} /> : <Pin size={13} />}
        {isHeld ? 'Let it be drawn again' : 'Hold it while the rest is drawn'}
      </button>
    </div>
  );
}
