import { ArrowLeftRight, Eye, SquareTerminal } from 'lucide-react';
import { roles as roleNames } from '../../../../core/values/roles.ts';
import { useDesk } from '../../../session/desk.ts';
import { useHalf } from '../../../session/scene.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { useView } from '../../../stores/view.ts';
import { Section } from '../../../ui/section.tsx';
import { PageLink } from '../../column/page-link.tsx';
import { Draw } from './draw.tsx';
import { ExchangePage } from './exchange-page.tsx';
import { HalfChoice } from './half-choice.tsx';
import { EyesPage } from './eyes-page.tsx';
import { RoleRow } from './role-row.tsx';
import { TerminalPage } from './terminal-page.tsx';

/** One palette, bound everywhere. */
export default function PaletteChapter() {
  const page = useView((view) => view.page);
  const half = useHalf();
  const look = useDesk((state) => state.history?.present.look);
  const drawn = useScreenInView()?.backdrop.drawn;
  if (!look || !drawn) return null;
  if (page === 'terminal') return <TerminalPage half={half} look={look} />;
  if (page === 'exchange') return <ExchangePage half={half} look={look} />;
  if (page === 'eyes') return <EyesPage half={half} look={look} />;
  return (
    <>
      <HalfChoice />
      <div className="mt-5" />
      <Draw drawn={drawn} />
      <Section title="Roles" note={`${half} half`}>
        {roleNames.map((role) => (
          <RoleRow key={`${half} ${role}`} role={role} half={half} look={look} />
        ))}
        <p className="text-[12px] text-dust">
          Ink is moved lighter or darker wherever it would fall under 4.5 to 1.
        </p>
      </Section>
      <Section title="Then">
        <PageLink page="terminal" icon={SquareTerminal} title="Terminal" note="sixteen colours" />
        <PageLink page="exchange" icon={ArrowLeftRight} title="Out and in" note="tokens, CSS, GPL, X" />
        <PageLink page="eyes" icon={Eye} title="Other eyes" />
      </Section>
    </>
  );
}
