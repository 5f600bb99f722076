import { Dialog as RadixDialog } from 'radix-ui';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';

/** A question or a sheet over the page. */
export function Dialog({
  title,
  description,
  isOpen,
  onClose,
  children,
  mustAnswer = false,
  width = 440,
}: {
  title: string;
  description?: string;
  isOpen: boolean;
  onClose: () => void;
  children: ReactNode;
  /** There is no way out but by what is offered. */
  mustAnswer?: boolean;
  width?: number;
}) {
  return (
    <RadixDialog.Root open={isOpen} onOpenChange={(open) => !open && onClose()}>
      <RadixDialog.Portal>
        <RadixDialog.Overlay className="fixed inset-0 z-40 bg-pit/70" />
        <RadixDialog.Content
          style={{ width }}
          {...(description ? {} : { 'aria-describedby': undefined })}
          className="fixed left-1/2 top-1/2 z-50 max-h-[86vh] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-2xl border border-seam bg-velvet p-6 shadow-2xl"
        >
          <div className="mb-1 flex items-start justify-between gap-4">
            <RadixDialog.Title className="font-display text-[22px] leading-tight">{title}</RadixDialog.Title>
            {!mustAnswer && (
              <RadixDialog.Close
                aria-label="Close"
                className="-mr-1 rounded-md p-1 text-dust hover:text-chalk"
              >
                <X size={16} />
              </RadixDialog.Close>
            )}
          </div>
          {description && (
            <RadixDialog.Description className="mb-4 text-dust">{description}</RadixDialog.Description>
          )}
          {children}
        </RadixDialog.Content>
      </RadixDialog.Portal>
    </RadixDialog.Root>
  );
}
