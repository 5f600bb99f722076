import { useState } from 'react';
import { writtenColour } from '../../core/exchange/any-colour.ts';
import { TextField } from './text-field.tsx';

/** A colour as text, however it is written or pasted. */
export function ColourText({
  label,
  colour,
  onTake,
}: {
  label: string;
  /** #rrggbb */
  colour: string;
  onTake: (colour: string) => void;
}) {
  const [error, setError] = useState<string | null>(null);
  return (
    <>
      <TextField
        label={label}
        value={colour}
        className="font-mono"
        check={(text) =>
          writtenColour(text)
            ? null
            : 'That is no colour: write it as #rrggbb, 12, 34, 56, a name, or as in CSS.'
        }
        onError={setError}
        onChange={(text) => onTake(writtenColour(text) ?? colour)}
      />
      {error && (
        <p role="alert" className="text-[12px] text-rust">
          {error}
        </p>
      )}
    </>
  );
}
