import { Toaster } from 'sonner';

/** Where toasts are shown: over the top of the page, off what stands on a desk's lower side. */
export default function DeskToaster() {
  return (
    <Toaster
      position="top-center"
      offset={88}
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
