import type { FieldShape, Values } from './schema.ts';

export type { Values };

/** What every control is given. Values come in, changes go out; a refused one is said through onError. */
export interface ControlProps {
  /** As it is read out. */
  label: string;
  shape: FieldShape;
  value: unknown;
  /** Of the fields beside it, and its own. */
  values: Values;
  /** A turn of a change under way, which onEnd ends; `beside` are fields beside this one that go with it. */
  onTurn: (value: unknown, beside?: Values) => void;
  onEnd: () => void;
  /** Several things are edited together, and have other values than this one. */
  isDiffering?: boolean;
  onError: (sentence: string | null) => void;
}

/** A change that is whole at once. */
export function taking({ onTurn, onEnd }: ControlProps) {
  return (value: unknown, beside?: Values) => {
    onTurn(value, beside);
    onEnd();
  };
}
