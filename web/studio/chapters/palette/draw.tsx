import { named } from '../../../../core/desk/edits/edit.ts';
import { Pipette, X } from 'lucide-react';
import type { Look } from '../../../../core/look/schema.ts';
import { useEffect, useMemo, useState } from 'react';
import type { Paged } from '../../ready/paging.ts';
import { ReadyLooks } from '../../ready/ready-looks.tsx';
import type { Drawn } from '../../../../core/backdrop/drawn.ts';
import type { Swatch } from '../../../../core/colour/extract.ts';
import { schemeNames, type SchemeName } from '../../../../core/colour/schema.ts';
import { drawRoles, schemes } from '../../../../core/colour/scheme.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { setStartColour, useStartColour } from './view.ts';
import { useDesk } from '../../../session/desk.ts';
import { roles as roleNames } from '../../../../core/values/roles.ts';
import { useView } from '../../../stores/view.ts';
import { PickerButton } from '../../../ui/colour-field.tsx';
import { IconButton } from '../../../ui/buttons.tsx';
import { SwitchField } from '../../../ui/choice.tsx';
import { Row, Section } from '../../../ui/section.tsx';
import { coloursOf } from '../../../workers/pixels.ts';

const DESK = { by: 'desk' } as const;

/** Where a palette starts: the backdrop's colours, or one of one's own. */
export function Draw({ drawn, look }: { drawn: Drawn; look: Look }) {
  const { swatches, failure } = useSwatches(drawn);
  const seed = useStartColour((state) => state.colour);
  const setSeed = setStartColour;
  const start = useMemo(() => (seed ? [{ colour: seed, share: 1 }] : swatches), [seed, swatches]);
  const ways = useWays(look.follows ? (swatches ?? start) : start, look.follows, look.held.length);
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
      <ReadyLooks topic="palette" target={DESK} extras={ways} />
      <p className="text-[12px] text-dust">
        {look.follows
          ? `Drawn anew for every picture of a rotation, every workspace and half: ${schemes[look.follows].title.toLowerCase()}. Held roles stay.`
          : 'Six ways to draw one from where it starts, then ready ones: shown on the desk while pointed at; pressed, taken for both halves. Held roles stay.'}
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

/** The ways in which a palette can be drawn from some colours. */
function useWays(
  swatches: readonly Swatch[] | null,
  follows: SchemeName | null,
  held: number,
): readonly Paged[] {
  return useMemo(
    () =>
      !swatches
        ? []
        : schemeNames.map((name): Paged => {
            const { title } = schemes[name];
            const drawn = drawRoles(swatches, name);
            return {
              id: `way-${name}`,
              title,
              look: null,
              roles: drawn,
              edit: named(
                `Draw the palette, ${title.toLowerCase()}`,
                follows ? edits.followBackdrop(name) : edits.drawPalette(drawn),
              ),
              said:
                held > 0
                  ? `The palette is drawn; ${held} of ${roleNames.length} roles were held.`
                  : 'The palette is drawn; every part follows.',
            };
          }),
    [swatches, follows, held],
  );
}
