import { useState } from 'react';
import { api, type AwayAndHurt } from '../../../api/client';
import { useMe } from '../../../parts/Frame';
import type { Send } from './AwayForm';

type Absence = AwayAndHurt['absences'][number];

export function Absences({
    all,
    athleteId,
    attends,
    send,
}: {
    all: Absence[];
    athleteId: string;
    attends: boolean;
    send: Send;
}) {
    if (all.length === 0) return null;
    return (
        <ul>
            {all.map((each) => (
                <li key={each.id} className="border-t border-line py-1.5">
                    <p className={each.open ? 'font-semibold' : 'text-soft'}>
                        {each.sentence} {each.note && <span className="font-normal text-soft">{each.note}</span>}
                    </p>
                    {attends && (
                        <p className="no-print flex flex-wrap items-center gap-2">
                            <Ends each={each} athleteId={athleteId} send={send} />
                            {each.may_take_back && (
                                <button
                                    type="button"
                                    className="btn btn-quiet"
                                    onClick={() =>
                                        void send(() =>
                                            api('POST', `/api/athletes/${athleteId}/absences/${each.id}/take-back`),
                                        )
                                    }
                                >
                                    Undo
                                </button>
                            )}
                        </p>
                    )}
                </li>
            ))}
        </ul>
    );
}

/** Which day was the last of it: an illness is over when that is said, days away can be made longer or shorter. */
function Ends({ each, athleteId, send }: { each: Absence; athleteId: string; send: Send }) {
    const me = useMe();
    const ill = each.kind === 'ill';
    const [day, setDay] = useState(ill ? me.today : each.until_day);
    if (!each.open) return null;
    const label = `Last day of ${each.kind === 'other' ? 'the days away' : each.kind}`;
    return (
        <>
            <input
                type="date"
                aria-label={label}
                className="field w-40"
                value={day}
                min={each.from_day}
                max={ill ? me.today : undefined}
                onChange={(event) => setDay(event.target.value)}
            />
            <button
                type="button"
                className="btn"
                disabled={day === ''}
                onClick={() =>
                    void send(() =>
                        api('POST', `/api/athletes/${athleteId}/absences/${each.id}/end`, { last_day: day }),
                    )
                }
            >
                {ill ? 'was the last day ill' : 'is the last day'}
            </button>
        </>
    );
}
