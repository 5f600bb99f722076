import {
  FlipHorizontal2,
  Layers,
  ListChecks,
  MousePointer2,
  ScanEye,
  Shapes,
  Shirt,
  Type,
} from 'lucide-react';
import type { Look } from '../../../../core/look/schema.ts';
import { Icons, toldIcons } from '../../../../core/icons/schema.ts';
import { kitKinds } from '../../../../core/desk/kits/kit.ts';
import { Pointer, pointerTitles } from '../../../../core/pointer/schema.ts';
import { FontUse } from '../../../../core/text/schema.ts';
import { familyTitles, isOwn } from '../../../../core/values/family.ts';
import { Finish } from '../../../../core/values/finish.ts';
import { later } from '../../../later.ts';
import type { Page } from '../chapter.ts';

const TypePage = later(async () => ({ default: (await import('./type-page.tsx')).TypePage }));
const IconsPage = later(async () => ({ default: (await import('./icons-page.tsx')).IconsPage }));
const PointerPage = later(async () => ({ default: (await import('./pointer-page.tsx')).PointerPage }));
const FinishPage = later(async () => ({ default: (await import('./finish-page.tsx')).FinishPage }));
const LegibilityPage = later(async () => ({
  default: (await import('./legibility-page.tsx')).LegibilityPage,
}));
const WorstNote = later(async () => ({ default: (await import('./legibility-page.tsx')).WorstNote }));
const FindingsPage = later(async () => ({ default: (await import('./findings-page.tsx')).FindingsPage }));
const KitsPage = later(() => import('../../kits/kits-page.tsx'));
const ComparePage = later(() => import('../../compare/compare-page.tsx'));
const FindingsNote = later(async () => ({ default: (await import('./findings-page.tsx')).FindingsNote }));

export const pages: readonly Page[] = [
  {
    id: 'kits',
    title: 'Kits',
    icon: Shirt,
    under: 'Worn whole',
    also: 'themes theme presets packs skins looks styles',
    fields: kitKinds.map(({ title }) => title),
    Body: KitsPage,
    note: ({ wears }) => wears?.name ?? 'none worn',
  },
  {
    id: 'compare',
    title: 'Compare',
    icon: FlipHorizontal2,
    under: 'Worn whole',
    also: 'difference diff before after split side by side versus',
    fields: ['With', 'Which', 'Seen'],
    Body: ComparePage,
  },
  {
    id: 'type',
    title: 'Type',
    icon: Type,
    under: 'Made of',
    also: 'font fonts typeface text',
    settings: [FontUse],
    Body: ({ desk }) => <TypePage look={desk.look} />,
    note: ({ look }) => nameOfFamily(look),
  },
  {
    id: 'icons',
    title: 'Icons',
    icon: Shapes,
    under: 'Made of',
    also: 'icon theme pack set',
    settings: [Icons],
    fields: ['Dark half'],
    Body: ({ desk }) => <IconsPage look={desk.look} />,
    note: ({ look: { icons } }) => toldIcons(icons),
  },
  {
    id: 'pointer',
    title: 'Pointer',
    icon: MousePointer2,
    under: 'Made of',
    also: 'cursor mouse',
    settings: [Pointer],
    Body: ({ desk }) => <PointerPage look={desk.look} />,
    note: ({ look }) => pointerTitles[look.pointer.set],
  },
  {
    id: 'finish',
    title: 'Finish',
    icon: Layers,
    under: 'Made of',
    also: 'transparency opacity blur corners rounded shadow glass',
    settings: [Finish],
    Body: ({ desk }) => <FinishPage look={desk.look} />,
    note: ({ look }) => look.finish.kind,
  },
  {
    id: 'legibility',
    title: 'Legibility',
    icon: ScanEye,
    under: 'Judged',
    also: 'contrast readable accessibility',
    fields: ['On the stage'],
    Body: LegibilityPage,
    note: () => <WorstNote />,
  },
  {
    id: 'findings',
    title: 'Findings',
    icon: ListChecks,
    under: 'Judged',
    also: 'check problems review warnings',
    Body: FindingsPage,
    note: (desk) => <FindingsNote desk={desk} />,
  },
];

function nameOfFamily({ fonts, ownFonts }: Look): string {
  const { family } = fonts.display;
  return isOwn(family) ? (ownFonts.find(({ id }) => id === family)?.name ?? '') : familyTitles[family];
}
