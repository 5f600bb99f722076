import clsx from 'clsx';
import { useEffect, useRef } from 'react';
import { Check } from 'lucide-react';
import type { Desk } from '../../../../core/desk/desk.ts';
import type { Finding, Rule } from '../../../../core/findings/finding.ts';
import { rules } from '../../../../core/findings/list.ts';
import { partOf } from '../../../../core/desk/parts.ts';
import { presentDesk, useDesk } from '../../../session/desk.ts';
import { useLegibility } from '../../../stores/legibility.ts';
import { useView } from '../../../stores/view.ts';
import { Section } from '../../../ui/section.tsx';
import { useFindings } from './use-findings.ts';
import { askForFinding, pointAtFinding, useFindingsView } from './view.ts';

/** Findings of one rule that are listed; the page of the rule has all of them. */
const MOST_LISTED = 12;

/** All that could be better on the desk, rule by rule, with what would mend it. */
export function FindingsPage({ desk }: { desk: Desk }) {
  const found = useFindings(desk);
  const failure = useLegibility((state) => state.failure);
  return (
    <>
      {failure && (
        <p role="alert" className="mb-3 text-[12px] text-rust">
          {failure}
        </p>
      )}
      {rules.map((rule) => (
        <RuleSection key={rule.id} rule={rule} findings={found.get(rule.id) ?? null} failure={failure} />
      ))}
    </>
  );
}

/** How much there is to look at, in a word. */
export function FindingsNote({ desk }: { desk: Desk }) {
  const found = useFindings(desk);
  const failure = useLegibility((state) => state.failure);
  const all = rules.map(({ id }) => found.get(id) ?? null);
  const count = all.reduce((sum, findings) => sum + (findings?.length ?? 0), 0);
  if (count > 0) return <span className="text-rust">{count}</span>;
  if (all.includes(null)) return failure ? 'not all looked at' : 'looking…';
  return <span className="text-moss">nothing</span>;
}

function RuleSection({
  rule,
  findings,
  failure,
}: {
  rule: Rule;
  findings: readonly Finding[] | null;
  /** Why texts could not be looked at. */
  failure: string | null;
}) {
  const { id, title, fine, page } = rule;
  const goThere = () => useView.getState().goToChapter(...page);
  return (
    <Section title={title} note={findings?.length ? String(findings.length) : undefined}>
      <div data-rule={id} className="grid gap-1.5">
        {!findings && <p className="text-dust">{failure ? 'Not looked at.' : 'Looking…'}</p>}
        {findings?.length === 0 && (
          <p className="flex items-center gap-1.5 text-dust">
            <Check size={14} className="shrink-0 text-moss" aria-hidden />
            {fine}
          </p>
        )}
        {findings?.slice(0, MOST_LISTED).map((finding) => (
          <FindingRow key={finding.key} finding={finding} onGo={goThere} />
        ))}
        {findings && findings.length > MOST_LISTED && (
          <button type="button" onClick={goThere} className="text-left text-brass hover:underline">
            and {findings.length - MOST_LISTED} more
          </button>
        )}
      </div>
    </Section>
  );
}

function FindingRow({ finding: { told, part, mends }, onGo }: { finding: Finding; onGo: () => void }) {
  const row = useRef<HTMLDivElement>(null);
  const isPointed = useFindingsView((view) => part !== null && view.part === part);
  const isAsked = useFindingsView((view) => part !== null && view.asked === part);
  useEffect(() => {
    // Of several lines the first is where one begins to read: it has taken what was asked for when the others look.
    if (!isAsked || useFindingsView.getState().asked === null) return;
    askForFinding(null);
    row.current?.querySelector('button')?.focus();
    row.current?.scrollIntoView({ block: 'center' });
  }, [isAsked]);
  return (
    <div
      ref={row}
      data-finding={part}
      className={clsx('rounded-lg px-2.5 py-2', isPointed ? 'bg-nap outline outline-rust' : 'bg-pit')}
      onPointerEnter={() => pointAtFinding(part)}
      onPointerLeave={() => pointAtFinding(null)}
      onFocus={() => pointAtFinding(part)}
      onBlur={() => pointAtFinding(null)}
    >
      <p className="leading-snug [overflow-wrap:anywhere]">{told}</p>
      <p className="mt-1 flex flex-wrap gap-x-3 text-[12px]">
        {mends.map(({ title, edit }) => (
          <button
            key={title}
            type="button"
            className="font-medium text-brass hover:underline"
            onClick={() => void useDesk.getState().edit(edit)}
          >
            {title}
          </button>
        ))}
        {part !== null && isPart(part) ? (
          <button
            type="button"
            className="text-dust hover:text-chalk hover:underline"
            onClick={() => useView.getState().select([part])}
          >
            Select it
          </button>
        ) : (
          <button type="button" className="text-dust hover:text-chalk hover:underline" onClick={onGo}>
            Go there
          </button>
        )}
      </p>
    </div>
  );
}

/** Windows and menus are judged too, and can't be selected. */
function isPart(id: string): boolean {
  const desk = presentDesk();
  return desk !== null && partOf(desk, id) !== null;
}
