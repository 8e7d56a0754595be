import type { ReactNode } from 'react';
import { typed } from './forms';
import { LabelledInput } from './Labelled';
import { Notice } from './Notice';
import { Sheetlet } from './Sheetlet';

/** What gives somebody more room takes a reason. */
export function AskWhy({
    open,
    title,
    act,
    problem,
    onSay,
    onClose,
    children,
}: {
    open: boolean;
    title: string;
    /** on the button that does it */
    act: string;
    problem?: unknown;
    onSay: (why: string) => void;
    onClose: () => void;
    /** what follows from it */
    children: ReactNode;
}) {
    return (
        <Sheetlet open={open} onClose={onClose} title={title}>
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    onSay(typed(new FormData(event.currentTarget), 'reason'));
                }}
            >
                <p>{children}</p>
                <LabelledInput label="Why" name="reason" required minLength={3} maxLength={200} />
                <Notice problem={problem} />
                <button className="btn btn-main">{act}</button>
            </form>
        </Sheetlet>
    );
}
