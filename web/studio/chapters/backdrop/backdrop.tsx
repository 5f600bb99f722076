import { useView } from '../../../stores/view.ts';
import { PageLinks } from '../../column/page-link.tsx';
import { pages } from './pages.tsx';
import { RotationEditor } from './rotation-editor.tsx';
import { SourceEditor } from './source-editor.tsx';
import { editSource, useBackdrop } from './use-backdrop.ts';
import { Where } from './where.tsx';

/** What lies behind everything. */
export default function BackdropChapter() {
  const entry = useView((view) => view.spot);
  const backdrop = useBackdrop();
  if (!backdrop) return null;
  const edited = editSource(backdrop, entry);
  if (entry !== null && edited) return <SourceEditor backdrop={backdrop} edited={edited} isEntry />;
  return (
    <>
      <Where backdrop={backdrop} />
      {backdrop.source.kind === 'rotation' ? (
        <RotationEditor backdrop={backdrop} rotation={backdrop.source} />
      ) : (
        edited && <SourceEditor backdrop={backdrop} edited={edited} />
      )}
      <PageLinks pages={pages} />
    </>
  );
}
