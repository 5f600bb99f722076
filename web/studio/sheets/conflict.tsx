import { format } from 'date-fns/format';
import { useState } from 'react';
import { useDesk } from '../../session/desk.ts';
import { Button } from '../../ui/buttons.tsx';
import { Dialog } from '../../ui/dialog.tsx';

/** Asked when the desk was changed here and elsewhere: nothing is overwritten until somebody has chosen. */
export function ConflictSheet() {
  const saving = useDesk((state) => state.saving);
  const resolve = useDesk((state) => state.resolve);
  const [failure, setFailure] = useState<string | null>(null);
  /** An answer is on its way: one more would make one more desk. */
  const [isAnswered, setAnswered] = useState(false);
  if (saving.state !== 'conflict') return null;
  const choose = (choice: 'mine' | 'theirs' | 'both') => {
    setAnswered(true);
    setFailure(null);
    resolve(choice)
      .catch((error: Error) => setFailure(error.message))
      .finally(() => setAnswered(false));
  };
  return (
    <Dialog
      title="Changed in two places"
      description={`This desk was saved elsewhere at ${format(saving.theirs.savedAt, 'HH:mm:ss')} while you changed it here. Nothing was overwritten.`}
      isOpen
      mustAnswer
      onClose={() => {}}
    >
      <div className="grid gap-2">
        <Button tone="brass" disabled={isAnswered} onClick={() => choose('both')}>
          Take the other, keep mine as a desk of its own
        </Button>
        <Button disabled={isAnswered} onClick={() => choose('mine')}>
          Keep mine (the other stays in the history)
        </Button>
        <Button disabled={isAnswered} onClick={() => choose('theirs')}>
          Take the other, drop mine
        </Button>
        {failure && (
          <p role="alert" className="text-rust">
            {failure}
          </p>
        )}
      </div>
    </Dialog>
  );
}
