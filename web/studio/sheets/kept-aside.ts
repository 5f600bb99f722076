import { useEffect } from 'react';
import type { Desk } from '../../../core/desk/desk.ts';
import { presentDesk, useDesk } from '../../session/desk.ts';
import { toast } from '../../ui/toast.ts';
import { saveBytes } from '../pictures/download.ts';

/** Hands work to the person as it is, whatever anybody thinks of it. */
export function saveAsJson(text: string, name: string): void {
  saveBytes(
    text,
    `${name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase() || 'desk'}.json`,
    'application/json',
  );
}

export function savePresentAsJson(): void {
  const desk: Desk | null = presentDesk();
  if (desk) saveAsJson(JSON.stringify(desk, null, 2), desk.name);
}

/** Says why a change was not taken. */
export function useRefusals(): void {
  useEffect(
    () =>
      useDesk.subscribe((now, before) => {
        if (now.refusal && now.refusal !== before.refusal)
          toast.warning(`Not taken: ${now.refusal.sentence}`, { id: 'refusal' });
      }),
    [],
  );
}
