import clsx from 'clsx';

/** Some of a few things, each pressed or not; none pressed stands for what `none` says, which a press leads back to. */
export function PickSome({
  title,
  label,
  things,
  chosen,
  none,
  onChange,
}: {
  title: string;
  /** Of the group, for who hears it. */
  label: string;
  things: readonly { id: string; name: string }[];
  chosen: readonly string[];
  /** What it is where none is pressed, as a note and as the way back. */
  none: { note: string; back: string };
  /** In the order of the things. */
  onChange: (chosen: string[]) => void;
}) {
  const turn = (id: string) =>
    onChange(things.map((one) => one.id).filter((one) => chosen.includes(one) !== (one === id)));
  return (
    <div className="mt-2">
      <p className="mb-1.5 flex justify-between">
        {title} {chosen.length === 0 && <span className="text-dust">{none.note}</span>}
      </p>
      <div className="flex flex-wrap gap-1.5" role="group" aria-label={label}>
        {things.map(({ id, name }) => (
          <button
            key={id}
            type="button"
            aria-pressed={chosen.includes(id)}
            onClick={() => turn(id)}
            className={clsx(
              'max-w-full truncate rounded-full px-3 py-1 hover:outline hover:outline-brass/70',
              chosen.includes(id) ? 'bg-brass text-on-brass' : 'bg-nap',
            )}
          >
            {name}
          </button>
        ))}
        {chosen.length > 0 && (
          <button type="button" className="px-1 text-brass hover:underline" onClick={() => onChange([])}>
            {none.back}
          </button>
        )}
      </div>
    </div>
  );
}
