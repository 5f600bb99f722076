import { ArrowLeftRight, Eye, SquareTerminal } from 'lucide-react';
import { later } from '../../../later.ts';
import type { Page } from '../chapter.ts';

const TerminalPage = later(async () => ({ default: (await import('./terminal-page.tsx')).TerminalPage }));
const ExchangePage = later(async () => ({ default: (await import('./exchange-page.tsx')).ExchangePage }));
const EyesPage = later(async () => ({ default: (await import('./eyes-page.tsx')).EyesPage }));

export const pages: readonly Page[] = [
  {
    id: 'terminal',
    title: 'Terminal',
    icon: SquareTerminal,
    under: 'Then',
    also: 'ansi console colors',
    Body: ({ desk }) => <TerminalPage look={desk.look} />,
    note: () => 'sixteen colours',
  },
  {
    id: 'exchange',
    title: 'Out and in',
    icon: ArrowLeftRight,
    under: 'Then',
    also: 'import export theme files',
    Body: ({ desk }) => <ExchangePage look={desk.look} />,
    note: () => 'tokens, CSS, GPL, X',
  },
  {
    id: 'eyes',
    title: 'Other eyes',
    icon: Eye,
    under: 'Then',
    also: 'colour blindness color blind vision',
    Body: ({ desk }) => <EyesPage look={desk.look} />,
  },
];
