'use client';

import { X } from 'lucide-react';
import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface DialogProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly title: string;
  readonly description?: string;
  /** Where the focus goes when it closes, instead of back to what opened it. */
  readonly onClosed?: () => void;
  readonly children: ReactNode;
}

export function Dialog({ open, onOpenChange, title, description, onClosed, children }: DialogProps) {
  return (
    <Radix.Root open={open} onOpenChange={onOpenChange}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Radix.Content
          aria-describedby={undefined}
          onCloseAutoFocus={(event) => {
            if (onClosed === undefined) return;
            event.preventDefault();
            onClosed();
          }}
          className="fixed top-[8vh] left-1/2 z-50 max-h-[84vh] w-[min(40rem,94vw)] -translate-x-1/2 overflow-auto border border-edge bg-sheet p-5 text-ink"
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <Radix.Title className="font-serif text-xl font-semibold">{title}</Radix.Title>
            <Radix.Close className="p-1" aria-label="Close">
              <X size={20} aria-hidden />
            </Radix.Close>
          </div>
          {description !== undefined && (
            <Radix.Description className="mb-3 text-soft">{description}</Radix.Description>
          )}
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
