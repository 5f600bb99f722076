import { Moon, Sun } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { contrast, hexOf } from '../../../core/colour/convert.ts';
import { paletteOf, type Roles } from '../../../core/colour/look.ts';
import type { Swatch } from '../../../core/colour/extract.ts';
import {
  drawRoles,
  schemeNames,
  schemes,
  surfaceRoles,
  type SchemeName,
} from '../../../core/colour/scheme.ts';
import { edits } from '../../../core/desk/edits.ts';
import { iconSets, type Backdrop } from '../../../core/desk/schema.ts';
import {
  families,
  familyTitles,
  roleTitles,
  roles as roleNames,
  type Role,
} from '../../../core/desk/values.ts';
import { useDesk } from '../../stores/desk.ts';
import { PickerButton } from '../../ui/colour-field.tsx';
import { Row, Section, Segmented, SelectField } from '../../ui/controls.tsx';
import { coloursOf } from '../../workers/palette.ts';
import { FinishSection } from './finish-section.tsx';

/** One palette, bound everywhere, and the look that goes with it. */
export function PaletteChapter() {
  const look = useDesk((state) => state.history?.present.look);
  const backdrop = useDesk((state) => state.history?.present.backdrop);
  const { edit } = useDesk.getState();
  if (!look || !backdrop) return null;
  return (
    <>
      <Segmented
        label="Half"
        value={look.half}
        choices={[
          {
            value: 'light',
            label: 'Light half',
            icon: <HalfName icon={<Sun size={14} />} text="Light half" />,
          },
          {
            value: 'dark',
            label: 'Dark half',
            icon: <HalfName icon={<Moon size={14} />} text="Dark half" />,
          },
        ]}
        onChange={(half) => edit(`Switch to the ${half} half`, (draft) => edits.setHalf(draft, half))}
      />
      <div className="mt-5" />
      <FromBackdrop backdrop={backdrop} />
      <Section title="Roles" note={`${look.half} half`}>
        {roleNames.map((role) => (
          <RoleRow key={`${look.half} ${role}`} role={role} roles={look.roles[look.half]} />
        ))}
        <p className="text-[12px] text-dust">
          Ink is moved lighter or darker wherever it would fall under 4.5 to 1.
        </p>
      </Section>
      <Section title="Type">
        {(['display', 'text', 'figures'] as const).map((use) => (
          <Row key={use} label={(use[0] ?? '').toUpperCase() + use.slice(1)}>
            <SelectField
              label={`Family for ${use}`}
              value={look.fonts[use]}
              choices={families.map((family) => ({ value: family, label: familyTitles[family] }))}
              onChange={(family) =>
                edit('Type', (draft) => edits.setLook(draft, { fonts: { ...look.fonts, [use]: family } }))
              }
            />
          </Row>
        ))}
        <Row label="Icons">
          <Segmented
            label="Icon set"
            value={look.icons}
            choices={iconSets.map((set) => ({ value: set, label: set === 'line' ? 'Line' : 'Two-tone' }))}
            onChange={(icons) => edit('Icons', (draft) => edits.setLook(draft, { icons }))}
          />
        </Row>
      </Section>
      <FinishSection ids={[]} own={null} />
    </>
  );
}

function HalfName({ icon, text }: { icon: React.ReactNode; text: string }) {
  return (
    <>
      {icon} {text}
    </>
  );
}

/** The colours of the backdrop, and the palettes that can be drawn from them. */
function FromBackdrop({ backdrop }: { backdrop: Backdrop }) {
  const [swatches, setSwatches] = useState<Swatch[] | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  useEffect(() => {
    let isStale = false;
    coloursOf(backdrop).then(
      (found) => {
        if (isStale) return;
        setSwatches(found);
        setFailure(null);
      },
      (error: Error) => {
        if (!isStale) setFailure(error.message);
      },
    );
    return () => {
      isStale = true;
    };
  }, [backdrop]);

  return (
    <Section title="From the backdrop" note={swatches ? `${swatches.length} colours` : undefined}>
      {failure ? (
        <p role="alert" className="text-rust">
          {failure}
        </p>
      ) : (
        <div className="flex h-9 overflow-hidden rounded-lg bg-pit" aria-busy={!swatches}>
          {swatches?.map(({ colour, share }) => (
            <span
              key={colour}
              title={`${colour}, ${(share * 100).toFixed(share < 0.01 ? 1 : 0)} % of the picture`}
              style={{ background: colour, flexGrow: Math.max(0.07, share) }}
            />
          ))}
        </div>
      )}
      <div className="mt-1 grid grid-cols-3 gap-1.5" role="group" aria-label="Draw both halves">
        {swatches && schemeNames.map((name) => <SchemeCard key={name} name={name} swatches={swatches} />)}
      </div>
      <p className="text-[12px] text-dust">
        Pointed at, a palette is shown on the desk; pressed, it is taken for both halves.
      </p>
    </Section>
  );
}

const sample: readonly Role[] = ['ground', 'raised', 'ink', 'accent', 'second'];

/** A palette that can be drawn. While it is pointed at or has the focus, the desk wears it. */
function SchemeCard({ name, swatches }: { name: SchemeName; swatches: readonly Swatch[] }) {
  const half = useDesk((state) => state.history?.present.look.half ?? 'dark');
  const { show, edit, dropGesture, undo } = useDesk.getState();
  const drawn = useMemo(() => drawRoles(swatches, name), [swatches, name]);
  const { title } = schemes[name];
  const label = `Draw the palette, ${title.toLowerCase()}`;
  const wear = () => show(label, (draft) => edits.setRoles(draft, drawn));

  function take() {
    edit(label, (draft) => edits.setRoles(draft, drawn));
    toast('The palette is drawn from the backdrop; every part follows.', {
      action: { label: 'Undo', onClick: undo },
    });
  }
  return (
    <button
      type="button"
      onPointerEnter={wear}
      onPointerLeave={dropGesture}
      onFocus={wear}
      onBlur={dropGesture}
      onClick={take}
      className="overflow-hidden rounded-lg bg-pit text-left hover:outline hover:outline-brass/70"
    >
      <span className="flex h-6">
        {sample.map((role) => (
          <span key={role} className="flex-1" style={{ background: drawn[half][role] }} />
        ))}
      </span>
      <span className="block truncate px-2 py-1 text-[12px]">{title}</span>
    </button>
  );
}

const isText = (role: Role) => role === 'ink' || role === 'softInk';

function RoleRow({ role, roles }: { role: Role; roles: Roles }) {
  const half = useDesk((state) => state.history?.present.look.half ?? 'dark');
  const { turn, endGesture } = useDesk.getState();
  const colour = hexOf(roles[role]);
  const palette = paletteOf(roles);
  const worst = isText(role)
    ? Math.min(
        ...surfaceRoles.map((surface) =>
          contrast(palette.textOn(role, palette.roles[surface]), palette.roles[surface]),
        ),
      )
    : null;
  const isMoved =
    isText(role) && surfaceRoles.some((surface) => palette.textOn(role, palette.roles[surface]) !== colour);
  return (
    <Row label={roleTitles[role]}>
      <PickerButton
        wide
        label={roleTitles[role]}
        colour={colour}
        isMarked
        onTurn={(next) =>
          turn(`Change ${roleTitles[role].toLowerCase()}`, (draft) => edits.setRole(draft, half, role, next))
        }
        onEnd={endGesture}
      />
      <span className="font-mono text-[12px] text-dust">{colour}</span>
      {worst !== null && (
        <span
          className="ml-auto whitespace-nowrap font-mono text-[12px] text-moss"
          title={isMoved ? 'Moved on some surfaces, to be readable' : 'The least contrast on any surface'}
        >
          {isMoved ? '≈ ' : ''}
          {worst.toFixed(1)}:1
        </span>
      )}
    </Row>
  );
}
