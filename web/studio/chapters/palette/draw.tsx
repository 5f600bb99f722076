import { named } from '../../../../core/desk/edits/edit.ts';
import { Pipette, X } from 'lucide-react';
import clsx from 'clsx';
import type { Look } from '../../../../core/look/schema.ts';
import { useEffect, useMemo, useState } from 'react';
import { editAndSay } from '../../parts/said-undo.ts';
import type { Drawn } from '../../../../core/backdrop/drawn.ts';
import type { Swatch } from '../../../../core/colour/extract.ts';
import { schemeNames, type SchemeName } from '../../../../core/colour/schema.ts';
import { drawRoles, schemes } from '../../../../core/colour/scheme.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { roles as roleNames, type Role } from '../../../../core/values/roles.ts';
import { setStartColour, useStartColour } from './view.ts';
import { presentDesk, useDesk } from '../../../session/desk.ts';
import { useHalf } from '../../../session/scene.ts';
import { useView } from '../../../stores/view.ts';
import { PickerButton } from '../../../ui/colour-field.tsx';
import { IconButton } from '../../../ui/buttons.tsx';
import { SwitchField } from '../../../ui/choice.tsx';
import { Row, Section } from '../../../ui/section.tsx';
import { coloursOf } from '../../../workers/pixels.ts';

/** Where a palette starts: the backdrop's colours, or one of one's own. */
export function Draw({ drawn, look }: { drawn: Drawn; look: Look }) {
  const { swatches, failure } = useSwatches(drawn);
  const seed = useStartColour((state) => state.colour);
  const setSeed = setStartColour;
  const start = useMemo(() => (seed ? [{ colour: seed, share: 1 }] : swatches), [seed, swatches]);
  const pick = () => useView.getState().pick({ title: 'The colour to start from', take: setSeed });
  return (
    <Section
      title="Draw a palette"
      note={
        <button
          type="button"
          onClick={pick}
          className="inline-flex items-center gap-1 text-brass hover:underline"
        >
          <Pipette size={13} /> pick from the stage
        </button>
      }
    >
      <Follow look={look} />
      <Swatches swatches={swatches} failure={failure} chosen={seed} onChoose={setSeed} />
      {look.follows === null && (
        <Row label="Starts from">
          {seed ? (
            <>
              <PickerButton
                wide
                label="The colour to start from"
                colour={seed}
                isMarked
                onTurn={setSeed}
                onEnd={() => {}}
              />
              <span className="font-mono text-[12px] text-dust">{seed}</span>
              <IconButton
                label="Start from the backdrop"
                className="ml-auto !size-6"
                onClick={() => setSeed(null)}
              >
                <X size={14} />
              </IconButton>
            </>
          ) : (
            <>
              <span className="whitespace-nowrap">the backdrop</span>
              <button
                type="button"
                className="ml-auto whitespace-nowrap text-[12px] text-brass hover:underline"
                onClick={() => setSeed(swatches?.[0]?.colour ?? '#8a5b87')}
              >
                my own
              </button>
            </>
          )}
        </Row>
      )}
      <div role="group" aria-label="Palettes to choose from" className="grid grid-cols-2 gap-1.5">
        {schemeNames.map((name) =>
          start ? (
            <SchemeCard
              key={name}
              name={name}
              swatches={look.follows ? (swatches ?? start) : start}
              follows={look.follows}
            />
          ) : (
            !failure && <div key={name} aria-hidden className="h-12 rounded-lg bg-pit/60" />
          ),
        )}
      </div>
      <p className="text-[12px] text-dust">
        {look.follows
          ? 'Drawn anew for every picture of a rotation, every workspace and half, by the way that is chosen here. Held roles stay.'
          : 'Pointed at, a palette is shown on the desk; pressed, it is taken for both halves. Held roles stay.'}
      </p>
    </Section>
  );
}

/** Whether the palette is drawn anew from whatever lies behind the first screen. */
function Follow({ look }: { look: Look }) {
  const set = (isOn: boolean) =>
    useDesk.getState().edit(isOn ? edits.followBackdrop('calm') : edits.followBackdrop(null, look.roles));
  return (
    <SwitchField
      label="Automatic"
      hint="The palette follows the backdrop: it is drawn anew for every picture"
      spoken="Automatic: follow the backdrop"
      value={look.follows !== null}
      onChange={set}
    />
  );
}

/** The colours of the backdrop as it lies on the screen in view. */
function useSwatches(drawn: Drawn): { swatches: Swatch[] | null; failure: string | null } {
  const [swatches, setSwatches] = useState<Swatch[] | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  // A backdrop that is drawn in the palette's colours gives them back: what it is drawn in makes no difference here.
  const key = JSON.stringify({ ...drawn, ground: '' });
  useEffect(() => {
    let isStale = false;
    coloursOf(drawn).then(
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
    // The key says all that the colours depend on.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return { swatches, failure };
}

function Swatches({
  swatches,
  failure,
  chosen,
  onChoose,
}: {
  swatches: Swatch[] | null;
  failure: string | null;
  chosen: string | null;
  onChoose: (colour: string) => void;
}) {
  if (failure) {
    return (
      <p role="alert" className="text-[12px] text-rust">
        {failure}
      </p>
    );
  }
  return (
    <div
      className="flex h-9 overflow-hidden rounded-lg bg-pit"
      role="group"
      aria-label="Colours of the backdrop"
      aria-busy={!swatches}
    >
      {swatches?.map(({ colour, share }) => (
        <button
          key={colour}
          type="button"
          aria-pressed={chosen === colour}
          aria-label={`${colour}, ${shareText(share)} of the picture: start from it`}
          title={`${colour}, ${shareText(share)}`}
          onClick={() => onChoose(colour)}
          className="min-w-6 -outline-offset-2 hover:outline hover:outline-white/70"
          style={{ background: colour, flexGrow: Math.max(0.04, share) }}
        />
      ))}
    </div>
  );
}

function shareText(share: number): string {
  return share < 0.01 ? 'under 1 %' : `${Math.round(share * 100)} %`;
}

const sample: readonly Role[] = ['ground', 'raised', 'ink', 'accent', 'second'];

/** A palette that can be drawn. While it is pointed at or has the focus, the desk wears it. */
function SchemeCard({
  name,
  swatches,
  follows,
}: {
  name: SchemeName;
  swatches: readonly Swatch[];
  /** The way in which the palette follows the backdrop; null where it does not. */
  follows: SchemeName | null;
}) {
  const half = useHalf();
  const { show, dropGesture } = useDesk.getState();
  const drawn = useMemo(() => drawRoles(swatches, name), [swatches, name]);
  const { title } = schemes[name];
  const label = `Draw the palette, ${title.toLowerCase()}`;
  const change = named(label, follows ? edits.followBackdrop(name) : edits.drawPalette(drawn));
  const wear = () => show(change);

  function take() {
    const held = presentDesk()?.look.held.length ?? 0;
    editAndSay(
      change,
      held > 0
        ? `The palette is drawn; ${held} of ${roleNames.length} roles were held.`
        : 'The palette is drawn; every part follows.',
    );
  }
  return (
    <button
      type="button"
      aria-pressed={follows ? follows === name : undefined}
      onPointerEnter={wear}
      onPointerLeave={dropGesture}
      onFocus={wear}
      onBlur={dropGesture}
      onClick={take}
      className={clsx(
        'overflow-hidden rounded-lg bg-pit text-left hover:outline hover:outline-brass/70',
        follows === name && 'outline-2 outline-brass outline',
      )}
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
