import { useState } from 'react';
import { Button } from './buttons.tsx';

/** The longest name that a desk may have. */
const LONGEST = 120;

/** Asks for a name; one that is empty can't be given. */
export function NameForm({
  name,
  onRename,
  onLeave,
}: {
  name: string;
  onRename: (name: string) => void;
  onLeave: () => void;
}) {
  const [text, setText] = useState(name);
  const trimmed = text.trim();
  return (
    <form
      className="mt-3 grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (!trimmed) return;
        if (trimmed !== name) onRename(trimmed);
        onLeave();
      }}
    >
      <input
        autoFocus
        aria-label="Name"
        value={text}
        maxLength={LONGEST}
        onFocus={(event) => event.target.select()}
        onChange={(event) => setText(event.target.value)}
        className="h-10 rounded-lg bg-pit px-3 text-[15px]"
      />
      <div className="flex justify-end gap-2">
        <Button tone="quiet" onClick={onLeave}>
          Leave it
        </Button>
        <Button tone="brass" type="submit" disabled={!trimmed}>
          Rename
        </Button>
      </div>
    </form>
  );
}
