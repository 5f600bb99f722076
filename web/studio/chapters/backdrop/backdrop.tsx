import { HardDriveDownload, SlidersHorizontal } from 'lucide-react';
import { isNeutral } from '../../../../core/backdrop/drawn.ts';
import { useView } from '../../../stores/view.ts';
import { Section } from '../../../ui/section.tsx';
import { PageLink } from '../../column/page-link.tsx';
import { AdjustPage } from './adjust-page.tsx';
import { ExportPage } from './export-page.tsx';
import { RotationEditor } from './rotation-editor.tsx';
import { SourceEditor } from './source-editor.tsx';
import { editSource, useBackdrop } from './use-backdrop.ts';
import { Where } from './where.tsx';

/** What lies behind everything. */
export default function BackdropChapter() {
  const page = useView((view) => view.page);
  const entry = useView((view) => view.spot);
  const backdrop = useBackdrop();
  if (!backdrop) return null;
  if (page === 'adjust') return <AdjustPage backdrop={backdrop} />;
  if (page === 'export') return <ExportPage />;
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
      <Section title="Then">
        <PageLink
          page="adjust"
          icon={SlidersHorizontal}
          title="Adjust"
          note={isNeutral(backdrop.adjust) ? 'as it is' : 'adjusted'}
        />
        <PageLink page="export" icon={HardDriveDownload} title="Bake and export" note="as a picture" />
      </Section>
    </>
  );
}
