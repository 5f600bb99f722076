import { named } from '../../../../core/desk/edits/edit.ts';
import { Layers, ListChecks, MousePointer2, ScanEye, Shapes, Type } from 'lucide-react';
import { editAndSay } from '../../parts/said-undo.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { strayParts } from '../../../../core/desk/edits/parts.ts';
import { Look as LookSchema, type HalfBy, type Look } from '../../../../core/look/schema.ts';
import { familyTitles, isOwn } from '../../../../core/values/family.ts';
import { useDesk } from '../../../session/desk.ts';
import { useHalf } from '../../../session/scene.ts';
import { useView } from '../../../stores/view.ts';
import { Button } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';
import { PageLink } from '../../column/page-link.tsx';
import { FinishPage } from './finish-page.tsx';
import { FindingsNote, FindingsPage } from './findings-page.tsx';
import { IconsPage, setTitles } from './icons-page.tsx';
import { LegibilityPage, WorstNote } from './legibility-page.tsx';
import { PointerPage } from './pointer-page.tsx';
import { TypePage } from './type-page.tsx';
import { pointerTitles } from '../../../../core/pointer/pointer.ts';

/** Type, icons, pointer and finish: what every part shares besides its colours. */
export default function LookChapter() {
  const page = useView((view) => view.page);
  const desk = useDesk((state) => state.history?.present);
  if (!desk) return null;
  const { look } = desk;
  if (page === 'type') return <TypePage look={look} />;
  if (page === 'icons') return <IconsPage look={look} />;
  if (page === 'pointer') return <PointerPage look={look} />;
  if (page === 'finish') return <FinishPage look={look} />;
  if (page === 'legibility') return <LegibilityPage />;
  if (page === 'findings') return <FindingsPage desk={desk} />;
  return (
    <>
      <Halves look={look} />
      <Section title="Made of">
        <PageLink page="type" icon={Type} title="Type" note={nameOfFamily(look)} />
        <PageLink
          page="icons"
          icon={Shapes}
          title="Icons"
          note={`${setTitles[look.icons.set]}, ${look.icons.tile === 'none' ? 'bare' : look.icons.tile}`}
        />
        <PageLink
          page="pointer"
          icon={MousePointer2}
          title="Pointer"
          note={pointerTitles[look.pointer.set]}
        />
        <PageLink page="finish" icon={Layers} title="Finish" note={look.finish.kind} />
      </Section>
      <Section title="Judged">
        <PageLink page="legibility" icon={ScanEye} title="Legibility" note={<WorstNote />} />
        <PageLink page="findings" icon={ListChecks} title="Findings" note={<FindingsNote desk={desk} />} />
      </Section>
      <Follow />
    </>
  );
}

function nameOfFamily({ fonts, ownFonts }: Look): string {
  const { family } = fonts.display;
  return isOwn(family) ? (ownFonts.find(({ id }) => id === family)?.name ?? '') : familyTitles[family];
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
