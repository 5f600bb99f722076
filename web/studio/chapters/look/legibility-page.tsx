import { menuKeys, menuTitles, type MenuKey } from '../../../../core/menus/schema.ts';
import { idOfMenu } from '../../../../core/scene/menus/hanging.ts';
import { showLegibility, useLegibilityShown } from './view.ts';
import clsx from 'clsx';
import { ChevronDown } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { enough, type Judgement } from '../../../../core/legibility/judge.ts';
import { partOf } from '../../../../core/desk/parts.ts';
import { useConditions } from '../../../session/conditions.ts';
import { presentDesk, useDesk } from '../../../session/desk.ts';
import { nameOfPart } from '../../../../core/desk/part-names.ts';
import { useJudging, useLegibility } from '../../../stores/legibility.ts';
import { keyOf, Mends } from '../../legibility/mends.tsx';
import { Section } from '../../../ui/section.tsx';
import { SwitchField } from '../../../ui/choice.tsx';

/** `worst 3.2:1, needs 4.5` of the weakest text, for a row. */
export function WorstNote() {
  useJudging();
  const worst = useLegibility((state) => state.judgements?.[0]);
  if (!worst) return 'looking…';
  return (
    <span className={enough(worst) < 1 ? 'text-rust' : 'text-moss'}>
      worst {worst.contrast.toFixed(1)}:1, needs {worst.needs}
    </span>
  );
}

/** Of a menu whose texts can be read, the weakest says enough. */
function worthListing(judgements: readonly Judgement[]): readonly Judgement[] {
  const seen = new Set<string>();
  return judgements.filter((one) => {
    if (!menuOf(one.part) || enough(one) < 1) return true;
    return !seen.has(one.part) && seen.add(one.part);
  });
}

function menuOf(part: string): MenuKey | undefined {
  return menuKeys.find((key) => idOfMenu(key) === part);
}

/** Of each half, the weakest that are listed. */
const MOST_ROWS = 40;

/** Every text of the desk against the pixels beneath it, the weakest first. */
export function LegibilityPage() {
  useJudging();
  const judgements = useLegibility((state) => state.judgements);
  const failure = useLegibility((state) => state.failure);
  const isBusy = useLegibility((state) => state.isBusy);
  const shows = useLegibilityShown(({ isShown }) => isShown);
  const [chosen, setChosen] = useState<string | null>(null);
  const half = useDesk((state) => state.history?.present.look.half);
  const shown = judgements?.filter(({ isShown }) => isShown) ?? [];
  const unshown = judgements?.filter(({ isShown }) => !isShown) ?? [];
  const weak = shown.filter((one) => enough(one) < 1);
  const row = (one: Judgement) => {
    const key = keyOf(one);
    return (
      <JudgementRow
        key={key}
        judgement={one}
        isOpen={chosen === key}
        onOpen={() => setChosen(chosen === key ? null : key)}
      />
    );
  };
  return (
    <>
      <SwitchField label="On the stage" value={shows} onChange={(isOn) => showLegibility(isOn)} />
      {failure && (
        <p role="alert" className="text-[12px] text-rust">
          {failure}
        </p>
      )}
      <Section
        title={
          !judgements
            ? 'Looking…'
            : weak.length === 0
              ? 'Every text can be read'
              : `${weak.length} of ${shown.length} hard to read`
        }
        note={<span aria-busy={isBusy}>{isBusy ? 'looking again…' : 'weakest twentieth'}</span>}
      >
        {judgements?.length === 0 && <p className="text-dust">There is no text on the desk.</p>}
        {worthListing(shown).slice(0, MOST_ROWS).map(row)}
      </Section>
      {unshown.length > 0 && <Unshown judgements={unshown} row={row} />}
      <p className="mt-3 text-[12px] text-dust">
        Measured over every backdrop of a rotation{half?.by === 'choice' ? '' : ' and in both halves'}, with
        the finish laid over the pixels.
      </p>
    </>
  );
}

/** What a half would be like that the desk, as it is, is never in: counted apart, and folded away. */
function Unshown({
  judgements,
  row,
}: {
  judgements: readonly Judgement[];
  row: (one: Judgement) => ReactNode;
}) {
  const [isOpen, setOpen] = useState(false);
  const weak = judgements.filter((one) => enough(one) < 1).length;
  return (
    <section className="mt-5" aria-label="The half that is never shown">
      <button
        type="button"
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
        className="flex w-full items-start gap-2 rounded-lg bg-pit px-2.5 py-2 text-left text-dust hover:text-chalk"
      >
        <span className="min-w-0 flex-1">
          The {judgements[0]?.half} half is never shown: the desk is fixed to the other one.{' '}
          {weak === 0 ? 'Every text could be read there.' : `There ${weak} of ${judgements.length} are weak.`}
        </span>
        <ChevronDown
          size={14}
          className={clsx('mt-0.5 shrink-0 transition-transform', isOpen && 'rotate-180')}
        />
      </button>
      {isOpen && worthListing(judgements).slice(0, MOST_ROWS).map(row)}
    </section>
  );
}

/** `clock (serif), in the dark half` */
function whereIs({ part, half }: Judgement): string {
  const desk = presentDesk();
  const found = desk && partOf(desk, part);
  const menu = menuOf(part);
  const isWindow = useConditions.getState().windows.some(({ id }) => id === part);
  const other = isWindow ? 'a window' : 'a part';
  const name = menu ? `the ${menuTitles[menu].toLowerCase()}` : found ? nameOfPart(found) : other;
  return `${name.replace(/^the /, '')}, in the ${half} half`;
}

function JudgementRow({
  judgement,
  isOpen,
  onOpen,
}: {
  judgement: Judgement;
  isOpen: boolean;
  onOpen: () => void;
}) {
  const isFine = enough(judgement) >= 1;
  return (
    <div className={clsx('rounded-lg', isOpen && 'bg-nap pb-2')} data-judged={isFine ? 'fine' : 'weak'}>
      <button
        type="button"
        aria-expanded={isOpen}
        onClick={onOpen}
        className="flex min-h-8 w-full items-center gap-2 rounded-lg px-2 text-left hover:bg-nap"
      >
        <span className="min-w-0 flex-1 py-0.5" title={judgement.text}>
          <span className="block truncate">{judgement.text}</span>
          <span className="block text-[12px] leading-snug text-dust">
            {whereIs(judgement)}
            {judgement.isTold && ', while pointed at'}
          </span>
        </span>
        <span className={clsx('shrink-0 font-mono text-[12px]', isFine ? 'text-moss' : 'text-rust')}>
          {judgement.contrast.toFixed(1)}:1
        </span>
        <span className="w-11 shrink-0 text-right font-mono text-[12px] text-dust">of {judgement.needs}</span>
      </button>
      {isOpen && <Mends judgement={judgement} />}
    </div>
  );
}
