import { lookUp } from '../../../core/values/look-up.ts';

const keyNames: Record<string, string> = { ArrowLeft: '←', ArrowRight: '→', ArrowUp: '↑', ArrowDown: '↓' };

/** Keys as they stand on the keyboard. */
export function Keys({ keys }: { keys: string }) {
  return (
    <kbd className="font-mono text-[11.5px] opacity-80">
      {keys
        .split('+')
        .map((key) => lookUp(keyNames, key) ?? key)
        .join(' ')}
    </kbd>
  );
}
