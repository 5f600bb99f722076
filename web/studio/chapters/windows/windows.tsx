import { useDesk } from '../../../session/desk.ts';
import { PageLinks } from '../../column/page-link.tsx';
import { ReadyLooks } from '../../ready/ready-looks.tsx';
import { OpenWindows } from './open-windows.tsx';
import { Section } from '../../../ui/section.tsx';
import { openSomeIfNone } from './open-some.ts';
import { pages } from './pages.tsx';

/** Windows: what frames them, where they go, and what stands around them. */
export default function WindowsChapter() {
  const desk = useDesk((state) => state.history?.present);
  if (!desk) return null;
  return (
    <>
      <OpenWindows desk={desk} />
      <Section title="Frames" note="title, line, buttons">
        <ReadyLooks topic="frame" target={{ by: 'windows' }} onOpen={openSomeIfNone} />
      </Section>
      <PageLinks pages={pages} />
    </>
  );
}
