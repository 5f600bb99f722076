import type { ExternalToast, toast as Toast } from 'sonner';
import { persist } from '../later.ts';

type Said = [sentence: string, more?: ExternalToast];

const say = (how: (toast: typeof Toast) => void) =>
  void persist(() => import('sonner')).then(({ toast }) => how(toast));

/** Sentences at the foot of the page. Their code is not needed for the first look. */
export const toast = Object.assign((...said: Said) => say((toast) => toast(...said)), {
  success: (...said: Said) => say((toast) => toast.success(...said)),
  warning: (...said: Said) => say((toast) => toast.warning(...said)),
  error: (...said: Said) => say((toast) => toast.error(...said)),
  /** What is said while `work` is under way, once it is done, or when it can't be. */
  promise: <Result>(
    work: Promise<Result>,
    said: {
      loading: string;
      success: string | ((result: Result) => string);
      error: (error: Error) => string;
    },
  ) => say((toast) => void toast.promise(work, said)),
});

/** Says what came of some work: that it is done, or why it can't be. */
export async function sayOf(work: () => Promise<unknown>, done: string): Promise<void> {
  try {
    await work();
    toast.success(done);
  } catch (error) {
    toast.error((error as Error).message);
  }
}
