import { ChevronsRight, Trash2 } from 'lucide-react';
import { useEffect, useId, useMemo, useRef, useState } from 'react';
import type { Target } from '../../../core/desk/ready/topic.ts';
import { topics, type TopicKey } from '../../../core/desk/ready/topics.ts';
import { api } from '../../api/client.ts';
import { loadLooks, useLooks } from '../../session/looks.ts';
import { useDeskAsItIs } from '../../session/desk-as-it-is.ts';
import { Button, IconButton } from '../../ui/buttons.tsx';
import { box } from '../../ui/box.ts';
import { sayOf } from '../../ui/toast.ts';
import { capital } from '../../../core/values/words.ts';
import { closePages, openPages, usePaging, type Paged } from './paging.ts';

const none: readonly Paged[] = [];

/** The way to the ready looks of a part, and to keeping the one that it has. */
export function ReadyLooks({
  topic,
  target,
  extras = none,
  onOpen,
}: {
  topic: TopicKey;
  target: Target;
  /** What stands before the others. */
  extras?: readonly Paged[];
  onOpen?: () => void;
}) {
  // The same for the same: what is open is closed where it is of another part.
  const key = JSON.stringify(target);
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const same = useMemo(() => target, [key]);
  const pages = usePaging((state) => state.pages);
  const isOpen = pages?.topic === topic && pages.target === same;
  const button = useRef<HTMLButtonElement>(null);
  const { plural } = topics[topic];

  useEffect(
    () => () => {
      if (usePaging.getState().pages?.target === same) closePages();
    },
    [same],
  );
  useEffect(() => {
    if (isOpen) usePaging.setState({ pages: { topic, target: same, extras } });
  }, [isOpen, topic, same, extras]);
  // Whoever leaves the row is where he came from.
  useEffect(() => {
    const there = button.current;
    return isOpen ? () => there?.focus({ preventScroll: true }) : undefined;
  }, [isOpen]);

  return (
    <div className="grid gap-2">
      <Button
        ref={button}
        aria-expanded={isOpen}
        data-ready={topic}
        className="justify-self-stretch"
        onClick={() => {
          if (isOpen) return closePages();
          openPages({ topic, target: same, extras });
          onOpen?.();
        }}
      >
        <ChevronsRight size={15} /> {isOpen ? `Close the ${plural}` : `Ready ${plural}`}
      </Button>
      {isOpen && <Kept topic={topic} target={same} />}
    </div>
  );
}

/** What is in hand by name; and the one that the part has, kept for all desks. */
function Kept({ topic, target }: { topic: TopicKey; target: Target }) {
  const told = usePaging((state) => state.told);
  const { own, failure } = useLooks();
  const desk = useDeskAsItIs();
  const [name, setName] = useState('');
  const hint = useId();
  const mine = own?.find(({ id }) => id === told?.id);
  const { title } = topics[topic];

  const attempt = (work: () => Promise<unknown>, done: string) => sayOf(work, done).then(loadLooks);
  function keep(): void {
    const value = desk && topics[topic].at(desk, target);
    const wanted = name.trim();
    if (!value || !wanted) return;
    void attempt(() => api.addLook({ topic, name: wanted, value }), `${wanted} is kept, for all desks.`);
    setName('');
  }
  return (
    <div className="grid gap-2 rounded-lg bg-nap p-3">
      <p id={hint} className="text-[12px] text-dust">
        {told ? <span className="font-medium text-chalk">{told.title}. </span> : null}
        Point at one on the lit line and it is worn while you look; press it and it stays.
      </p>
      {mine && (
        <div className="flex items-center gap-2">
          <input
            key={mine.id}
            aria-label={`Name of the ${title}`}
            defaultValue={mine.name}
            maxLength={120}
            className={`${box} flex-1`}
            onBlur={({ target: { value } }) => {
              if (value.trim() && value.trim() !== mine.name)
                void attempt(
                  () => api.renameLook(mine.id, value.trim()),
                  `It is called ${value.trim()} now.`,
                );
            }}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          />
          <IconButton
            label={`Let go of ${mine.name}`}
            className="hover:!text-rust"
            onClick={() =>
              void attempt(
                () => api.removeLook(mine.id),
                `${mine.name} is let go of; parts that wear it keep it.`,
              )
            }
          >
            <Trash2 size={15} />
          </IconButton>
        </div>
      )}
      <form
        className="flex gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <input
          aria-label={`Keep this ${title} as`}
          placeholder={`${capital(title)} of my own`}
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
          className={`${box} flex-1`}
        />
        <Button type="submit" disabled={name.trim() === ''}>
          Keep
        </Button>
      </form>
      {failure && (
        <p role="alert" className="text-[12px] text-rust">
          {failure}
        </p>
      )}
    </div>
  );
}
