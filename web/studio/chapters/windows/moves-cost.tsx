import type { WindowMoves } from '../../../../core/windows/schema.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { Section } from '../../../ui/section.tsx';

const titles: Readonly<Record<keyof WindowMoves, string>> = {
  opens: 'Opening',
  minimises: 'Minimising',
  fills: 'Filling',
  closes: 'Closing',
};

/** Frames of a screen that shows sixty a second. */
const PER_MS = 60 / 1000;

/** What each move costs: frames that are put together, and how much of the screen each paints. */
export function MovesCost({ moves }: { moves: WindowMoves }) {
  const screen = useScreenInView();
  const front = screen?.windows.list.at(-1);
  if (!screen) return null;
  const share = front
    ? (front.rect.width * front.rect.height) / (screen.rect.width * screen.rect.height)
    : null;
  return (
    <Section title="What it costs" note="none where motion is reduced">
      {(Object.keys(titles) as (keyof WindowMoves)[]).map((key) => {
        const { way, ms } = moves[key];
        const frames = way === 'none' ? 0 : Math.round(ms * PER_MS);
        return (
          <p key={key} className="flex justify-between text-[13px]">
            <span>{titles[key]}</span>
            <span className="font-mono text-[12px] text-dust">
              {frames === 0 ? 'nothing' : `${frames} frames`}
              {frames > 0 && key === 'fills' && ', laid anew'}
            </span>
          </p>
        );
      })}
      {share !== null && (
        <p className="text-[12px] text-dust">
          The front window covers {Math.round(share * 100)} % of the screen
          {front && front.surface.blur > 0 ? '; what lies beneath it is blurred anew in each frame.' : '.'}
        </p>
      )}
    </Section>
  );
}
