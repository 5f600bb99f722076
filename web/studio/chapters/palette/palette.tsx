import { edits } from '../../../../core/desk/edits/edits.ts';
import { roles as roleNames } from '../../../../core/values/roles.ts';
import { useDesk } from '../../../session/desk.ts';
import { useHalf, useLookNow } from '../../../session/scene.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { SwitchField } from '../../../ui/choice.tsx';
import { Section } from '../../../ui/section.tsx';
import { PageLinks } from '../../column/page-link.tsx';
import { Draw } from './draw.tsx';
import { HalfChoice } from './half-choice.tsx';
import { RoleRow } from './role-row.tsx';
import { pages } from './pages.tsx';

/** One palette, bound everywhere. */
export default function PaletteChapter() {
  const half = useHalf();
  const look = useLookNow();
  const { edit } = useDesk.getState();
  const drawn = useScreenInView()?.backdrop.drawn;
  if (!look || !drawn) return null;
  return (
    <>
      <HalfChoice />
      <div className="mt-5" />
      <Draw drawn={drawn} look={look} />
      <Section title="Roles" note={`${half} half`}>
        <SwitchField
          label="Both halves"
          spoken="Change both halves: the other half takes the same step"
          value={!look.parted}
          onChange={(isTogether) => edit(edits.partHalves(!isTogether))}
        />
        {roleNames.map((role) => (
          <RoleRow key={`${half} ${role}`} role={role} half={half} look={look} />
        ))}
        <p className="text-[12px] text-dust">
          Ink is moved lighter or darker wherever it would fall under 4.5 to 1.
        </p>
      </Section>
      <PageLinks pages={pages} />
    </>
  );
}
