import clsx from 'clsx';
import { eyesTitles } from '../../../../core/colour/eyes.ts';
import { paletteOf } from '../../../../core/colour/look.ts';
import type { Desk } from '../../../../core/desk/desk.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { palettesOf } from '../../../../core/findings/front/front.ts';
import {
  ALIKE,
  AT_A_GLANCE,
  cueTitles,
  differences,
  leastDifference,
  toldApart,
} from '../../../../core/windows/difference.ts';
import { useDesk } from '../../../session/desk.ts';
import { useHalf } from '../../../session/scene.ts';
import { Button } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';

function verdict(by: number): string {
  if (by >= AT_A_GLANCE) return 'at a glance';
  return by >= ALIKE ? 'at a look' : 'hardly';
}

/** How well the front window is told from the others by whoever sees least of it. */
export function DifferenceNote({ desk }: { desk: Desk }) {
  const least = leastDifference(desk.windows, palettesOf(desk));
  return <span className={least >= AT_A_GLANCE ? 'text-moss' : 'text-rust'}>told {verdict(least)}</span>;
}

/** The same for each kind of eyes, in the half that is looked at, with what would mend it. */
export function DifferenceSection({ desk }: { desk: Desk }) {
  const half = useHalf();
  const { edit } = useDesk.getState();
  const { windows, look } = desk;
  const mended = toldApart(windows, palettesOf(desk));
  return (
    <Section title="The front one is told" note={`${half} half`}>
      <ul className="grid gap-2">
        {differences(windows, paletteOf(look.roles[half])).map(({ eyes, by, cue }) => (
          <li key={eyes} className="grid grid-cols-[1fr_auto_48px] items-baseline gap-3 text-[13px]">
            <span className="leading-snug">
              {eyes === 'usual' ? 'Usual eyes' : eyesTitles[eyes]}
              <span className="block text-[12px] text-dust">by {cueTitles[cue]}</span>
            </span>
            <span className={clsx('text-[12px]', by >= AT_A_GLANCE ? 'text-moss' : 'text-rust')}>
              {verdict(by)}
            </span>
            <span className="text-right font-mono tabular-nums" title="ΔE OK × 100">
              {Math.floor(by)}
            </span>
          </li>
        ))}
      </ul>
      {mended && (
        <div>
          <Button
            onClick={() => edit(named('Tell the front window apart', edits.setWindows('behind', mended)))}
          >
            Tell it apart at a glance
          </Button>
        </div>
      )}
    </Section>
  );
}
