import { useConditions } from '../session/conditions.ts';
import { createAgreement } from './agreement.ts';

/** Tells the other windows of a desk what changes here, and takes what changes there, until it is stopped. */
export function agreeWithOthers(desk: string): () => void {
  const channel = new BroadcastChannel(`velvet-ledge:live:${desk}`);
  const agreement = createAgreement(crypto.randomUUID(), useConditions.getState());
  channel.onmessage = ({ data }: MessageEvent<unknown>) => {
    const heard = agreement.hear(data, useConditions.getState());
    if (!heard) return;
    if ('answer' in heard) channel.postMessage(heard.answer);
    else useConditions.setState(heard.take);
  };
  const stop = useConditions.subscribe((now) => {
    const told = agreement.tell(now);
    if (told) channel.postMessage(told);
  });
  channel.postMessage(agreement.hello);
  return () => {
    stop();
    channel.close();
  };
}
