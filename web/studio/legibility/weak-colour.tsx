import clsx from 'clsx';
import { Check, TriangleAlert } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { enough, type Judgement } from '../../../core/legibility/judge.ts';
import { useJudging, useLegibility } from '../../stores/legibility.ts';
import { Mends } from './mends.tsx';

/**
 * A sign beside a colour that a person chose, where texts in it are hard to read; it opens what would mend them, and says
 * so once they are mended.
 */
export function WeakColour({ part, item, colour }: { part: string; item: string | null; colour: string }) {
  useJudging();
  // What is opened stays what it is about, while another colour is only shown for what is pointed at.
  const [opened, setOpened] = useState<Judgement | null>(null);
  const [wasWeak, setWasWeak] = useState(false);
  // The weakest comes first.
  const now = useLegibility(({ judgements }) =>
    judgements?.find((one) => one.part === part && one.item === item && one.isShown && one.colour === colour),
  );
  const worst = opened ?? now;
  const isWeak = worst !== undefined && enough(worst) < 1;
  if (isWeak && !wasWeak) setWasWeak(true);
  if (!wasWeak) return null;
  const ratio = worst && `${worst.contrast.toFixed(1)}:1, needs ${worst.needs}:1`;
  const verdict = !worst ? 'Looking again…' : isWeak ? 'Hard to read' : 'Reads well';
  return (
    <Popover.Root
      open={opened !== null}
      onOpenChange={(isOpen) => setOpened(isOpen && isWeak ? worst : null)}
    >
      <Popover.Trigger
        aria-label={
          isWeak ? `Hard to read: ${ratio}. What would mend it` : `${verdict}${ratio ? `: ${ratio}` : ''}`
        }
        className={clsx(
          'mt-1.5 inline-flex items-center gap-1.5 whitespace-nowrap rounded text-[12px]',
          !worst ? 'text-dust' : isWeak ? 'text-rust hover:underline' : 'text-moss',
        )}
      >
        {isWeak ? <TriangleAlert size={13} /> : <Check size={13} />} {verdict}
        <span className="font-mono">{worst && `${worst.contrast.toFixed(1)}:1`}</span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="right"
          align="start"
          sideOffset={12}
          collisionPadding={12}
          aria-label="What would mend it"
          className="z-50 max-h-(--radix-popover-content-available-height) w-72 overflow-y-auto rounded-xl border border-seam bg-nap p-2 py-3 shadow-2xl outline-none"
        >
          {worst && <Mends judgement={worst} onDone={() => setOpened(null)} />}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
