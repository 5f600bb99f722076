import { Toaster } from 'sonner';

/** Where toasts are shown: above the ledge. */
export default function DeskToaster() {
  return (
    <Toaster
      position="bottom-center"
      offset={124}
      toastOptions={{
        style: {
          background: 'var(--nap)',
          color: 'var(--chalk)',
          border: '1px solid var(--seam)',
          fontFamily: 'var(--font-sans)',
          fontSize: 13,
        },
        actionButtonStyle: { background: 'var(--brass)', color: 'var(--on-brass)' },
      }}
    />
  );
}
