import { useEffect } from 'react';
import type { Desk } from '../../core/desk/desk.ts';
import { presentDesk, useDesk } from '../session/desk.ts';
import { Button } from '../ui/buttons.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { toast } from '../ui/toast.ts';
import { saveBytes } from './download.ts';

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

/** Asked when an earlier page left work that can't be opened: it is kept until somebody lets go of it. */
export function RescuedSheet() {
  const rescued = useDesk((state) => state.rescued);
  const name = useDesk((state) => state.history?.present.name ?? 'desk');
  const { letGoOfRescued } = useDesk.getState();
  if (!rescued) return null;
  return (
    <Dialog
      title="Work that can’t be opened"
      description={`An earlier page kept changes of this desk in this browser that can’t be read: ${rescued.sentence}. The desk is shown as it was saved last; nothing was thrown away.`}
      isOpen
      onClose={() => {}}
    >
      <div className="flex flex-wrap gap-2">
        <Button tone="brass" onClick={() => saveAsJson(rescued.text, `${name} unsaved`)}>
          Save it as a file
        </Button>
        <Button tone="rust" onClick={letGoOfRescued}>
          Let go of it
        </Button>
      </div>
    </Dialog>
  );
}
