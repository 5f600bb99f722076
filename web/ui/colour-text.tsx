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
  /** What was written, and how much of it there is (0 to 1). */
  onTake: (colour: string, opacity: number) => void;
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
        onChange={(text) => {
          const { hex, opacity } = writtenColour(text) ?? { hex: colour, opacity: 1 };
          onTake(hex, opacity);
        }}
      />
      {error && (
        <p role="alert" className="text-[12px] text-rust">
          {error}
        </p>
      )}
    </>
  );
}
