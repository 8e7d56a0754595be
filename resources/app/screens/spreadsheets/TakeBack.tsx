import { useState } from 'react';
import type { Import } from '../../api/client';
import type { Body } from '../../api/typed';
import { LabelledInput } from '../../parts/Labelled';
import { typed } from '../../parts/forms';

/** All of it goes again: work that goes gives somebody room, so it takes a reason. */
export function TakeBack({
    file,
    onBack,
}: {
    file: Import;
    onBack: (body: Body<'POST', '/api/imports/{import}/take-back'>) => void;
}) {
    const [asking, setAsking] = useState(false);
    if (!asking)
        return (
            <button type="button" className="btn mt-2" onClick={() => setAsking(true)}>
                Undo
            </button>
        );
    return (
        <form
            className="mt-2 flex flex-wrap items-end gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                onBack({ version: file.version, reason: typed(new FormData(event.currentTarget), 'reason') });
            }}
        >
            <LabelledInput label="Why" name="reason" required minLength={5} maxLength={200} className="w-72" />
            <button className="btn btn-main">Take all of it back</button>
            <button type="button" className="btn" onClick={() => setAsking(false)}>
                Cancel
            </button>
            <p className="basis-full text-sm text-soft">
                {file.kind === 'work'
                    ? 'What stays out of the record gives room: it stands in the log of who did what, with your reason.'
                    : 'Athletes who have anything on record by now stay: then nothing is taken back.'}
            </p>
        </form>
    );
}
