/** Something wrong in what a person gave us: where, and a sentence. */
export interface Problem {
  /** Such as `widgets[3].scale`; empty for the whole. */
  path: string;
  message: string;
}

export type Result<T> = { ok: true; value: T } | { ok: false; problems: Problem[] };

export function refuse(path: string, message: string): { ok: false; problems: Problem[] } {
  return { ok: false, problems: [{ path, message }] };
}

/** `['widgets', 3, 'scale']` as `widgets[3].scale`. */
export function pathText(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (text, step) =>
      typeof step === 'number' ? `${text}[${step}]` : text ? `${text}.${String(step)}` : String(step),
    '',
  );
}

/** One sentence for a person, with the path when there is one. */
export function problemText({ path, message }: Problem): string {
  return path ? `${path}: ${message}` : message;
}
