import { named } from '../../../../core/desk/edits/edit.ts';
import { editAndSay } from '../../../session/said-undo.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { strayParts } from '../../../../core/desk/edits/parts.ts';
import { Look as LookSchema, type HalfBy, type Look } from '../../../../core/look/schema.ts';
import { useDesk } from '../../../session/desk.ts';
import { useHalf } from '../../../session/scene.ts';
import { Button } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';
import { PageLinks } from '../../column/page-link.tsx';
import { pages } from './pages.tsx';

/** Type, icons, pointer and finish: what every part shares besides its colours. */
export default function LookChapter() {
  const desk = useDesk((state) => state.history?.present);
  if (!desk) return null;
  const { look } = desk;
  return (
    <>
      <Halves look={look} />
      <PageLinks pages={pages} />
      <Follow />
    </>
  );
}

/** When the desk is light and when it is dark. */
function Halves({ look }: { look: Look }) {
  const { turn, endGesture } = useDesk.getState();
  const now = useHalf();
  return (
    <Section title="Halves" note={`${now} now`}>
      <Fields
        schema={LookSchema}
        values={look}
        only={['half']}
        onTurn={(change) => {
          const half = change.half as HalfBy;
          // What stays the same from now on is what is there now.
          const isHeld = half.by === 'choice' && look.half.by !== 'choice';
          turn(named('When it is light', edits.setHalf(isHeld ? { ...half, half: now } : half)));
        }}
        onEnd={endGesture}
      />
      {look.half.by === 'backdrop' && (
        <p className="text-[12px] text-dust">A dark picture makes a dark desk, a light one a light desk.</p>
      )}
      {look.half.by === 'sun' && (
        <p className="text-[12px] text-dust">Light while the sun is up where the desk is.</p>
      )}
    </Section>
  );
}

/** How many parts go their own way, and the press that brings them back. */
function Follow() {
  const desk = useDesk((state) => state.history?.present);
  if (!desk) return null;
  const stray = strayParts(desk).length;
  return (
    <Section title="One look">
      <p className="text-[12px] text-dust">
        {stray === 0
          ? 'Every part follows the desk’s finish and palette.'
          : `${stray} ${stray === 1 ? 'part has' : 'parts have'} a finish or a colour of ${stray === 1 ? 'its' : 'their'} own.`}
      </p>
      <div>
        <Button
          disabled={stray === 0}
          onClick={() => editAndSay(edits.followAll(), 'Every part follows the desk.')}
        >
          Make all follow
        </Button>
      </div>
    </Section>
  );
}
