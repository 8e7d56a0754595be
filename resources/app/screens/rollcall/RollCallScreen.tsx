import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type AthleteCard, type RollCall } from '../../api/client';
import { dayName } from '../../api/words';
import { flush, keepReports, nothingSoreAt } from '../../offline/store';
import { CheckIn } from '../../parts/CheckIn';
import { Notice } from '../../parts/Notice';
import { SquadChoice } from '../../parts/SquadChoice';
import { WordMark } from '../../parts/WordMark';
import { Waiting } from '../../parts/Waiting';

const NOON_HOUR = 12;

/** How is everybody? One tap a name. */
export function RollCallScreen() {
    const queries = useQueryClient();
    const [squad, setSquad] = useState<number | null>(null);
    const [asking, setAsking] = useState<AthleteCard | null>(null);
    const [problem, setProblem] = useState<unknown>(null);
    const [places] = useState(() => new Map<RollCall['rows'][number]['athlete']['id'], number>());
    const rollCall = useQuery({
        queryKey: ['roll-call', squad],
        queryFn: () => api('GET', '/api/roll-call', undefined, { query: { squad } }),
    });
    if (!rollCall.data) return <Waiting query={rollCall} what="the squad" />;
    // Names stay where they were first seen: were the next to slide under the finger, a second tap would answer for
    // somebody who has not.
    for (const { athlete } of rollCall.data.rows) if (!places.has(athlete.id)) places.set(athlete.id, places.size);
    const rows = [...rollCall.data.rows].sort(
        (a, b) => (places.get(a.athlete.id) ?? 0) - (places.get(b.athlete.id) ?? 0),
    );
    const missing = rows.filter((row) => row.answered_at === null);
    const nothingSore = (row: RollCall['rows'][number]): void => {
        const moment = row.morning_after || new Date().getHours() < NOON_HOUR ? 'morning' : 'before';
        keepReports(row.athlete.id, [nothingSoreAt(moment)])
            .then(flush)
            .then(() => queries.invalidateQueries(), setProblem);
    };
    const takeBack = (reportId: string): void => {
        api('POST', `/api/reports/${reportId}/withdraw`).then(() => {
            setProblem(null);
            return queries.invalidateQueries();
        }, setProblem);
    };
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="py-3">
                <h1 className="text-2xl">
                    Roll call,{' '}
                    <SquadChoice squad={rollCall.data.squad} squads={rollCall.data.squads} onChange={setSquad} />,{' '}
                    {dayName(rollCall.data.date)}
                </h1>
                <p className="mt-1">
                    {missing.length === 0 ? (
                        'Everybody has answered.'
                    ) : (
                        <>
                            <strong>
                                {missing.length} of {rows.length} have not answered.
                            </strong>{' '}
                            <span className="text-soft">{rollCall.data.not_answered_means}</span>
                        </>
                    )}
                </p>
            </header>
            <Notice problem={problem} />
            <ul className="gap-x-10 border-t-2 border-ink md:columns-2">
                {rows.map((row) => (
                    <Answer
                        key={row.athlete.id}
                        row={row}
                        onAsk={() => setAsking(row.athlete)}
                        onNothing={() => nothingSore(row)}
                        onTakeBack={takeBack}
                    />
                ))}
            </ul>
            {asking && <CheckIn athlete={asking} onClose={() => setAsking(null)} />}
        </main>
    );
}

type Acting = {
    row: RollCall['rows'][number];
    onAsk: () => void;
    onNothing: () => void;
    onTakeBack: (reportId: string) => void;
};

function Answer({ row, onAsk, onNothing, onTakeBack }: Acting) {
    return (
        <li className="flex min-h-[3.55rem] break-inside-avoid items-center gap-3 border-b border-line py-1">
            <div className="min-w-0 grow">
                <span className="head block truncate text-lg">{row.athlete.name}</span>
                {row.answered_at === null ? (
                    <span className="block truncate text-sm text-soft">
                        {row.away !== null
                            ? row.away
                            : row.morning_after
                              ? 'Worked yesterday: the morning after is asked for'
                              : row.last_answer
                                ? `Last answer ${dayName(row.last_answer)}`
                                : 'Has never answered'}
                        {row.has_link ? '' : '; no personal link'}
                    </span>
                ) : (
                    <span className="flex items-center gap-2 text-sm">
                        <WordMark word={row.word} size={14} />
                        <span className="truncate text-soft">
                            {row.ill === 'fever' ? 'Fever. ' : row.ill === 'cold' ? 'Has a cold. ' : ''}
                            {row.why} {row.answered_at}
                        </span>
                    </span>
                )}
            </div>
            <Acts row={row} onAsk={onAsk} onNothing={onNothing} onTakeBack={onTakeBack} />
        </li>
    );
}

function Acts({ row, onAsk, onNothing, onTakeBack }: Acting) {
    return row.answered_at === null ? (
        <>
            <button
                type="button"
                className="btn"
                aria-label={`${row.athlete.given_name}: something is sore`}
                onClick={onAsk}
            >
                Sore
            </button>
            <button
                type="button"
                className="btn btn-main"
                aria-label={`${row.athlete.given_name}: nothing sore`}
                onClick={onNothing}
            >
                Nothing sore
            </button>
        </>
    ) : (
        <>
            {row.report_id !== null && (
                <button
                    type="button"
                    className="btn btn-quiet"
                    aria-label={`Take back the answer of ${row.athlete.given_name}`}
                    onClick={() => onTakeBack(row.report_id ?? '')}
                >
                    Take back
                </button>
            )}
            <button type="button" className="btn" aria-label={`${row.athlete.given_name}: report more`} onClick={onAsk}>
                More
            </button>
        </>
    );
}
