import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { clsx } from 'clsx';

/** A dialog laid over the screen. */
export function Sheetlet({
    open,
    onClose,
    title,
    children,
    wide = false,
}: {
    open: boolean;
    onClose?: () => void;
    title: string;
    children: ReactNode;
    /** as a form with two columns; “page”: as much as there is */
    wide?: boolean | 'page';
}) {
    return (
        <Dialog.Root
            open={open}
            onOpenChange={(next) => {
                if (!next) onClose?.();
            }}
        >
            <Dialog.Portal>
                <Dialog.Overlay className="fixed inset-0 z-40 bg-[#14201c]/55" />
                <Dialog.Content
                    aria-describedby={undefined}
                    className={clsx(
                        'fixed left-1/2 top-1/2 z-50 max-h-[96dvh] w-[calc(100vw-1rem)]',
                        wide === 'page' ? 'max-w-[78rem]' : wide ? 'max-w-3xl' : 'max-w-lg',
                        '-translate-x-1/2 -translate-y-1/2 overflow-auto rounded border-2 border-ink bg-page p-4',
                        'sm:p-5',
                    )}
                >
                    <div className="mb-3 flex items-start justify-between gap-4">
                        <Dialog.Title className="text-xl">{title}</Dialog.Title>
                        {onClose && (
                            <Dialog.Close className="btn btn-quiet -mr-2 -mt-2 min-w-11" aria-label="Close">
                                <X size={20} aria-hidden />
                            </Dialog.Close>
                        )}
                    </div>
                    {children}
                </Dialog.Content>
            </Dialog.Portal>
        </Dialog.Root>
    );
}
