import { z } from 'zod';
import { TrialWindows } from '../../core/windows/trial.ts';
import { useConditions } from '../session/conditions.ts';

/** Windows that show screens of one desk agree on the moment, the workspace in front, and the windows that are open. */
const Agreed = z.object({
  moment: z.number(),
  isNow: z.boolean(),
  half: z.enum(['light', 'dark']).nullable(),
  windows: TrialWindows,
  workspace: z.number().int().min(0).max(31),
});
type Agreed = z.infer<typeof Agreed>;

const HELLO = 'hello';

function agreed(): Agreed {
  const { moment, isNow, half, windows, workspace } = useConditions.getState();
  return { moment, isNow, half, windows: [...windows], workspace };
}

/** What others need to hear of: the clock ticks everywhere by itself. */
function textOf({ moment, ...rest }: Agreed): string {
  return JSON.stringify(rest.isNow ? rest : { ...rest, moment });
}

/** Tells the other windows what changes here, and takes what changes there, until it is stopped. */
export function agreeWithOthers(desk: string): () => void {
  const channel = new BroadcastChannel(`velvet-ledge:live:${desk}`);
  let said = textOf(agreed());
  channel.onmessage = ({ data }: MessageEvent<unknown>) => {
    if (data === HELLO) {
      channel.postMessage(agreed());
      return;
    }
    const heard = Agreed.safeParse(data).data;
    if (!heard || textOf(heard) === said) return;
    said = textOf(heard);
    const { moment, ...rest } = heard;
    useConditions.setState(heard.isNow ? rest : { ...rest, moment });
  };
  const stop = useConditions.subscribe(() => {
    const now = agreed();
    if (textOf(now) === said) return;
    said = textOf(now);
    channel.postMessage(now);
  });
  channel.postMessage(HELLO);
  return () => {
    stop();
    channel.close();
  };
}
