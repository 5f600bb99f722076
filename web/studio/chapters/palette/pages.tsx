import { ArrowLeftRight, Eye, SquareTerminal } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Look } from '../../../../core/look/schema.ts';
import { useLookNow } from '../../../session/scene.ts';
import { later } from '../../../later.ts';
import type { Page } from '../chapter.ts';

const TerminalPage = later(async () => ({ default: (await import('./terminal-page.tsx')).TerminalPage }));
const ExchangePage = later(async () => ({ default: (await import('./exchange-page.tsx')).ExchangePage }));
const EyesPage = later(async () => ({ default: (await import('./eyes-page.tsx')).EyesPage }));

/** Whatever the palette follows, its pages are of the colours that are seen. */
function Now({ children }: { children: (look: Look) => ReactNode }) {
  const look = useLookNow();
  return look && children(look);
}

export const pages: readonly Page[] = [
  {
    id: 'terminal',
    title: 'Terminal',
    icon: SquareTerminal,
    under: 'Then',
    also: 'ansi console colors',
    Body: () => <Now>{(look) => <TerminalPage look={look} />}</Now>,
    note: () => 'sixteen colours',
  },
  {
    id: 'exchange',
    title: 'Out and in',
    icon: ArrowLeftRight,
    under: 'Then',
    also: 'import export theme files',
    Body: () => <Now>{(look) => <ExchangePage look={look} />}</Now>,
    note: () => 'tokens, CSS, GPL, X',
  },
  {
    id: 'eyes',
    title: 'Other eyes',
    icon: Eye,
    under: 'Then',
    also: 'colour blindness color blind vision',
    Body: () => <Now>{(look) => <EyesPage look={look} />}</Now>,
  },
];
