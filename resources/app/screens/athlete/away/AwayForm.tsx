import type { ReactNode } from 'react';
import type { AwayAndHurt } from '../../../api/client';
import { Notice } from '../../../parts/Notice';
import { Sheetlet } from '../../../parts/Sheetlet';

/** Sends a change, and says whether it was kept; what stands then is shown by whoever asked for it. */
export type Send = (write: () => Promise<AwayAndHurt>) => Promise<boolean>;

/** What each of the forms is opened with. */
export type Opened = { athleteId: string; send: Send; problem: unknown; onClose: () => void };

/** A form over the page: sent, it closes; refused, it stays as it was filled in, with what to mend. */
export function AwayForm({
    title,
    opened,
    write,
    children,
}: {
    title: string;
    opened: Opened;
    write: (form: FormData) => Promise<AwayAndHurt>;
    children: ReactNode;
}) {
    return (
        <Sheetlet open onClose={opened.onClose} title={title}>
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    const form = new FormData(event.currentTarget);
                    void opened.send(() => write(form)).then((kept) => kept && opened.onClose());
                }}
            >
                {children}
                <Notice problem={opened.problem} />
                <button className="btn btn-main">Save</button>
            </form>
        </Sheetlet>
    );
}
