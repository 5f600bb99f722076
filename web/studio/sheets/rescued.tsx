import { useDesk } from '../../session/desk.ts';
import { Button } from '../../ui/buttons.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { saveAsJson } from './kept-aside.ts';

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
