import { useDesk } from '../../../session/desk.ts';
import { PageLinks } from '../../column/page-link.tsx';
import { OpenWindows } from './open-windows.tsx';
import { pages } from './pages.tsx';

/** Windows: what frames them, where they go, and what stands around them. */
export default function WindowsChapter() {
  const desk = useDesk((state) => state.history?.present);
  if (!desk) return null;
  return (
    <>
      <OpenWindows desk={desk} />
      <PageLinks pages={pages} />
    </>
  );
}
