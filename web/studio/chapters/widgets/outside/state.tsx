import { useEffect } from 'react';
import { feedOf } from '../../../../../core/sources/feeds.ts';
import { ageTold, troubleTold } from '../../../../../core/sources/trouble.ts';
import { api } from '../../../../api/client.ts';
import { useConditions } from '../../../../session/conditions.ts';
import { Button } from '../../../../ui/buttons.tsx';
import { toast } from '../../../../ui/toast.ts';

/** While a page is open it wants to know how its sources fare, whether or not something on the desk shows them. */
export function useWanted(source: string): void {
  useEffect(() => {
    useConditions.getState().wantAlso([source]);
    return () => useConditions.getState().wantAlso([]);
  }, [source]);
}

/** How one source from outside fares: how old what was read is, or why nothing can be read. */
export function FeedState({ source, origin }: { source: string; origin: string }) {
  const feed = useConditions(({ feeds }) => feedOf(feeds, source, origin));
  // What is told of ages is of this very time, whatever moment is shown.
  const minute = useConditions(({ moment, isNow }) => (isNow ? Math.floor(moment / 60_000) * 60_000 : null));
  const now = minute ?? Date.now();
  const good = feed?.samples.at(-1)?.moment ?? null;
  if (!feed) return <p className="text-[12px] text-dust">Being read…</p>;
  if (!feed.problem)
    return (
      <p className="text-[12px] text-dust" aria-live="polite">
        {good === null || now - good < 90_000 ? 'Read just now' : `Read ${ageTold((now - good) / 1000)} ago`}
      </p>
    );
  const { host } = feed.problem;
  return (
    <div className="grid justify-items-start gap-1.5">
      <p role="alert" className="text-[12px] text-rust">
        {troubleTold({ source, origin, problem: feed.problem, good }, now)}
      </p>
      {host && (
        <Button
          onClick={() =>
            void api
              .allowHost(host)
              .catch((error: unknown) =>
                toast.warning(error instanceof Error ? error.message : String(error)),
              )
          }
        >
          Allow {host}
        </Button>
      )}
    </div>
  );
}
