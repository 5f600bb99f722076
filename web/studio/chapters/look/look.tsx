import { named } from '../../../../core/desk/edits/edit.ts';
import { Layers, MousePointer2, ScanEye, Shapes, Type } from 'lucide-react';
import { useState } from 'react';
import { toast } from '../../../ui/toast.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { strayParts } from '../../../../core/desk/edits/parts.ts';
import type { HalfBy, Look } from '../../../../core/look/schema.ts';
import { WallTime } from '../../../../core/values/earth.ts';
import { familyTitles, isOwn } from '../../../../core/values/family.ts';
import { useDesk } from '../../../session/desk.ts';
import { useHalf } from '../../../session/scene.ts';
import { useView } from '../../../stores/view.ts';
import { Button } from '../../../ui/buttons.tsx';
import { Row, Section } from '../../../ui/section.tsx';
import { Segmented } from '../../../ui/choice.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { PageLink } from '../../column/page-link.tsx';
import { FinishPage } from './finish-page.tsx';
import { IconsPage, setTitles } from './icons-page.tsx';
import { LegibilityPage, WorstNote } from './legibility-page.tsx';
import { PointerPage } from './pointer-page.tsx';
import { TypePage } from './type-page.tsx';
import { pointerTitles } from '../../../../core/pointer/pointer.ts';

/** Type, icons, pointer and finish: what every part shares besides its colours. */
export default function LookChapter() {
  const page = useView((view) => view.page);
  const look = useDesk((state) => state.history?.present.look);
  if (!look) return null;
  if (page === 'type') return <TypePage look={look} />;
  if (page === 'icons') return <IconsPage look={look} />;
  if (page === 'pointer') return <PointerPage look={look} />;
  if (page === 'finish') return <FinishPage look={look} />;
  if (page === 'legibility') return <LegibilityPage />;
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
function Halves({ look: { half } }: { look: Look }) {
  const { edit } = useDesk.getState();
  const now = useHalf();
  const [error, setError] = useState<string | null>(null);
  const set = (next: HalfBy) => edit(named('When it is light', edits.setHalf(next)));
  const check = (text: string) =>
    WallTime.safeParse(text.trim()).success ? null : `“${text}” is not a time of day, such as 07:30.`;
  return (
    <Section title="Halves" note={`${now} now`}>
      <Segmented
        label="Light and dark"
        value={half.by === 'choice' ? half.half : half.by}
        choices={[
          { value: 'light', label: 'Light' },
          { value: 'dark', label: 'Dark' },
          { value: 'sun', label: 'By the sun' },
          { value: 'hours', label: 'By hours' },
        ]}
        onChange={(by) =>
          set(
            by === 'sun'
              ? { by }
              : by === 'hours'
                ? { by, light: '07:00', dark: '19:00' }
                : { by: 'choice', half: by as 'light' | 'dark' },
          )
        }
      />
      {half.by === 'hours' && (
        <Row label="Light from" error={error}>
          <TextField
            label="Light from"
            value={half.light}
            className="font-mono"
            check={check}
            onError={setError}
            onChange={(light) => set({ ...half, light: light.trim() })}
          />
          <span className="text-dust">to</span>
          <TextField
            label="Dark from"
            value={half.dark}
            className="font-mono"
            check={check}
            onError={setError}
            onChange={(dark) => set({ ...half, dark: dark.trim() })}
          />
        </Row>
      )}
      {half.by === 'sun' && (
        <p className="text-[12px] text-dust">Light while the sun is up where the desk is.</p>
      )}
    </Section>
  );
}

/** How many parts go their own way, and the press that brings them back. */
function Follow() {
  const desk = useDesk((state) => state.history?.present);
  const { edit, undo } = useDesk.getState();
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
          onClick={() => {
            edit(edits.followAll());
            toast('Every part follows the desk.', { action: { label: 'Undo', onClick: undo } });
          }}
        >
          Make all follow
        </Button>
      </div>
    </Section>
  );
}
