import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../api/client';
import { Notice } from '../../parts/Notice';
import { Opens } from '../../parts/Opens';
import { Stepper } from '../../parts/Stepper';
import { percent } from '../../api/words';
import type { GateDef } from './definition';

const USUAL_REPS = 6;

/** What a gate does to somebody whose true rate is known: drawn in the core, by the gate itself. */
export function GateDoes({ gate, about }: { gate: GateDef; about: string }) {
    return (
        <Opens
            label={`What the gate of ${about} does`}
            className="btn btn-quiet no-print px-1 text-sm"
            content={<Figures gate={gate} />}
        >
            What this gate does
        </Opens>
    );
}

function Figures({ gate }: { gate: GateDef }) {
    const [reps, setReps] = useState(USUAL_REPS);
    const query = useQuery({
        queryKey: ['let-through', gate, reps],
        queryFn: () => api('POST', '/api/library/let-through', { gate, reps }),
        placeholderData: (before) => before,
        staleTime: Infinity,
        retry: false,
    });
    const first = query.data?.[0];
    return (
        <div className="grid max-w-96 gap-2">
            <h2 className="head text-lg">Who gets through</h2>
            <Stepper
                label="judged a session"
                value={reps}
                shown={`${reps} judged a session`}
                step={1}
                least={1}
                most={20}
                onChange={setReps}
            />
            <Notice problem={query.error} />
            {query.data && first && (
                <>
                    <table className="w-full">
                        <thead>
                            <tr className="label text-left">
                                <th className="font-normal">Really good</th>
                                <th className="font-normal">Let through</th>
                                <th className="font-normal">Usually after</th>
                            </tr>
                        </thead>
                        <tbody>
                            {query.data.map((row) => (
                                <tr key={row.rate} className="border-t border-line">
                                    <td className="figure py-1">{percent(row.rate)}</td>
                                    <td className="figure">{percent(row.share)}</td>
                                    <td>
                                        {row.sessions === null
                                            ? 'never'
                                            : `${Math.ceil(row.sessions)} ${row.sessions > 1 ? 'sessions' : 'session'}`}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                    <p className="text-sm text-soft">
                        {first.drawn} drawn athletes for each line, {first.within} sessions, looked at after every one;
                        no soreness, no safety fault, nothing else in the way.
                    </p>
                </>
            )}
        </div>
    );
}
