import clsx from 'clsx';
import { confusions, eyesTitles, otherEyes, seenBy } from '../../../../core/colour/eyes.ts';
import { resolveRoles } from '../../../../core/colour/roles.ts';
import type { Look } from '../../../../core/look/schema.ts';
import { roleTitles, roles as roleNames } from '../../../../core/values/roles.ts';
import { setEyes, useEyes, type Eyes } from './view.ts';
import { useHalf } from '../../../session/scene.ts';

/** The desk as other eyes see it, and which of its colours they can't tell apart. */
export function EyesPage({ look }: { look: Look }) {
  const half = useHalf();
  const eyes = useEyes((state) => state.eyes);
  const roles = resolveRoles(look.roles[half]);
  return (
    <div className="grid gap-2" role="group" aria-label="The stage as seen by">
      {(['usual', ...otherEyes] as const).map((one) => {
        const alike = one === 'usual' ? [] : confusions(roles, one);
        return (
          <button
            key={one}
            type="button"
            aria-pressed={eyes === one}
            onClick={() => setEyes(one)}
            className={clsx(
              'grid gap-1.5 rounded-lg bg-nap px-3 py-2 text-left hover:outline hover:outline-brass/70',
              eyes === one && 'outline-2 outline-brass outline',
            )}
          >
            <span className="font-medium">{titleOf(one)}</span>
            <span className="flex h-4 overflow-hidden rounded">
              {roleNames.map((role) => (
                <span
                  key={role}
                  className="flex-1"
                  style={{ background: one === 'usual' ? roles[role] : seenBy(one, roles[role]) }}
                />
              ))}
            </span>
            {alike.length > 0 && (
              <span className="text-[12px] text-rust">
                Hard to tell apart:{' '}
                {alike
                  .map(([a, b]) => `${roleTitles[a].toLowerCase()} and ${roleTitles[b].toLowerCase()}`)
                  .join('; ')}
              </span>
            )}
          </button>
        );
      })}
      <p className="text-[12px] text-dust">
        The whole stage is shown that way until the usual eyes are chosen again.
      </p>
    </div>
  );
}

function titleOf(eyes: Eyes): string {
  return eyes === 'usual' ? 'Usual eyes' : eyesTitles[eyes];
}
