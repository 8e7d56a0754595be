import { useRef, useState } from 'react';
import { api } from '../../../api/client';
import { dayName, nowWithOffset } from '../../../api/words';
import { newId } from '../../../offline/store';
import { Choice } from '../../../parts/Choice';
import { typed } from '../../../parts/forms';
import { Labelled, LabelledInput } from '../../../parts/Labelled';
import { Opens } from '../../../parts/Opens';
import type { Send } from './AwayForm';
import type { Incident } from './IncidentForm';

const ENTRIES = [
    ['told', 'Told somebody'],
    ['done', 'Did something'],
    ['seen', 'Seen by'],
] as const;

export function Incidents({
    all,
    athleteId,
    attends,
    send,
}: {
    all: Incident[];
    athleteId: string;
    attends: boolean;
    send: Send;
}) {
    if (all.length === 0) return null;
    return (
        <ul>
            {all.map((each) => (
                <li
                    key={each.id}
                    className={
                        each.closed_at === null ? 'border-l-4 border-refer py-1 pl-3' : 'border-t border-line py-1.5'
                    }
                >
                    <p className={each.closed_at === null ? 'font-semibold' : 'text-soft'}>
                        {each.title}, {dayName(each.at.slice(0, 10))}
                        {each.closed_at === null ? '. Open.' : '. Closed.'}
                    </p>
                    <p>{each.what}</p>
                    <ul className="text-sm">
                        {each.entries.map((entry) => (
                            <li key={entry}>{entry}</li>
                        ))}
                    </ul>
                    {each.closed_at === null && each.missing.length > 0 && (
                        <p className="text-sm text-refer">{each.missing.join(' ')}</p>
                    )}
                    <div className="no-print flex flex-wrap gap-2 pt-1">
                        <Opens label="The words to hand on" className="btn" content={<HandOn text={each.text} />}>
                            Text to hand on
                        </Opens>
                        {attends && each.closed_at === null && (
                            <Acts incident={each} athleteId={athleteId} send={send} />
                        )}
                    </div>
                </li>
            ))}
        </ul>
    );
}

function HandOn({ text }: { text: string }) {
    return (
        <div className="grid gap-2">
            <p className="whitespace-pre-line">{text}</p>
            <button type="button" className="btn" onClick={() => void navigator.clipboard?.writeText(text)}>
                Copy
            </button>
        </div>
    );
}

/** What was done and who was told is added, one entry after the other; closed once nothing is missing. */
function Acts({ incident, athleteId, send }: { incident: Incident; athleteId: string; send: Send }) {
    const [adding, setAdding] = useState(false);
    const path = `/api/athletes/${athleteId}/incidents/${incident.id}` as const;
    return (
        <>
            <button type="button" className="btn" onClick={() => setAdding(!adding)} aria-expanded={adding}>
                Add what was done
            </button>
            <button
                type="button"
                className="btn"
                disabled={incident.missing.length > 0}
                onClick={() => void send(() => api('POST', `${path}/close`))}
            >
                Close it
            </button>
            {adding && <EntryForm path={path} send={send} onDone={() => setAdding(false)} />}
        </>
    );
}

function EntryForm({
    path,
    send,
    onDone,
}: {
    path: `/api/athletes/${string}/incidents/${string}`;
    send: Send;
    onDone: () => void;
}) {
    const id = useRef(newId());
    const [kind, setKind] = useState<(typeof ENTRIES)[number][0]>('told');
    return (
        <form
            className="grid basis-full gap-2 border-t border-line pt-2"
            onSubmit={(event) => {
                event.preventDefault();
                const form = new FormData(event.currentTarget);
                void send(() =>
                    api('POST', `${path}/entries`, {
                        id: id.current,
                        kind,
                        at: nowWithOffset(),
                        who: typed(form, 'who') || null,
                        text: typed(form, 'text'),
                    }),
                ).then((kept) => kept && onDone());
            }}
        >
            <Choice label="What" of={ENTRIES} value={kind} onChange={setKind} columns={3} />
            <LabelledInput label="Who" name="who" required={kind !== 'done'} />
            <Labelled label="What was done or said">
                <textarea className="field" name="text" rows={2} required />
            </Labelled>
            <button className="btn btn-main">Save</button>
        </form>
    );
}
