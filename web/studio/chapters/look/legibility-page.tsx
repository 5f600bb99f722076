import { menuKeys, menuTitles, type MenuKey } from '../../../../core/menus/schema.ts';
import { idOfMenu } from '../../../../core/scene/menus/hanging.ts';
import { showLegibility, useLegibilityShown } from './view.ts';
import clsx from 'clsx';
import { ChevronDown, Wand } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { enough, type Judgement } from '../../../../core/legibility/judge.ts';
import { partOf } from '../../../../core/desk/parts.ts';
import { useConditions } from '../../../session/conditions.ts';
import { presentDesk, useDesk } from '../../../session/desk.ts';
import { nameOfPart } from '../../../../core/desk/part-names.ts';
import { findAllMends, useJudging, useLegibility } from '../../../stores/legibility.ts';
import { together } from '../../../../core/desk/edits/edit.ts';
import { Button } from '../../../ui/buttons.tsx';
import { toast } from '../../../ui/toast.ts';
import { editAndSay } from '../../../session/said-undo.ts';
import { editOfMend, keyOf, Mends } from '../../legibility/mends.tsx';
import { Section } from '../../../ui/section.tsx';
import { SwitchField } from '../../../ui/choice.tsx';

/** `worst 3.2:1, needs 4.5` of the weakest text, for a row. */
export function WorstNote() {
  useJudging();
  const worst = useLegibility((state) => (state.isBusy ? null : state.judgements?.[0]));
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

/** Rows that are listed of what is weak, and of what reads well. */
const MOST_ROWS = 40;

/** Every text, sign and mark of the desk against the pixels beneath it, part by part, the weakest first. */
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
  const fine = worthListing(shown.filter((one) => enough(one) >= 1));
  const row = (one: Judgement) => {
    const key = keyOf(one);
    return (
      <JudgementRow
        key={key}
        judgement={one}
        isStale={isBusy}
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
            : isBusy
              ? 'Looking again…'
              : weak.length === 0
                ? 'Everything can be read'
                : `${weak.length} of ${shown.length} hard to read`
        }
        note={<span aria-busy={isBusy}>weakest twentieth</span>}
      >
        {judgements?.length === 0 && <p className="text-dust">There is nothing to read on the desk.</p>}
        {weak.length > 0 && <MendAll isStale={isBusy} />}
        <ByPart judgements={weak.slice(0, MOST_ROWS)} row={row} />
        {weak.length > MOST_ROWS && <p className="px-2 text-dust">and {weak.length - MOST_ROWS} more</p>}
      </Section>
      {fine.length > 0 && (
        <Folded title={`${shown.length - weak.length} read well`}>
          {() => <ByPart judgements={fine.slice(0, MOST_ROWS)} row={row} />}
        </Folded>
      )}
      {unshown.length > 0 && <Unshown judgements={unshown} row={row} />}
      <p className="mt-3 text-[12px] text-dust">
        Texts, signs and marks, measured over every backdrop of a rotation
        {half?.by === 'choice' ? '' : ' and in both halves'}, with the finish laid over the pixels.
      </p>
    </>
  );
}

/** Parts, the one with the weakest first, each with what is on it. */
function ByPart({
  judgements,
  row,
}: {
  judgements: readonly Judgement[];
  row: (one: Judgement) => ReactNode;
}) {
  const parts = [...new Set(judgements.map(({ part }) => part))];
  return parts.map((part) => {
    const name = nameOf(part);
    return (
      <section key={part} aria-label={name} className="mb-1.5">
        <h4 className="px-2 pt-1 text-[12px] text-dust first-letter:uppercase">{name}</h4>
        {judgements.filter((one) => one.part === part).map(row)}
      </section>
    );
  });
}

/** Mends all that is hard to read with the least changes that suffice: one step. */
function MendAll({ isStale }: { isStale: boolean }) {
  const [isTrying, setTrying] = useState(false);
  async function mend() {
    setTrying(true);
    try {
      const { mends, left } = await findAllMends();
      const rest = left > 0 ? ` ${left} still hard to read: no single change is enough.` : '';
      if (mends.length === 0) toast.warning(`Nothing was changed.${rest}`);
      else if (
        !editAndSay(
          together('Mend what is hard to read', mends.map(editOfMend)),
          `${countOf(mends)} mended.${rest}`,
        )
      )
        toast.warning('The desk has changed meanwhile: nothing was mended.');
    } finally {
      setTrying(false);
    }
  }
  return (
    <Button className="mb-1 justify-self-start" disabled={isStale || isTrying} onClick={() => void mend()}>
      <Wand size={15} /> {isTrying ? 'Trying what would help…' : 'Mend all'}
    </Button>
  );
}

const countOf = ({ length }: readonly unknown[]) => (length === 1 ? 'One thing is' : `${length} things are`);

function Folded({ title, children }: { title: string; children: () => ReactNode }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <section className="mt-4" aria-label={title}>
      <button
        type="button"
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
        className="flex w-full items-start gap-2 rounded-lg bg-pit px-2.5 py-2 text-left text-dust hover:text-chalk"
      >
        <span className="min-w-0 flex-1">{title}</span>
        <ChevronDown
          size={14}
          className={clsx('mt-0.5 shrink-0 transition-transform', isOpen && 'rotate-180')}
        />
      </button>
      {isOpen && children()}
    </section>
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
  const weak = judgements.filter((one) => enough(one) < 1).length;
  const told =
    weak === 0 ? 'Everything could be read there.' : `There ${weak} of ${judgements.length} are weak.`;
  return (
    <Folded title={`The ${judgements[0]?.half} half is never shown as the desk is now. ${told}`}>
      {() => <ByPart judgements={worthListing(judgements).slice(0, MOST_ROWS)} row={row} />}
    </Folded>
  );
}

/** `clock (serif)` */
function nameOf(part: string): string {
  const desk = presentDesk();
  const found = desk && partOf(desk, part);
  const menu = menuOf(part);
  const isWindow = useConditions.getState().windows.some(({ id }) => id === part);
  const other = isWindow ? 'a window' : 'a part';
  const name = menu ? `the ${menuTitles[menu].toLowerCase()}` : found ? nameOfPart(found) : other;
  return name.replace(/^the /, '');
}

function JudgementRow({
  judgement,
  isStale,
  isOpen,
  onOpen,
}: {
  judgement: Judgement;
  /** The desk has changed since. */
  isStale: boolean;
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
            {judgement.half} half
            {judgement.isTold && ', while pointed at'}
          </span>
        </span>
        <span
          className={clsx(
            'shrink-0 font-mono text-[12px]',
            isStale ? 'text-dust' : isFine ? 'text-moss' : 'text-rust',
          )}
        >
          {isStale ? '…' : `${judgement.contrast.toFixed(1)}:1`}
        </span>
        <span className="w-11 shrink-0 text-right font-mono text-[12px] text-dust">of {judgement.needs}</span>
      </button>
      {isOpen && !isStale && <Mends judgement={judgement} />}
    </div>
  );
}
