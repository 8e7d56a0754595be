import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';

/** A figure or word that opens to its reasons. */
export function Opens({
    label,
    children,
    content,
    className = '',
}: {
    label: string;
    children: ReactNode;
    content: ReactNode;
    className?: string;
}) {
    return (
        <Popover.Root>
            <Popover.Trigger className={className || 'opens'} aria-label={label}>
                {children}
            </Popover.Trigger>
            <Popover.Portal>
                <Popover.Content
                    aria-label={label}
                    className="panel"
                    sideOffset={6}
                    collisionPadding={10}
                    align="start"
                >
                    {content}
                </Popover.Content>
            </Popover.Portal>
        </Popover.Root>
    );
}
