import { HardDriveDownload, SlidersHorizontal } from 'lucide-react';
import { isNeutral } from '../../../../core/backdrop/drawn.ts';
import { Adjust } from '../../../../core/backdrop/schema.ts';
import { later } from '../../../later.ts';
import type { Page } from '../chapter.ts';
import { useBackdrop } from './use-backdrop.ts';

const AdjustPage = later(async () => ({ default: (await import('./adjust-page.tsx')).AdjustPage }));
const ExportPage = later(async () => ({ default: (await import('./export-page.tsx')).ExportPage }));

export const pages: readonly Page[] = [
  {
    id: 'adjust',
    title: 'Adjust',
    icon: SlidersHorizontal,
    under: 'Then',
    also: 'blur brightness contrast darken tint grain filter presets negative invert',
    settings: [Adjust],
    Body: AdjustPage,
    note: () => <AdjustNote />,
  },
  {
    id: 'export',
    title: 'Bake and export',
    icon: HardDriveDownload,
    under: 'Then',
    also: 'save download render wallpaper png jpeg',
    fields: ['Format', 'All screens', 'Both halves', 'Whole rotation'],
    Body: ExportPage,
    note: () => 'as a picture',
  },
];

function AdjustNote() {
  const backdrop = useBackdrop();
  return backdrop && !isNeutral(backdrop.adjust) ? 'adjusted' : 'as it is';
}
