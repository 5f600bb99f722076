import { Eye, RotateCcw } from 'lucide-react';
import { isNeutral } from '../../../../core/backdrop/drawn.ts';
import { Adjust } from '../../../../core/backdrop/schema.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { useDesk } from '../../../session/desk.ts';
import { Button } from '../../../ui/buttons.tsx';
import { ReadyLooks } from '../../ready/ready-looks.tsx';
import { GroupedFields } from '../../form/form.tsx';
import { useBackdrop } from './use-backdrop.ts';
import { setBefore } from './view.ts';

/** What is done to the pixels: seen at once on the stage, and the same when it is baked. */
export function AdjustPage() {
  const { edit, turn, endGesture } = useDesk.getState();
  const backdrop = useBackdrop();
  if (!backdrop) return null;
  const { adjust, id } = backdrop;
  return (
    <>
      <div className="mb-5 flex gap-2">
        <HoldBefore disabled={isNeutral(adjust)} />
        <Button
          tone="quiet"
          disabled={isNeutral(adjust)}
          onClick={() => edit(named('Leave the backdrop as it is', edits.resetAdjust(id)))}
        >
          <RotateCcw size={15} /> As it was
        </Button>
      </div>
      <div className="mb-5">
        <ReadyLooks topic="adjust" target={{ by: 'backdrop', id }} />
      </div>
      <GroupedFields
        schema={Adjust}
        values={adjust}
        onTurn={(change, label) => turn(named(label, edits.setAdjust(id, change)))}
        onEnd={endGesture}
      />
    </>
  );
}

/** Shows the backdrop without its adjustments for as long as it is pressed. */
function HoldBefore({ disabled }: { disabled: boolean }) {
  const end = () => setBefore(false);
  return (
    <Button
      disabled={disabled}
      onPointerDown={() => setBefore(true)}
      onPointerUp={end}
      onPointerLeave={end}
      onPointerCancel={end}
      onKeyDown={(event) => [' ', 'Enter'].includes(event.key) && setBefore(true)}
      onKeyUp={end}
      onBlur={end}
    >
      <Eye size={15} /> Hold: before
    </Button>
  );
}
