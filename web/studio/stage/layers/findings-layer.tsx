import clsx from 'clsx';
import type { Desk } from '../../../../core/desk/desk.ts';
import type { Finding } from '../../../../core/findings/finding.ts';
import { partsOn } from '../../../../core/scene/parts.ts';
import type { SceneScreen } from '../../../../core/scene/scene.ts';
import { useDesk } from '../../../session/desk.ts';
import { useFindings } from '../../chapters/look/use-findings.ts';
import { askForFinding, pointAtFinding, useFindingsView } from '../../chapters/look/view.ts';

/** Marks every part of a screen of which something was found, while findings are listed; a mark leads to its line. */
export function FindingsLayer({ screen, scale }: { screen: SceneScreen; scale: number }) {
  const desk = useDesk((state) => state.history?.present);
  return desk ? <Marks desk={desk} screen={screen} scale={scale} /> : null;
}

function Marks({ desk, screen, scale }: { desk: Desk; screen: SceneScreen; scale: number }) {
  const found = useFindings(desk);
  const pointed = useFindingsView(({ part }) => part);
  const ofPart = byPart([...found.values()].flatMap((findings) => findings ?? []));
  return (
    <div className="pointer-events-none absolute inset-0" data-findings>
      {partsOn(screen).map(({ id, rect }) => {
        const findings = ofPart.get(id);
        if (!findings) return null;
        return (
          <div
            key={id}
            className={clsx(
              'absolute rounded-md border-2 border-rust',
              pointed === id ? 'bg-rust/20' : 'border-dashed',
            )}
            style={{
              left: rect.x * scale,
              top: rect.y * scale,
              width: rect.width * scale,
              height: rect.height * scale,
            }}
          >
            <button
              type="button"
              data-finding-mark={id}
              aria-label={`${findings.length === 1 ? 'One finding' : `${findings.length} findings`}: ${findings[0]?.told}`}
              title={findings.map(({ told }) => told).join('\n')}
              className="pointer-events-auto absolute -right-3 -top-3 grid size-6 place-items-center rounded-full bg-rust font-mono text-[12px] text-on-brass"
              onPointerEnter={() => pointAtFinding(id)}
              onPointerLeave={() => pointAtFinding(null)}
              onClick={() => askForFinding(id)}
            >
              {findings.length}
            </button>
          </div>
        );
      })}
    </div>
  );
}

function byPart(findings: readonly Finding[]): ReadonlyMap<string, readonly Finding[]> {
  const found = new Map<string, Finding[]>();
  for (const finding of findings) {
    if (finding.part === null) continue;
    const known = found.get(finding.part);
    if (known) known.push(finding);
    else found.set(finding.part, [finding]);
  }
  return found;
}
